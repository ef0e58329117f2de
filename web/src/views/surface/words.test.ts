import { everywhere, newCoat, startProject } from '@hosket/core';
import { describe, expect, it } from 'vitest';
import { bandPx, coatName, coatRemark } from './coatWords.ts';
import { pickedWearer, wearersOf, zoneKeyOf } from './wearers.ts';
import { whenWords } from './whenWords.ts';

const mm = (value: number) => `${value} mm`;

describe('where a rule or a coat holds, in words', () => {
  it.each([
    [{}, 'everywhere'],
    [{ slope: { from: 45, to: null } }, 'slope over 45°'],
    [{ height: { from: 10, to: 30 } }, 'height 10 mm to 30 mm'],
    [{ water: { from: null, to: 12 } }, 'up to 12 mm from water'],
    [{ shade: { from: 60, to: null }, slope: { from: null, to: 20 } }, 'slope up to 20°, over 60 % in shade'],
  ])('%j', (limits, words) => expect(whenWords({ ...everywhere(), ...limits }, mm)).toBe(words));
});

describe('a coat in words', () => {
  it('its colour before its material; a material that nobody knows is named as such', () => {
    const material = { id: 'acrylic', name: 'Acrylic paint, brushed' };
    const coat = newCoat('a', 'paint', 'acrylic', { colour: 'soil brown' });
    expect(coatName(coat, material as Parameters<typeof coatName>[1])).toBe('soil brown (acrylic paint, brushed)');
    expect(coatName(newCoat('b', 'paint', 'moon dust'), null)).toBe('moon dust (not in the catalogue)');
  });

  it('says what differs from one coat over all of it', () => {
    expect(coatRemark(newCoat('a', 'paint', 'acrylic'), mm)).toBe('');
    const change = {
      coats: 3,
      sharePercent: 40,
      thinParts: 5,
      when: { ...everywhere(), slope: { from: 30, to: null } },
    };
    expect(coatRemark(newCoat('b', 'dry-brush', 'dry-brush', change), mm)).toBe(
      '3 tones, 40 % of it, 1:5 with water, where slope over 30°',
    );
    expect(coatRemark(newCoat('c', 'plant', 'tuft', { per100Cm2: 6 }), mm)).toBe('6 on 100 cm²');
  });

  it('thicker coats are drawn taller, none too thin to be read', () => {
    const tall = (thicknessMm: number | null) => bandPx(newCoat('a', 'skin', 'compound', { thicknessMm }));
    expect(tall(null)).toBeGreaterThanOrEqual(28);
    expect(tall(2)).toBeGreaterThan(tall(0.5));
    expect(tall(500)).toBe(tall(30));
  });
});

describe('what wears a recipe', () => {
  const project = {
    ...startProject('w', '2027-03-01', 'ground'),
    zones: {
      rules: [{ id: 'steep', name: 'Steep', cover: 'rock' as const, recipe: 'rock', when: everywhere() }],
      rest: 'grass' as const,
    },
  };
  const report = {
    zones: [
      { id: 'steep', name: 'Steep', by: 'rule', trueMm2: 10 },
      { id: null, name: 'Everything else', by: 'rest', trueMm2: 20 },
    ],
    dressed: [{ id: 'edges of the base', name: 'Edges of the base', trueMm2: 5, lengthM: 1, recipe: null }],
  } as unknown as Parameters<typeof wearersOf>[1];
  const worn = wearersOf(project, report);

  it('zones with their own recipe or the project’s, then the sides', () => {
    expect(worn.map(({ key, recipe }) => [key, recipe])).toEqual([
      ['steep', 'rock'],
      ['rest', project.surface.recipe],
      ['edges', null],
    ]);
    expect(worn[0].wearer).toEqual({ of: 'rule', id: 'steep' });
  });

  it('a zone that is gone falls back to the rest', () => {
    expect(pickedWearer(worn, 'edges').name).toBe('Edges of the base');
    expect(pickedWearer(worn, 'gone').key).toBe('rest');
    expect(zoneKeyOf(null)).toBe('rest');
    expect(zoneKeyOf('walls of the box')).toBe('walls');
  });
});
