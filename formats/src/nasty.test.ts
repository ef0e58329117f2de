import { deflateSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { readDxf } from './dxf.ts';
import { readGeoJson } from './geojson.ts';
import { readAsciiGrid, readGreyPng } from './grids.ts';
import { pictureSize } from './picture.ts';
import { readSvg } from './svg.ts';

const why = (read: { ok: boolean; fault?: { place: string; message: string; remedy: string } }) =>
  read.fault ? `${read.fault.place}: ${read.fault.message} ${read.fault.remedy}` : 'nothing wrong';
const dxf = (body: string) => `0 SECTION 2 ENTITIES ${body} 0 ENDSEC 0 EOF`.split(' ').join('\n');

describe('files that are made to hurt are read, or refused with what to do', () => {
  it('a DXF that promises a hundred million corners has those that stand in it', () => {
    const read = readDxf(dxf('0 LWPOLYLINE 8 a 90 99999999 70 0 10 1 20 2 10 5 20 2 10 5 20 9'));
    expect(read.ok && read.value.lines.map(({ points }) => points)).toEqual([
      [
        [1, 2],
        [5, 2],
        [5, 9],
      ],
    ]);
    // Something else between the corners is passed over.
    const odd = readDxf(dxf('0 LWPOLYLINE 8 a 90 3 70 0 10 1 91 7 20 2 10 5 999 x 20 2 10 5 20 9'));
    expect(odd.ok && odd.value.lines[0].points).toEqual([
      [1, 2],
      [5, 2],
      [5, 9],
    ]);
    // One that promises too few, too.
    const few = readDxf(dxf('0 LWPOLYLINE 8 a 90 1 70 0 10 1 20 2 10 5 20 2 10 5 20 9'));
    expect(few.ok && few.value.lines[0].points).toHaveLength(3);
  });

  it('a DXF whose pairs are out of step, or that is cut short, says in which line', () => {
    expect(why(readDxf(dxf('0 LINE 8 a oops 10 1 20 2')))).toContain(
      'line 9: "oops" stands where a group code belongs.',
    );
    expect(why(readDxf(dxf('0 LINE 8 a 2000 10 1 20 2')))).toContain('line 9: "2000" stands where');
    expect(why(readDxf('0\nSECTION\n2\nENTITIES\n'))).toContain('cut short');
  });

  it('a path of 150,000 points is read; one of more than a plan can hold is refused', () => {
    const path = (points: number) =>
      `<svg width="10mm" viewBox="0 0 10 10"><path d="M0 0${Array.from({ length: points }, (_, k) => `L${k % 97} ${k % 89}`).join('')}"/></svg>`;
    const read = readSvg(path(150_000));
    expect(read.ok && read.value.lines[0].points.length).toBeGreaterThan(149_000);
    expect(why(readSvg(path(450_000)))).toContain('more than 400 000 points');
  });

  it('groups in groups are followed as far as anybody draws them, and no deeper', () => {
    const nested = (depth: number) =>
      `<svg width="10mm" viewBox="0 0 10 10">${'<g>'.repeat(depth)}<path d="M0 0L5 5"/>${'</g>'.repeat(depth)}</svg>`;
    expect(readSvg(nested(90)).ok).toBe(true);
    expect(why(readSvg(nested(3000)))).toMatch(/nest|Ungroup/);
    const point = { type: 'Point', coordinates: [1, 2] };
    const collection = (depth: number) =>
      `${'{"type":"GeometryCollection","geometries":['.repeat(depth)}${JSON.stringify(point)}${']}'.repeat(depth)}`;
    expect(readGeoJson(collection(90)).ok).toBe(true);
    expect(why(readGeoJson(collection(3000)))).toContain('More than 100 groups');
    // Deep where nothing is read it does no harm.
    const deep = `{"type":"Feature","geometry":${JSON.stringify(point)},"properties":{"a":${'['.repeat(3000)}${']'.repeat(3000)}}}`;
    expect(readGeoJson(deep).ok).toBe(true);
  });

  it('a GeoJSON line of 150,000 places is read', () => {
    const coordinates = Array.from({ length: 150_000 }, (_, k) => [(k % 900) / 10, (k % 700) / 10]);
    const read = readGeoJson(JSON.stringify({ type: 'LineString', coordinates }));
    expect(read.ok && read.value.lines[0].points.length).toBeGreaterThan(149_000);
  });

  it('holes of a grid are filled ring by ring: from one known height, and from two', () => {
    const grid = (values: (number | string)[], columns: number) =>
      readAsciiGrid(
        `ncols ${columns}\nnrows ${values.length / columns}\ncellsize 1\nNODATA_value -1\n${values.join(' ')}`,
      );
    const alone = grid(
      Array.from({ length: 900 * 900 }, (_, n) => (n === 0 ? 7 : -1)),
      900,
    );
    expect(alone.ok && alone.value.values.every((value) => value === 7)).toBe(true);
    // By hand: 0 - - 6 in two rows: the rings grow from either side and meet as 0 0 6 6.
    const two = grid([0, -1, -1, 6, 0, -1, -1, 6], 4);
    expect(two.ok && [...two.value.values]).toEqual([0, 0, 6, 6, 0, 0, 6, 6]);
    // The middle of a ring of five known heights is their mean.
    const ring = grid([1, 2, 3, 4, -1, 6, 7, 8, 9], 3);
    expect(ring.ok && ring.value.values[4]).toBe((2 + 4 + 6 + 8) / 4);
  });

  it('a grid or picture of too many heights is refused by its head alone', () => {
    expect(why(readAsciiGrid('ncols 90000\nnrows 90000\ncellsize 1\n1 2 3'))).toContain('90 000 x 90 000 heights');
    const png = new Uint8Array(200);
    png.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52]);
    new DataView(png.buffer).setUint32(16, 12_000);
    new DataView(png.buffer).setUint32(20, 12_000);
    expect(why(pictureSize(png))).toContain('12000 x 12000 pixels; 60 million are the most.');
    new DataView(png.buffer).setUint32(20, 400);
    expect(pictureSize(png)).toEqual({ ok: true, value: { widthPx: 12_000, heightPx: 400 } });
    expect(why(pictureSize(new Uint8Array(30)))).toContain('It is damaged, or no picture.');
    new DataView(png.buffer).setUint32(20, 12_000);
    png.set(deflateSync(new Uint8Array(50)), 60);
    expect(why(readGreyPng(png))).toContain(
      '12 000 x 12 000 heights; 16 000 000 are the most. Cut out the part you need',
    );
  });
});
