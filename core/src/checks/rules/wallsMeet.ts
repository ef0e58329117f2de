import { boundsOf, type Grid, heightAt, insideRing, type Ring } from '../../geometry/index.ts';
import { heightsMeantAs, type Landform, nameOf, runOf, skinMmOf } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import { onGround, type Rule } from '../finding.ts';

/** Walls that meet by no more than this above a floor are no matter, mm. */
const OVER_FLOOR_MM = 1;

/** A pit, a pond or a lake too narrow for its depth: its walls meet before they reach its floor. */
export const wallsMeet: Rule = ({ project, ground }) =>
  project.landforms.flatMap((form, k) => {
    if (form.kind !== 'pit' && form.kind !== 'basin') return [];
    const finished = heightsMeantAs('ground', project.heights, form, skinMmOf(project));
    const floorMm = Math.max(0, finished.kind === 'pit' ? finished.floorMm : finished.waterMm - finished.depthMm);
    const run = runOf(form);
    // What was built into it later has its own floor.
    if (project.landforms.slice(k + 1).some((later) => later.kind !== 'span' && overlap(run, later))) return [];
    const lowest = lowestIn(ground.grid, run);
    if (lowest === null || lowest <= floorMm + OVER_FLOOR_MM) return [];
    const name = nameOf(form);
    const [meets, wider] =
      form.kind === 'pit'
        ? ['The walls of', 'its walls steeper, or its floor higher']
        : ['The sides of', 'its bed steeper, or less deep'];
    return [
      onGround(
        form.id,
        name,
        'walls-meet',
        `${meets} ${name} meet at ${mm(lowest)}, ${mm(lowest - floorMm)} above the floor that it asks for: it is as deep as it can be.`,
        `Make it wider, ${wider}.`,
      ),
    ];
  });

const overlap = (run: Ring, later: Landform): boolean => {
  const [a, b] = [boundsOf(run), boundsOf(runOf(later))];
  return a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3];
};

/** The lowest node inside an outline; null where none of it lies on the base. */
function lowestIn(ground: Grid, ring: Ring): number | null {
  const [x0, y0, x1, y1] = boundsOf(ring);
  const [wide, deep] = [(ground.columns - 1) * ground.cellMm, (ground.rows - 1) * ground.cellMm];
  let lowest: number | null = null;
  for (let y = Math.max(0, Math.ceil(y0)); y <= Math.min(deep, y1); y += ground.cellMm)
    for (let x = Math.max(0, Math.ceil(x0)); x <= Math.min(wide, x1); x += ground.cellMm)
      if (insideRing(ring, x, y)) lowest = Math.min(lowest ?? Number.POSITIVE_INFINITY, heightAt(ground, x, y));
  return lowest;
}
