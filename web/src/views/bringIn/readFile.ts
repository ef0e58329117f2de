import type { Result } from '@hosket/core';
import type { HeightGrid, PlanDrawing } from '@hosket/formats';

/** What a file turned out to be. */
export type Brought =
  | { kind: 'plan'; name: string; drawing: PlanDrawing }
  | { kind: 'heights'; name: string; grid: HeightGrid }
  /** A picture; a PNG may also be read as heights. */
  | { kind: 'picture'; name: string; file: File }
  | { kind: 'wrong'; text: string };

const MOST_BYTES = 60_000_000;
const megabytes = (bytes: number) => Math.round(bytes / 1e6);
export const accepted = '.svg,.dxf,.geojson,.json,.asc,.txt,.tif,.tiff,.png,.jpg,.jpeg,.webp';

/** Readers are heavy: they come when a file does. */
const formats = () => import('@hosket/formats');

/** Reads a file by what its name says it is. */
export async function readFile(file: File): Promise<Brought> {
  const { name } = file;
  const ending = /\.([a-z0-9]+)$/i.exec(name)?.[1].toLowerCase() ?? '';
  if (file.size > MOST_BYTES)
    return wrong(
      `${name} is too large: ${megabytes(file.size)} MB, and ${megabytes(MOST_BYTES)} MB are the most.\nScan it at 150 dots to the inch, or save it smaller.`,
    );
  if (file.size === 0) return wrong(`${name} is empty.\nChoose another file.`);
  try {
    const read = await formats();
    switch (ending) {
      case 'svg':
        return asPlan(name, read.readSvg(await file.text()));
      case 'dxf':
        return asPlan(name, read.readDxf(await file.text()));
      case 'geojson':
      case 'json':
        return asPlan(name, read.readGeoJson(await file.text()));
      case 'asc':
      case 'txt':
        return asHeights(name, read.readAsciiGrid(await file.text()));
      case 'tif':
      case 'tiff':
        return asHeights(name, await read.readGeoTiff(await file.arrayBuffer()));
      case 'png':
      case 'jpg':
      case 'jpeg':
      case 'webp':
        return { kind: 'picture', name, file };
      default:
        return wrong(
          `${name}: files that end in "${ending || 'nothing'}" cannot be read.\nPlans: SVG, DXF, GeoJSON. Heights: ASCII grid, GeoTIFF, grey PNG. Pictures: PNG, JPEG, WebP.`,
        );
    }
  } catch (error) {
    return wrong(`${name} was not read: ${(error as Error).message}.`);
  }
}

/** A PNG read as heights. */
export async function readPngHeights(file: File): Promise<Brought> {
  const { readGreyPng } = await formats();
  return asHeights(file.name, readGreyPng(new Uint8Array(await file.arrayBuffer())));
}

/** Made-up heights of a place, from the stand-in on the server. */
export async function readPlace(place: string): Promise<Brought> {
  try {
    const response = await fetch(`/api/elevation?place=${encodeURIComponent(place)}`);
    const text = await response.text();
    if (!response.ok) return wrong(`There are no heights for "${place}": ${text}`);
    const { readAsciiGrid } = await formats();
    return asHeights(place, readAsciiGrid(text));
  } catch {
    return wrong(`The server that makes up heights does not answer.\nStart Hosket again, or choose a file of heights.`);
  }
}

const wrong = (text: string): Brought => ({ kind: 'wrong', text });
const faultOf = (name: string, read: Extract<Result<unknown>, { ok: false }>): Brought =>
  wrong(`${name} was not brought in.\n${read.fault.place}: ${read.fault.message}\n${read.fault.remedy}`);
const asPlan = (name: string, read: Result<PlanDrawing>): Brought =>
  read.ok ? { kind: 'plan', name, drawing: read.value } : faultOf(name, read);
const asHeights = (name: string, read: Result<HeightGrid>): Brought =>
  read.ok ? { kind: 'heights', name, grid: read.value } : faultOf(name, read);
