import { readFileSync } from 'node:fs';
import { readProject, startProject, writeProject } from '@hosket/core';
import fc from 'fast-check';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { readBackup, writeBackup } from './backup.ts';

const sample = (name: string) => readFileSync(new URL(`../../samples/${name}.hosket.json`, import.meta.url), 'utf8');

describe('a backup', () => {
  it('gives every project back as it was, two of one name too', () => {
    const own = writeProject(startProject('Same name', '2027-03-01'));
    const files = [
      { name: 'Harl Quarry', text: sample('harl-quarry') },
      { name: 'Same name', text: own },
      { name: 'Same name', text: own.replace('2027-03-01', '2027-03-02') },
      { name: '../../etc/pass: *?', text: own },
    ];
    const read = readBackup(writeBackup(files));
    if (!read.ok) throw new Error(read.fault.message);
    expect(read.value.map(({ text }) => text)).toEqual(files.map(({ text }) => text));
    for (const { text } of read.value) expect(readProject(text).ok).toBe(true);
    // No name leads out of the folder it is unpacked to.
    for (const name of Object.keys(unzipSync(writeBackup(files))))
      expect(name).toMatch(/^\d+ [\p{L}\p{N} ]+\.hosket\.json$/u);
  });

  it('takes what a common zip library packs, and leaves other files alone', () => {
    const read = readBackup(zipSync({ 'a/1 Mine.hosket.json': strToU8('{}'), 'readme.txt': strToU8('no') }));
    expect(read.ok && read.value).toEqual([{ name: 'a/1 Mine', text: '{}' }]);
  });

  it('anything else is refused with a reason, whatever it holds', () => {
    expect(readBackup(zipSync({ 'a.txt': strToU8('no') }))).toMatchObject({
      ok: false,
      fault: { message: 'There is no project in it.' },
    });
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 400 }), (bytes) => {
        const read = readBackup(bytes);
        expect(read.ok || read.fault.remedy.length > 0).toBe(true);
      }),
      { numRuns: 300 },
    );
    const whole = writeBackup([{ name: 'x', text: sample('vessa-terraces') }]);
    fc.assert(
      fc.property(fc.nat(whole.length - 1), fc.nat(255), (at, value) => {
        const broken = whole.slice();
        broken[at] = value;
        const read = readBackup(broken);
        if (read.ok) for (const { text } of read.value) expect(typeof readProject(text).ok).toBe('boolean');
      }),
      { numRuns: 60 },
    );
  });
});
