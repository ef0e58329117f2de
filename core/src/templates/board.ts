/** The board at full size: its edge to saw by, the ground's outline on it, holes to drill and places of feet. */
import { boundsOf, outlineRings } from '../geometry/index.ts';
import { baseOutline, boardOutline, discOf, feetPlaces, holeName, type Project } from '../project/index.ts';
import { type Drawing, NOTES_APART, type Stroke, type Words } from './page.ts';

/** Room left round the drawing, mm. */
const RIM_MM = 4;

/** Null where there is no board, or a plain rectangle that a rule is enough for. Seen from above, the back of the base up. */
export function boardDrawing({ base }: Pick<Project, 'base'>): Drawing | null {
  const outline = boardOutline(base);
  const { holes = [], thicknessMm, material, beyondMm, wave } = base.board;
  const plain = base.shape.kind === 'rectangle' && !beyondMm && !wave && !holes.length && !base.feet && !base.opening;
  if (!outline || plain) return null;
  const [x0, y0, x1, y1] = boundsOf(outline);
  const strokes: Stroke[] = [
    ...outlineRings(outline).map((points): Stroke => ({ pen: 'cut', points, closed: true })),
    ...outlineRings(baseOutline(base)).map((points): Stroke => ({ pen: 'outline', points, closed: true })),
    ...holes.map(({ at, acrossMm }): Stroke => ({ pen: 'cut', points: discOf(at, acrossMm), closed: true })),
    ...feetPlaces(base).map(
      (at): Stroke => ({ pen: 'pin', points: discOf(at, base.feet?.acrossMm ?? 0), closed: true }),
    ),
  ];
  const words: Words[] = [
    { at: [x0 + 3, y0 + 3], text: `Board, ${material}, ${thicknessMm} mm`, sizeMm: 4, align: 'left', strong: true },
    ...holes.map(
      ({ id, at: [x, y], acrossMm }): Words => ({
        at: [x + acrossMm / 2 + 1, y],
        text: `${holeName(base, id)}, ${acrossMm} mm`,
        sizeMm: 2.6,
        align: 'left',
        strong: false,
      }),
    ),
  ];
  return {
    kind: 'board',
    title: 'Board',
    note: ['Thick line: saw and drill', 'Thin line: where the ground stands', 'Seen from above'].join(NOTES_APART),
    x0: x0 - RIM_MM,
    y0: y0 - RIM_MM,
    widthMm: x1 - x0 + 2 * RIM_MM,
    heightMm: y1 - y0 + 2 * RIM_MM,
    strokes,
    words,
  };
}
