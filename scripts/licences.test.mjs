import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { asData, asMarkdown, places, shipped } from './licences.mjs';

/** Licences that let a program of any kind be built on a package (SPDX identifiers). */
const free = [
  'MIT',
  'MIT-0',
  'ISC',
  'Apache-2.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  '0BSD',
  'OFL-1.1',
  'Zlib',
  'CC0-1.0',
  'Unlicense',
  'BlueOak-1.0.0',
  'BSL-1.0',
];

describe('licences of what ships', () => {
  it('are those that stand in the list and in the application', () => {
    const list = shipped();
    expect(list.length).toBeGreaterThan(50);
    expect(list.map(({ name }) => name)).toEqual(expect.arrayContaining(['react', 'express', 'zod', 'dexie']));
    // However wide its columns are drawn.
    const plain = (text) => text.replace(/ +/g, ' ').replace(/-{3,}/g, '---');
    expect(plain(readFileSync(places.markdown, 'utf8'))).toBe(plain(asMarkdown(list)));
    expect(JSON.parse(readFileSync(places.data, 'utf8'))).toEqual(JSON.parse(asData(list)));
  });

  it('let it be given on', () => {
    const other = shipped().filter(
      ({ licence }) =>
        !licence
          .replace(/[()]/g, '')
          .split(/ OR | AND /)
          .some((one) => free.includes(one)),
    );
    expect(other).toEqual([]);
  });
});
