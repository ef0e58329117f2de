import { fieldLimits, freeId, type Panel, panelsFromBox } from '@hosket/core';
import { Plus, X } from 'lucide-react';
import { edit, projectNow, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, MeasureField, NumberField, TickField, WordsField } from '../../ui/Field.tsx';
import { PointRows, partedAfter } from '../../ui/PointRows.tsx';
import { say as sayToast } from '../../ui/toast.tsx';
import { PanelPicture } from './PanelPicture.tsx';

const to = (panels: Panel[]) => edit((p) => ({ ...p, panels }));
const change = (id: string, next: Partial<Panel>) =>
  edit((p) => ({ ...p, panels: p.panels.map((panel) => (panel.id === id ? { ...panel, ...next } : panel)) }));

/** Backdrops, walls of the box and parapets: what is cut from sheets beside the layers, with openings and an upper edge of its own. */
export function PanelsPage() {
  const project = useProject();
  const { panels } = project;
  const ofBox = panelsFromBox(project);
  const add = (name: string, widthMm: number, heightMm: number) => {
    const [sheet] = projectNow().sheets;
    if (!sheet) return sayToast('There is no sheet in the shed to cut it from: add one under Sheets.');
    to([
      ...panels,
      { id: freeId('panel', panels), name, sheetId: sheet.id, widthMm, heightMm, openings: [], count: 1 },
    ]);
  };
  return (
    <div className="max-w-4xl">
      <p className="mb-2 text-sm text-muted">
        What stands upright is cut from sheets too: it lies on the layout with the pieces of the layers, counts in the
        sheets and the minutes of cutting, and has its template at full size.
      </p>
      <div className="mb-3 flex flex-wrap gap-2">
        {ofBox.length > 0 && (
          <Button tone="main" onClick={() => to([...panels, ...ofBox])}>
            <Plus size={14} aria-hidden /> {ofBox.map(({ name }) => name).join(', ')} of the box
          </Button>
        )}
        <Button onClick={() => add('Backdrop', 300, 150)}>
          <Plus size={14} aria-hidden /> Backdrop
        </Button>
        <Button onClick={() => add('Parapet', 120, 20)}>
          <Plus size={14} aria-hidden /> Parapet
        </Button>
      </div>
      <ol aria-label="Upright parts">
        {panels.map((panel, k) => (
          <li key={panel.id} className="mb-3 border border-line bg-sheet px-3 py-2">
            <OnePanel panel={panel} number={k + 1} />
          </li>
        ))}
      </ol>
    </div>
  );
}

function OnePanel({ panel, number }: { panel: Panel; number: number }) {
  const { sheets, panels } = useProject();
  const set = (next: Partial<Panel>) => change(panel.id, next);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_220px] gap-4 max-[699px]:grid-cols-1">
      <div>
        <div className="grid grid-cols-3 gap-2">
          <div className="col-span-2">
            <WordsField label={`Part W${number}`} value={panel.name} onValue={(name) => set({ name })} />
          </div>
          <NumberField
            label="How many"
            whole
            value={panel.count}
            {...fieldLimits('panels.count')}
            onValue={(count) => set({ count })}
          />
          <ChoiceField
            label="Cut from"
            value={panel.sheetId}
            options={sheets.map(({ id, name }) => ({ value: id, text: name || id }))}
            onValue={(sheetId) => set({ sheetId })}
          />
          <MeasureField
            label="Width"
            value={panel.widthMm}
            {...fieldLimits('panels.widthMm')}
            onValue={(widthMm) => set({ widthMm })}
          />
          <MeasureField
            label="Height"
            value={panel.heightMm}
            {...fieldLimits('panels.heightMm')}
            onValue={(heightMm) => set({ heightMm })}
          />
        </div>
        <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
          <TickField
            label="Its upper edge has a profile"
            value={panel.top !== undefined}
            onValue={(there) => set({ top: there ? straightTop(panel) : undefined })}
          />
          <Button
            onClick={() =>
              set({
                openings: [
                  ...panel.openings,
                  {
                    kind: 'rectangle',
                    at: [panel.widthMm / 2, panel.heightMm / 2],
                    widthMm: panel.widthMm / 5,
                    heightMm: panel.heightMm / 3,
                  },
                ],
              })
            }
          >
            <Plus size={14} aria-hidden /> Opening
          </Button>
          <Button
            tone="quiet"
            aria-label={`Take out part W${number}`}
            onClick={() => to(panels.filter(({ id }) => id !== panel.id))}
          >
            <X size={14} aria-hidden /> Take it out
          </Button>
        </div>
        {panel.top && <Top panel={panel} top={panel.top} set={set} />}
        <Openings panel={panel} set={set} />
      </div>
      <PanelPicture panel={panel} />
    </div>
  );
}

const straightTop = ({ widthMm, heightMm }: Panel): [number, number][] => [
  [0, heightMm],
  [widthMm / 2, heightMm],
  [widthMm, heightMm],
];

interface PartProps {
  panel: Panel;
  set: (next: Partial<Panel>) => void;
}

/** Corners of the upper edge from left to right. */
function Top({ top, set }: PartProps & { top: [number, number][] }) {
  return (
    <>
      <p aria-hidden className="mt-2 grid grid-cols-[1.4rem_1fr_1fr_3.2rem] gap-1 text-xs text-muted">
        <span />
        <span>From the left</span>
        <span>Height</span>
      </p>
      <ol aria-label="Corners of the upper edge">
        <PointRows
          points={top}
          name="Corner"
          measures={['from the left', 'height']}
          least={[0, 0.5]}
          most={3000}
          fewest={2}
          ends
          move={(k, at) => set({ top: top.map((point, n) => (n === k ? at : point)) })}
          split={(k) => set({ top: partedAfter(top, k) })}
          remove={(k) => set({ top: top.filter((_, n) => n !== k) })}
        />
      </ol>
    </>
  );
}

const shapes = [
  { value: 'rectangle', text: 'rectangle' },
  { value: 'round', text: 'round' },
] as const;

function Openings({ panel: { openings }, set }: PartProps) {
  const move = (k: number, next: Partial<Panel['openings'][number]>) =>
    set({ openings: openings.map((opening, n) => (n === k ? { ...opening, ...next } : opening)) });
  if (!openings.length) return null;
  return (
    <ol aria-label="Openings" className="mt-2 grid gap-1">
      {openings.map(({ kind, at: [x, y], widthMm, heightMm }, k) => (
        <li key={k} className="grid grid-cols-[1.2fr_1fr_1fr_1fr_1fr_auto] items-end gap-1">
          <ChoiceField
            label={`Opening ${k + 1}`}
            value={kind}
            options={shapes}
            onValue={(next) => move(k, { kind: next })}
          />
          <MeasureField
            label="Middle, from left"
            value={x}
            most={3000}
            onValue={(across) => move(k, { at: [across, y] })}
          />
          <MeasureField label="Middle, up" value={y} most={3000} onValue={(up) => move(k, { at: [x, up] })} />
          <MeasureField
            label={kind === 'round' ? 'Across' : 'Wide'}
            value={widthMm}
            {...fieldLimits('panels.openings.widthMm')}
            onValue={(wide) => move(k, { widthMm: wide })}
          />
          {kind === 'round' ? (
            <span />
          ) : (
            <MeasureField
              label="High"
              value={heightMm}
              {...fieldLimits('panels.openings.heightMm')}
              onValue={(high) => move(k, { heightMm: high })}
            />
          )}
          <Button
            tone="quiet"
            className="!px-1"
            aria-label={`Take out opening ${k + 1}`}
            onClick={() => set({ openings: openings.filter((_, n) => n !== k) })}
          >
            <X size={13} aria-hidden />
          </Button>
        </li>
      ))}
    </ol>
  );
}
