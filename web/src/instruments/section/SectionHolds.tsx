import {
  type Hold,
  hasHeights,
  heightAt,
  heightIs,
  holdsAlong,
  itemsOf,
  type Point,
  raiseItem,
  type SectionSample,
  skinMmOf,
} from '@hosket/core';
import { useMemo } from 'react';
import { endPreview, preview, settle, useShown } from '../../store/preview.ts';
import { useProject } from '../../store/projectStore.ts';
import { pickItem, usePicked } from '../../store/viewStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { chosenSchool, usePlan } from '../../worker/planStore.ts';
import { SectionGrip } from './SectionGrip.tsx';
import type { SectionFrame } from './sectionFrame.ts';

interface Props {
  frame: SectionFrame;
  from: Point;
  to: Point;
  samples: readonly SectionSample[];
}

/** Grips on the ground line where something drawn makes it: dragged up or down, they change its height. */
export function SectionHolds({ frame, from, to }: Props) {
  const project = useProject();
  const shown = useShown();
  // The worked-out ground, not the draft: only what is dragged moves its grip meanwhile.
  const fields = usePlan((state) => state.fields);
  const report = usePlan((state) => state.report);
  const picked = usePicked((state) => state.ids);
  const say = useSay();
  const ends = useMemo(() => Object.fromEntries((report?.landforms ?? []).map((form) => [form.id, form])), [report]);
  const ground = fields?.ground;
  const along = useMemo(
    () =>
      (of: typeof project): Hold[] =>
        ground ? holdsAlong(itemsOf(of), ends, (x, y) => heightAt(ground, x, y), from, to) : [],
    [ground, ends, from, to],
  );
  const kept = useMemo(() => along(project), [along, project]);
  const moved = shown === project ? kept : along(shown);
  const joints = useMemo(() => {
    if (!report) return { foam: [], ground: [] };
    const skin = skinMmOf(project);
    const { layers } = chosenSchool(report);
    return {
      foam: layers.map(({ topMm, index }) => ({ at: topMm, what: `joint ${index}` })),
      ground: layers.map(({ topMm, index }) => ({ at: topMm + skin, what: `joint ${index} under the skin` })),
    };
  }, [report, project]);
  /** What the heights of a thing's grips are of; those of hollows and of what runs from end to end are finished. */
  const kindOf = useMemo(() => {
    const kinds = new Map(
      itemsOf(project).map((item) => [
        item.id,
        hasHeights(item) && item.kind !== 'way' && item.kind !== 'steps' ? heightIs(project.heights, item) : 'ground',
      ]),
    );
    return (id: string) => kinds.get(id) ?? 'ground';
  }, [project]);
  const now = (id: string): Record<string, number> => {
    const form = ends[id];
    return form && form.fromMm !== null && form.toMm !== null ? { fromMm: form.fromMm, toMm: form.toMm } : {};
  };
  return (
    <g>
      {kept.map((hold, k) => {
        const there = moved[k]?.itemId === hold.itemId ? moved[k] : hold;
        const raise = (height: number) => (p: typeof project) =>
          raiseItem(p, hold.itemId, height - hold.heightMm, now(hold.itemId), hold.key);
        const isPicked = picked.includes(hold.itemId);
        const levels = kept
          .filter((other) => other.itemId !== hold.itemId && kindOf(other.itemId) === kindOf(hold.itemId))
          .map((other) => ({ at: other.heightMm, what: `level with ${other.name}` }));
        return (
          <SectionGrip
            key={`${hold.itemId} ${hold.key ?? ''} ${k}`}
            label={`${hold.name}, ${hold.label}, ${say.mm(hold.heightMm)}, ${say.mm(hold.alongMm)} from the left`}
            x={frame.across(there.alongMm)}
            y={frame.up(there.heightMm)}
            value={hold.heightMm}
            axis="up"
            pxPerMm={frame.pxPerMmUp}
            snaps={[...levels, ...joints[kindOf(hold.itemId)]]}
            onPreview={(height) => preview(raise(height))}
            onCancel={endPreview}
            onValue={(height) => settle(raise(height))}
            onPick={() => pickItem(hold.itemId)}
            say={say.mm}
          >
            <path
              d="M0 -5.5L4 0L0 5.5L-4 0Z"
              fill={isPicked ? 'var(--clay)' : 'var(--sheet)'}
              stroke={isPicked ? 'var(--clay)' : 'var(--graphite)'}
              strokeWidth={1.3}
            />
          </SectionGrip>
        );
      })}
    </g>
  );
}
