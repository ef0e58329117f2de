/** Where hollows run into one another or lie too near, by their fields. */
import type { Grid, Point } from '../geometry/index.ts';
import { nameOf, type Void } from '../project/index.ts';
import { placeIn, type VoidField } from './voids.ts';

/** Two voids that run into one another, or with less between them than either needs. */
export interface VoidMeeting {
  aId: string;
  aName: string;
  bId: string;
  bName: string;
  /** Material left between them; 0 where they run into one another. */
  wallMm: number;
  wantedMm: number;
  at: Point;
}

/** No more nodes of a void's rim than this are held against those of another. */
const MOST_RIM = 500;

/** Whether two voids meet: one at most, the place where least is left between them. */
export function meetingOf(ground: Grid, a: Void, fieldA: VoidField, b: Void, fieldB: VoidField): VoidMeeting[] {
  const wantedMm = Math.max(2, Math.min(a.roofLeastMm, b.roofLeastMm));
  const rimA = rimOf(ground, fieldA);
  const rimB = rimOf(ground, fieldB);
  let best: { wallMm: number; at: Point } | null = null;
  const found = (wallMm: number, at: Point) => {
    if (wallMm < wantedMm - 1e-6 && (!best || wallMm < best.wallMm)) best = { wallMm, at };
  };
  // One over the other.
  for (let w = 0; w < fieldA.floorMm.length; w++) {
    if (Number.isNaN(fieldA.floorMm[w])) continue;
    const i = fieldA.i0 + (w % fieldA.columns) - fieldB.i0;
    const j = fieldA.j0 + Math.floor(w / fieldA.columns) - fieldB.j0;
    if (i < 0 || j < 0 || i >= fieldB.columns || j >= fieldB.rows) continue;
    const v = j * fieldB.columns + i;
    if (Number.isNaN(fieldB.floorMm[v])) continue;
    found(
      Math.max(0, fieldA.floorMm[w] - fieldB.roofMm[v], fieldB.floorMm[v] - fieldA.roofMm[w]),
      placeIn(ground, fieldA, w),
    );
  }
  // Side by side.
  for (const p of rimA)
    for (const q of rimB) {
      const across = Math.hypot(p.at[0] - q.at[0], p.at[1] - q.at[1]) - ground.cellMm;
      if (across >= wantedMm) continue;
      const up = Math.max(0, p.floorMm - q.roofMm, q.floorMm - p.roofMm);
      found(Math.max(0, Math.hypot(Math.max(0, across), up)), [(p.at[0] + q.at[0]) / 2, (p.at[1] + q.at[1]) / 2]);
    }
  return best
    ? [
        {
          aId: a.id,
          aName: nameOf(a),
          bId: b.id,
          bName: nameOf(b),
          wantedMm,
          ...(best as { wallMm: number; at: Point }),
        },
      ]
    : [];
}

/** The outermost nodes of a void. */
function rimOf(ground: Grid, field: VoidField): { at: Point; floorMm: number; roofMm: number }[] {
  const { columns, rows, floorMm } = field;
  const none = (i: number, j: number) =>
    i < 0 || j < 0 || i >= columns || j >= rows || Number.isNaN(floorMm[j * columns + i]);
  const rim: number[] = [];
  for (let j = 0, w = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, w++)
      if (!Number.isNaN(floorMm[w]) && (none(i - 1, j) || none(i + 1, j) || none(i, j - 1) || none(i, j + 1)))
        rim.push(w);
  const every = Math.ceil(rim.length / MOST_RIM);
  return rim
    .filter((_, k) => k % every === 0)
    .map((w) => ({ at: placeIn(ground, field, w), floorMm: floorMm[w], roofMm: field.roofMm[w] }));
}
