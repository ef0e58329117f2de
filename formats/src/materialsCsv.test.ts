import { catalogueOf, noMaterials, type OwnMaterials, shippedMaterials } from '@hosket/core';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { readMaterialsCsv, writeMaterialsCsv } from './materialsCsv.ts';

const own: OwnMaterials = {
  added: [
    {
      id: 'creek sand',
      name: 'Sand, "sharp"; from the creek',
      form: 'loose',
      values: {
        bulkKgPerL: {
          low: 1.4,
          likely: 1.5,
          high: 1.65,
          source: { kind: 'yours', confidence: 'B', note: 'weighed, dry' },
        },
      },
      facts: [],
      use: '',
      caution: '',
      packs: [],
    },
  ],
  values: [{ material: 'acrylic', property: 'spreadM2PerL', low: 7.5, likely: 8.5, high: 9.5, note: 'two bases' }],
};

describe('materials as a table', () => {
  it.each([false, true])('own figures and materials come back, semicolons and decimal commas: %s', (semicolons) => {
    const text = writeMaterialsCsv(catalogueOf(own).materials, own, semicolons);
    const read = readMaterialsCsv(text);
    expect(read).toEqual({ ok: true, value: own });
    expect(readMaterialsCsv(`\uFEFF${text}`)).toEqual({ ok: true, value: own });
  });

  it('read back by another reader: every figure of the shelf is a line, quotes and separators kept', () => {
    const text = writeMaterialsCsv(catalogueOf(own).materials, own, true);
    const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
    expect(errors).toEqual([]);
    const figures = shippedMaterials.reduce((sum, { values }) => sum + Object.keys(values).length, 0);
    expect(data).toHaveLength(figures + 1);
    expect(data.at(-1)).toMatchObject({ name: 'Sand, "sharp"; from the creek', likely: '1,5', source: 'yours' });
    expect(data.find(({ source }) => source === 'yours')).toMatchObject({
      material: 'acrylic',
      low: '7,5',
      unit: 'm2/L',
    });
  });

  it('a table of shipped figures alone changes nothing', () =>
    expect(readMaterialsCsv(writeMaterialsCsv(shippedMaterials, noMaterials()))).toEqual({
      ok: true,
      value: noMaterials(),
    }));

  it.each([
    ['a,b\r\n1,2', 'line 1', 'columns are missing'],
    ['material,name,form,figure,unit,low,likely,high,source\r\nx,X,loose,weight,g,1,2,3,yours', 'line 2', 'no figure'],
    [
      'material,name,form,figure,unit,low,likely,high,source\r\nx,X,loose,price,,a,2,3,yours',
      'line 2',
      'must be numbers',
    ],
    ['material,name,form,figure,unit,low,likely,high,source\r\nx,X,loose,price,,5,2,3,yours', 'line 2', 'must rise'],
    ['material,name,form,figure,unit,low,likely,high,source\r\nx,X,glitter,price,,1,2,3,yours', 'line 2', 'no kind'],
    ['material,name,form,figure,unit,low,likely,high,source\r\n,X,loose,price,,1,2,3,yours', 'line 2', 'no id'],
  ])('%s is refused at its line', (text, place, why) => {
    const read = readMaterialsCsv(text);
    if (read.ok) throw new Error('it was taken');
    expect(read.fault.place).toBe(place);
    expect(read.fault.message).toContain(why);
  });
});
