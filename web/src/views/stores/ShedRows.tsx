import {
  changeSheet,
  decimals,
  fieldLimits,
  formatMeasure,
  type Sheet,
  type SheetNeed,
  thicknessOf,
} from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { NumberField } from '../../ui/Field.tsx';
import { Figure } from '../../ui/Figures.tsx';

/** Sheets of foam, counted in the shed, with what the layout takes of them. */
export function ShedRows({ needs, wanted, columns }: { needs: readonly SheetNeed[]; wanted: string; columns: number }) {
  const project = useProject();
  const { sheets, offcuts, currency } = project;
  const units = useView((view) => view.units);

  const nameOf = (sheet: Sheet) =>
    `${sheet.name || sheet.material}, ${formatMeasure('length', thicknessOf(sheet), units)}`;
  const shown = sheets.filter((sheet) => nameOf(sheet).toLowerCase().includes(wanted.toLowerCase()));
  if (!shown.length) return null;
  return (
    <tbody>
      <tr>
        <th scope="rowgroup" colSpan={columns} className="pt-3 text-sm font-semibold">
          In the shed
        </th>
      </tr>
      {shown.map((sheet) => {
        const need = needs.find(({ sheetId }) => sheetId === sheet.id);
        const name = nameOf(sheet);
        const kept = offcuts.filter(({ sheetId }) => sheetId === sheet.id).length;
        return (
          <tr key={sheet.id} aria-label={name}>
            <th scope="row">
              {name}
              <span className="block text-xs text-muted">
                {sheet.place}
                {kept > 0 && ` and ${kept} ${kept === 1 ? 'offcut' : 'offcuts'}`}
              </span>
            </th>
            <td>
              <NumberField
                hideLabel
                whole
                label={`${name} in the shed`}
                value={sheet.count}
                {...fieldLimits('sheets.count')}
                onValue={(count) => edit((p) => changeSheet(p, sheet.id, { count }))}
              />
            </td>
            <td />
            <td className="number">{need && <Figure text={String(need.needed)} />}</td>
            <td className="number">{need && need.toBuy > 0 && <Figure text={String(need.toBuy)} />}</td>
            <td className="number">
              {need?.cost != null && need.toBuy > 0 && <Figure text={`${decimals(need.cost, 2)} ${currency}`} />}
            </td>
            <td className="number">
              {need && sheet.count + need.toBuy > need.needed && (
                <Figure text={String(sheet.count + need.toBuy - need.needed)} />
              )}
            </td>
            <td />
          </tr>
        );
      })}
    </tbody>
  );
}
