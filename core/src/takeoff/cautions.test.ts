import { describe, expect, it } from 'vitest';
import { catalogueOf, noMaterials, shippedMaterials } from '../materials/index.ts';
import { cutTools } from '../project/index.ts';
import {
  carvingCautions,
  coatCautions,
  cuttingCautions,
  deferral,
  materialCautions,
  wiringCautions,
} from './cautions.ts';

const catalogue = catalogueOf(noMaterials());
const brush = { tool: 'brush' as const, operation: 'paint' as const };

describe('cautions', () => {
  it.each(cutTools)('cutting with a %s has its own', (tool) => {
    const [said] = cuttingCautions(tool);
    expect(said.length).toBeGreaterThan(20);
    if (tool === 'hot wire') {
      expect(said).toContain('organic-vapour mask');
      expect(said).toContain('a dust mask alone does nothing');
    }
  });

  it.each([
    ['flammable', 'no flame'],
    ['solvent', 'never on bare foam'],
    ['alkaline', 'gloves and goggles'],
  ] as const)('everything %s says so', (fact, words) => {
    const such = shippedMaterials.filter(({ facts }) => facts.includes(fact));
    expect(such.length).toBeGreaterThan(0);
    for (const { id } of such) expect(materialCautions(catalogue, [id]).join(' '), id).toContain(words);
  });

  it('polyurethane, super glue, plaster and alcohol carry those of the trade', () => {
    const of = (id: string) => materialCautions(catalogue, [id]).join(' ');
    expect(of('polyurethane')).toContain('Isocyanate');
    expect(of('super glue')).toContain('Bonds skin');
    expect(of('compound')).toContain('never round a hand');
    expect(of('alcohol')).toContain('never at the same time');
    expect(of('grass 4 mm')).toContain('pacemakers');
  });

  it('what two materials share is said once', () => {
    const both = materialCautions(catalogue, ['soil', 'fine sand']);
    expect(new Set(both).size).toBe(both.length);
    expect(materialCautions(catalogue, ['nobody knows it'])).toEqual([]);
  });

  it('the tool adds its own: mist of an airbrush, a spray can, plaster by hand', () => {
    expect(coatCautions(catalogue, { ...brush, tool: 'airbrush' }, ['acrylic']).join(' ')).toContain('mist');
    expect(coatCautions(catalogue, { ...brush, tool: 'spray can' }, ['acrylic']).join(' ')).toContain('Outdoors');
    const byHand = { tool: 'hand' as const, operation: 'skin' as const };
    expect(coatCautions(catalogue, byHand, ['plaster']).join(' ')).toContain('Gloves');
    expect(coatCautions(catalogue, byHand, ['clay']).join(' ')).not.toContain('Gloves');
    expect(coatCautions(catalogue, brush, ['gesso'])).toEqual(['Frost spoils it in its pot and on the work.']);
  });

  it('dust that may hold silica, plaster that must not get hot, frost', () => {
    for (const powder of ['plaster', 'compound', 'filler', 'cement filler'])
      expect(materialCautions(catalogue, [powder]).join(' ')).toMatch(/mask.*silica.*40 to 50/);
    for (const loose of ['grout', 'fine sand', 'soil'])
      expect(materialCautions(catalogue, [loose]).join(' ')).toMatch(/mask/i);
    expect(materialCautions(catalogue, ['joint compound']).join(' ')).toContain('Frost');
    expect(materialCautions(catalogue, ['coarse turf']).join(' ')).not.toContain('silica');
  });

  it('foam dust, wiring, and who decides in the end', () => {
    expect(carvingCautions().join(' ')).toContain('Dust mask');
    expect(wiringCautions().join(' ')).toContain('licensed person');
    for (const words of ['safety sheet', 'local rules', 'licensed person', 'with an adult'])
      expect(deferral).toContain(words);
  });
});
