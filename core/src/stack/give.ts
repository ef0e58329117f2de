/**
 * Which levels are moved on the way up a stack, and to where: the states that a joint splits into when levels may be moved. A level with give
 * stays or moves onto a joint of the stack; levels that move together move by what brings one of them onto a joint. Between
 * two levels the target is stretched evenly; no two levels come nearer than half of what parted them. Heights in mm.
 */
import { LEVEL_STEP_MM } from '../geometry/index.ts';
import type { Carried } from './carried.ts';
import type { GivenLevel, Move, StackModel } from './model.ts';

/** Of what parts two neighbouring levels at least this much stays. */
const LEAST_LEFT = 0.5;
const HAIR_MM = LEVEL_STEP_MM / 2;

/** Levels that move together: by how much, and whether one of them has come onto a joint. */
interface Shift {
  group: number;
  byMm: number;
  landed: boolean;
}

/** What is settled about levels where a joint is reached. */
export interface Settled {
  /** Tells it from the others of its joint. */
  key: string;
  /** The highest level at or below the joint (-1 is the board), and where it lies now. */
  lower: number;
  lowerNowMm: number;
  /** Where the next levels lie, as far as they are settled already. */
  ahead: readonly number[];
  /** Of levels that move together, where some of them are still to come or none has come onto a joint yet. */
  shifts: readonly Shift[];
}

/** A way of settling the levels that a layer reaches. */
export interface Settling {
  /** Where heights lie now, as far as the layer reaches; null where they are not moved. */
  carried: Carried | null;
  next: Settled;
  moves: readonly Move[];
  moveMin: number;
}

export interface Give {
  /** Every way of settling the levels up to `needMm` for a layer from joint to joint. */
  settle: (state: Settled, fromMm: number, topMm: number, needMm: number) => readonly Settling[];
  /** Where heights lie when a stack ends on a joint; 'open' where a level was moved onto a joint that did not come. */
  end: (state: Settled) => Carried | null | 'open';
}

export const atBoard: Settled = { key: '', lower: -1, lowerNowMm: 0, ahead: [], shifts: [] };

const unmoved: readonly Settling[] = [{ carried: null, next: atBoard, moves: [], moveMin: 0 }];

/** Nothing may be moved. */
export const noGive: Give = { settle: () => unmoved, end: () => null };

/** By how much each level may be moved: not at all first. `joints`: all heights that stacks reach. */
function movesOf(levels: readonly GivenLevel[], joints: readonly number[]): number[][] {
  const allows = ({ downMm, upMm }: GivenLevel, by: number) => by >= -downMm - 1e-6 && by <= upMm + 1e-6;
  const ontoJoints = (level: GivenLevel): number[] =>
    level.downMm > 0 || level.upMm > 0
      ? joints
          .map((joint) => joint - level.heightMm)
          .filter((by, k) => joints[k] > 0 && Math.abs(by) > HAIR_MM && allows(level, by))
      : [];
  return levels.map((level) => {
    if (level.together === null) return [0, ...ontoJoints(level)];
    const group = levels.filter(({ together }) => together === level.together);
    const all = new Map(group.flatMap(ontoJoints).map((by) => [Math.round(by / LEVEL_STEP_MM), by]));
    return [0, ...[...all.values()].filter((by) => group.every((other) => allows(other, by)))];
  });
}

/** Whether two neighbouring levels still are far enough apart. */
export const farEnough = (wasMm: number, nowMm: number): boolean => nowMm >= LEAST_LEFT * wasMm - 1e-6;

const step = (mm: number) => Math.round(mm / LEVEL_STEP_MM);

/** `joints`: all heights that stacks reach; `comesTo`: whether a stack can come from one joint to another. */
export function giveOf(
  { levels, movePerLevelMin, movePerMmMin }: Pick<StackModel, 'levels' | 'movePerLevelMin' | 'movePerMmMin'>,
  joints: readonly number[],
  comesTo: (fromMm: number, toMm: number) => boolean,
): Give {
  const moves = movesOf(levels, joints);
  const isMoved = (k: number, nowMm: number) => Math.abs(nowMm - levels[k].heightMm) > HAIR_MM;
  const mustLand = (k: number, nowMm: number) => levels[k].together === null && isMoved(k, nowMm);
  const wasOf = (k: number) => (k < 0 ? 0 : levels[k].heightMm);
  const lastOf = new Map(levels.flatMap(({ together }, k) => (together === null ? [] : [[together, k] as const])));
  const shiftOf = (shifts: readonly Shift[], { together }: GivenLevel) =>
    shifts.find(({ group }) => group === together);

  /** The shifts that still matter above a joint; null where one has come past it without a level on any joint. `known`: levels settled so far. */
  function shiftsAbove(shifts: readonly Shift[], topMm: number, known: number): readonly Shift[] | null {
    if (!shifts.length) return shifts;
    const left: Shift[] = [];
    for (const shift of shifts) {
      const { group, byMm } = shift;
      const landed =
        shift.landed ||
        Math.abs(byMm) <= HAIR_MM ||
        levels.some((level) => level.together === group && Math.abs(level.heightMm + byMm - topMm) < HAIR_MM);
      const last = lastOf.get(group) ?? 0;
      if (!landed && levels[last].heightMm + byMm < topMm) return null;
      if (!landed || last >= known) left.push(landed === shift.landed ? shift : { group, byMm, landed });
    }
    return left;
  }

  /** Knots from the lower level on; null where all lie as drawn. */
  const carriedFrom = (lower: number, now: readonly number[]): Carried | null =>
    now.every((mm, k) => Math.abs(mm - wasOf(lower + k)) < HAIR_MM)
      ? null
      : { was: now.map((_, k) => wasOf(lower + k)), now: [...now] };

  /** The moves that settling a level by `byMm` means, and their minutes: those that go with it are told and paid for with the first. */
  function movedBy(k: number, byMm: number, shifts: readonly Shift[]): { moves: Move[]; minutes: number } {
    const { together } = levels[k];
    if (Math.abs(byMm) <= HAIR_MM || shiftOf(shifts, levels[k])) return { moves: [], minutes: 0 };
    const all = together === null ? [k] : levels.flatMap((other, n) => (other.together === together ? [n] : []));
    return {
      moves: all.map((level) => ({ level, byMm })),
      minutes: movePerLevelMin + movePerMmMin * Math.abs(byMm),
    };
  }

  return {
    settle(state, fromMm, topMm, needMm) {
      const { lower, ahead } = state;
      for (let k = 0; k < ahead.length; k++)
        if (mustLand(lower + 1 + k, ahead[k]) && !comesTo(topMm, ahead[k])) return [];
      const found: Settling[] = [];
      /** `now`: where the lower level and those after it lie. */
      const go = (now: readonly number[], shifts: readonly Shift[], done: readonly Move[], minutes: number): void => {
        const k = lower + now.length;
        if (k >= levels.length || now[now.length - 1] >= needMm) {
          const left = shiftsAbove(shifts, topMm, k);
          if (left)
            found.push({ carried: carriedFrom(lower, now), next: stateAt(now, left), moves: done, moveMin: minutes });
          return;
        }
        const { heightMm, together } = levels[k];
        const forced = shiftOf(shifts, levels[k]);
        for (const by of forced ? [forced.byMm] : moves[k]) {
          const nowMm = heightMm + by;
          if (nowMm < fromMm + HAIR_MM || !farEnough(heightMm - wasOf(k - 1), nowMm - now[now.length - 1])) continue;
          if (mustLand(k, nowMm) && !comesTo(topMm, nowMm)) continue;
          const more = movedBy(k, by, shifts);
          const opened: readonly Shift[] =
            together !== null && !forced ? [...shifts, { group: together, byMm: by, landed: false }] : shifts;
          go([...now, nowMm], opened, more.moves.length ? [...done, ...more.moves] : done, minutes + more.minutes);
        }
      };
      const stateAt = (now: readonly number[], shifts: readonly Shift[]): Settled => {
        let below = 0;
        while (below + 1 < now.length && now[below + 1] <= topMm + HAIR_MM) below++;
        const rest = now.slice(below + 1);
        const key = `${lower + below}@${step(now[below])}|${rest.map(step)}|${shifts.map(({ group, byMm, landed }) => `${group}:${step(byMm)}${landed ? '' : '?'}`)}`;
        return { key, lower: lower + below, lowerNowMm: now[below], ahead: rest, shifts };
      };
      go([state.lowerNowMm, ...ahead], state.shifts, [], 0);
      return found;
    },

    end({ lower, lowerNowMm, ahead, shifts }) {
      const now = [lowerNowMm, ...ahead];
      if (shifts.some(({ byMm, landed }) => !landed && Math.abs(byMm) > HAIR_MM)) return 'open';
      for (let k = 0; k < ahead.length; k++) if (mustLand(lower + 1 + k, ahead[k])) return 'open';
      for (let k = lower + now.length; k < levels.length; k++) {
        const { heightMm } = levels[k];
        const nowMm = heightMm + (shiftOf(shifts, levels[k])?.byMm ?? 0);
        if (!farEnough(heightMm - wasOf(k - 1), nowMm - now[now.length - 1])) return 'open';
        now.push(nowMm);
      }
      return carriedFrom(lower, now);
    },
  };
}
