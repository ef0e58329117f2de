import { type Item, isClosed, itemsOf, nameOf, type Point, type Project, runOf } from '@hosket/core';
import { DxfWriter, LWPolylineFlags, point2d, Units } from '@tarikjabiri/dxf';
import { writeArrayBuffer } from 'geotiff';
import { onTheEquator } from './geojson.ts';

/** The height that a line has along its whole length, mm. */
const levelOf = (item: Item): number | null =>
  item.kind === 'contour' || item.kind === 'spot' || item.kind === 'pad'
    ? item.heightMm
    : item.kind === 'basin'
      ? item.waterMm
      : null;

/** The plan as DXF in millimetres: a layer for each kind of thing, lines of one height lifted to it. */
export function writeDxf(project: Project): string {
  const writer = new DxfWriter();
  writer.setUnits(Units.Millimeters);
  const layers = new Set<string>();
  for (const item of itemsOf(project)) {
    if (!layers.has(item.kind)) {
      writer.addLayer(item.kind, 7, 'Continuous');
      layers.add(item.kind);
    }
    const elevation = levelOf(item) ?? 0;
    const run = runOf(item);
    if (run.length === 1) writer.addPoint(run[0][0], run[0][1], elevation, { layerName: item.kind });
    else
      writer.addLWPolyline(
        run.map(([x, y]) => ({ point: point2d(x, y) })),
        {
          layerName: item.kind,
          elevation,
          flags: isClosed(item) ? LWPolylineFlags.Closed : LWPolylineFlags.None,
        },
      );
  }
  return writer.stringify();
}

/**
 * The plan as GeoJSON (RFC 7946): real sizes round 0 degrees east and north, by the scale of the work; heights as the third number and as properties in mm
 * on the model. Outlines run counter-clockwise.
 */
export function writeGeoJson(project: Project): string {
  const metres = (project.scale ?? 1) / 1000;
  const place = ([x, y]: Point, level: number | null) => {
    const [lon, lat] = onTheEquator([x * metres, y * metres]);
    const rounded = [Number(lon.toFixed(9)), Number(lat.toFixed(9))];
    return level === null ? rounded : [...rounded, Number((level * metres).toFixed(4))];
  };
  const features = itemsOf(project).map((item) => {
    const level = levelOf(item);
    const run = runOf(item).map((point) => place(point, level));
    const closed = isClosed(item);
    const ring = closed && twiceArea(runOf(item)) < 0 ? [...run].reverse() : run;
    const geometry =
      run.length === 1
        ? { type: 'Point', coordinates: run[0] }
        : closed
          ? { type: 'Polygon', coordinates: [[...ring, ring[0]]] }
          : { type: 'LineString', coordinates: run };
    return {
      type: 'Feature',
      properties: { layer: item.kind, name: nameOf(item), ...(level === null ? {} : { heightMm: level }) },
      geometry,
    };
  });
  return `${JSON.stringify({ type: 'FeatureCollection', features }, null, 1)}\n`;
}

function twiceArea(ring: readonly Point[]): number {
  return ring.reduce((sum, [x, y], k) => {
    const [u, v] = ring[(k + 1) % ring.length];
    return sum + x * v - u * y;
  }, 0);
}

/** A lattice of heights, row by row from the near left corner. */
interface Heights {
  columns: number;
  rows: number;
  cell: number;
  values: ArrayLike<number>;
}

/** Heights as a GeoTIFF of one band of 32-bit floats, in a plane of its own (no place on Earth), in the unit they are given in. */
export function writeGeoTiff({ columns, rows, cell, values }: Heights): ArrayBuffer {
  const turned = new Float32Array(columns * rows);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) turned[(rows - 1 - j) * columns + i] = values[j * columns + i];
  return writeArrayBuffer(turned, {
    width: columns,
    height: rows,
    GTModelTypeGeoKey: 1,
    GeographicTypeGeoKey: USER_DEFINED,
    ProjectedCSTypeGeoKey: USER_DEFINED,
    ModelPixelScale: [cell, cell, 0],
    ModelTiepoint: [0, 0, 0, 0, (rows - 1) * cell, 0],
  }) as ArrayBuffer;
}

/** GeoTIFF 1.1: a system that the file does not name. */
const USER_DEFINED = 32_767;

/** Heights as an ESRI ASCII grid, in the unit they are given in. */
export function writeAsciiGrid({ columns, rows, cell, values }: Heights): string {
  const lines = [
    `ncols ${columns}`,
    `nrows ${rows}`,
    'xllcorner 0',
    'yllcorner 0',
    `cellsize ${cell}`,
    'NODATA_value -9999',
  ];
  for (let j = rows - 1; j >= 0; j--)
    lines.push(Array.from({ length: columns }, (_, i) => Number(values[j * columns + i].toFixed(3))).join(' '));
  return `${lines.join('\n')}\n`;
}
