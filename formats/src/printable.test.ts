import type { BedReport } from '@hosket/core';
import DxfParser from 'dxf-parser';
import { XMLValidator } from 'fast-xml-parser';
import { strFromU8, unzipSync } from 'fflate';
import { expect, it } from 'vitest';
import { sheetDxf, sheetSvg, writeThreeMf } from './index.ts';
import { printable } from './printable.ts';

/** Everything below a blank, DEL and what follows it, half of a pair, two line ends of their own, and two signs that are none; then what XML lends its own meaning. */
const nasty = `${String.fromCharCode(...Array.from({ length: 32 }, (_, k) => k), 127, 0x85, 0xd800, 0x2028, 0x2029, 0xfffe, 0xffff)}<&">é😀`;

it('keeps what can be printed, in any script, and nothing else', () => {
  expect(printable(`a${nasty}b`)).toBe('a <&">é😀b');
  expect(printable('Größe 20 mm, 高さ')).toBe('Größe 20 mm, 高さ');
});

it('names of any signs leave XML well formed and DXF readable', () => {
  const body = { name: nasty, corners: [], faces: [] };
  const model = strFromU8(unzipSync(writeThreeMf(nasty, [body]))['3D/3dmodel.model']);
  expect(XMLValidator.validate(model)).toBe(true);
  expect(model.replaceAll('\n', '')).toBe(printable(model.replaceAll('\n', '')));
  const square = [
    [0, 0],
    [10, 0],
    [10, 10],
  ] as [number, number][];
  const lies = { outer: square, holes: [] };
  const bed = { outline: square, pieces: [{ piece: nasty, xMm: 1, yMm: 2, lies }], left: [] } as unknown as BedReport;
  const svg = sheetSvg(bed);
  expect(XMLValidator.validate(svg)).toBe(true);
  expect(svg).toContain('&lt;&amp;&quot;&gt;é😀');
  const words = new DxfParser().parseSync(sheetDxf(bed))?.entities.find(({ type }) => type === 'TEXT');
  expect((words as unknown as { text: string }).text).toContain('<&">');
});
