import {
  boundsOf,
  heightAt,
  insideRing,
  isolines,
  outlineRings,
  type Point,
  type Polygon,
  ringsOf,
} from '../geometry/index.ts';
import type { Stroke, Words } from '../templates/index.ts';
import type { BenchSheet } from './sheet.ts';

/** A small drawing in mm of the paper, y up from its lower left corner. */
export interface SmallDrawing {
  widthMm: number;
  heightMm: number;
  strokes: Stroke[];
  words: Words[];
}

/** Between the lines of a hatch, mm on the paper. */
const HATCH_MM = 1.6;

/** The base from above, with the zones of a stage hatched; without zones the outlines of the layers. */
export function smallPlan(
  sheet: BenchSheet,
  zones: ReadonlySet<number>,
  mostWide: number,
  mostTall: number,
): SmallDrawing {
  const [x0, y0, x1, y1] = boundsOf(sheet.outline);
  const scale = Math.min(mostWide / (x1 - x0), mostTall / (y1 - y0));
  const at = ([x, y]: Point): Point => [(x - x0) * scale, (y - y0) * scale];
  const strokes: Stroke[] = outlineRings(sheet.outline).map((ring) => ({
    pen: 'cut',
    closed: true,
    points: ring.map(at),
  }));
  const { zone, columns, rows, cellMm } = sheet.zones;
  if (zones.size) {
    const values = Float32Array.from(zone, (k) => (zones.has(k) ? 1 : 0));
    const originMm: [number, number] = [cellMm / 2, cellMm / 2];
    for (const ring of isolines({ columns, rows, cellMm, originMm, values }, [0.5])[0])
      strokes.push({ pen: 'outline', closed: true, points: ring.map(at) });
    strokes.push(
      ...hatched(sheet, zones, HATCH_MM / scale).map((line) => ({
        pen: 'below' as const,
        closed: false,
        points: line.map(at),
      })),
    );
  } else
    for (const { pieces } of sheet.layers)
      for (const ring of ringsOf(pieces)) strokes.push({ pen: 'outline', closed: true, points: ring.map(at) });
  const { from, to, name } = sheet.section;
  strokes.push({ pen: 'next', closed: false, points: [at(from), at(to)] });
  const [x, y] = at(from);
  return {
    widthMm: (x1 - x0) * scale,
    heightMm: (y1 - y0) * scale,
    strokes,
    words: [{ at: [x + 1, y + 1.5], text: name, sizeMm: 4, align: 'left', strong: true }],
  };
}

/** Lines across the cells of some zones, every so many mm of the base. */
function hatched(
  { zones: { zone, columns, rows, cellMm } }: BenchSheet,
  wanted: ReadonlySet<number>,
  apartMm: number,
): Point[][] {
  const lines: Point[][] = [];
  for (let y = apartMm / 2; y < rows * cellMm; y += apartMm) {
    const row = Math.min(rows - 1, Math.floor(y / cellMm));
    let from = -1;
    for (let column = 0; column <= columns; column++) {
      const inside = column < columns && wanted.has(zone[row * columns + column]);
      if (inside && from < 0) from = column;
      if (!inside && from >= 0) {
        lines.push([
          [from * cellMm, y],
          [column * cellMm, y],
        ]);
        from = -1;
      }
    }
  }
  return lines;
}

/** The cut through the base: sheets, the ground line, and where along it the zones of a stage lie. */
export function smallSection(
  sheet: BenchSheet,
  zones: ReadonlySet<number>,
  mostWide: number,
  mostTall: number,
): SmallDrawing {
  const { from, to } = sheet.section;
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const steps = Math.max(40, Math.min(400, Math.round(length)));
  const place = (k: number): Point => [
    from[0] + (k / steps) * (to[0] - from[0]),
    from[1] + (k / steps) * (to[1] - from[1]),
  ];
  const heights = Array.from({ length: steps + 1 }, (_, k) =>
    insideRing(sheet.outline, ...place(k)) || k === 0 || k === steps
      ? Math.max(0, heightAt(sheet.ground, ...place(k)))
      : 0,
  );
  const tallest = Math.max(1, ...heights, ...sheet.layers.map(({ topMm }) => topMm));
  const scale = Math.min(mostWide / length, (mostTall - 3) / tallest);
  const x = (k: number) => (k / steps) * length * scale;
  const strokes: Stroke[] = [];
  for (const { bottomMm, topMm, pieces } of sheet.layers)
    for (const [a, b] of runsWhere(steps, (k) => inPieces(pieces, place(k))))
      strokes.push({
        pen: 'joint',
        closed: true,
        points: [
          [x(a), bottomMm * scale],
          [x(b), bottomMm * scale],
          [x(b), topMm * scale],
          [x(a), topMm * scale],
        ],
      });
  strokes.push({ pen: 'ground', closed: false, points: heights.map((height, k): Point => [x(k), height * scale]) });
  const { zone, columns, rows, cellMm } = sheet.zones;
  const wanted = (k: number) => {
    const [px, py] = place(k);
    const column = Math.min(columns - 1, Math.max(0, Math.floor(px / cellMm)));
    const row = Math.min(rows - 1, Math.max(0, Math.floor(py / cellMm)));
    return zones.has(zone[row * columns + column]);
  };
  if (zones.size)
    for (const [a, b] of runsWhere(steps, wanted))
      strokes.push({
        pen: 'seam',
        closed: false,
        points: heights.slice(a, b + 1).map((height, n): Point => [x(a + n), height * scale + 1.6]),
      });
  return {
    widthMm: length * scale,
    heightMm: tallest * scale + 3,
    strokes: [
      {
        pen: 'mark',
        closed: false,
        points: [
          [0, 0],
          [length * scale, 0],
        ],
      },
      ...strokes,
    ],
    words: [],
  };
}

const inPieces = (pieces: readonly Polygon[], [x, y]: Point): boolean =>
  pieces.some(({ outer, holes }) => insideRing(outer, x, y) && !holes.some((hole) => insideRing(hole, x, y)));

/** Stretches of samples, first and last, where something holds; single samples are left out. */
function runsWhere(steps: number, holds: (k: number) => boolean): [number, number][] {
  const runs: [number, number][] = [];
  let from = -1;
  for (let k = 0; k <= steps + 1; k++) {
    const here = k <= steps && holds(k);
    if (here && from < 0) from = k;
    if (!here && from >= 0) {
      if (k - 1 > from) runs.push([from, k - 1]);
      from = -1;
    }
  }
  return runs;
}
