import {
  boundsOf,
  clipRings,
  type Grid,
  heightAt,
  isolines,
  lineLength,
  outlineRings,
  type Point,
  type Ring,
} from '../geometry/index.ts';
import type { Project } from '../project/index.ts';
import { decimals } from '../units/index.ts';
import type { Drawing, Stroke, Words } from './page.ts';
import type { TemplateSource } from './source.ts';

/** Heights are read every so many mm along a side. */
const EVERY_MM = 1;
/** A corner of the base that turns by more than this parts two sides, degrees. */
const CORNER_DEGREES = 20;
const RIM_MM = 4;

/** The sides of a base, each as seen from outside: from left to right; then those of its opening, as seen from within that. */
export const sidesOf = (outline: Ring): { name: string; points: Point[] }[] =>
  outlineRings(outline).flatMap((ring, k) =>
    sidesOfRing(ring).map(({ name, points }) => ({ name: k ? `opening, ${name}` : name, points })),
  );

/** A rim without corners is one. */
function sidesOfRing(outline: Ring): { name: string; points: Point[] }[] {
  const n = outline.length;
  const turn = (k: number) => {
    const [a, b, c] = [outline[(k + n - 1) % n], outline[k], outline[(k + 1) % n]];
    const angle = Math.atan2(c[1] - b[1], c[0] - b[0]) - Math.atan2(b[1] - a[1], b[0] - a[0]);
    return Math.abs(Math.atan2(Math.sin(angle), Math.cos(angle)) * (180 / Math.PI));
  };
  const corners = outline.flatMap((_, k) => (turn(k) > CORNER_DEGREES ? [k] : []));
  if (corners.length < 2) return [{ name: 'rim', points: [...outline, outline[0]] }];
  const sides = corners.map((from, k) => {
    const to = corners[(k + 1) % corners.length];
    const count = (to - from + n) % n || n;
    return Array.from({ length: count + 1 }, (_, s) => outline[(from + s) % n]);
  });
  const [x0, y0, x1, y1] = boundsOf(outline);
  const middle: Point = [(x0 + x1) / 2, (y0 + y1) / 2];
  const named = new Map<string, number>();
  return sides.map((points) => {
    const [a, b] = [points[0], points[points.length - 1]];
    // The outward normal of a side that runs counter-clockwise.
    const [nx, ny] = [b[1] - a[1], a[0] - b[0]];
    const name =
      sides.length === 4
        ? Math.abs(nx) > Math.abs(ny)
          ? nx > 0
            ? 'right'
            : 'left'
          : ny > 0
            ? 'back'
            : 'front'
        : `side from ${bearing(a, middle)}`;
    const again = (named.get(name) ?? 0) + 1;
    named.set(name, again);
    return { name: again > 1 ? `${name}, ${again}` : name, points };
  });
}

const bearing = ([x, y]: Point, [mx, my]: Point): string =>
  `${Math.round((((Math.atan2(y - my, x - mx) * 180) / Math.PI + 360) % 360) / 5) * 5} degrees`;

/** Heights along a line, every EVERY_MM: [along, height]. */
function heightsAlong(ground: Grid, line: readonly Point[]): Point[] {
  const heights: Point[] = [];
  let before = 0;
  for (let k = 1; k < line.length; k++) {
    const [a, b] = [line[k - 1], line[k]];
    const length = lineLength([a, b], false);
    const steps = Math.max(1, Math.round(length / EVERY_MM));
    for (let s = k === 1 ? 0 : 1; s <= steps; s++) {
      const t = s / steps;
      heights.push([before + t * length, heightAt(ground, a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]))]);
    }
    before += length;
  }
  return heights;
}

/** A profile at full size: the ground over the top of the baseboard, and the board below it. */
function profileDrawing(title: string, note: string, heights: readonly Point[], boardMm: number): Drawing {
  const length = heights[heights.length - 1][0];
  const top = Math.max(...heights.map(([, z]) => z), 0);
  const strokes: Stroke[] = [
    { pen: 'cut', points: [[0, 0], ...heights, [length, 0]], closed: false },
    {
      pen: 'outline',
      points: [
        [0, 0],
        [length, 0],
        [length, -boardMm],
        [0, -boardMm],
      ],
      closed: true,
    },
  ];
  const words: Words[] = [
    { at: [3, 2], text: title, sizeMm: 4, align: 'left', strong: true },
    { at: [3, -Math.min(boardMm - 1, 4)], text: 'top of the baseboard', sizeMm: 2.6, align: 'left', strong: false },
  ];
  for (let at = 50; at < length - 5; at += 50) {
    const near = heights.reduce(
      (best, each) => (Math.abs(each[0] - at) < Math.abs(best[0] - at) ? each : best),
      heights[0],
    );
    strokes.push({
      pen: 'contour',
      points: [
        [at, 0],
        [at, near[1]],
      ],
      closed: false,
    });
    if (near[1] > 6)
      words.push({ at: [at + 1, near[1] / 2], text: decimals(near[1], 1), sizeMm: 2.8, align: 'left', strong: false });
  }
  return {
    kind: 'profiles',
    title,
    note,
    x0: -RIM_MM,
    y0: -boardMm - RIM_MM,
    widthMm: length + 2 * RIM_MM,
    heightMm: top + boardMm + 2 * RIM_MM,
    strokes,
    words,
  };
}

/** The ground's profile along each side of the base, as seen from outside, and along each saved section. */
export function profileDrawings(project: Project, { ground, outline }: TemplateSource): Drawing[] {
  const boardMm = project.base.board.thicknessMm;
  const sides = sidesOf(outline).map(({ name, points }) =>
    profileDrawing(
      `Profile, ${name}`,
      `Seen from outside, left to right, ${decimals(lineLength(points, false), 1)} mm; numbers are heights over the baseboard`,
      heightsAlong(ground, points),
      boardMm,
    ),
  );
  const sections = project.sections.map(({ name, id, from, to }) =>
    profileDrawing(
      `Section ${name || id}`,
      `From its start to its end, ${decimals(Math.hypot(to[0] - from[0], to[1] - from[1]), 1)} mm; numbers are heights over the baseboard`,
      heightsAlong(ground, [from, to]),
      boardMm,
    ),
  );
  return [...sides, ...sections];
}

/** Contours are drawn every so many mm: few enough to be told apart. */
const STEPS = [2, 5, 10, 20, 50];
const MOST_CONTOURS = 16;

/** The plan at full size: outline, contours and their heights. */
export function contourDrawing({ ground, outline }: TemplateSource): Drawing {
  let highest = 0;
  for (const z of ground.values) highest = Math.max(highest, z);
  const step = STEPS.find((mm) => highest / mm <= MOST_CONTOURS) ?? 100;
  const levels = Array.from({ length: Math.floor(highest / step) }, (_, k) => (k + 1) * step);
  const [x0, y0, x1, y1] = boundsOf(outline);
  const strokes: Stroke[] = outlineRings(outline).map((points) => ({ pen: 'outline', points, closed: true }));
  const words: Words[] = [];
  // Of a base that fills its box nothing lies outside.
  const within = (rings: Ring[]) => (outline.length > 4 ? clipRings(rings, outline) : rings);
  isolines(ground, levels).forEach((rings, k) => {
    for (const ring of within(rings)) {
      if (lineLength(ring) < 8) continue;
      strokes.push({ pen: 'contour', points: ring, closed: true });
      const at = ring[Math.floor(ring.length / 3)];
      words.push({ at: [at[0] + 0.8, at[1] + 0.8], text: `${levels[k]}`, sizeMm: 3, align: 'left', strong: false });
    }
  });
  return {
    kind: 'contours',
    title: `Contour plan, every ${step} mm`,
    note: 'Heights of the finished ground over the baseboard, mm; the back of the base is up',
    x0: x0 - RIM_MM,
    y0: y0 - RIM_MM,
    widthMm: x1 - x0 + 2 * RIM_MM,
    heightMm: y1 - y0 + 2 * RIM_MM,
    strokes,
    words,
  };
}
