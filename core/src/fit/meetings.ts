import type { Point } from '../geometry/index.ts';
import { type Body, boxOf, type Part } from './bodies.ts';
import { gapBetween } from './gaps.ts';

/** Two bodies nearer to each other than their margins allow. */
export interface Meeting {
  aId: string;
  aName: string;
  bId: string;
  bName: string;
  /** Room between them; negative where they run into one another by so much on the plan. */
  gapMm: number;
  wantedMm: number;
  at: [number, number];
}

const middle = (part: Part): Point => {
  const [x0, y0, x1, y1] = boxOf(part);
  return [(x0 + x1) / 2, (y0 + y1) / 2];
};

const within = (a: Part, b: Part, mm: number) => {
  const [ax0, ay0, ax1, ay1] = boxOf(a);
  const [bx0, by0, bx1, by1] = boxOf(b);
  const beside = ax0 - mm > bx1 || bx0 - mm > ax1 || ay0 - mm > by1 || by0 - mm > ay1;
  return !beside && a.bottomMm < b.topMm + mm && b.bottomMm < a.topMm + mm;
};

/** Every two bodies between which less room is left than the larger of their margins, at a height where both are. The tightest first. */
export function meetingsOf(bodies: readonly Body[]): Meeting[] {
  const meetings: Meeting[] = [];
  bodies.forEach((a, i) => {
    for (const b of bodies.slice(i + 1)) {
      if (a.onId === b.id || b.onId === a.id) continue;
      const wantedMm = Math.max(a.marginMm, b.marginMm);
      let tightest: { gapMm: number; at: [number, number] } | null = null;
      for (const p of a.parts)
        for (const q of b.parts) {
          if (!within(p, q, wantedMm)) continue;
          const gapMm = gapBetween(p, q);
          if (gapMm >= wantedMm - 1e-9 || (tightest && tightest.gapMm <= gapMm)) continue;
          const [[px, py], [qx, qy]] = [middle(p), middle(q)];
          tightest = { gapMm, at: [(px + qx) / 2, (py + qy) / 2] };
        }
      if (tightest) meetings.push({ aId: a.id, aName: a.name, bId: b.id, bName: b.name, wantedMm, ...tightest });
    }
  });
  return meetings.sort((a, b) => a.gapMm - a.wantedMm - (b.gapMm - b.wantedMm));
}
