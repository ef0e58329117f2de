import type { PlanReport, Point, SectionSample } from '@hosket/core';
import type { useFields } from '../../worker/planStore.ts';
import type { SectionFrame } from './sectionFrame.ts';

type Zone = PlanReport['zones'][number];
type ZoneMap = NonNullable<NonNullable<ReturnType<typeof useFields>>['zones']>;

/** A stretch of a cut that lies in ground of one kind. */
export interface Run {
  zone: Zone;
  samples: SectionSample[];
}

/** The cut as stretches of ground of one kind, by what `keyOf` says of a zone; each begins where the one before ends. */
export function runsAlong(
  map: ZoneMap,
  zones: readonly Zone[],
  samples: readonly SectionSample[],
  from: Point,
  to: Point,
  keyOf: (zone: Zone) => string,
): Run[] {
  const lengthMm = samples[samples.length - 1]?.alongMm;
  if (!lengthMm) return [];
  const zoneAt = ({ alongMm, onBase }: SectionSample): Zone | undefined => {
    if (!onBase) return undefined;
    const t = alongMm / lengthMm;
    const at = (a: number, b: number, most: number) =>
      Math.min(most - 1, Math.max(0, Math.floor((a + t * (b - a)) / map.cellMm)));
    return zones[map.zone[at(from[1], to[1], map.rows) * map.columns + at(from[0], to[0], map.columns)]];
  };
  const runs: Run[] = [];
  let now: Run | null = null;
  for (const sample of samples) {
    const zone = zoneAt(sample);
    if (!zone) now = null;
    else if (!now || keyOf(now.zone) !== keyOf(zone)) {
      now = { zone, samples: now ? now.samples.slice(-1) : [] };
      runs.push(now);
    }
    now?.samples.push(sample);
  }
  return runs.filter((run) => run.samples.length > 1);
}

/** A strip along the ground line of a run, between two heights over it in px. */
export function stripPath({ samples }: Run, frame: SectionFrame, lowPx: number, highPx: number): string {
  const line = samples.map(({ alongMm, groundMm }) => [frame.across(alongMm), frame.up(groundMm)]);
  const at = (px: number) => line.map(([x, y]) => `${x.toFixed(1)} ${(y - px).toFixed(1)}`);
  return `M${at(lowPx).join('L')}L${at(highPx).reverse().join('L')}Z`;
}
