/** Upright parts cut from sheets: their outlines with openings and profile, and those that the box asks for. Measures in mm. */
import { cutRings, nestRings, type Point, type Polygon, type Ring } from '../geometry/index.ts';
import { discOf } from './board.ts';
import { freeId } from './edits/edits.ts';
import type { Opening, Panel } from './schemas/panelSchema.ts';
import type { Project } from './schemas/schema.ts';

const holeOf = ({ kind, at: [x, y], widthMm, heightMm }: Opening): Ring =>
  kind === 'round'
    ? discOf([x, y], widthMm)
    : [
        [x - widthMm / 2, y - heightMm / 2],
        [x + widthMm / 2, y - heightMm / 2],
        [x + widthMm / 2, y + heightMm / 2],
        [x - widthMm / 2, y + heightMm / 2],
      ];

/** What is cut for a part: its outline less its openings. One polygon, or several where openings part it; none where they leave nothing. */
export function panelShape({ widthMm, heightMm, top, openings }: Panel): Polygon[] {
  const upper: Point[] = top
    ? [...top].sort(([a], [b]) => b - a).map(([x, y]) => [x, y])
    : [
        [widthMm, heightMm],
        [0, heightMm],
      ];
  const outer: Ring = [[0, 0], [widthMm, 0], ...upper];
  return nestRings(openings.length ? cutRings([outer], openings.map(holeOf)) : [outer]);
}

/** The parts that belong to the dressed faces of the box, each cut from the first sheet of the shed; a face that has its part already is left out. */
export function panelsFromBox(project: Project): Panel[] {
  const { box } = project.envelope;
  const [sheet] = project.sheets;
  if (!box || !sheet) return [];
  const faces = [
    ...(box.backdrop ? [{ name: 'Backdrop', widthMm: box.widthMm }] : []),
    ...(box.walls
      ? [
          { name: 'Left wall', widthMm: box.depthMm },
          { name: 'Right wall', widthMm: box.depthMm },
        ]
      : []),
  ];
  const panels = [...project.panels];
  const added: Panel[] = [];
  for (const { name, widthMm } of faces) {
    if (panels.some((panel) => panel.name === name)) continue;
    const id = freeId('panel', panels);
    const panel = { id, name, sheetId: sheet.id, widthMm, heightMm: box.heightMm, openings: [], count: 1 };
    panels.push(panel);
    added.push(panel);
  }
  return added;
}
