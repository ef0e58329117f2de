import { baseSize, drawItem, type Project, parseProject, startProject } from '@hosket/core';
import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import type { PlanDrawing } from './drawing.ts';
import { readDxf } from './dxf.ts';
import { readGeoJson } from './geojson.ts';
import { guess, layersOf, takeIn } from './mapping.ts';
import { readSvg } from './svg.ts';
import { writeDxf, writeGeoJson } from './write.ts';

type Read = ReturnType<typeof readSvg>;
function sound(read: Read): PlanDrawing {
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
}
const why = (read: Read) => (read.ok ? 'nothing wrong' : `${read.fault.message} ${read.fault.remedy}`);
const rounded = (points: readonly (readonly [number, number])[], by = 100) =>
  points.map(([x, y]) => [Math.round(x * by) / by + 0, Math.round(y * by) / by + 0]);
const own = (): Project => ({ ...startProject('own', '2027-03-01'), scale: 100 });

/** A DXF of entities with the units of its header. */
const dxf = (units: number | null, ...entities: string[]) =>
  [
    ...(units === null ? [] : ['0', 'SECTION', '2', 'HEADER', '9', '$INSUNITS', '70', String(units), '0', 'ENDSEC']),
    ...['0', 'SECTION', '2', 'ENTITIES'],
    ...entities.flatMap((entity) => entity.trim().split(/\s+/)),
    ...['0', 'ENDSEC', '0', 'EOF'],
  ].join('\n');
const square = '0 LWPOLYLINE 8 heights 90 4 70 1 38 20 10 0 20 0 10 4 20 0 10 4 20 2 10 0 20 2';

describe('SVG', () => {
  it('gives a millimetre drawing at its size, upside up, by layer', () => {
    const drawing = sound(
      readSvg(
        '<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="100mm" viewBox="0 0 400 200"><g id="contour 20"><path d="M0 200 L400 200 L400 0 Z"/></g><line x1="10" y1="20" x2="30" y2="20"/></svg>',
      ),
    );
    expect(drawing.unitMm).toBeCloseTo(0.5, 9);
    expect(drawing.lines.map(({ layer, closed }) => [layer, closed])).toEqual([
      ['contour 20', true],
      ['line', false],
    ]);
    expect(rounded(drawing.lines[0].points)).toEqual([
      [0, 0],
      [400, 0],
      [400, 200],
    ]);
  });

  it('follows transforms and curves: a turned quarter circle keeps its radius', () => {
    const drawing = sound(
      readSvg(
        '<svg width="10cm" viewBox="0 0 100 100"><g transform="translate(50 50)"><path transform="rotate(30)" d="M20 0 A20 20 0 0 1 0 20"/></g></svg>',
      ),
    );
    const top = Math.max(...drawing.lines[0].points.map(([, y]) => y));
    expect(drawing.unitMm).toBe(1);
    // The centre lay 50 down; the lowest point of the arc lies on the zero line after turning up.
    const lowest = 50 + 20;
    for (const [x, y] of drawing.lines[0].points) expect(Math.hypot(x - 50, lowest - y - 50)).toBeCloseTo(20, 1);
    expect(top).toBeGreaterThan(0);
  });

  it('units of any kind: inches, points, pixels of 96 to the inch; odd ones are asked for', () => {
    const unit = (width: string) =>
      sound(readSvg(`<svg width="${width}" viewBox="0 0 96 96"><path d="M0 0L9 9"/></svg>`));
    expect(unit('1in').unitMm).toBeCloseTo(25.4 / 96, 9);
    expect(unit('72pt').unitMm).toBeCloseTo(25.4 / 96, 9);
    expect(unit('96').unitMm).toBeCloseTo(25.4 / 96, 9);
    const odd = unit('50em');
    expect(odd.unitMm).toBeNull();
    expect(odd.notes.join()).toContain('"em", which is no length');
  });

  it('leaves scripts and actions out and says so', () => {
    const drawing = sound(
      readSvg(
        '<svg width="9mm" viewBox="0 0 9 9" onload="x()"><script>alert(1)</script><path onclick="y()" d="M0 0L9 9"/><text>hi</text></svg>',
      ),
    );
    expect(drawing.lines).toHaveLength(1);
    expect(JSON.stringify(drawing)).not.toContain('alert');
    expect(drawing.notes.join()).toContain('scripts or actions left out');
    expect(drawing.notes.join()).toContain('text was left out');
  });

  it('a file that is none, or holds nothing, says what to do', () => {
    expect(why(readSvg('hello'))).toContain('Save it again');
    expect(why(readSvg('<svg width="1mm" viewBox="0 0 1 1"><text>a</text></svg>'))).toContain('no line or shape');
  });
});

describe('DXF', () => {
  it('in inches becomes millimetres, heights too', () => {
    const drawing = sound(readDxf(dxf(1, square)));
    expect([drawing.unitMm, drawing.unit]).toEqual([25.4, 'inch']);
    expect(drawing.lines[0]).toMatchObject({ layer: 'heights', closed: true, elevation: 20 });
    expect(drawing.notes.join()).toContain('25.4 mm');
  });

  it('without units asks for the size', () => {
    const drawing = sound(readDxf(dxf(null, square)));
    expect(drawing.unitMm).toBeNull();
    expect(drawing.notes.join()).toContain('does not say what its units are');
  });

  it('arcs, circles and bulges stay on their circles', () => {
    const drawing = sound(
      readDxf(
        dxf(
          4,
          '0 CIRCLE 8 a 10 5 20 6 40 3',
          '0 ARC 8 a 10 0 20 0 40 2 50 0 51 90',
          '0 LWPOLYLINE 8 b 90 2 70 0 10 0 20 0 42 1 10 4 20 0',
        ),
      ),
    );
    const [circle, arc, half] = drawing.lines;
    for (const [x, y] of circle.points) expect(Math.hypot(x - 5, y - 6)).toBeCloseTo(3, 9);
    expect(circle.closed).toBe(true);
    expect(rounded([arc.points[0], arc.points[arc.points.length - 1]])).toEqual([
      [2, 0],
      [0, 2],
    ]);
    // A bulge of 1 is a half circle, below the line when it runs to the right.
    for (const [x, y] of half.points) expect(Math.hypot(x - 2, y)).toBeCloseTo(2, 9);
    expect(Math.min(...half.points.map(([, y]) => y))).toBeCloseTo(-2, 1);
  });

  it('an empty or broken file says so', () => {
    expect(why(readDxf(dxf(4)))).toContain('nothing drawn');
    expect(why(readDxf('what is this'))).toMatch(/DXF/);
  });

  it('what is written is read by a library as it was drawn, in millimetres', () => {
    let project = drawItem(
      own(),
      'contour',
      [
        [10, 10],
        [90, 10],
        [50, 60],
      ],
      0,
      { heightMm: 25, smooth: false },
    ).project;
    project = drawItem(project, 'spot', [[40, 30]], 0, { heightMm: 31 }).project;
    const text = writeDxf(project);
    const read = new DxfParser().parseSync(text);
    expect(read?.header.$INSUNITS).toBe(4);
    const line = read?.entities.find(({ type }) => type === 'LWPOLYLINE') as unknown as {
      layer: string;
      shape: boolean;
      elevation: number;
      vertices: { x: number; y: number }[];
    };
    expect([line.layer, line.shape, line.elevation]).toEqual(['contour', true, 25]);
    expect(line.vertices.map(({ x, y }) => [x, y])).toEqual([
      [10, 10],
      [90, 10],
      [50, 60],
    ]);
    const ours = sound(readDxf(text));
    expect(ours.lines.map(({ layer, elevation }) => [layer, elevation])).toEqual([
      ['contour', 25],
      ['spot', 31],
    ]);
  });
});

describe('GeoJSON (RFC 7946)', () => {
  // The example of section 1.5 of RFC 7946, from memory.
  const example = {
    type: 'FeatureCollection',
    features: [
      { type: 'Feature', geometry: { type: 'Point', coordinates: [102.0, 0.5] }, properties: { prop0: 'value0' } },
      {
        type: 'Feature',
        geometry: {
          type: 'LineString',
          coordinates: [
            [102.0, 0.0],
            [103.0, 1.0],
            [104.0, 0.0],
            [105.0, 1.0],
          ],
        },
        properties: { prop0: 'value0', prop1: 0.0 },
      },
      {
        type: 'Feature',
        geometry: {
          type: 'Polygon',
          coordinates: [
            [
              [100.0, 0.0],
              [101.0, 0.0],
              [101.0, 1.0],
              [100.0, 1.0],
              [100.0, 0.0],
            ],
          ],
        },
        properties: { prop0: 'value0', prop1: { this: 'that' } },
      },
    ],
  };

  it('reads the example of the standard: a point, a line, an area, in metres', () => {
    const drawing = sound(readGeoJson(JSON.stringify(example)));
    expect(drawing.lines.map(({ points, closed }) => [points.length, closed])).toEqual([
      [1, false],
      [4, false],
      [4, true],
    ]);
    expect(drawing.unitMm).toBe(1000);
    // One degree of latitude is 111.195 km on a ball of 6371.0088 km.
    const area = drawing.lines[2].points;
    expect(area[2][1] - area[1][1]).toBeCloseTo(111_195, -1);
  });

  it('coordinates that are no degrees are plain units; a third number is a height', () => {
    const drawing = sound(readGeoJson('{"type":"LineString","coordinates":[[0,0,12],[400,0,12],[400,300,12]]}'));
    expect(drawing.unitMm).toBeNull();
    expect(drawing.lines[0].elevation).toBe(12);
  });

  it('holes, collections and null geometries; unknown kinds are named', () => {
    const drawing = sound(
      readGeoJson(
        JSON.stringify({
          type: 'FeatureCollection',
          features: [
            { type: 'Feature', properties: null, geometry: null },
            { type: 'Feature', properties: { layer: 'x' }, geometry: { type: 'Circle', coordinates: [1, 2] } },
            {
              type: 'Feature',
              properties: {},
              geometry: {
                type: 'GeometryCollection',
                geometries: [
                  {
                    type: 'MultiPoint',
                    coordinates: [
                      [1, 2],
                      [3, 4],
                    ],
                  },
                  {
                    type: 'MultiPolygon',
                    coordinates: [
                      [
                        [
                          [0, 0],
                          [9, 0],
                          [9, 9],
                          [0, 0],
                        ],
                        [
                          [2, 1],
                          [4, 1],
                          [4, 3],
                          [2, 1],
                        ],
                      ],
                    ],
                  },
                ],
              },
            },
          ],
        }),
      ),
    );
    expect(drawing.lines).toHaveLength(4);
    expect(drawing.notes.join()).toContain('"Circle" is no geometry');
  });

  it('what is written is sound by the standard and comes back in place to 0.01 mm', () => {
    const project = drawItem(
      own(),
      'contour',
      [
        [10, 60],
        [90, 60],
        [50, 10],
      ],
      0,
      { heightMm: 25, smooth: false },
    ).project;
    const written = JSON.parse(writeGeoJson(project));
    const [ring] = written.features[0].geometry.coordinates;
    // Closed by repeating the first position; outer rings counter-clockwise; within the Earth's degrees.
    expect(ring[0]).toEqual(ring[ring.length - 1]);
    let twice = 0;
    for (let k = 1; k < ring.length; k++) twice += ring[k - 1][0] * ring[k][1] - ring[k][0] * ring[k - 1][1];
    expect(twice).toBeGreaterThan(0);
    for (const [lon, lat] of ring) expect(Math.abs(lon) <= 180 && Math.abs(lat) <= 90).toBe(true);
    const back = sound(readGeoJson(JSON.stringify(written)));
    const sizes = back.lines[0].points.map(([x, y]) => [(x * 1000) / 100, (y * 1000) / 100]);
    const low = [Math.min(...sizes.map(([x]) => x)), Math.min(...sizes.map(([, y]) => y))];
    const places = sizes.map(([x, y]) => [Math.round(100 * (x - low[0])) / 100, Math.round(100 * (y - low[1])) / 100]);
    expect(places.sort()).toEqual(
      [
        [0, 50],
        [40, 0],
        [80, 50],
      ].sort(),
    );
  });

  it('what is no GeoJSON says so', () => {
    expect(why(readGeoJson('{'))).toContain('JSON');
    expect(why(readGeoJson('[1]'))).toContain('no GeoJSON');
    expect(why(readGeoJson('{"type":"FeatureCollection","features":[]}'))).toContain('no line, area or point');
  });
});

describe('taking a plan in', () => {
  const drawing = sound(
    readDxf(
      dxf(
        4,
        square.replace('heights', 'contours').replaceAll(' 10 4 ', ' 10 200 ').replaceAll(' 20 2', ' 20 100'),
        '0 LINE 8 road 10 0 20 50 11 200 21 50',
        '0 POINT 8 summit 10 100 20 50 30 42',
        '0 LWPOLYLINE 8 edge_of_base 90 4 70 1 10 -10 20 -10 10 250 20 -10 10 250 20 150 10 -10 20 150',
      ),
    ),
  );

  it('guesses by name, shape and height, and draws at full size where the drawing says millimetres', () => {
    const mapping = guess(drawing, own());
    expect(mapping.layers.map(({ layer, becomes, height }) => [layer, becomes, height.kind])).toEqual([
      ['contours', 'contour', 'elevation'],
      ['road', 'way', 'typed'],
      ['summit', 'spot', 'elevation'],
      ['edge_of_base', 'the base', 'typed'],
    ]);
    expect(mapping.mmPerUnit).toBe(1);
    const { project, count } = takeIn(own(), drawing, mapping);
    expect(count).toBe(4);
    expect(parseProject(project)).toMatchObject({ ok: true });
    expect(project.marks).toMatchObject([
      { kind: 'contour', heightMm: 20, closed: true },
      { kind: 'spot', heightMm: 42 },
    ]);
    expect(project.landforms).toMatchObject([{ kind: 'way' }]);
    // The base is that outline, and everything moved with it to the corner of its box.
    expect(baseSize(project.base)).toEqual({ widthMm: 260, depthMm: 160 });
    expect(project.marks[0].points[0]).toEqual([10, 10]);
  });

  it('heights come from what is asked for; a line without one lies at 0 and is counted', () => {
    const plan = sound(
      readGeoJson(
        '{"type":"FeatureCollection","features":[{"type":"Feature","properties":{"layer":"c","rise":30},"geometry":{"type":"LineString","coordinates":[[0,0],[200,0]]}},{"type":"Feature","properties":{"layer":"c"},"geometry":{"type":"LineString","coordinates":[[0,90],[200,90]]}}]}',
      ),
    );
    expect(layersOf(plan)).toMatchObject([{ layer: 'c', count: 2, keys: ['rise'] }]);
    const { project, notes } = takeIn(own(), plan, {
      layers: [{ layer: 'c', becomes: 'contour', height: { kind: 'property', key: 'rise' } }],
      mmPerUnit: 1,
      mmPerHeight: 0.5,
      at: [5, 5],
    });
    expect(project.marks.map((mark) => 'heightMm' in mark && mark.heightMm)).toEqual([15, 0]);
    expect(notes.join()).toContain('1 lines had no height');
  });

  it('a line of 30 000 points is thinned to what a plan carries', () => {
    const points = Array.from(
      { length: 30_000 },
      (_, k) => `[${200 + 100 * Math.cos(k / 4775)},${200 + 100 * Math.sin(k / 4775)}]`,
    );
    const plan = sound(readGeoJson(`{"type":"LineString","coordinates":[${points.join()}]}`));
    const { project } = takeIn(own(), plan, guess(plan, own()));
    expect(project.marks[0].points.length).toBeLessThanOrEqual(2000);
    expect(project.marks[0].points.length).toBeGreaterThan(20);
  });
});
