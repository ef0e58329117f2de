/** A stand-in for an elevation service: made-up ground by the name of a place, the same name always the same ground. */

const COLUMNS = 121;
const ROWS = 91;
const CELL_M = 10;
const OCTAVES = 5;

/** Places that the stand-in knows by a kind of ground; any other name gets hills. All are invented. */
export const places: Readonly<Record<string, Kind>> = {
  'Harl Edge': 'edge',
  'Vessa Slopes': 'valley',
  'Tarrow Moor': 'moor',
  'Ondra Cone': 'cone',
};
type Kind = 'edge' | 'valley' | 'moor' | 'cone' | 'hills';

/** A number from 0 to 1 for a lattice point, by a seed (an integer hash). */
function noiseAt(seed: number, i: number, j: number): number {
  let h = (seed ^ Math.imul(i, 374761393) ^ Math.imul(j, 668265263)) >>> 0;
  h = Math.imul(h ^ (h >>> 13), 1274126177) >>> 0;
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

const ease = (t: number) => t * t * (3 - 2 * t);

/** Smooth noise over 0..across by 0..away: corners of a lattice, each worked out once, eased between. */
function smoothNoise(seed: number, across: number, away: number): (x: number, y: number) => number {
  const columns = across + 2;
  const corners = Float64Array.from({ length: columns * (away + 2) }, (_, n) =>
    noiseAt(seed, n % columns, Math.floor(n / columns)),
  );
  return (x, y) => {
    const [i, j] = [Math.floor(x), Math.floor(y)];
    const [a, b] = [ease(x - i), ease(y - j)];
    const n = j * columns + i;
    return (
      (1 - b) * ((1 - a) * corners[n] + a * corners[n + 1]) +
      b * ((1 - a) * corners[n + columns] + a * corners[n + columns + 1])
    );
  };
}

const seedOf = (name: string) =>
  [...name.toLowerCase()].reduce((sum, letter) => (Math.imul(sum, 31) + letter.charCodeAt(0)) >>> 0, 7);

/** Heights of a place in metres above the sea, row by row from the far left. */
function heightsOf(name: string): number[] {
  const seed = seedOf(name);
  const kind =
    Object.entries(places).find(([known]) => known.toLowerCase() === name.trim().toLowerCase())?.[1] ?? 'hills';
  const octaves = Array.from({ length: OCTAVES }, (_, octave) => {
    const finer = 2 ** octave;
    return { finer, noise: smoothNoise(seed + octave, 4 * finer, 3 * finer) };
  });
  return Array.from({ length: COLUMNS * ROWS }, (_, n) => {
    const [x, y] = [(n % COLUMNS) / (COLUMNS - 1), 1 - Math.floor(n / COLUMNS) / (ROWS - 1)];
    let rough = 0;
    for (const { finer, noise } of octaves) rough += noise(x * 4 * finer, y * 3 * finer) / (2 * finer);
    return Math.round(10 * shapeOf(kind, x, y, rough)) / 10;
  });
}

function shapeOf(kind: Kind, x: number, y: number, rough: number): number {
  switch (kind) {
    case 'edge':
      return 320 + 90 / (1 + Math.exp(-24 * (y - 0.45 - 0.12 * Math.sin(5 * x)))) + 30 * rough;
    case 'valley':
      return 180 + 260 * Math.abs(x - 0.5 - 0.15 * Math.sin(4 * y)) + 40 * rough;
    case 'moor':
      return 410 + 35 * rough + 12 * Math.sin(3 * x) * Math.cos(2 * y);
    case 'cone': {
      const away = Math.hypot(x - 0.5, y - 0.5);
      return 600 + 400 * Math.max(0, 1 - 2 * away) - (away < 0.09 ? 900 * (0.09 - away) : 0) + 25 * rough;
    }
    case 'hills':
      return 200 + 240 * rough;
  }
}

/** A place as an ESRI ASCII grid. */
export function elevationGrid(name: string): string {
  const heights = heightsOf(name);
  const rows = Array.from({ length: ROWS }, (_, j) => heights.slice(j * COLUMNS, (j + 1) * COLUMNS).join(' '));
  return [
    `ncols ${COLUMNS}`,
    `nrows ${ROWS}`,
    'xllcorner 500000',
    'yllcorner 200000',
    `cellsize ${CELL_M}`,
    'NODATA_value -9999',
    ...rows,
    '',
  ].join('\n');
}
