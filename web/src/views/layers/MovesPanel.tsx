import { canGive, giveAll, giveOfItem, itemsOf, type MovesReport, moveItems, sayMinutes } from '@hosket/core';
import { useState } from 'react';
import { edit, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { MeasureField } from '../../ui/Field.tsx';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { usePlan } from '../../worker/planStore.ts';

const USUAL_GIVE_MM = 3;

/** Levels that could be brought onto joints: what may be moved, what moving it saves, and each move to take or leave. */
export function MovesPanel() {
  const project = useProject();
  const moves = usePlan((state) => state.moves);
  const [byMm, setByMm] = useState(USUAL_GIVE_MM);
  const able = itemsOf(project).filter(canGive);
  const given = able.some((item) => {
    const { downMm, upMm } = giveOfItem(item);
    return downMm > 0 || upMm > 0;
  });
  if (!able.length) return null;
  return (
    <section aria-label="Levels onto joints" className="mb-4 border border-line bg-sheet px-3 py-2">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <h2 className="font-head text-base font-semibold">
          <Word>Levels onto joints</Word>
        </h2>
        <div className="flex items-end gap-2">
          <div className="w-28">
            <MeasureField label="Each up or down by" value={byMm} least={0.1} most={200} onValue={setByMm} />
          </div>
          <Button onClick={() => edit((p) => giveAll(p, byMm, byMm))}>Let all levels move</Button>
          {given && <Button onClick={() => edit((p) => giveAll(p, 0, 0))}>None may move</Button>}
        </div>
      </div>
      {!given && (
        <p className="text-sm text-muted">
          All levels stay as drawn. Where some may lie a little higher or lower, say by how much, here or at each thing
          in Ground: what falls on a joint needs neither carving nor filling.
        </p>
      )}
      {given && moves === undefined && <p className="text-sm text-muted">Working out what moving them would save…</p>}
      {given && moves && (moves.moves.length ? <Proposed key={keyOf(moves)} moves={moves} /> : <Nothing />)}
      {given && moves && <Held moves={moves} />}
    </section>
  );
}

const keyOf = ({ moves }: MovesReport): string => moves.map(({ itemId, toMm }) => `${itemId} ${toMm}`).join();

const Nothing = () => (
  <p className="text-sm text-muted">No level that may move saves anything by it: the stack is the best there is.</p>
);

function Held({ moves: { held } }: { moves: MovesReport }) {
  if (!held.length) return null;
  const text = held.map(({ name, by }) => `${name} (by ${by})`).join(', ');
  return (
    <p className="mt-1 text-xs text-muted">
      Held by something at the same height, or tied to it, that may not move: {text}.
    </p>
  );
}

interface ItemMove {
  itemId: string;
  byMm: number;
  text: string;
}

/** One entry an item: all its heights move by the same. */
function byItem({ moves }: MovesReport, mm: (value: number) => string): ItemMove[] {
  const found = new Map<string, ItemMove>();
  for (const { itemId, name, byMm, fromMm, toMm } of moves) {
    const before = found.get(itemId);
    const heights = `bare foam ${mm(fromMm)} to ${mm(toMm)}`;
    found.set(itemId, {
      itemId,
      byMm: before?.byMm ?? byMm,
      text: before
        ? `${before.text}; ${name}, ${heights}`
        : `${name} ${byMm > 0 ? 'up' : 'down'} ${mm(Math.abs(byMm))} (${heights})`,
    });
  }
  return [...found.values()];
}

function Proposed({ moves }: { moves: MovesReport }) {
  const say = useSay();
  const all = byItem(moves, say.mm);
  const [left, setLeft] = useState<readonly string[]>([]);
  const taken = all.filter(({ itemId }) => !left.includes(itemId));
  const { solved, model } = moves;
  const built = usePlan((state) => state.report?.stack.school);
  return (
    <>
      <p className="mt-1 text-sm" data-testid="moves-save">
        {moves.school !== built && `Built ${moves.school}: `}
        {solved && <Saved {...solved} />}
      </p>
      <ul className="my-1.5 grid gap-1">
        {all.map(({ itemId, text }) => (
          <li key={itemId}>
            <label className="flex items-baseline gap-2 text-sm">
              <input
                type="checkbox"
                className="size-4 translate-y-0.5 accent-clay"
                checked={!left.includes(itemId)}
                onChange={() => setLeft(left.includes(itemId) ? left.filter((id) => id !== itemId) : [...left, itemId])}
              />
              <span>
                <Word>{text}</Word>
              </span>
            </label>
          </li>
        ))}
      </ul>
      <div className="flex items-center gap-3">
        <Button
          tone="main"
          className="shrink-0 whitespace-nowrap"
          disabled={!taken.length}
          onClick={() => edit((p) => moveItems(p, taken))}
        >
          {taken.length === all.length ? 'Move them all' : `Move ${taken.length} of ${all.length}`}
        </Button>
        <span className="text-xs text-muted">
          By ground stretched evenly between levels, moves counted: {Math.round(model.before.costMin)} to{' '}
          {Math.round(model.after.costMin)} min, {say.volume(model.before.carveMl)} to {say.volume(model.after.carveMl)}{' '}
          carved, {say.volume(model.before.fillMl)} to {say.volume(model.after.fillMl)} filled
          {moves.exact ? '' : '; not every way was weighed'}. Above: the ground as it lies with them moved.
        </span>
      </div>
    </>
  );
}

type Solved = NonNullable<MovesReport['solved']>;

/** "12 ml less to carve, 3 ml more to fill, 2 min less at the bench, dry 0.1 days sooner". */
function Saved({ before, after }: Solved) {
  const say = useSay();
  const parts: string[] = [];
  const less = (by: number, least: number, text: (amount: number) => string, rest: string) => {
    if (Math.abs(by) >= least) parts.push(`${text(Math.abs(by))} ${by > 0 ? 'less' : 'more'} ${rest}`);
  };
  less(before.layers - after.layers, 1, (n) => `${n} ${n === 1 ? 'layer' : 'layers'}`, 'to lay');
  less(before.carveMl - after.carveMl, 0.5, say.volume, 'to carve');
  less(before.fillMl - after.fillMl, 0.5, say.volume, 'to fill');
  less(before.costMin - after.costMin, 0.5, (min) => sayMinutes(min), 'by the figures of What it costs');
  less(before.handsOnMin - after.handsOnMin, 0.5, (min) => sayMinutes(min), 'at the bench, all of the plan');
  const hours =
    before.dryAt && after.dryAt ? (Date.parse(`${before.dryAt}Z`) - Date.parse(`${after.dryAt}Z`)) / 3_600_000 : 0;
  if (Math.abs(hours) >= 1) parts.push(`dry ${Math.round(Math.abs(hours))} h ${hours > 0 ? 'sooner' : 'later'}`);
  return <Figure text={parts.length ? parts.join(', ') : 'no difference that a builder would see'} />;
}
