/** Flats that were drawn at the height of the board itself: there the board wears a skin, as foam would. */
import { boundsOf, type Grid, insideRing } from '../geometry/index.ts';
import { type Content, heightIs, movedOut, type Project, runOf } from '../project/index.ts';

type Drawn = Pick<Content, 'marks' | 'landforms'> & Pick<Project, 'heights'>;

/** 1 for the nodes of such flats on which no foam stands; null where there are none. A dry pit's floor is one, water's bed is none. */
export function boardFlats(
  { marks, landforms, heights }: Drawn,
  { columns, originMm, cellMm, values }: Grid,
): Uint8Array | null {
  const flats = [
    ...marks.filter((mark) => mark.kind === 'contour' && mark.closed && mark.level && mark.heightMm === 0),
    ...landforms.filter(
      (form) =>
        (form.kind === 'pad' && form.heightMm === 0) ||
        (form.kind === 'pit' && form.floorMm === 0 && form.waterMm === null),
    ),
  ].filter((item) => heightIs(heights, item) === 'foam');
  if (!flats.length) return null;
  const worn = new Uint8Array(values.length);
  for (const flat of flats) {
    // Half a cell out, so that nodes on its rim, and at the edge of the base, belong to it.
    const ring = movedOut(runOf(flat), cellMm / 2);
    const [x0, y0, x1, y1] = boundsOf(ring);
    for (let n = 0; n < worn.length; n++) {
      const [x, y] = [originMm[0] + (n % columns) * cellMm, originMm[1] + Math.floor(n / columns) * cellMm];
      if (values[n] <= 0 && x >= x0 && x <= x1 && y >= y0 && y <= y1 && insideRing(ring, x, y)) worn[n] = 1;
    }
  }
  return worn;
}
