/** Files of other formats, sound ones broken in places: read, or refused with the reason, and never late. */
import { readFileSync } from 'node:fs';
import { type Result, readProject } from '@hosket/core';
import {
  readAsciiGrid,
  readBackup,
  readDxf,
  readGeoJson,
  readGeoTiff,
  readGreyPng,
  readMaterialsCsv,
  readSvg,
  writeAsciiGrid,
  writeBackup,
  writeDxf,
  writeGeoJson,
  writeGeoTiff,
} from '@hosket/formats';
import { seeded } from '../../core/src/testing/edits.ts';

const LONGEST_MS = 10_000;

type Reader = (bytes: Uint8Array) => Result<unknown> | Promise<Result<unknown>>;

/** One sound file of every kind with its reader. */
function soundFiles(): { kind: string; bytes: Uint8Array; read: Reader }[] {
  const sample = readFileSync(new URL('../../samples/harl-quarry.hosket.json', import.meta.url), 'utf8');
  const project = readProject(sample);
  if (!project.ok) throw new Error(project.fault.message);
  const bytesOf = (text: string) => new TextEncoder().encode(text);
  const textOf = (bytes: Uint8Array) => new TextDecoder().decode(bytes);
  const heights = { columns: 12, rows: 9, cell: 5, values: Float64Array.from({ length: 108 }, (_, n) => n % 17) };
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" width="200mm" viewBox="0 0 400 200"><g id="a" transform="rotate(3)"><path d="M0 0L9 9C1 2 3 4 5 6Z"/><circle cx="5" cy="6" r="7"/></g></svg>';
  return [
    { kind: 'svg', bytes: bytesOf(svg), read: (bytes) => readSvg(textOf(bytes)) },
    { kind: 'dxf', bytes: bytesOf(writeDxf(project.value)), read: (bytes) => readDxf(textOf(bytes)) },
    { kind: 'geojson', bytes: bytesOf(writeGeoJson(project.value)), read: (bytes) => readGeoJson(textOf(bytes)) },
    { kind: 'asc', bytes: bytesOf(writeAsciiGrid(heights)), read: (bytes) => readAsciiGrid(textOf(bytes)) },
    { kind: 'tif', bytes: new Uint8Array(writeGeoTiff(heights)), read: (bytes) => readGeoTiff(bytes.slice().buffer) },
    { kind: 'png', bytes: greyPng(), read: (bytes) => readGreyPng(bytes) },
    { kind: 'csv', bytes: bytesOf('id;name\nx;y\n'), read: (bytes) => readMaterialsCsv(textOf(bytes)) },
    { kind: 'zip', bytes: writeBackup([{ name: 'a', text: sample }]), read: (bytes) => readBackup(bytes) },
  ];
}

/** A grey picture of 4 x 4, 8 bits, stored (PNG 3rd ed.; deflate of stored blocks, RFC 1951). */
const greyPng = (): Uint8Array =>
  Uint8Array.from(
    Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAQAAAAECAAAAACMmsGiAAAAEElEQVR4nGNgYGBgQMMMAAA4AAVNEpUPAAAAAElFTkSuQmCC',
      'base64',
    ),
  );

/** Bytes put in place of others, parts taken out, doubled or moved, numbers made huge. */
function broken(bytes: Uint8Array, random: () => number): Uint8Array {
  const at = () => Math.floor(random() * bytes.length);
  const way = random();
  if (way < 0.15) return bytes.slice(0, at());
  if (way < 0.3) {
    const [a, b] = [at(), at()];
    return Uint8Array.from([...bytes.slice(0, Math.max(a, b)), ...bytes.slice(Math.min(a, b))]);
  }
  if (way < 0.6) {
    const text = new TextDecoder('latin1').decode(bytes);
    const numbers = [...text.matchAll(/\d+/g)];
    const hit = numbers[Math.floor(random() * numbers.length)];
    const put = ['99999999', '-1', '0', '1e308', 'x', '', '4294967295'][Math.floor(random() * 7)];
    const made = hit ? text.slice(0, hit.index) + put + text.slice(hit.index + hit[0].length) : text;
    return Uint8Array.from(made, (sign) => sign.charCodeAt(0));
  }
  const made = bytes.slice();
  for (let n = 0; n < 1 + random() * 8; n++) made[at()] = Math.floor(random() * 256);
  return made;
}

export async function fuzzFormats(count: number, seed: number, tell: (text: string) => void) {
  const random = seeded(seed);
  const files = soundFiles();
  const summary = { read: 0, refused: 0, slowestMs: 0, faults: [] as string[] };
  for (let n = 0; n < count; n++) {
    const { kind, bytes, read } = files[n % files.length];
    const since = performance.now();
    try {
      const got = await read(broken(bytes, random));
      if (!got.ok) summary.refused++;
    } catch (error) {
      summary.faults.push(`${kind} ${n}: ${(error as Error).message}`);
    }
    const ms = performance.now() - since;
    summary.slowestMs = Math.max(summary.slowestMs, ms);
    if (ms > LONGEST_MS) summary.faults.push(`${kind} ${n}: answered after ${(ms / 1000).toFixed(1)} s`);
    summary.read++;
    if (n % 2000 === 1999) tell(`${n + 1} files of other formats`);
  }
  return summary;
}
