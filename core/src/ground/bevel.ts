/** The sloped sides of a base: no ground is higher than a slope from its outline inward. Heights in mm. */
import { boundsOf, type Grid, insideRing, outlineEdges, type Ring } from '../geometry/index.ts';

/** So many nodes are measured between two yields. */
const NODES_EACH = 100_000;

/** Brings a field of heights under a slope that rises inward from the outline by so many degrees from the level. Yields between edges. */
export function* bevel(
  { columns, rows, cellMm, originMm, values }: Grid,
  outline: Ring,
  degrees: number,
): Generator<undefined, void> {
  const rise = Math.tan((degrees * Math.PI) / 180);
  let highest = 0;
  for (let n = 0; n < values.length; n++) highest = Math.max(highest, values[n]);
  // Beyond a slope as tall as the highest place nothing changes; a node outside the outline is read for the cells that it crosses.
  const reachMm = highest / rise + cellMm;
  const least = new Float64Array(values.length).fill(reachMm);
  let since = 0;
  for (const [[ax, ay], [bx, by]] of outlineEdges(outline)) {
    const [dx, dy] = [bx - ax, by - ay];
    const square = dx * dx + dy * dy || 1;
    const [x0, y0, x1, y1] = boundsOf([
      [ax, ay],
      [bx, by],
    ]);
    const first = (at: number, from: number) => Math.max(0, Math.ceil((at - reachMm - from) / cellMm));
    const last = (at: number, from: number, count: number) =>
      Math.min(count - 1, Math.floor((at + reachMm - from) / cellMm));
    if (since > NODES_EACH) {
      since = 0;
      yield;
    }
    for (let j = first(y0, originMm[1]); j <= last(y1, originMm[1], rows); j++)
      for (let i = first(x0, originMm[0]); i <= last(x1, originMm[0], columns); i++) {
        const [x, y] = [originMm[0] + i * cellMm - ax, originMm[1] + j * cellMm - ay];
        const along = Math.min(1, Math.max(0, (x * dx + y * dy) / square));
        const away = Math.hypot(x - along * dx, y - along * dy);
        const n = j * columns + i;
        if (away < least[n]) least[n] = away;
        since++;
      }
  }
  yield;
  for (let n = 0; n < least.length; n++) {
    if (least[n] >= reachMm) continue;
    const x = originMm[0] + (n % columns) * cellMm;
    const y = originMm[1] + Math.floor(n / columns) * cellMm;
    const most = insideRing(outline, x, y) ? least[n] * rise : 0;
    if (values[n] > most) values[n] = most;
  }
}
