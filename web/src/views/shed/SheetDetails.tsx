import { changeSheet, fieldLimits, type Sheet, type SheetLimit, toleranceClasses } from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { ChoiceField, MeasureField, NumberField, TickField, WordsField } from '../../ui/Field.tsx';
import { Word } from '../../ui/help/Word.tsx';

/** What the table has no room for: tolerance, where it is kept, whether more can be bought, where it may lie, what it is made of. */
export function SheetDetails() {
  const { sheets } = useProject();
  return (
    <section aria-label="More about each kind" className="mt-4">
      <h2 className="mb-1 text-base">
        <Word>More about each kind</Word>
      </h2>
      {sheets.map((sheet) => (
        <Details key={sheet.id} sheet={sheet} />
      ))}
    </section>
  );
}

function Details({ sheet }: { sheet: Sheet }) {
  const change = (next: Partial<Sheet>) => edit((p) => changeSheet(p, sheet.id, next));
  const name = sheet.name || 'sheet';
  return (
    <fieldset className="mb-2 grid grid-cols-[1.2fr_90px_1.2fr_1.2fr_90px_auto] items-end gap-2 border-t border-line pt-1.5 max-[999px]:grid-cols-2">
      <legend className="sr-only">{name}</legend>
      <ChoiceField
        label={`Tolerance of ${name}`}
        value={sheet.tolerance}
        options={toleranceClasses.map((value) => ({
          value,
          text: value === 'usual' ? 'usual for its kind' : value === 'own' ? 'my own' : value,
        }))}
        onValue={(tolerance) =>
          change({ tolerance, toleranceMm: tolerance === 'own' ? (sheet.toleranceMm ?? 1) : null })
        }
      />
      {sheet.tolerance === 'own' ? (
        <MeasureField
          label="Plus or minus"
          value={sheet.toleranceMm ?? 1}
          {...fieldLimits('sheets.toleranceMm')}
          onValue={(toleranceMm) => change({ toleranceMm })}
        />
      ) : (
        <span />
      )}
      <WordsField label={`Where ${name} is kept`} value={sheet.place} onValue={(place) => change({ place })} />
      <Limit sheet={sheet} onValue={(limit) => change({ limit })} />
      <div className="pb-1">
        <TickField label="more can be bought" value={sheet.buyable} onValue={(buyable) => change({ buyable })} />
      </div>
      {sheet.material === 'own' && sheet.own && (
        <>
          <WordsField
            label={`What ${name} is made of`}
            value={sheet.own.name}
            onValue={(stuff) => sheet.own && change({ own: { ...sheet.own, name: stuff } })}
          />
          <NumberField
            label="Weighs"
            unit="kg/m³"
            value={sheet.own.densityKgM3}
            {...fieldLimits('sheets.own.densityKgM3')}
            least={1}
            onValue={(densityKgM3) => sheet.own && change({ own: { ...sheet.own, densityKgM3 } })}
          />
          <NumberField
            label="Vapour resistance, times air"
            value={sheet.own.vapourResistance}
            {...fieldLimits('sheets.own.vapourResistance')}
            onValue={(vapourResistance) => sheet.own && change({ own: { ...sheet.own, vapourResistance } })}
          />
        </>
      )}
    </fieldset>
  );
}

function Limit({ sheet, onValue }: { sheet: Sheet; onValue: (limit: SheetLimit) => void }) {
  const { areas } = useProject().stacking;
  const { limit } = sheet;
  const key = limit.kind === 'area' ? `${limit.within ? 'in' : 'out'}:${limit.areaId}` : limit.kind;
  const options = [
    { value: 'anywhere', text: 'anywhere' },
    { value: 'inside', text: 'only deep inside' },
    ...areas.flatMap(({ id, name }) => [
      { value: `in:${id}`, text: `only in ${name}` },
      { value: `out:${id}`, text: `never in ${name}` },
    ]),
  ];
  const known = options.some(({ value }) => value === key);
  return (
    <>
      <ChoiceField
        label={`${sheet.name || 'sheet'} may lie`}
        value={key}
        options={known ? options : [{ value: key, text: 'in an area that is gone' }, ...options]}
        onValue={(value) => {
          if (value === 'anywhere') onValue({ kind: 'anywhere' });
          else if (value === 'inside') onValue({ kind: 'inside', coverMm: 15 });
          else onValue({ kind: 'area', areaId: value.slice(value.indexOf(':') + 1), within: value.startsWith('in:') });
        }}
      />
      {limit.kind === 'inside' ? (
        <MeasureField
          label="Covered by"
          value={limit.coverMm}
          {...fieldLimits('sheets.limit.coverMm')}
          onValue={(coverMm) => onValue({ kind: 'inside', coverMm })}
        />
      ) : (
        <span />
      )}
    </>
  );
}
