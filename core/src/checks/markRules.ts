import { heightAt, insideRing, lineLength, type Point, type Ring } from '../geometry/index.ts';
import { type Contour, type Item, isClosed, itemsOf, nameOf, runOf } from '../project/index.ts';
import { type Finding, onGround, type PlanView, type Rule } from './finding.ts';
import { firstCrossings, meet, type Stretch, stretchesOf } from './stretches.ts';

export const nothingDrawn: Rule = ({ project, ground }) =>
  project.marks.length || project.landforms.length || ground.highestMm > 0
    ? []
    : [
        {
          code: 'nothing-drawn',
          severity: 'note',
          band: 'ground',
          place: 'Ground',
          message: 'No heights are drawn yet, so the base is bare.',
          remedy: 'Add a contour, a spot height or a landform.',
        },
      ];

const atItem = (item: Item, code: string, message: string, remedy: string, place = nameOf(item)): Finding =>
  onGround(item.id, place, code, message, remedy);

/** A thing of which nothing lies on the base does nothing. */
export const offTheBase: Rule = ({ project, ground }) =>
  itemsOf(project)
    .filter((item) => !touchesBase(item, ground.outline))
    .map((item) =>
      atItem(
        item,
        'off-the-base',
        `${nameOf(item)} lies outside the base and does nothing.`,
        'Move it onto the base or delete it.',
      ),
    );

function touchesBase(item: Item, outline: Ring): boolean {
  const run = runOf(item);
  if (run.some(([x, y]) => insideRing(outline, x, y) || outline.some((p) => p[0] === x && p[1] === y))) return true;
  if (isClosed(item) && outline.some(([x, y]) => insideRing(run, x, y))) return true;
  return stretchesOf(item).some(([a, b]) => outline.some((p, k) => meet(a, b, p, outline[(k + 1) % outline.length])));
}

const isContour = (item: Item): item is Contour => item.kind === 'contour';
const where = ([x, y]: Point) => `${x.toFixed(0)}, ${y.toFixed(0)} mm`;

/** Where lines of two heights cross, the ground cannot have both. */
export const crossingLines: Rule = ({ project }) => {
  const contours = project.marks.filter(isContour);
  const stretches = contours.flatMap((mark) =>
    stretchesOf(mark).map((ends): Stretch<Contour> => ({ owner: mark, ends })),
  );
  return firstCrossings(stretches, (a, b) => a !== b && a.heightMm !== b.heightMm).map(({ first, second, at }) =>
    atItem(
      second,
      'lines-cross',
      `${nameOf(first)} (${first.heightMm} mm) and ${nameOf(second)} (${second.heightMm} mm) cross; the ground there is a compromise.`,
      'Move one of them so that they do not touch.',
      `${nameOf(second)} at ${where(at)}`,
    ),
  );
};

/** An outline that crosses itself has no clear inside; a way that does has two heights at one place. */
export const selfCrossings: Rule = ({ project }) =>
  itemsOf(project)
    .filter((item) => item.kind !== 'spot')
    .flatMap((item) => {
      const ends = stretchesOf(item);
      const stretches = ends.map((stretch, k): Stretch<number> => ({ owner: k, ends: stretch }));
      const beside = (a: number, b: number) =>
        Math.abs(a - b) <= 1 || (isClosed(item) && Math.abs(a - b) === ends.length - 1);
      const found = firstCrossings(stretches, (a, b) => !beside(a, b), 1);
      return found.map(({ at }) =>
        atItem(
          item,
          'crosses-itself',
          `${nameOf(item)} crosses itself near ${where(at)}.`,
          isClosed(item) ? 'Move a point so that its outline runs round once.' : 'Move a point, or draw it as two.',
        ),
      );
    });

/** Ends of an open contour that stop this near to each other were probably meant to meet, as a share of its length. */
const NEARLY = 0.12;

export const openOutlines: Rule = ({ project }) =>
  project.marks
    .filter((mark) => isContour(mark) && !mark.closed && mark.points.length > 2)
    .flatMap((mark) => {
      const [a, b] = [mark.points[0], mark.points[mark.points.length - 1]];
      const gap = Math.hypot(a[0] - b[0], a[1] - b[1]);
      if (gap > NEARLY * lineLength(runOf(mark), false)) return [];
      return [
        atItem(
          mark,
          'open-outline',
          `${nameOf(mark)} is not closed: its ends lie ${gap.toFixed(1)} mm apart.`,
          'Tick "closed line", or draw its ends apart.',
        ),
      ];
    });

/** Two spot heights on one point cannot both be met. */
export const twinSpots: Rule = ({ project }) => {
  const seen = new Map<string, Item & { heightMm: number }>();
  return project.marks.flatMap((mark) => {
    if (mark.kind !== 'spot') return [];
    const key = mark.points[0].map((value) => value.toFixed(1)).join(' ');
    const other = seen.get(key);
    if (!other) {
      seen.set(key, mark);
      return [];
    }
    const same = other.heightMm === mark.heightMm;
    return [
      atItem(
        mark,
        'spots-on-one-point',
        `${nameOf(other)} and ${nameOf(mark)} stand on one point${same ? '' : ` with ${other.heightMm} and ${mark.heightMm} mm`}.`,
        'Delete one of them or move it.',
      ),
    ];
  });
};

/** A spot height that disagrees with a line it stands on, or with another spot. What a landform did there later is meant. */
export const missedSpots: Rule = ({ project, ground, solved }: PlanView) =>
  project.marks.flatMap((mark) => {
    if (mark.kind !== 'spot') return [];
    const [x, y] = mark.points[0];
    if (!insideRing(ground.outline, x, y) || Math.abs(heightAt(solved, x, y) - mark.heightMm) <= 0.5) return [];
    return [
      atItem(
        mark,
        'spot-missed',
        `The ground does not pass through ${nameOf(mark)}: another mark, or a level outline round it, says otherwise.`,
        'Move the spot, change its height, or let the outline round it not be level inside.',
      ),
    ];
  });

/** A line so short that the lattice hardly sees it. */
export const tinyLines: Rule = ({ project, ground }) =>
  project.marks
    .filter((mark) => isContour(mark) && lineLength(runOf(mark), mark.closed) < 3 * ground.grid.cellMm)
    .map((mark) =>
      atItem(
        mark,
        'tiny-line',
        `${nameOf(mark)} is shorter than three cells of the ground (${ground.grid.cellMm} mm each).`,
        'Use a spot height instead.',
      ),
    );
