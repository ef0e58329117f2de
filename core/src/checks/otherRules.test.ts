import { describe, expect, it } from 'vitest';
import { newCoat, type Project, plan } from '../index.ts';
import { codes, dressed, found, paint } from '../testing/dressed.ts';
import type { Rule } from './finding.ts';
import { deepestOverLimit } from './rules/deepestOverLimit.ts';
import { lostWishes } from './rules/lostWishes.ts';
import { unevenJoints } from './rules/unevenJoints.ts';
import { withWords } from './said.ts';

/** What a rule says of results of earlier stages, of which it sees no others. */
const said = (rule: Rule, view: object) => rule(view as Parameters<Rule>[0]).map(withWords);

describe('colour over plaster', () => {
  const board = dressed([newCoat('skin', 'skin', 'plaster', { thicknessMm: 5 }), paint]);
  const step = (stage: string) => plan(board).report.takeoff.find((each) => each.stage === stage)?.id ?? stage;
  const doneOn = (skinOn: string, colourOn: string): Project => ({
    ...board,
    stores: {
      ...board.stores,
      done: [
        ['glue', '2027-03-01'],
        [step('skin'), skinOn],
        [step('colour'), colourOn],
      ].map(([id, on]) => ({ tile: board.tile.id, step: id, title: id, on, used: [], taken: [] })),
    },
  });

  it('on the same evening is damp, a month later it is not', () => {
    const hasty = found(doneOn('2027-03-10', '2027-03-10'), 'painted-damp');
    expect(hasty.message).toMatch(/was done on 2027-03-10; .* of 2027-03-10 wants about \d+ (h|days)/);
    expect(codes(doneOn('2027-03-10', '2027-04-10'))).not.toContain('painted-damp');
  });
});

describe('the deepest spot of paste', () => {
  const read = (coats: number, deepestMm: number) =>
    said(deepestOverLimit, {
      takeoff: [
        {
          id: 'skin',
          title: 'Fill and skin',
          stage: 'skin',
          coats,
          drying: { kind: 'paste', mostPerCoatMm: 5 },
          zones: [{ id: 'meadow' }],
        },
      ],
      paste: [
        { id: 'meadow', name: 'Meadow', deepestMm, deepestAt: [20, 30] },
        { id: 'elsewhere', name: 'Elsewhere', deepestMm: 99, deepestAt: null },
      ],
    });

  it.each([
    [1, 5, null],
    [1, 6.2, 'Fill and skin: at its deepest spot, in Meadow, 6.2 mm; one coat bears 5 mm.'],
    [2, 6.2, null],
    [2, 12, 'Fill and skin: at its deepest spot, in Meadow, 12 mm; 2 coats bear 10 mm.'],
  ])('in %s coats of 5 mm, %s mm deep', (coats, deepestMm, message) => {
    expect(read(coats, deepestMm).map((finding) => [finding.code, finding.message, finding.at])).toEqual(
      message ? [['paste-over-limit', message, [20, 30]]] : [],
    );
  });
});

describe('the choice of a stack', () => {
  it.each([
    [{ pinsLost: false, limitsLost: false, exact: true }, []],
    [{ pinsLost: true, limitsLost: false, exact: true }, ['pins-lost']],
    [{ pinsLost: false, limitsLost: true, exact: true }, ['limits-lost']],
    [{ pinsLost: false, limitsLost: false, exact: false }, ['stack-not-proven']],
  ])('%o', (chosen, expected) => {
    expect(said(lostWishes, { choice: { chosen } }).map(({ code }) => code)).toEqual(expected);
  });
});

describe('the sides of two tiles', () => {
  const joint = {
    aName: 'West',
    aSide: 'right',
    bName: 'East',
    bSide: 'left',
    meets: false,
    mostMm: 3.4,
    atMm: 120,
    longerMm: 0,
  };
  it.each([
    [{ ...joint, meets: true }, null],
    [joint, 'The right of West and the left of East do not meet: a step of 3.4 mm, 120 mm along.'],
    [{ ...joint, longerMm: 25 }, 'The right of West and the left of East differ in length by 25 mm.'],
  ])('%o', (one, message) => {
    const joints = said(unevenJoints, { set: { joints: [one] } });
    expect(joints.map((finding) => [finding.code, finding.message])).toEqual(
      message ? [['edges-do-not-meet', message]] : [],
    );
  });
});
