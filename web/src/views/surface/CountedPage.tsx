import {
  type Count,
  decimals,
  fieldLimits,
  freeId,
  type ItemKind,
  kindWords,
  type PlanReport,
  rowKinds,
} from '@hosket/core';
import { Plus, Trash2 } from 'lucide-react';
import { useNavigate } from 'react-router';
import { beginDrawing } from '../../instruments/plan/drawing.ts';
import { edit, useProject } from '../../store/projectStore.ts';
import { pickItem } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { MeasureField, NumberField, WordsField } from '../../ui/Field.tsx';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { Heads, Table } from '../../ui/Table.tsx';

const beginnings: Record<Count['kind'], (id: string) => Count> = {
  ring: (id) => ({
    kind: 'ring',
    id,
    name: 'Well ring',
    insideMm: 20,
    deepMm: 5,
    wideMm: 5,
    jointMm: 0.4,
    sweepDegrees: 360,
  }),
  tiling: (id) => ({
    kind: 'tiling',
    id,
    name: 'Roof',
    widthMm: 80,
    heightMm: 50,
    tileMm: 4,
    gaugeMm: 3,
    jointMm: 0.2,
    faces: 2,
  }),
  fill: (id) => ({ kind: 'fill', id, name: 'Smoke', volumeMl: 200 }),
};
const titles: Record<Count['kind'], string> = {
  ring: 'Stones round a ring',
  tiling: 'Tiles on a face',
  fill: 'Smoke or cloud',
};

/** Everything that is counted piece by piece: rows drawn on the plan, and what is counted without being drawn. Each adds its hours. */
export function CountedPage({ report }: { report: PlanReport }) {
  const project = useProject();
  const go = useNavigate();
  const draw = (kind: ItemKind) => {
    beginDrawing(kind);
    go('../ground', { relative: 'path' });
  };
  const add = (kind: Count['kind']) =>
    edit((p) => ({ ...p, counts: [...p.counts, beginnings[kind](freeId('count', p.counts))] }));
  return (
    <div className="grid gap-4">
      <section aria-label="Rows on the ground">
        <div className="mb-1 flex flex-wrap items-center gap-2">
          <h2 className="text-base">
            <Word>Rows on the ground</Word>
          </h2>
          <span className="flex-1" />
          {rowKinds.map((kind) => (
            <Button key={kind} onClick={() => draw(kind)}>
              <Plus size={14} aria-hidden /> Draw a {kindWords[kind].title.toLowerCase()}
            </Button>
          ))}
        </div>
        {project.rows.length ? (
          <RowTable report={report} />
        ) : (
          <p className="text-sm text-muted">
            Draw a fence along its line: a post stands at every corner, and each stretch between is parted evenly.
          </p>
        )}
      </section>
      <section aria-label="Counted without being drawn">
        <div className="mb-1 flex flex-wrap items-center gap-2">
          <h2 className="text-base">
            <Word>Counted without being drawn</Word>
          </h2>
          <span className="flex-1" />
          {(Object.keys(titles) as Count['kind'][]).map((kind) => (
            <Button key={kind} onClick={() => add(kind)}>
              <Plus size={14} aria-hidden /> {titles[kind]}
            </Button>
          ))}
        </div>
        <div className="grid gap-3">
          {project.counts.map((count) => (
            <CountFields key={count.id} count={count} report={report} />
          ))}
        </div>
      </section>
      <p className="text-xs text-muted">
        Tufts, reeds, shrubs and trees by density are coats of a recipe: operation Plant. Single trees stand on the
        plan.
      </p>
    </div>
  );
}

function RowTable({ report }: { report: PlanReport }) {
  const project = useProject();
  const go = useNavigate();
  const say = useSay();
  return (
    <Table>
      <Heads of={['Row', 'Kind', { number: 'Along the ground' }, 'Pieces', { number: 'Rail' }]} />
      <tbody>
        {project.rows.map((row) => {
          const read = report.rows.find(({ id }) => id === row.id);
          return (
            <tr key={row.id}>
              <th scope="row">
                <button
                  type="button"
                  className="cursor-pointer text-clay underline"
                  onClick={() => {
                    pickItem(row.id);
                    go('../ground', { relative: 'path' });
                  }}
                >
                  {row.name || row.id}
                </button>
              </th>
              <td>{kindWords[row.kind].title}</td>
              <td className="number">{read && <Figure text={say.mm(read.lengthMm)} />}</td>
              <td>
                {read?.pieces
                  .filter(({ count }) => count > 0)
                  .map(({ name, count, how }) => (
                    <span key={name} className="block">
                      <Figure text={String(count)} /> {name.toLowerCase()}{' '}
                      <span className="text-xs text-muted">({say.words(how)})</span>
                    </span>
                  ))}
              </td>
              <td className="number">{read && read.railMm > 0 && <Figure text={say.mm(read.railMm)} />}</td>
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}

function CountFields({ count, report }: { count: Count; report: PlanReport }) {
  const change = (by: Partial<Count>) =>
    edit((p) => ({
      ...p,
      counts: p.counts.map((other) => (other.id === count.id ? ({ ...other, ...by } as Count) : other)),
    }));
  const step = report.takeoff.find(({ id }) => id === `count-${count.id}`);
  return (
    <fieldset className="border border-line bg-sheet px-3 py-2">
      <legend className="px-1 text-sm">{titles[count.kind]}</legend>
      <div className="grid grid-cols-5 items-end gap-2 max-[999px]:grid-cols-2">
        <WordsField required label="Name" value={count.name} onValue={(name) => change({ name })} />
        {count.kind === 'ring' && (
          <>
            <MeasureField
              label="Across the inside"
              {...fieldLimits('counts.insideMm')}
              value={count.insideMm}
              onValue={(insideMm) => change({ insideMm })}
            />
            <MeasureField
              label="Stones deep"
              {...fieldLimits('counts.deepMm')}
              value={count.deepMm}
              onValue={(deepMm) => change({ deepMm })}
            />
            <MeasureField
              label="Stones wide, inside"
              {...fieldLimits('counts.wideMm')}
              value={count.wideMm}
              onValue={(wideMm) => change({ wideMm })}
            />
            <MeasureField
              label="Joint"
              {...fieldLimits('counts.jointMm')}
              value={count.jointMm}
              onValue={(jointMm) => change({ jointMm })}
            />
            <NumberField
              label="Sweep"
              unit="°"
              {...fieldLimits('counts.sweepDegrees')}
              value={count.sweepDegrees}
              onValue={(sweepDegrees) => change({ sweepDegrees })}
            />
          </>
        )}
        {count.kind === 'tiling' && (
          <>
            <MeasureField
              label="Face wide"
              {...fieldLimits('counts.widthMm')}
              value={count.widthMm}
              onValue={(widthMm) => change({ widthMm })}
            />
            <MeasureField
              label="Face high"
              {...fieldLimits('counts.heightMm')}
              value={count.heightMm}
              onValue={(heightMm) => change({ heightMm })}
            />
            <MeasureField
              label="Tile wide"
              {...fieldLimits('counts.tileMm')}
              value={count.tileMm}
              onValue={(tileMm) => change({ tileMm })}
            />
            <MeasureField
              label="Seen of a tile"
              {...fieldLimits('counts.gaugeMm')}
              value={count.gaugeMm}
              onValue={(gaugeMm) => change({ gaugeMm })}
            />
            <MeasureField
              label="Joint"
              {...fieldLimits('counts.jointMm')}
              value={count.jointMm}
              onValue={(jointMm) => change({ jointMm })}
            />
            <NumberField
              whole
              label="Faces"
              {...fieldLimits('counts.faces')}
              value={count.faces}
              onValue={(faces) => change({ faces })}
            />
          </>
        )}
        {count.kind === 'fill' && (
          <MeasureField
            label="Room it fills"
            kind="volume"
            {...fieldLimits('counts.volumeMl')}
            value={count.volumeMl}
            onValue={(volumeMl) => change({ volumeMl })}
          />
        )}
        <Button
          tone="quiet"
          aria-label={`Remove ${count.name}`}
          onClick={() => edit((p) => ({ ...p, counts: p.counts.filter(({ id }) => id !== count.id) }))}
        >
          <Trash2 size={14} aria-hidden /> Remove
        </Button>
      </div>
      {step?.materials.map(({ name, amount }) => (
        <p key={name} className="mt-1 text-sm">
          <Figure text={amount.unit === 'g' ? `${decimals(amount.likely, 1)} g` : String(amount.likely)} />{' '}
          {name.toLowerCase()} <span className="text-xs text-muted">({amount.working.expression})</span>
        </p>
      ))}
    </fieldset>
  );
}
