import { gridOver, sampleFormula } from '../geometry/index.ts';
import { type Ground, measureGround } from '../ground/index.ts';
import { baseOutline, type Project, startProject } from '../project/index.ts';

/** Square frustum: base 240 x 240 mm, faces rising over 80 mm to a flat top of 80 x 80 mm at 64 mm. */
export const frustumProject = (): Project => {
  const project = startProject('Square frustum', '2027-03-01', 'ground');
  return {
    ...project,
    base: { ...project.base, shape: { kind: 'rectangle', widthMm: 240, depthMm: 240 } },
    sheets: [{ ...project.sheets[0], nominalMm: 20, count: 3 }],
    sections: [{ id: 'A', name: 'A', from: [0, 120], to: [240, 120] }],
    air: { temperatureC: 18, humidityPercent: 60, airSpeedMs: 0.1 },
  };
};

export const frustumGround = (cellMm = 1): Ground =>
  measureGround(
    baseOutline(frustumProject().base),
    sampleFormula(gridOver(240, 240, cellMm), (x, y) => Math.min(64, (64 / 80) * Math.min(x, y, 240 - x, 240 - y))),
  );
