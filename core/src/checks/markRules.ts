import { heightAt, insideRing, lineLength, type Point } from '../geometry/index.ts';
import { type Contour, type Mark, markPoints } from '../project/index.ts';
import type { Finding, Rule } from './finding.ts';

const nameOf = (mark: Mark) => mark.name || `${mark.kind} ${mark.id}`;

export const nothingDrawn: Rule = ({ project }) =>
  project.marks.length
    ? []
    : [
        {
          code: 'nothing-drawn',
          severity: 'note',
          band: 'ground',
          place: 'Ground',
          message: 'No heights are drawn yet, so the base is bare.',
          remedy: 'Add a contour or a spot height.',
        },
      ];

/** A mark of which nothing lies on the base does nothing. */
export const offTheBase: Rule = ({ project, ground }) =>
  project.marks
    .filter(
      (mark) =>
        !markPoints(mark).some(([x, y]) => insideRing(ground.outline, x, y)) && !crossesBase(mark, ground.outline),
    )
    .map((mark) => ({
      code: 'off-the-base',
      severity: 'warn',
      band: 'ground',
      place: nameOf(mark),
      message: `${nameOf(mark)} lies outside the base and does nothing.`,
      remedy: 'Move it onto the base or delete it.',
      markId: mark.id,
    }));

function crossesBase(mark: Mark, outline: readonly Point[]): boolean {
  if (mark.kind === 'spot') return outline.some(([x, y]) => x === mark.at[0] && y === mark.at[1]);
  return stretchesOf(mark).some(([a, b]) => outline.some((p, k) => meet(a, b, p, outline[(k + 1) % outline.length])));
}

const stretchesOf = (line: Contour): [Point, Point][] =>
  line.points
    .slice(0, line.closed ? undefined : -1)
    .map((point, k) => [point, line.points[(k + 1) % line.points.length]]);

const side = (a: Point, b: Point, p: Point) => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);

const meet = (a: Point, b: Point, c: Point, d: Point) =>
  side(a, b, c) * side(a, b, d) <= 0 && side(c, d, a) * side(c, d, b) <= 0;

/** Where lines of two heights cross, the ground cannot have both. Stretches are sorted into squares so that only neighbours are compared. */
export const crossingLines: Rule = ({ project }) => {
  const squareMm = 15;
  const squares = new Map<string, { mark: Contour; a: Point; b: Point }[]>();
  const reported = new Set<string>();
  const findings: Finding[] = [];
  for (const mark of project.marks) {
    if (mark.kind !== 'contour') continue;
    for (const [a, b] of stretchesOf(mark)) {
      const [x0, x1] = [Math.min(a[0], b[0]), Math.max(a[0], b[0])].map((x) => Math.floor(x / squareMm));
      const [y0, y1] = [Math.min(a[1], b[1]), Math.max(a[1], b[1])].map((y) => Math.floor(y / squareMm));
      for (let x = x0; x <= x1; x++)
        for (let y = y0; y <= y1; y++) {
          const key = `${x},${y}`;
          const there = squares.get(key) ?? [];
          for (const other of there) {
            const pair = `${other.mark.id} ${mark.id}`;
            if (
              other.mark.heightMm === mark.heightMm ||
              other.mark === mark ||
              reported.has(pair) ||
              !meet(a, b, other.a, other.b)
            )
              continue;
            reported.add(pair);
            findings.push({
              code: 'lines-cross',
              severity: 'warn',
              band: 'ground',
              place: `${nameOf(mark)} at ${a[0].toFixed(0)}, ${a[1].toFixed(0)} mm`,
              message: `${nameOf(other.mark)} (${other.mark.heightMm} mm) and ${nameOf(mark)} (${mark.heightMm} mm) cross; the ground there is a compromise.`,
              remedy: 'Move one of them so that they do not touch.',
              markId: mark.id,
            });
          }
          there.push({ mark, a, b });
          squares.set(key, there);
        }
    }
  }
  return findings;
};

/** A spot height that disagrees with a line it stands on, or with another spot. */
export const missedSpots: Rule = ({ project, ground }) =>
  project.marks
    .filter((mark) => mark.kind === 'spot' && insideRing(ground.outline, mark.at[0], mark.at[1]))
    .filter(
      (mark) => mark.kind === 'spot' && Math.abs(heightAt(ground.grid, mark.at[0], mark.at[1]) - mark.heightMm) > 0.5,
    )
    .map((mark) => ({
      code: 'spot-missed',
      severity: 'warn',
      band: 'ground',
      place: nameOf(mark),
      message: `The ground does not pass through ${nameOf(mark)}: another mark, or a level outline round it, says otherwise.`,
      remedy: 'Move the spot, change its height, or let the outline round it not be level inside.',
      markId: mark.id,
    }));

/** A line so short that the lattice hardly sees it. */
export const tinyLines: Rule = ({ project, ground }) =>
  project.marks
    .filter(
      (mark): mark is Contour =>
        mark.kind === 'contour' && lineLength(mark.points, mark.closed) < 3 * ground.grid.cellMm,
    )
    .map((mark) => ({
      code: 'tiny-line',
      severity: 'warn',
      band: 'ground',
      place: nameOf(mark),
      message: `${nameOf(mark)} is shorter than three cells of the ground (${ground.grid.cellMm} mm each).`,
      remedy: 'Use a spot height instead.',
      markId: mark.id,
    }));
