import type { Project } from './schemas/schema.ts';

/** Nothing settled by hand. */
export const untouchedStack = (): Project['stack'] => ({ byHand: null, pinned: [], onJoint: [] });

export const usualStacking = (): Project['stacking'] => ({
  school: 'halfway',
  wish: 'least cost',
  glue: 'polyurethane',
  pressed: true,
  glueLineMm: null,
  leastStepMm: 3,
  sheetYieldPercent: 80,
  costs: {
    perLayerMin: 15,
    outlineMinPerM: 0,
    gluedMinPerDm2: 0,
    tool: 'rasp',
    carveMinPerL: 30,
    carveMinPerM: 0,
    flatMinPerDm2: 0,
    fillMinPerL: 240,
    offMinPerMm: 4,
    minPerMoney: 4,
    minPerKg: 0,
    minPerDay: 10,
    perMoveMin: 2,
    moveMinPerMm: 1,
  },
  pastePerL: null,
  most: { layers: null, carveL: null, fillL: null, bought: null, weightG: null, offMm: null },
  wire: null,
  areas: [],
  hollow: { kind: 'solid', wallMm: 25, ribs: null },
  dowel: { diameterMm: 3, marginMm: 8 },
});

/** Fill deeper than one coat of most pastes is worth a wedge; so much paste closes over it (common practice, no source), mm. */
export const USUAL_WEDGES = { fromMm: 8, skimMm: 2 };
