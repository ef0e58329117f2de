import type { Result } from '@hosket/core';
import type { HeightGrid, PlanDrawing } from '@hosket/formats';
import { MOST_BYTES } from '@hosket/formats/limits';
import { transfer } from 'comlink';
import { type FilesAfar, withFiles } from '../../worker/files.ts';

/** What a file turned out to be. */
export type Brought =
  | { kind: 'plan'; name: string; drawing: PlanDrawing }
  | { kind: 'heights'; name: string; grid: HeightGrid }
  /** A picture; a PNG may also be read as heights. */
  | { kind: 'picture'; name: string; file: File }
  | { kind: 'wrong'; text: string };

const megabytes = (bytes: number) => Math.round(bytes / 1e6);
export const accepted = '.svg,.dxf,.geojson,.json,.asc,.txt,.tif,.tiff,.png,.jpg,.jpeg,.webp';

/** Reads a file by what its name says it is. */
export async function readFile(file: File): Promise<Brought> {
  const { name } = file;
  const ending = /\.([a-z0-9]+)$/i.exec(name)?.[1].toLowerCase() ?? '';
  if (file.size > MOST_BYTES)
    return wrong(
      `${name} is too large: ${megabytes(file.size)} MB, and ${megabytes(MOST_BYTES)} MB are the most.\nScan it at 150 dots to the inch, or save it smaller.`,
    );
  if (file.size === 0) return wrong(`${name} is empty.\nChoose another file.`);
  const plan = (read: (calls: FilesAfar, text: string) => Promise<Result<PlanDrawing>>) =>
    withFiles(`Reading ${name}`, async (calls) => asPlan(name, await read(calls, await file.text())));
  try {
    switch (ending) {
      case 'svg':
        return await plan((calls, text) => calls.readSvg(text));
      case 'dxf':
        return await plan((calls, text) => calls.readDxf(text));
      case 'geojson':
      case 'json':
        return await plan((calls, text) => calls.readGeoJson(text));
      case 'asc':
      case 'txt':
        return await heights(name, async (calls) => calls.readAsciiGrid(await file.text()));
      case 'tif':
      case 'tiff':
        return await heights(name, async (calls) => {
          const bytes = await file.arrayBuffer();
          return calls.readGeoTiff(transfer(bytes, [bytes]));
        });
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
    return notRead(name, error);
  }
}

const notRead = (name: string, error: unknown): Brought => wrong(`${name} was not read: ${(error as Error).message}.`);

const heights = (name: string, read: (calls: FilesAfar) => Promise<Result<HeightGrid>>): Promise<Brought> =>
  withFiles(`Reading ${name}`, async (calls) => asHeights(name, await read(calls)));

/** A PNG read as heights. */
export async function readPngHeights(file: File): Promise<Brought> {
  try {
    return await heights(file.name, async (calls) => calls.readGreyPng(new Uint8Array(await file.arrayBuffer())));
  } catch (error) {
    return notRead(file.name, error);
  }
}

/** Made-up heights of a place, from the stand-in on the server. */
export async function readPlace(place: string): Promise<Brought> {
  try {
    const response = await fetch(`/api/elevation?place=${encodeURIComponent(place)}`);
    const text = await response.text();
    if (!response.ok) return wrong(`There are no heights for "${place}": ${text}`);
    return await heights(place, (calls) => calls.readAsciiGrid(text));
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
