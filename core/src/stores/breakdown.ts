import type { Project } from '../project/index.ts';
import { pricesOf, type StageTakeoff } from '../takeoff/index.ts';
import { exactly, type Range, sum } from '../units/index.ts';

/** The parts of the finished piece, from the board up. */
export const pieceParts = [
  'board',
  'foam',
  'joints',
  'carving',
  'skin',
  'seal',
  'colour',
  'cover',
  'edge',
  'laid in',
  'standing on it',
] as const;
export type PiecePart = (typeof pieceParts)[number];

/** What one part comes to: what stays of it on the piece, what it costs as far as it is priced, and hands-on minutes. */
export interface PartRead {
  part: PiecePart;
  massG: Range;
  money: number | null;
  minutes: number;
}

const partOf: Readonly<Record<StageTakeoff['stage'], PiecePart>> = {
  cut: 'foam',
  glue: 'joints',
  carve: 'carving',
  skin: 'skin',
  seal: 'seal',
  colour: 'colour',
  cover: 'cover',
  edge: 'edge',
};

/** Weight, cost and time part by part; parts that come to nothing are left out. Ranges are those of the weight. */
export function breakdownOf(
  project: Pick<Project, 'materials' | 'stores' | 'base'>,
  takeoff: readonly StageTakeoff[],
  { boardG, laidG, thingsG }: { boardG: Range; laidG: Range; thingsG: Range },
): PartRead[] {
  const { board } = project.base;
  const boardPrice = pricesOf(project)({ material: board.material, which: `${board.thicknessMm} mm` }, 'each');
  return pieceParts.flatMap((part): PartRead[] => {
    if (part === 'board') return [{ part, massG: boardG, money: boardPrice, minutes: 0 }];
    if (part === 'laid in') return laidG.likely > 0 ? [{ part, massG: laidG, money: null, minutes: 0 }] : [];
    if (part === 'standing on it') return thingsG.likely > 0 ? [{ part, massG: thingsG, money: null, minutes: 0 }] : [];
    const stages = takeoff.filter(({ stage }) => partOf[stage] === part);
    if (!stages.length) return [];
    const priced = stages.flatMap(({ money }) => (money === null ? [] : [money]));
    return [
      {
        part,
        massG: stages.length > 1 ? sum(stages.map(({ dryG }) => dryG)) : (stages[0]?.dryG ?? exactly(0)),
        money: priced.length ? priced.reduce((all, one) => all + one, 0) : null,
        minutes: stages.reduce((all, { handsOn }) => all + handsOn.likely, 0),
      },
    ];
  });
}
