import { gridOver, sampleFormula } from '../geometry/index.ts';
import { type Ground, measureGround } from '../ground/index.ts';
import { baseOutline, type Contour, type Mark, startProject } from '../project/index.ts';

/** Ground of a formula over a rectangular base, with 1 mm cells unless told otherwise. */
export function groundFrom(widthMm: number, depthMm: number, z: (x: number, y: number) => number, cellMm = 1): Ground {
  const { base } = startProject('solid', '2027-03-01', 'ground');
  const outline = baseOutline({ ...base, shape: { kind: 'rectangle', widthMm, depthMm } });
  return measureGround(outline, sampleFormula(gridOver(widthMm, depthMm, cellMm), z));
}

/** A circle as a closed contour of many points. */
export const circle = (x: number, y: number, radius: number, heightMm: number, level = false): Contour => ({
  kind: 'contour',
  id: `circle-${radius}-${heightMm}`,
  name: `circle at ${heightMm}`,
  heightMm,
  closed: true,
  level,
  smooth: false,
  hidden: false,
  locked: false,
  points: Array.from({ length: 180 }, (_, k) => [
    x + radius * Math.cos((Math.PI * k) / 90),
    y + radius * Math.sin((Math.PI * k) / 90),
  ]),
});

export const line = (heightMm: number, points: [number, number][]): Contour => ({
  kind: 'contour',
  id: `line-${heightMm}-${points[0]}`,
  name: `line at ${heightMm}`,
  heightMm,
  closed: false,
  level: false,
  smooth: false,
  hidden: false,
  locked: false,
  points,
});

export const spot = (heightMm: number, x: number, y: number): Mark => ({
  kind: 'spot',
  id: `spot-${x}-${y}`,
  name: 'spot',
  hidden: false,
  locked: false,
  heightMm,
  points: [[x, y]],
});
