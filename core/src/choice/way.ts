/**
 * The way of building by what the whole plan comes to in each: minutes at the bench, and days until the base is dry, priced by the minute. Where
 * two are near, the one that is carved back.
 */
import type { School } from '../project/index.ts';

/** What the whole plan comes to, built in one way. */
export interface WayFigures {
  school: School;
  /** At the bench, all of the plan. */
  minutes: number;
  /** When the base is likely dry, wall-clock text; null without bench hours. */
  dryAt: string | null;
  /** How far its stack stays under the ground, mm. */
  missesMm: number;
}

/** The way of building, and who chose it. */
export type Way =
  | { school: School; by: 'builder' }
  | {
      school: School;
      by: 'plan';
      /** The best of the others. */
      against: School;
      /** Minutes at the bench and days that it spares against that; less than 0 where it takes more. */
      sparesMin: number;
      soonerDays: number;
      /** The two are as good as equal, and it is the one that is carved back. */
      near: boolean;
    };

/** Ways whose costs differ by no more than this are near: minutes, or this share (common practice, no source). */
const NEAR_MIN = 10;
const NEAR_SHARE = 0.05;
/** Stacks that stay this much further under the ground than another are no match for it, mm. */
const REACHES_MM = 0.5;
const DAY_MS = 86_400_000;

/** Wall-clock text as a count of days. Time zones play no part. */
const daysOf = (text: string | null): number => (text === null ? 0 : Date.parse(`${text}Z`) / DAY_MS);

/** The cheapest way of building, minutes and days at `minPerDay` together. */
export function wayOf(figures: readonly WayFigures[], minPerDay: number): Way {
  const least = Math.min(...figures.map(({ missesMm }) => missesMm));
  const soonest = Math.min(...figures.map(({ dryAt }) => daysOf(dryAt)));
  const costOf = ({ minutes, dryAt }: WayFigures) => minutes + minPerDay * (daysOf(dryAt) - soonest);
  const able = figures.filter(({ missesMm }) => missesMm <= least + REACHES_MM);
  const ranked = [...able].sort((a, b) => costOf(a) - costOf(b));
  const [cheapest] = ranked;
  const near = (one: WayFigures) =>
    costOf(one) - costOf(cheapest) <= Math.max(NEAR_MIN, NEAR_SHARE * Math.abs(costOf(cheapest)));
  const back = ranked.find((one) => one.school === 'carve back' && near(one));
  const chosen = back ?? cheapest;
  const against = ranked.find((one) => one !== chosen) ?? figures.find((one) => one !== chosen) ?? chosen;
  return {
    school: chosen.school,
    by: 'plan',
    against: against.school,
    sparesMin: against.minutes - chosen.minutes,
    soonerDays: daysOf(against.dryAt) - daysOf(chosen.dryAt),
    near: chosen.school === 'carve back' && (chosen !== cheapest || near(against)),
  };
}
