import { readHeights } from '@hosket/core';
import fc from 'fast-check';
import { encode } from 'fast-png';
import { fromArrayBuffer, writeArrayBuffer } from 'geotiff';
import { describe, expect, it } from 'vitest';
import type { HeightGrid } from './drawing.ts';
import { readAsciiGrid, readGeoTiff, readGreyPng, terrainOf } from './grids.ts';
import { writeAsciiGrid, writeGeoTiff } from './write.ts';

type Read = ReturnType<typeof readAsciiGrid>;
function sound(read: Read): HeightGrid {
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
}
const why = (read: Read) => (read.ok ? 'nothing wrong' : `${read.fault.message} ${read.fault.remedy}`);
const header = (columns: number, rows: number) =>
  `ncols ${columns}\nnrows ${rows}\nxllcorner 0\nyllcorner 0\ncellsize 5\nNODATA_value -9999\n`;

describe('an ESRI ASCII grid', () => {
  it('begins at the far left; ours at the near left', () => {
    const grid = sound(readAsciiGrid(`${header(3, 2)}1 2 3\n4 5 6\n`));
    expect([...grid.values]).toEqual([4, 5, 6, 1, 2, 3]);
    expect([grid.columns, grid.rows, grid.cell, grid.unit]).toEqual([3, 2, 5, 'metre']);
  });

  it('holes are filled from what lies round them, and counted', () => {
    const grid = sound(readAsciiGrid(`${header(3, 3)}1 1 1\n1 -9999 1\n1 1 5\n`));
    expect(grid.values[4]).toBe(1);
    expect(grid.notes.join()).toContain('1 hole was filled');
  });

  it('a wrong header or a file cut short says what is missing', () => {
    expect(why(readAsciiGrid('nrows 2\ncellsize 1\n1 2'))).toContain('"ncols"');
    expect(why(readAsciiGrid(`${header(3, 2)}1 2 3 4`))).toContain('promises 3 x 2 = 6 heights; the file has 4');
    expect(why(readAsciiGrid('ncols -3\nnrows 2\ncellsize 1\n'))).toContain('no number above 0');
    expect(why(readAsciiGrid(`${header(2, 2)}-9999 -9999 -9999 -9999`))).toContain('only holes');
  });

  it('in degrees says so', () => {
    const text = header(2, 2).replace('cellsize 5', 'cellsize 0.0003').replace('xllcorner 0', 'xllcorner 7.5');
    expect(sound(readAsciiGrid(`${text}1 2 3 4`)).notes.join()).toContain('in degrees');
  });

  it('written and read again it is the same', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -500, max: 4000 }), { minLength: 12, maxLength: 12 }), (numbers) => {
        const values = Float64Array.from(numbers, (n) => n / 8);
        const back = sound(readAsciiGrid(writeAsciiGrid({ columns: 4, rows: 3, cell: 2, values })));
        expect([...back.values]).toEqual([...values]);
      }),
    );
  });
});

describe('a GeoTIFF written by a library', () => {
  const written = (model: number) =>
    writeArrayBuffer(Float32Array.from([10, 20, 30, 40, 50, 60]), {
      width: 3,
      height: 2,
      ...(model === 1 ? { GTModelTypeGeoKey: 1, ProjectedCSTypeGeoKey: 32632, GeographicTypeGeoKey: 4326 } : {}),
      ModelPixelScale: [2, 2, 0],
      ModelTiepoint: [0, 0, 0, 500, 700, 0],
    }) as ArrayBuffer;

  it('is read with its cell', async () => {
    const grid = sound(await readGeoTiff(written(1)));
    expect([...grid.values]).toEqual([40, 50, 60, 10, 20, 30]);
    expect([grid.cell, grid.unit]).toEqual([2, 'metre']);
  });

  it('in degrees says so', async () => {
    const grid = sound(await readGeoTiff(written(2)));
    expect(grid.unit).toBe('degree');
    expect(grid.notes.join()).toContain('in degrees');
  });

  it('of ours is read by the library as it was: heights, cell and plane', async () => {
    const values = Float64Array.from([1, 2, 3, 4, 5, 6.5]);
    const bytes = writeGeoTiff({ columns: 3, rows: 2, cell: 0.5, values });
    const image = await (await fromArrayBuffer(bytes)).getImage();
    const [band] = (await image.readRasters()) as unknown as Float32Array[];
    expect([...band]).toEqual([4, 5, 6.5, 1, 2, 3]);
    expect([image.getWidth(), image.getHeight(), image.getResolution()[0]]).toEqual([3, 2, 0.5]);
    expect(image.getGeoKeys()?.GTModelTypeGeoKey).toBe(1);
    const back = sound(await readGeoTiff(bytes));
    expect([[...back.values], back.cell, back.unit]).toEqual([[...values], 0.5, 'metre']);
  });

  it('what is none says so', async () => {
    expect(why(await readGeoTiff(new Uint8Array([1, 2, 3, 4, 5, 6, 7, 8]).buffer))).toContain('TIFF');
  });
});

describe('a grey PNG', () => {
  it('of 16 bits keeps its fine heights', () => {
    const data = Uint16Array.from([0, 1000, 2000, 65535]);
    const grid = sound(readGreyPng(encode({ width: 2, height: 2, data, depth: 16, channels: 1 })));
    expect([...grid.values]).toEqual([2000, 65535, 0, 1000]);
    expect(grid.notes).toEqual([]);
  });

  it('of 8 bits warns of its steps; a coloured one gives its brightness', () => {
    const grey = sound(readGreyPng(encode({ width: 2, height: 2, data: Uint8Array.from([0, 9, 8, 7]), channels: 1 })));
    expect(grey.notes.join()).toContain('256 heights');
    const white = Uint8Array.from([255, 255, 255, 0, 0, 0, 255, 255, 255, 0, 0, 0]);
    const colour = sound(readGreyPng(encode({ width: 2, height: 2, data: white, channels: 3 })));
    expect(colour.values[0]).toBeCloseTo(255, 6);
    expect(colour.notes.join()).toContain('coloured');
  });

  it('what is none says so', () => expect(why(readGreyPng(new Uint8Array(40)))).toContain('PNG'));
});

describe('a grid as ground', () => {
  it('spans the whole range of numbers and is thinned where it is larger than a base shows', () => {
    const values = Float64Array.from({ length: 900 * 450 }, (_, n) => n % 900);
    const terrain = terrainOf({ columns: 900, rows: 450, values, cell: 10, unit: 'metre', notes: [] }, 'wide', 5, 60);
    expect([terrain.columns, terrain.rows, terrain.from.cell]).toEqual([300, 150, 30]);
    const numbers = readHeights(terrain.data, 300 * 150);
    expect([numbers[0], numbers[299]]).toEqual([0, 65_535]);
    expect([terrain.from.low, terrain.from.high, terrain.lowMm, terrain.highMm]).toEqual([0, 897, 5, 60]);
  });
});
