import { Offcuts } from './Offcuts.tsx';
import { SheetDetails } from './SheetDetails.tsx';
import { SheetTable } from './SheetTable.tsx';

/** The stock: kinds of sheet, what is to be known of each, and offcuts. */
export function Shed() {
  return (
    <>
      <SheetTable />
      <SheetDetails />
      <Offcuts />
    </>
  );
}
