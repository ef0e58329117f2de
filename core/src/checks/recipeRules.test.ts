import { describe, expect, it } from 'vitest';
import { moveCoat, newCoat, overrule, type Project } from '../index.ts';
import { codes, dressed, findings, found, grass, paint, seal, skin } from '../testing/dressed.ts';
import { circle } from '../testing/solids.ts';

const stones = newCoat('stones', 'scatter', 'small stones');
const right = [skin, seal, paint, grass, stones];

describe('the order of coats', () => {
  const orderCodes = ['seal-under-paste', 'colour-under-seal', 'colour-over-grass', 'grass-after-stones'];
  it('the order of the trade is passed', () =>
    expect(codes(dressed(right)).filter((code) => orderCodes.includes(code))).toEqual([]));

  it.each([
    ['seal-under-paste', [seal, skin, paint], 'Joints and paste dry first'],
    ['colour-under-seal', [skin, paint, seal], 'Seal before colour'],
    ['colour-over-grass', [skin, seal, grass, paint], 'Colour before grass'],
    ['grass-after-stones', [skin, seal, paint, stones, grass], 'Grass before loose stones'],
  ] as const)(
    '%s: named by its recipe and coat, with its reason; moving the coat as it says mends it',
    (code, coats, remedy) => {
      const project = dressed([...coats]);
      const finding = found(project, code);
      expect(finding).toMatchObject({ severity: 'warn', band: 'surface', place: 'Meadow' });
      expect(finding.remedy).toContain(remedy);
      expect(finding.reason?.length).toBeGreaterThan(20);
      const { mend } = finding;
      if (!mend) throw new Error('nothing mends it');
      const [recipe] = project.recipes;
      const mended = { ...project, recipes: [moveCoat(recipe, mend.coat, mend.to)] };
      expect(codes(mended).filter((one) => orderCodes.includes(one))).toEqual([]);
    },
  );

  it('a finding overruled stays in the list with its note, after those that count', () => {
    const wrong = dressed([skin, seal, paint, stones, grass]);
    const { code, place } = found(wrong, 'grass-after-stones');
    const list = findings(overrule(wrong, { code, place }, 'the stones are glued for good'));
    expect(list.at(-1)).toMatchObject({ code, overruled: 'the stones are glued for good' });
    expect(list.filter(({ overruled }) => overruled === undefined).map((one) => one.code)).not.toContain(code);
  });

  it('colour on bare plaster is only noted', () => {
    expect(found(dressed([skin, paint]), 'nothing-seals').severity).toBe('note');
    expect(codes(dressed(right))).not.toContain('nothing-seals');
  });

  it('buildings are masked before grass; where there are none nothing is said', () => {
    const house = {
      kind: 'stood' as const,
      id: 'h',
      name: 'Mill',
      hidden: false,
      locked: false,
      points: [[80, 50]] as [number, number][],
    };
    expect(codes(dressed(right))).not.toContain('mask-footprints');
    const start = dressed(right);
    const laid = {
      ...house,
      kind: 'building' as const,
      points: [
        [70, 40],
        [90, 40],
        [90, 60],
        [70, 60],
      ] as [number, number][],
      heightMm: 30,
      beddedMm: 1,
      marginMm: 0,
      densityKgL: null,
    };
    const withMill = { ...start, laid: [laid as unknown as Project['laid'][number]] };
    expect(found(withMill, 'mask-footprints').message).toContain('Mill');
  });
});

describe('what eats foam', () => {
  const spray = newCoat('spray', 'paint', 'spray primer', { tool: 'spray can' });
  const safe = newCoat('safe', 'varnish', 'matt varnish, foam-safe spray', { tool: 'spray can' });

  it('a solvent spray on bare foam is warned off, a foam-safe one passes', () => {
    expect(found(dressed([spray, skin]), 'solvent-on-bare-foam').message).toContain('spray primer');
    expect(codes(dressed([safe, skin]))).not.toContain('solvent-on-bare-foam');
  });

  it('over a whole seal it passes; over a seal of part of the ground it does not', () => {
    expect(codes(dressed([skin, seal, spray]))).not.toContain('solvent-on-bare-foam');
    const part = { ...seal, sharePercent: 60 };
    expect(codes(dressed([skin, part, spray]))).toContain('solvent-on-bare-foam');
    expect(found(dressed([skin, spray, seal]), 'solvent-on-bare-foam').mend).toEqual({
      recipe: 'usual',
      coat: 'spray',
      to: 2,
    });
  });

  it('an oil wash has a thinner that eats foam as well', () =>
    expect(codes(dressed([skin, newCoat('w', 'wash', 'oil wash')]))).toContain('solvent-on-bare-foam'));

  it.each([
    ['solvent grab', 'glue-eats-foam', 'stop'],
    ['super glue', 'glue-eats-foam', 'stop'],
    ['hot glue, high temperature', 'glue-too-hot', 'warn'],
  ] as const)('%s between the layers', (glue, code, severity) => {
    const start = dressed(right);
    const glued = { ...start, stacking: { ...start.stacking, glue } };
    expect(found(glued, code).severity).toBe(severity);
  });

  it.each(['foam-safe super glue', 'contact spray', 'hot glue', 'polyurethane'] as const)('%s passes', (glue) => {
    const start = dressed(right);
    const list = codes({ ...start, stacking: { ...start.stacking, glue } });
    expect(list).not.toContain('glue-eats-foam');
    expect(list).not.toContain('glue-too-hot');
  });

  it('ordinary super glue on layers of cork passes', () => {
    const start = dressed(right);
    const sheets = start.sheets.map((sheet) => ({ ...sheet, material: 'cork' as const }));
    expect(codes({ ...start, sheets, stacking: { ...start.stacking, glue: 'super glue' } })).not.toContain(
      'glue-eats-foam',
    );
  });

  it('white PVA in the lowest joint of a wide stack: how long, and what else', () => {
    const start = dressed(right);
    const wide: Project = {
      ...start,
      base: { ...start.base, shape: { kind: 'rectangle', widthMm: 400, depthMm: 300 } },
      marks: [circle(200, 150, 130, 60), circle(200, 150, 120, 20)],
      stacking: { ...start.stacking, glue: 'white PVA' },
    };
    const { message, remedy } = found(wide, 'joint-slow');
    expect(Number(/about (\d+) days/.exec(message)?.[1])).toBeGreaterThan(5);
    expect(remedy).toContain('olyurethane');
  });
});

describe('time at the bench', () => {
  it('paste that would set in one bowl, glue that would skin over', () => {
    const start = dressed(right);
    const wide: Project = {
      ...start,
      base: { ...start.base, shape: { kind: 'rectangle', widthMm: 400, depthMm: 300 } },
      marks: [circle(200, 150, 130, 25)],
    };
    expect(found(wide, 'working-time-short').remedy).toMatch(/^Mix \d+ bowls/);
    expect(found(wide, 'grass-glue-skins').remedy).toMatch(/in \d+ patches/);
    expect(codes(dressed(right))).not.toContain('grass-glue-skins');
  });

  it('a hot wire and alcohol: told, and warned of where they fall on one day', () => {
    const soil = newCoat('soil', 'scatter', 'soil', { thicknessMm: 1 });
    const start = dressed([skin, seal, soil]);
    const wire = { ...start, cutting: { ...start.cutting, tool: 'hot wire' as const } };
    expect(found(wire, 'flame-near-alcohol').severity).toBe('note');
    expect(codes(start)).not.toContain('flame-near-alcohol');
    // Cut with the wire and glued with contact spray on one long day.
    const day = { from: '06:00', to: '23:00' };
    const { bench } = start;
    const hurried = {
      ...wire,
      stacking: { ...wire.stacking, glue: 'contact spray' as const },
      bench: {
        ...bench,
        week: Object.fromEntries(Object.keys(bench.week).map((name) => [name, day])) as typeof bench.week,
      },
    };
    expect(found(hurried, 'flame-near-alcohol').severity).toBe('warn');
  });

  it('plaster worked by hand is noted', () => {
    const byHand = { ...skin, tool: 'hand' as const };
    expect(found(dressed([byHand, seal, paint]), 'plaster-on-skin').remedy).toContain('Gloves');
    expect(codes(dressed(right))).not.toContain('plaster-on-skin');
  });
});
