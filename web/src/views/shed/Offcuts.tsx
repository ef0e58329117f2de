import { fieldLimits, freeId, type Offcut, offcutArea, thicknessOf } from '@hosket/core';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { edit, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, MeasureField, WordsField } from '../../ui/Field.tsx';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { TraceDialog } from './TraceDialog.tsx';

const put = (next: (offcuts: Offcut[]) => Offcut[]) => edit((p) => ({ ...p, offcuts: next(p.offcuts) }));

/** What is left of sheets that were cut before: rectangles, or outlines traced corner by corner. */
export function Offcuts() {
  const { offcuts, sheets } = useProject();
  const say = useSay();
  const [tracing, setTracing] = useState<string | null>(null);
  const traced = offcuts.find(({ id }) => id === tracing);
  const add = () =>
    put((list) => [
      ...list,
      {
        id: freeId('offcut', list),
        name: `Offcut ${list.length + 1}`,
        sheetId: sheets[0].id,
        outline: { kind: 'rectangle', widthMm: 200, depthMm: 150 },
        place: '',
      },
    ]);
  return (
    <section aria-label="Offcuts" className="mt-4">
      <h2 className="mb-1 text-base">
        <Word>Offcuts</Word>
      </h2>
      {!offcuts.length && (
        <p className="mb-1 text-sm text-muted">None are kept yet. Offcuts are taken before sheets.</p>
      )}
      {offcuts.map((offcut) => {
        const { id, name, sheetId, outline, place } = offcut;
        const change = (next: Partial<Offcut>) =>
          put((list) => list.map((other) => (other.id === id ? { ...other, ...next } : other)));
        const kinds = sheets.map((sheet) => ({
          value: sheet.id,
          text: `${sheet.name || sheet.id}, ${say.mm(thicknessOf(sheet))}`,
        }));
        const known = kinds.some(({ value }) => value === sheetId);
        return (
          <fieldset
            key={id}
            className="mb-1.5 grid grid-cols-[1fr_1.3fr_110px_80px_80px_1fr_70px_auto] items-end gap-2 border-t border-line pt-1"
          >
            <legend className="sr-only">{name}</legend>
            <WordsField label="Offcut" value={name} onValue={(next) => change({ name: next })} />
            <ChoiceField
              label={`${name} is of`}
              value={sheetId}
              options={known ? kinds : [{ value: sheetId, text: 'a kind that is gone' }, ...kinds]}
              onValue={(next) => change({ sheetId: next })}
            />
            <ChoiceField
              label={`Outline of ${name}`}
              value={outline.kind}
              options={['rectangle', 'traced']}
              onValue={(kind) => {
                if (kind === 'rectangle') change({ outline: { kind, widthMm: 200, depthMm: 150 } });
                else {
                  const [w, d] = outline.kind === 'rectangle' ? [outline.widthMm, outline.depthMm] : [200, 150];
                  change({
                    outline: {
                      kind,
                      points: [
                        [0, 0],
                        [w, 0],
                        [w, d],
                        [0, d],
                      ],
                    },
                  });
                  setTracing(id);
                }
              }}
            />
            {outline.kind === 'rectangle' ? (
              <>
                <MeasureField
                  label={`Width of ${name}`}
                  value={outline.widthMm}
                  {...fieldLimits('offcuts.outline.widthMm')}
                  least={5}
                  onValue={(widthMm) => change({ outline: { ...outline, widthMm } })}
                />
                <MeasureField
                  label={`Length of ${name}`}
                  value={outline.depthMm}
                  {...fieldLimits('offcuts.outline.depthMm')}
                  least={5}
                  onValue={(depthMm) => change({ outline: { ...outline, depthMm } })}
                />
              </>
            ) : (
              <Button className="col-span-2" aria-label={`Trace ${name}`} onClick={() => setTracing(id)}>
                Trace, {outline.points.length} corners
              </Button>
            )}
            <WordsField label={`Where ${name} is kept`} value={place} onValue={(next) => change({ place: next })} />
            <span className="pb-1 text-right">
              <Figure text={say.area(offcutArea(offcut))} />
            </span>
            <Button
              tone="quiet"
              aria-label={`Remove ${name}`}
              onClick={() => put((list) => list.filter((other) => other.id !== id))}
            >
              <Trash2 size={15} aria-hidden />
            </Button>
          </fieldset>
        );
      })}
      <Button disabled={!sheets.length || offcuts.length >= 300} onClick={add}>
        <Plus size={14} aria-hidden /> Add an offcut
      </Button>
      {!sheets.length && <span className="ml-2 text-sm text-muted">Add the kind of sheet it was cut from first.</span>}
      {traced?.outline.kind === 'traced' && (
        <TraceDialog
          name={traced.name}
          points={traced.outline.points}
          onClose={() => setTracing(null)}
          onPoints={(points) =>
            put((list) =>
              list.map((other) => (other.id === traced.id ? { ...other, outline: { kind: 'traced', points } } : other)),
            )
          }
        />
      )}
    </section>
  );
}
