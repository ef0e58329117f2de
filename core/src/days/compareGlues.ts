import { type GluedLayer, jointWaits } from '../drying/index.ts';
import { skillFactor } from '../materials/index.ts';
import { type Glue, glues, type Project } from '../project/index.ts';
import { gluing, type StageTakeoff } from '../takeoff/index.ts';
import type { Range } from '../units/index.ts';

/** What gluing a stack comes to with one glue. */
interface GlueRead {
  glue: Glue;
  materials: StageTakeoff['materials'];
  handsOnMin: number;
  /** Hours until the slowest joint may be worked on, and until it is dry. */
  hold: Range;
  dry: Range;
  /** What stays in the joints. */
  dryG: Range;
  /** As far as glues are priced. */
  money: number | null;
  note: string;
}

/** Every glue on the joints of one stack, in the air of the bench; the layers stay where they are. */
export function compareGlues(project: Project, layers: readonly (GluedLayer & { contactMm2: number })[]): GlueRead[] {
  if (!layers.some(({ contactMm2 }) => contactMm2 > 0)) return [];
  return glues.map((glue): GlueRead => {
    const glued = { ...project, stacking: { ...project.stacking, glue } };
    const stage = gluing(glued, { layers });
    const joints = jointWaits(glued, layers);
    const slowest = (of: 'workable' | 'dry') =>
      joints.map((joint) => joint[of]).reduce((a, b) => (b.likely > a.likely ? b : a));
    return {
      glue,
      materials: stage.materials,
      handsOnMin: stage.handsOn.likely * skillFactor[project.bench.skill],
      hold: slowest('workable'),
      dry: slowest('dry'),
      dryG: stage.dryG,
      money: stage.money,
      note: [stage.note, ...stage.cautions].join(' '),
    };
  });
}
