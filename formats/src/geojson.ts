import { bad, good, type Point, type Result, readJson } from '@hosket/core';
import {
  boxOfLines,
  closedIfItIs,
  counted,
  type DrawnLine,
  type PlanDrawing,
  thinned,
  withFewLayers,
} from './drawing.ts';
import { MOST_DEPTH, MOST_POINTS, tooDeep, tooManyPoints } from './limits.ts';

/** Metres of one degree of latitude on a ball of the Earth's mean radius (6 371 008.8 m, from memory). */
const METRES_PER_DEGREE = (Math.PI * 6_371_008.8) / 180;

type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Reads GeoJSON (RFC 7946): every geometry of a feature collection, a feature or a bare geometry. Longitudes and latitudes become metres round the middle of
 * the drawing; coordinates beyond those of the Earth are taken as plain units.
 */
export function readGeoJson(text: string): Result<PlanDrawing> {
  const read = readJson(text);
  if (!read.ok) return read;
  const document = read.value;
  if (!isObject(document) || typeof document.type !== 'string')
    return bad('geojson', 'type', 'The file is no GeoJSON: it has no "type".', 'Choose a *.geojson file (RFC 7946).');
  const lines: DrawnLine[] = [];
  const skipped: Skipped = { places: 0, kinds: new Set(), points: 0, deep: false };
  const features = document.type === 'FeatureCollection' ? document.features : [document];
  if (!Array.isArray(features))
    return bad('geojson', 'features', 'The feature collection has no features.', 'Export it again.');
  features.forEach((feature, k) => {
    if (!isObject(feature)) return;
    const [geometry, properties] =
      feature.type === 'Feature' ? [feature.geometry, feature.properties] : [feature, null];
    if (skipped.points <= MOST_POINTS)
      gather(geometry, plainProperties(properties), `feature ${k + 1}`, lines, skipped, 0);
  });
  if (skipped.deep) return tooDeep('features');
  if (skipped.points > MOST_POINTS) return tooManyPoints('features');
  if (!lines.length)
    return bad('empty', 'features', 'There is no line, area or point in the file.', 'Choose a file that has some.');
  const notes = [
    ...(skipped.places
      ? [`${counted(skipped.places, 'geometry', 'geometries')} without readable coordinates left out.`]
      : []),
    ...[...skipped.kinds].map((kind) => `"${kind}" is no geometry of GeoJSON; it was left out.`),
  ];
  return good(withFewLayers(placed(lines, notes)));
}

function plainProperties(properties: unknown): DrawnLine['properties'] {
  if (!isObject(properties)) return {};
  return Object.fromEntries(
    Object.entries(properties).filter((entry): entry is [string, string | number] =>
      ['string', 'number'].includes(typeof entry[1]),
    ),
  );
}

interface Skipped {
  places: number;
  kinds: Set<string>;
  /** So many points were taken. */
  points: number;
  /** Whether collections stood deeper in one another than can be followed. */
  deep: boolean;
}

function gather(
  geometry: unknown,
  properties: DrawnLine['properties'],
  layer: string,
  lines: DrawnLine[],
  skipped: Skipped,
  depth: number,
): void {
  if (!isObject(geometry)) return;
  if (depth > MOST_DEPTH) {
    skipped.deep = true;
    return;
  }
  const { type, coordinates } = geometry;
  const list = Array.isArray(coordinates) ? coordinates : [];
  const named = String(properties.layer ?? properties.name ?? properties.kind ?? layer);
  const add = (positions: unknown, closed: boolean) => {
    const read = positionsOf(positions);
    if (!read || (closed && read.points.length < 3)) {
      skipped.places++;
      return;
    }
    skipped.points += read.points.length;
    lines.push({ layer: named, points: read.points, closed, elevation: read.elevation, properties });
  };
  const ring = (positions: unknown) => add(Array.isArray(positions) ? positions.slice(0, -1) : positions, true);
  switch (type) {
    case 'Point':
      add([coordinates], false);
      break;
    case 'MultiPoint':
      for (const position of list) add([position], false);
      break;
    case 'LineString':
      add(list, false);
      break;
    case 'MultiLineString':
      for (const line of list) add(line, false);
      break;
    case 'Polygon':
      for (const positions of list) ring(positions);
      break;
    case 'MultiPolygon':
      for (const polygon of list) if (Array.isArray(polygon)) for (const positions of polygon) ring(positions);
      break;
    case 'GeometryCollection':
      for (const part of Array.isArray(geometry.geometries) ? geometry.geometries : [])
        gather(part, properties, layer, lines, skipped, depth + 1);
      break;
    default:
      skipped.kinds.add(String(type));
  }
}

/** Positions with their common height, where all have the same third number. */
function positionsOf(list: unknown): { points: Point[]; elevation: number | null } | null {
  if (!Array.isArray(list) || !list.length) return null;
  const points: Point[] = [];
  const heights = new Set<number | undefined>();
  for (const position of list) {
    if (!Array.isArray(position) || !Number.isFinite(position[0]) || !Number.isFinite(position[1])) return null;
    points.push([position[0], position[1]]);
    heights.add(Number.isFinite(position[2]) ? position[2] : undefined);
  }
  const [only] = heights;
  return { points: thinned(points), elevation: heights.size === 1 && only !== undefined ? only : null };
}

function placed(lines: DrawnLine[], notes: string[]): PlanDrawing {
  const [west, south, east, north] = boxOfLines(lines);
  const onEarth = west >= -180 && east <= 180 && south >= -90 && north <= 90;
  const closing = (line: DrawnLine): DrawnLine =>
    line.closed || line.points.length < 3 ? line : { ...line, ...closedIfItIs(line.points) };
  if (!onEarth) {
    notes.push('The coordinates are no longitudes and latitudes: they are taken as plain units.');
    return { lines: lines.map(closing), unitMm: null, unit: 'unit of the drawing', notes };
  }
  const middle = [(west + east) / 2, (south + north) / 2];
  const shrink = Math.cos((middle[1] * Math.PI) / 180);
  const flat = ([lon, lat]: Point): Point => [
    (lon - middle[0]) * METRES_PER_DEGREE * shrink,
    (lat - middle[1]) * METRES_PER_DEGREE,
  ];
  notes.push('Longitudes and latitudes were laid flat round the middle of the drawing, in metres.');
  return {
    lines: lines.map((line) => closing({ ...line, points: line.points.map(flat) })),
    unitMm: 1000,
    unit: 'metre',
    notes,
  };
}

/** Longitude and latitude of a place so many metres from 0, 0: the way back of what the reader does there. */
export const onTheEquator = ([x, y]: Point): Point => [x / METRES_PER_DEGREE, y / METRES_PER_DEGREE];
