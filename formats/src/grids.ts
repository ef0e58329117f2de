import { bad, good, type Result, type Terrain, writeHeights } from '@hosket/core';
import { decode } from 'fast-png';
import { fromArrayBuffer } from 'geotiff';
import { counted, type HeightGrid } from './drawing.ts';

/** A grid larger than this is thinned when it becomes ground: more than a base shows. */
const MOST_ACROSS = 320;
const HIGHEST_NUMBER = 65_535;

/** Reads an ESRI ASCII grid: a header of five or six lines, then heights row by row from the far left. */
export function readAsciiGrid(text: string): Result<HeightGrid> {
  const words = text.trim().split(/\s+/);
  const header: Record<string, number> = {};
  let k = 0;
  for (; k + 1 < words.length && /^[a-z_]+$/i.test(words[k]) && !/^nan$/i.test(words[k]); k += 2)
    header[words[k].toLowerCase()] = Number(words[k + 1]);
  const wrong = (place: string, message: string): Result<HeightGrid> =>
    bad('grid', place, message, 'The header must say ncols, nrows, xllcorner, yllcorner and cellsize.');
  for (const key of ['ncols', 'nrows', 'cellsize']) {
    if (!(key in header)) return wrong(key, `The header of the grid lacks "${key}".`);
    if (!(header[key] > 0)) return wrong(key, `The header's ${key} is no number above 0.`);
  }
  const { ncols: columns, nrows: rows, cellsize: cell } = header;
  if (!Number.isInteger(columns) || !Number.isInteger(rows) || columns < 2 || rows < 2)
    return wrong('ncols', `A grid of ${columns} by ${rows} is none.`);
  const numbers = words.slice(k).map(Number);
  if (numbers.length !== columns * rows)
    return bad(
      'grid',
      'heights',
      `The header promises ${columns} x ${rows} = ${columns * rows} heights; the file has ${numbers.length}.`,
      'It may be cut short, or its header belongs to another grid.',
    );
  const none = header.nodata_value;
  const values = numbers.map((value) => (value === none ? Number.NaN : value));
  const degrees = cell < 0.1 && Math.abs(header.xllcorner ?? header.xllcenter ?? 1e9) <= 180;
  return finish(values, columns, rows, cell, degrees ? 'degree' : 'metre', degrees ? [inDegrees] : []);
}

const inDegrees =
  'The grid is in degrees: its cells are wider than they are high, or the other way round; stretch it to the base.';

/** Reads the first band of a GeoTIFF, or of any TIFF of one band. */
export async function readGeoTiff(bytes: ArrayBuffer): Promise<Result<HeightGrid>> {
  try {
    const image = await (await fromArrayBuffer(bytes)).getImage();
    const [columns, rows] = [image.getWidth(), image.getHeight()];
    const bands = image.getSamplesPerPixel();
    const [band] = (await image.readRasters({ samples: [0] })) as unknown as ArrayLike<number>[];
    const none = image.getGDALNoData();
    const values = Array.from(band, (value) => (value === none ? Number.NaN : value));
    const keys = image.getGeoKeys();
    const degrees = keys?.GTModelTypeGeoKey === 2;
    const cell = resolutionOf(image);
    const notes = [
      ...(bands > 1 ? [`Of ${bands} bands the first was read as heights.`] : []),
      ...(degrees ? [inDegrees] : []),
      ...(cell === null ? ['The file does not say how large its cells are.'] : []),
    ];
    return finish(values, columns, rows, cell ?? 1, degrees ? 'degree' : cell === null ? 'cell' : 'metre', notes);
  } catch (error) {
    return bad(
      'tiff',
      '(whole file)',
      `The file is no readable TIFF: ${(error as Error).message}.`,
      'Save it again, uncompressed or with deflate.',
    );
  }
}

function resolutionOf(image: { getResolution: () => number[] }): number | null {
  try {
    return Math.abs(image.getResolution()[0]) || null;
  } catch {
    return null;
  }
}

/** Reads a grey picture of 8 or 16 bits as heights: black is low. */
export function readGreyPng(bytes: Uint8Array): Result<HeightGrid> {
  try {
    const { width, height, data, channels, depth } = decode(bytes);
    if (depth < 8)
      return bad(
        'png',
        '(whole file)',
        `The picture has ${depth} bits; 8 or 16 are wanted.`,
        'Save it as a grey picture of 8 or 16 bits.',
      );
    const colour = channels >= 3;
    const values = Array.from({ length: width * height }, (_, n) => {
      const at = n * channels;
      // Brightness by Rec. 709 (from memory) where the picture is coloured.
      return colour ? 0.2126 * data[at] + 0.7152 * data[at + 1] + 0.0722 * data[at + 2] : data[at];
    });
    const notes = [
      ...(colour ? ['The picture is coloured: its brightness was read as height.'] : []),
      ...(depth === 8 ? ['8 bits make 256 heights: smooth it a little, or its steps will show.'] : []),
    ];
    return finish(values, width, height, 1, 'pixel', notes);
  } catch (error) {
    return bad(
      'png',
      '(whole file)',
      `The file is no readable PNG: ${(error as Error).message}.`,
      'Save it again as a grey PNG.',
    );
  }
}

/** Rows turned round (files begin at the far edge), holes filled from what surrounds them. */
function finish(
  values: number[],
  columns: number,
  rows: number,
  cell: number,
  unit: string,
  notes: string[],
): Result<HeightGrid> {
  if (columns < 2 || rows < 2)
    return bad('grid', 'heights', `A grid of ${columns} by ${rows} is none.`, 'Choose a larger one.');
  const turned = new Float64Array(columns * rows);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) turned[(rows - 1 - j) * columns + i] = values[j * columns + i];
  const holes = turned.reduce((count, value) => count + (Number.isFinite(value) ? 0 : 1), 0);
  if (holes === turned.length)
    return bad('grid', 'heights', 'The grid holds no heights, only holes.', 'Choose another file.');
  if (holes) {
    fillHoles(turned, columns, rows);
    notes.push(`${counted(holes, 'hole was', 'holes were')} filled from what lies round them.`);
  }
  return good({ columns, rows, values: turned, cell, unit, notes });
}

/** Every hole takes the mean of the neighbours that are known, ring by ring inwards. */
function fillHoles(values: Float64Array, columns: number, rows: number): void {
  let holes = [...values.keys()].filter((n) => !Number.isFinite(values[n]));
  while (holes.length) {
    const filled: [number, number][] = [];
    for (const n of holes) {
      const i = n % columns;
      const near = [
        i > 0 ? n - 1 : -1,
        i < columns - 1 ? n + 1 : -1,
        n - columns,
        n + columns < columns * rows ? n + columns : -1,
      ];
      const known = near.filter((m) => m >= 0 && Number.isFinite(values[m])).map((m) => values[m]);
      if (known.length) filled.push([n, known.reduce((a, b) => a + b, 0) / known.length]);
    }
    for (const [n, value] of filled) values[n] = value;
    holes = holes.filter((n) => !Number.isFinite(values[n]));
  }
}

/** A grid as the ground of a base: thinned to what a base shows, from `lowMm` to `highMm`. */
export function terrainOf(grid: HeightGrid, name: string, lowMm: number, highMm: number): Terrain {
  const stride = Math.max(1, Math.ceil(Math.max(grid.columns, grid.rows) / MOST_ACROSS));
  const columns = Math.floor((grid.columns - 1) / stride) + 1;
  const rows = Math.floor((grid.rows - 1) / stride) + 1;
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  const picked = Float64Array.from({ length: columns * rows }, (_, n) => {
    const value = grid.values[Math.floor(n / columns) * stride * grid.columns + (n % columns) * stride];
    low = Math.min(low, value);
    high = Math.max(high, value);
    return value;
  });
  const span = high - low || 1;
  const numbers = Uint16Array.from(picked, (value) => Math.round(((value - low) / span) * HIGHEST_NUMBER));
  return {
    name: name.slice(0, 120),
    columns,
    rows,
    data: writeHeights(numbers),
    from: { low, high, cell: grid.cell * stride },
    crop: { left: 0, right: 1, near: 0, far: 1 },
    turnDegrees: 0,
    lowMm,
    highMm,
    smoothMm: 0,
    reachMm: 40,
  };
}
