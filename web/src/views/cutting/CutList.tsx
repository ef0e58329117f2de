import { type BedReport, type PlanReport, type PutAway, putAway, ringArea, ringSize, toggleCut } from '@hosket/core';
import { useState } from 'react';
import { edit, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { TickField, WordsField } from '../../ui/Field.tsx';
import { useSay } from '../../ui/Figures.tsx';
import { say as tell } from '../../ui/toast.tsx';

/** Sheets that are cut up as one: an offcut, a sheet, or all slices of a sheet. */
interface Group {
  id: string;
  name: string;
  beds: BedReport[];
}

const groupsOf = (beds: readonly BedReport[]): Group[] => {
  const groups = new Map<string, Group>();
  for (const bed of beds) {
    const id = bed.offcutId ?? `${bed.sheetId}#${bed.copy}`;
    const group = groups.get(id) ?? { id, name: bed.name.replace(/, slice .*$/, ''), beds: [] };
    group.beds.push(bed);
    groups.set(id, group);
  }
  return [...groups.values()];
};

/** What is to be cut, sheet by sheet, to be ticked off at the bench. */
export function CutList({ report }: { report: PlanReport }) {
  const { nest } = useProject();
  const [away, setAway] = useState<string | null>(null);
  const { cutting } = report;
  const groups = groupsOf(cutting.beds);
  const putting = groups.find(({ id }) => id === away);
  const say = useSay();
  if (!cutting.pieces.length) return <p className="text-muted">There is nothing to cut yet.</p>;
  return (
    <>
      {groups.map((group) => {
        const pieces = group.beds.flatMap((bed) => bed.pieces.map(({ piece }) => piece));
        const waiting = pieces.filter((id) => !nest.ticked.includes(id));
        return (
          <section key={group.id} aria-label={group.name} className="mb-3 border-b border-line pb-2">
            <h2 className="text-base">{group.name}</h2>
            <ul>
              {pieces.map((id) => {
                const piece = cutting.pieces.find((each) => each.id === id);
                if (!piece) return null;
                const size = ringSize(piece.outline.outer);
                return (
                  <li key={id} className="flex min-h-9 flex-wrap items-center gap-x-3 py-0.5">
                    <TickField
                      label={`Piece ${id}`}
                      value={nest.ticked.includes(id)}
                      onValue={() => edit((p) => toggleCut(p, id))}
                    />
                    <span className="text-sm text-muted">
                      {piece.panel ?? `layer ${piece.layer}`}, {say.mm(piece.thicknessMm)},{' '}
                      {say.mm(size.widthMm).replace(/ \w+$/, '')} × {say.mm(size.depthMm)},{' '}
                      {say.mm(Math.round(piece.outlineMm))} to cut
                    </span>
                  </li>
                );
              })}
            </ul>
            <Button disabled={waiting.length > 0} onClick={() => setAway(group.id)}>
              Put away what is left
            </Button>{' '}
            {waiting.length > 0 && (
              <span className="text-xs text-muted">
                when {waiting.length === 1 ? 'one more piece is' : `${waiting.length} more pieces are`} cut
              </span>
            )}
          </section>
        );
      })}
      {cutting.nowhere.length > 0 && (
        <p className="mb-2 text-sm text-plum">Lies nowhere: {cutting.nowhere.map(({ piece }) => piece).join(', ')}.</p>
      )}
      {nest.done.length > 0 && (
        <section aria-label="Put away">
          <h2 className="text-base">Put away</h2>
          <ul className="text-sm text-muted">
            {nest.done.map((bed, k) => (
              <li key={`${bed.name} ${k}`}>
                {bed.name}: {bed.pieces.map(({ piece }) => piece).join(', ')}
              </li>
            ))}
          </ul>
        </section>
      )}
      {putting && <PutAwayDialog report={report} group={putting} onClose={() => setAway(null)} />}
    </>
  );
}

/** Which offcuts go back to the shed, and under which names. */
function PutAwayDialog({ report, group, onClose }: { report: PlanReport; group: Group; onClose: () => void }) {
  const { offcuts } = useProject();
  const say = useSay();
  const left = group.beds.flatMap((bed) => bed.left);
  const [names, setNames] = useState(() => left.map((_, k) => `Offcut ${offcuts.length + k + 1}`));
  const [kept, setKept] = useState(() => left.map(() => true));
  const [first] = group.beds;
  const done = () => {
    const keeps = left.flatMap((points, k) => (kept[k] ? [{ name: names[k], points, areaMm2: ringArea(points) }] : []));
    const put: PutAway = {
      sheetId: first.sheetId,
      copy: first.copy,
      offcutId: first.offcutId,
      areaMm2: first.areaMm2,
      beds: group.beds.map((bed) => ({
        name: bed.name,
        outline: bed.outline.map(([x, y]) => [x, y]),
        pieces: bed.pieces.map(({ piece, lies }) => ({
          piece,
          layer: report.cutting.pieces.find(({ id }) => id === piece)?.layer ?? 1,
          areaMm2: report.cutting.pieces.find(({ id }) => id === piece)?.areaMm2 ?? 0,
          outer: lies.outer,
          holes: lies.holes,
        })),
      })),
      left: keeps,
      written: report.stack.written,
    };
    edit((project) => putAway(project, put));
    onClose();
    tell(
      `${group.name} is put away${keeps.length ? `; ${keeps.length} ${keeps.length === 1 ? 'offcut is' : 'offcuts are'} in the shed` : ''}. The stack is settled by hand from here: its foam is cut.`,
    );
  };
  return (
    <Dialog
      open
      onOpen={(open) => !open && onClose()}
      title={`Put away: ${group.name}`}
      note="It leaves the shed; what is ticked comes back as offcuts, with its outline."
    >
      {!left.length && (
        <p className="mb-3 text-sm">
          {first.sliced
            ? 'What is left of slices has another thickness than the sheet: enter it in the shed as a kind of its own.'
            : 'Nothing wide enough to be worth keeping is left of it.'}
        </p>
      )}
      <ul className="mb-3">
        {left.map((ring, k) => {
          const size = ringSize(ring);
          return (
            <li key={ring.slice(0, 3).join()} className="mb-2 flex flex-wrap items-end gap-3 border-b border-line pb-2">
              <Outline ring={ring} />
              <div className="w-44">
                <WordsField
                  label="Name of the offcut"
                  value={names[k]}
                  required
                  onValue={(name) => setNames((list) => list.with(k, name))}
                />
              </div>
              <span className="pb-1 text-sm text-muted">
                {say.mm(size.widthMm).replace(/ \w+$/, '')} × {say.mm(size.depthMm)}, {say.area(ringArea(ring))}
              </span>
              <span className="pb-1">
                <TickField
                  label={`Keep ${names[k]}`}
                  value={kept[k]}
                  onValue={(keep) => setKept((list) => list.with(k, keep))}
                />
              </span>
            </li>
          );
        })}
      </ul>
      <Button tone="main" onClick={done}>
        Put it away
      </Button>
    </Dialog>
  );
}

/** A small drawing of an outline. */
function Outline({ ring }: { ring: readonly (readonly [number, number])[] }) {
  const size = ringSize(ring);
  const x0 = Math.min(...ring.map(([x]) => x));
  const y0 = Math.min(...ring.map(([, y]) => y));
  const scale = 64 / Math.max(size.widthMm, size.depthMm);
  const points = ring.map(([x, y]) => `${(x - x0) * scale + 1},${(size.depthMm - y + y0) * scale + 1}`).join(' ');
  return (
    <svg width={66} height={66} aria-hidden>
      <polygon points={points} fill="var(--foam-a)" stroke="var(--muted)" />
    </svg>
  );
}
