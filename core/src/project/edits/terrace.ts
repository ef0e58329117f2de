/** Ground as a staircase of its layers: every layer stands as a flat with walls, for builders who leave steps or blend them with paste. */
import { type Polygon, type Ring, ringArea, straightened } from '../../geometry/index.ts';
import { itemsOf } from '../items.ts';
import type { Landform, LandformOf } from '../schemas/landformSchema.ts';
import type { Project } from '../schemas/schema.ts';
import { freeId } from './edits.ts';

/** Outlines are straightened by no more than this, mm. */
const STRAIGHT_MM = 0.3;
/** A flat smaller than this is left out, mm2. */
const LEAST_MM2 = 100;

/** What shapes the land as a whole, and so is in the layers already; ways and waters are laid over them again. */
const shapesLand = ({ kind }: Landform): boolean =>
  ['pad', 'terraces', 'mound', 'heap', 'crater', 'cliff'].includes(kind);

/**
 * The project with its ground replaced by the tops of its layers, bare foam at the joints: one flat a piece, from the board up, and one a hole
 * at the height below. Lines, spots and grids of heights go, and so does what shapes the land; ways, waters and pits stay.
 */
export function terraced(
  project: Project,
  layers: readonly { index: number; topMm: number; pieces: readonly Polygon[] }[],
): Project {
  const kept = project.landforms.filter((form) => !shapesLand(form));
  const flats: LandformOf<'pad'>[] = [];
  const flat = (name: string, heightMm: number, ring: Ring) => {
    if (Math.abs(ringArea(ring)) < LEAST_MM2) return;
    flats.push({
      kind: 'pad',
      id: freeId('pad', [...itemsOf(project), ...flats]),
      name,
      hidden: false,
      locked: false,
      heightIs: 'foam',
      points: ring.map(([x, y]): [number, number] => [Math.round(x * 100) / 100, Math.round(y * 100) / 100]),
      smooth: false,
      heightMm: Math.round(heightMm * 100) / 100,
      bankDegrees: 90,
    });
  };
  layers.forEach(({ index, topMm, pieces }, k) => {
    const straight = pieces.map((piece) => straightened(piece, STRAIGHT_MM));
    for (const { outer } of straight) flat(`Step ${index}`, topMm, outer);
    // Down in a hole the layer below lies open.
    for (const { holes } of straight)
      for (const hole of holes) flat(`Hollow in step ${index}`, layers[k - 1]?.topMm ?? 0, hole);
  });
  return { ...project, terrain: null, marks: [], landforms: [...flats, ...kept] };
}
