import { type BoardHole, baseSize, fieldLimits, freeId, type Project } from '@hosket/core';
import { Plus, X } from 'lucide-react';
import { edit } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { MeasureField } from '../../ui/Field.tsx';

const REACH_MM = 3000;

/** Holes through the board from below: where, how wide, and how far up into the foam. */
export function BoardHoles({ project }: { project: Project }) {
  const holes = project.base.board.holes ?? [];
  const to = (next: BoardHole[]) =>
    edit((p) => ({
      ...p,
      base: { ...p.base, board: { ...p.base.board, holes: next.length ? next : undefined } },
    }));
  const change = (id: string, next: Partial<BoardHole>) =>
    to(holes.map((hole) => (hole.id === id ? { ...hole, ...next } : hole)));
  const add = () => {
    const { widthMm, depthMm } = baseSize(project.base);
    to([...holes, { id: freeId('hole', holes), at: [widthMm / 2, depthMm / 2], acrossMm: 8, upMm: 0 }]);
  };
  return (
    <div className="col-span-2">
      <ol aria-label="Holes through the board from below">
        {holes.map(({ id, at: [x, y], acrossMm, upMm }, k) => (
          <li key={id} className="mb-1 grid grid-cols-[1fr_1fr_1fr_1fr_auto] items-end gap-1">
            <MeasureField
              label={`Hole ${k + 1}, from the left`}
              value={x}
              least={-REACH_MM}
              most={REACH_MM}
              onValue={(across) => change(id, { at: [across, y] })}
            />
            <MeasureField
              label="From the front"
              value={y}
              least={-REACH_MM}
              most={REACH_MM}
              onValue={(away) => change(id, { at: [x, away] })}
            />
            <MeasureField
              label="Across"
              value={acrossMm}
              {...fieldLimits('base.board.holes.acrossMm')}
              onValue={(value) => change(id, { acrossMm: value })}
            />
            <MeasureField
              label="Up into foam"
              value={upMm}
              {...fieldLimits('base.board.holes.upMm')}
              onValue={(value) => change(id, { upMm: value })}
            />
            <Button
              tone="quiet"
              className="!px-1"
              aria-label={`Take out hole ${k + 1}`}
              onClick={() => to(holes.filter((hole) => hole.id !== id))}
            >
              <X size={13} aria-hidden />
            </Button>
          </li>
        ))}
      </ol>
      <Button onClick={add}>
        <Plus size={14} aria-hidden /> Hole from below
      </Button>
    </div>
  );
}
