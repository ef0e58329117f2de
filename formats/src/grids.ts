import { bad, good, type Result, type Terrain, writeHeights } from '@hosket/core';
import { decode } from 'fast-png';
import { fromArrayBuffer } from 'geotiff';
import { counted, type HeightGrid } from './drawing.ts';
import { tooManyHeights } from './limits.ts';

/** A grid larger than this is thinned when it becomes ground: more than a base shows. */
const MOST_ACROSS = 320;
const HIGHEST_NUMBER = 65_535;

/** Reads an ESRI ASCII grid: a header of five or six lines, then heights row by row from the far left. */
export function readAsciiGrid(text: string): Result<HeightGrid> {
  const header: Record<string, number> = {};
  const line = /\s*([a-z_]+)[^\S\n]+(\S+)/iy;
  let from = 0;
  for (let read = line.exec(text); read && !/^nan$/i.test(read[1]); read = line.exec(text)) {
    header[read[1].toLowerCase()] = Number(read[2]);
    from = line.lastIndex;
  }
  const wrong = (place: string, message: string): Result<HeightGrid> =>
    bad('grid', place, message, 'The header must say ncols, nrows, xllcorner, yllcorner and cellsize.');
  for (const key of ['ncols', 'nrows', 'cellsize']) {
    if (!(key in header)) return wrong(key, `The header of the grid lacks "${key}".`);
    if (!(header[key] > 0)) return wrong(key, `The header's ${key} is no number above 0.`);
  }
  const { ncols: columns, nrows: rows, cellsize: cell } = header;
  if (!Number.isInteger(columns) || !Number.isInteger(rows) || columns < 2 || rows < 2)
    return wrong('ncols', `A grid of ${columns} by ${rows} is none.`);
  const large = tooManyHeights(columns, rows);
  if (large) return large;
  const values = new Float64Array(columns * rows);
  const none = header.nodata_value;
  let count = 0;
  // One number after another: a list of all words would take ten times the room.
  const word = /\S+/g;
  word.lastIndex = from;
  for (let read = word.exec(text); read; read = word.exec(text)) {
    const value = Number(read[0]);
    if (count < values.length) values[count] = value === none ? Number.NaN : value;
    count++;
  }
  if (count !== values.length)
    return bad(
      'grid',
      'heights',
      `The header promises ${columns} x ${rows} = ${columns * rows} heights; the file has ${count}.`,
      'It may be cut short, or its header belongs to another grid.',
    );
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
    const large = tooManyHeights(columns, rows);
    if (large) return large;
    const bands = image.getSamplesPerPixel();
    const [band] = (await image.readRasters({ samples: [0] })) as unknown as ArrayLike<number>[];
    const none = image.getGDALNoData();
    const values = Float64Array.from(band, (value) => (value === none ? Number.NaN : value));
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
  // Its first chunk says how large it is (PNG 3rd ed., 11.2.1): unpacked it may be a thousand times the file.
  const head = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const large = bytes.byteLength >= 24 ? tooManyHeights(head.getUint32(16), head.getUint32(20)) : null;
  if (large) return large;
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
    const values = new Float64Array(width * height);
    for (let n = 0, at = 0; n < values.length; n++, at += channels)
      // Brightness by Rec. 709 (from memory) where the picture is coloured.
      values[n] = colour ? 0.2126 * data[at] + 0.7152 * data[at + 1] + 0.0722 * data[at + 2] : data[at];
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
  values: Float64Array,
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

/** Every hole takes the mean of the neighbours that are known, ring by ring inwards: each is looked at once, when its ring comes. */
function fillHoles(values: Float64Array, columns: number, rows: number): void {
  const count = columns * rows;
  /** In which ring from what is known each lies; 0 is known, -1 not yet reached. */
  const ring = new Int32Array(count);
  for (let n = 0; n < count; n++) if (!Number.isFinite(values[n])) ring[n] = -1;
  const beside = (n: number, side: number): number => {
    const i = n % columns;
    if (side === 0) return i > 0 ? n - 1 : -1;
    if (side === 1) return i < columns - 1 ? n + 1 : -1;
    if (side === 2) return n - columns;
    return n + columns < count ? n + columns : -1;
  };
  let reached: number[] = [];
  for (let n = 0; n < count; n++) {
    if (ring[n] !== -1) continue;
    for (let side = 0; side < 4 && ring[n] === -1; side++) {
      const m = beside(n, side);
      if (m >= 0 && ring[m] === 0) ring[n] = 1;
    }
    if (ring[n] === 1) reached.push(n);
  }
  for (let now = 1; reached.length; now++) {
    const next: number[] = [];
    for (const n of reached) {
      let [sum, known] = [0, 0];
      for (let side = 0; side < 4; side++) {
        const m = beside(n, side);
        if (m < 0) continue;
        if (ring[m] === -1) {
          ring[m] = now + 1;
          next.push(m);
        } else if (ring[m] < now) {
          sum += values[m];
          known++;
        }
      }
      values[n] = sum / known;
    }
    reached = next;
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
