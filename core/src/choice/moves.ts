/**
 * Levels with give brought onto joints: stack and moves chosen together for least cost, and each move by its name. Levels at one height are
 * moved as one, those of one item too. Heights of the foam target, mm.
 */
import { LEVEL_STEP_MM, levelStep } from '../geometry/index.ts';
import { type LevelPlace, limitsOf, pinnedOf, type StackGround, weightsOf } from '../layers/index.ts';
import { asksFor, canGive, giveOfItem, type Project } from '../project/index.ts';
import {
  carriedBy,
  cheapest,
  costOf,
  type GivenLevel,
  graphOf,
  type StackModel,
  type Step,
  type Totals,
  totalsOf,
} from '../stack/index.ts';
import type { SchoolChoice } from './choose.ts';

/** A thing whose heights are moved, with the heights of its foam before and after. */
export interface LevelMove {
  itemId: string;
  part: string;
  fromMm: number;
  toMm: number;
  byMm: number;
}

/** A level with give that stays all the same, since something at its height, or tied to it, has none. */
export interface HeldLevel {
  itemId: string;
  part: string;
  by: { itemId: string; part: string };
}

/** What moving levels brings, by the model of evenly stretched ground; `moves` is empty where none is worth it. */
export interface Moves {
  school: SchoolChoice['school'];
  moves: LevelMove[];
  held: HeldLevel[];
  steps: Step[];
  /** As far as it was searched: false where some ways had to be left out of account. */
  exact: boolean;
  /** The cheapest stack without and with the moves; what moving costs is in the latter. */
  before: { costMin: number; totals: Totals };
  after: { costMin: number; totals: Totals };
}

/** Heights nearer than this are one level, mm. */
const ONE_LEVEL_MM = 0.3;
/** A stack that saves less than this is not worth a move, minutes. */
const WORTH_MIN = 0.5;

/** A level of the model with the places that stand at it. */
interface Gathered extends GivenLevel {
  places: LevelPlace[];
}

/** The levels of a project from the board up, with how far each may be moved. */
export function gatheredLevels(
  { marks, landforms }: Pick<Project, 'marks' | 'landforms'>,
  places: readonly LevelPlace[],
): Gathered[] {
  const items = new Map([...marks, ...landforms].map((item) => [item.id, item]));
  const levels: Gathered[] = [];
  for (const place of [...places].sort((a, b) => a.targetMm - b.targetMm)) {
    const item = items.get(place.itemId);
    if (!item || !canGive(item) || !asksFor(item, place.part) || place.targetMm < ONE_LEVEL_MM) continue;
    const give = giveOfItem(item);
    const last = levels[levels.length - 1];
    if (last && place.targetMm - last.places[0].targetMm < ONE_LEVEL_MM) {
      last.places.push(place);
      last.downMm = Math.min(last.downMm, give.downMm);
      last.upMm = Math.min(last.upMm, give.upMm);
      continue;
    }
    // On a step of the curves at which the level's own flat still counts as reached.
    const heightMm = levelStep(place.targetMm) * LEVEL_STEP_MM;
    levels.push({ heightMm, ...give, together: null, places: [place] });
  }
  tieTogether(levels);
  return levels;
}

/** Levels of which some belong to one item move by the same; where one of them stays, all stay. */
function tieTogether(levels: Gathered[]): void {
  const parent = levels.map((_, k) => k);
  const root = (k: number): number => (parent[k] === k ? k : root(parent[k]));
  const first = new Map<string, number>();
  levels.forEach(({ places }, k) => {
    for (const { itemId } of places) {
      const other = first.get(itemId);
      if (other === undefined) first.set(itemId, k);
      else parent[root(k)] = root(other);
    }
  });
  levels.forEach((level, k) => {
    const mates = levels.filter((_, n) => root(n) === root(k));
    if (mates.length > 1) level.together = root(k);
  });
}

/** Levels whose give counts for nothing. */
function heldOf({ marks, landforms }: Pick<Project, 'marks' | 'landforms'>, levels: readonly Gathered[]): HeldLevel[] {
  const items = new Map([...marks, ...landforms].map((item) => [item.id, item]));
  const gives = ({ itemId }: LevelPlace) => {
    const item = items.get(itemId);
    const { downMm, upMm } = item ? giveOfItem(item) : { downMm: 0, upMm: 0 };
    return downMm > 0 || upMm > 0;
  };
  return levels.flatMap((level) => {
    const mates = level.together === null ? [level] : levels.filter(({ together }) => together === level.together);
    const stays = mates.flatMap(({ places }) => places).find((place) => !gives(place));
    if (!stays) return [];
    const by = { itemId: stays.itemId, part: stays.part };
    return level.places.filter(gives).map(({ itemId, part }) => ({ itemId, part, by }));
  });
}

/** The best stack with moves of a way of building; null where nothing may be moved. */
export function movesFor(project: Project, ground: StackGround, { school, model, found }: SchoolChoice): Moves | null {
  const gathered = gatheredLevels(project, ground.levels);
  const held = heldOf(project, gathered);
  if (!held.length && !gathered.some(({ downMm, upMm }) => downMm > 0 || upMm > 0)) return null;
  const given: StackModel = { ...model, levels: gathered.map(({ places: _, ...level }) => level) };
  const weights = weightsOf(project);
  const { steps, exact } = cheapest(graphOf(given, pinnedOf(project, model)), weights, limitsOf(project.stacking));
  const costMin = costOf(given, steps, weights);
  const carried = carriedBy(given.levels, steps);
  const before = { costMin: found.costMin, totals: totalsOf(model, found.steps) };
  const after = { costMin, totals: totalsOf(given, steps) };
  const better = before.costMin - after.costMin >= WORTH_MIN || after.totals.tooLowMm < before.totals.tooLowMm - 0.1;
  if (!carried || !better) return { school, moves: [], held, steps: found.steps, exact, before, after: before };
  const moved = gathered.flatMap(({ heightMm, places }, k) =>
    carried.now[k + 1] === heightMm ? [] : places.map((place) => ({ place, toMm: carried.now[k + 1] })),
  );
  return {
    school,
    moves: moved.map(({ place: { itemId, part, targetMm }, toMm }) => ({
      itemId,
      part,
      fromMm: targetMm,
      toMm,
      byMm: toMm - targetMm,
    })),
    held,
    steps,
    exact,
    before,
    after,
  };
}

/** Each item that is moved, once: where several of its heights are, by the first of them. */
export function itemMoves(moves: readonly LevelMove[]): { itemId: string; byMm: number }[] {
  const by = new Map<string, number>();
  for (const { itemId, byMm } of moves) if (!by.has(itemId)) by.set(itemId, byMm);
  return [...by].map(([itemId, byMm]) => ({ itemId, byMm }));
}
