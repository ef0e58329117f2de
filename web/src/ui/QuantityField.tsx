import { formatMeasure, type PackUnit, parseMeasure, plainNumber, readNumber } from '@hosket/core';
import { ReadField } from './Field.tsx';
import { useUnits } from './surroundings.ts';

const kinds = { ml: 'volume', g: 'mass', mm: 'length' } as const;

interface Props {
  label: string;
  unit: PackUnit;
  value: number | null;
  /** What no value means; without it a value must be given. */
  none?: string;
  /** Its label stands over it; in a table its row and head say it. */
  labelled?: boolean;
  least?: number;
  most?: number;
  onValue: (value: number | null) => void;
}

/** An amount as it is stored or sold: by volume, weight, length or piece; any unit of its kind may be typed. */
export function QuantityField({ label, unit, value, none, labelled = false, least = 0, most = 1e6, onValue }: Props) {
  const units = useUnits();
  const text =
    value === null ? (none ?? '') : unit === 'each' ? plainNumber(value) : formatMeasure(kinds[unit], value, units, 2);
  return (
    <ReadField<number | null>
      label={label}
      hideLabel={!labelled}
      narrow
      inputMode="decimal"
      text={text}
      read={(written) => {
        if (none !== undefined && (!written.trim() || written.trim() === none)) return { ok: true, value: null };
        if (unit === 'each') {
          const count = readNumber(written);
          return Number.isFinite(count) && count >= 0 && count <= 1e6
            ? { ok: true, value: count }
            : { ok: false, why: 'Write how many there are.' };
        }
        const reading = parseMeasure(kinds[unit], written, units);
        if (!reading.ok) return { ok: false, why: `${reading.fault.message} ${reading.fault.remedy}` };
        const said = (amount: number) => formatMeasure(kinds[unit], amount, units, 2);
        return reading.value >= least && reading.value <= most
          ? reading
          : { ok: false, why: `Between ${said(least)} and ${said(most)}.` };
      }}
      onValue={onValue}
    />
  );
}
