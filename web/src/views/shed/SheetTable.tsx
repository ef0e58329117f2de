import { changeSheet, fieldLimits, formatMeasure, freeId, parseMeasure, type Sheet, usualSheet } from '@hosket/core';
import { Plus, Trash2 } from 'lucide-react';
import { edit, useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, MeasureField, NumberField, ReadField, WordsField } from '../../ui/Field.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { Heads, Table } from '../../ui/Table.tsx';

const materials = [
  { value: 'xps' as const, text: 'dense' },
  { value: 'eps' as const, text: 'bead' },
  { value: 'card' as const, text: 'card' },
  { value: 'cork' as const, text: 'cork' },
  { value: 'own' as const, text: 'own' },
];

/** What an own stuff begins with: light and closed, as most sheets are. */
const ownStuff = { name: 'Own stuff', densityKgM3: 40, vapourResistance: 60 };

/** The sheets in the shed. Thickness as measured wins over thickness as sold. */
export function SheetTable() {
  const { sheets, currency } = useProject();
  const heads = ['Name', 'Foam', 'Sold as', 'Measured', 'Width', 'Length', 'Sheets', `Each, ${currency}`, ''];
  return (
    <section aria-label="Sheets in the shed" className="mt-2">
      <h2 className="mb-1 text-base">
        <Word>Sheets in the shed</Word>
      </h2>
      <Table>
        <Heads of={heads} />
        <tbody>
          {sheets.map((sheet) => (
            <SheetRow key={sheet.id} sheet={sheet} />
          ))}
        </tbody>
      </Table>
      <Button
        className="mt-2"
        onClick={() => edit((p) => ({ ...p, sheets: [...p.sheets, usualSheet(freeId('sheet', p.sheets))] }))}
      >
        <Plus size={14} aria-hidden /> Add a kind of sheet
      </Button>
    </section>
  );
}

function SheetRow({ sheet }: { sheet: Sheet }) {
  const change = (next: Partial<Sheet>) => edit((p) => changeSheet(p, sheet.id, next));
  const name = sheet.name || 'sheet';
  return (
    <tr>
      <td className="w-[19%]">
        <WordsField hideLabel label={`Name of ${name}`} value={sheet.name} onValue={(next) => change({ name: next })} />
      </td>
      <td className="w-[15%]">
        <ChoiceField
          hideLabel
          label={`Foam of ${name}`}
          value={sheet.material}
          options={materials}
          onValue={(material) => change({ material, own: material === 'own' ? (sheet.own ?? ownStuff) : null })}
        />
      </td>
      <td>
        <MeasureField
          hideLabel
          label={`${name} sold as`}
          value={sheet.nominalMm}
          least={0.5}
          most={400}
          onValue={(nominalMm) => change({ nominalMm })}
        />
      </td>
      <td>
        <Measured sheet={sheet} onValue={(measuredMm) => change({ measuredMm })} />
      </td>
      <td>
        <MeasureField
          hideLabel
          label={`Width of ${name}`}
          value={sheet.widthMm}
          {...fieldLimits('sheets.widthMm')}
          least={10}
          onValue={(widthMm) => change({ widthMm })}
        />
      </td>
      <td>
        <MeasureField
          hideLabel
          label={`Length of ${name}`}
          value={sheet.depthMm}
          {...fieldLimits('sheets.depthMm')}
          least={10}
          onValue={(depthMm) => change({ depthMm })}
        />
      </td>
      <td className="w-16">
        <NumberField
          hideLabel
          whole
          label={`Sheets of ${name}`}
          value={sheet.count}
          {...fieldLimits('sheets.count')}
          onValue={(count) => change({ count })}
        />
      </td>
      <td className="w-16">
        <NumberField
          hideLabel
          label={`Price of ${name}`}
          value={sheet.price ?? 0}
          least={0}
          most={100000}
          onValue={(price) => change({ price: price || null })}
        />
      </td>
      <td>
        <Button
          tone="quiet"
          aria-label={`Remove ${name}`}
          onClick={() => edit((p) => ({ ...p, sheets: p.sheets.filter(({ id }) => id !== sheet.id) }))}
        >
          <Trash2 size={15} aria-hidden />
        </Button>
      </td>
    </tr>
  );
}

/** Empty means: not measured, so the thickness it is sold as and its usual tolerance count. */
function Measured({ sheet, onValue }: { sheet: Sheet; onValue: (mm: number | null) => void }) {
  const units = useView((view) => view.units);
  return (
    <ReadField
      hideLabel
      narrow
      label={`${sheet.name || 'sheet'} measured (empty: not measured)`}
      text={sheet.measuredMm === null ? '' : formatMeasure('length', sheet.measuredMm, units, 2)}
      read={(text) => {
        if (!text.trim()) return { ok: true, value: null };
        const reading = parseMeasure('length', text, units);
        if (!reading.ok) return { ok: false, why: `${reading.fault.message} ${reading.fault.remedy}` };
        return reading.value >= 0.5 && reading.value <= 400 ? reading : { ok: false, why: 'Between 0.5 and 400 mm.' };
      }}
      onValue={onValue}
    />
  );
}
