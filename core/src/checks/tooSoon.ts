import { doneHere } from '../project/index.ts';
import type { StageTakeoff } from '../takeoff/index.ts';
import type { PlanView } from './finding.ts';

/** A step that was marked done before what lies under it had dried. */
export interface TooSoon {
  step: StageTakeoff;
  under: StageTakeoff;
  /** The day it was done, that on which what lies under it was done, and hours that this wanted. */
  on: string;
  underOn: string;
  hours: number;
}

/** Between two evenings there is a day less the hours at the bench: only what is surely too soon is told. */
const BENCH_DAY_H = 14;
const hoursBetween = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / 3_600_000;

/** Every step that was done too soon, by the days that the builder gave. */
export function doneTooSoon({ project, takeoff, days }: Pick<PlanView, 'project' | 'takeoff' | 'days'>): TooSoon[] {
  const doneOn = new Map(doneHere(project).map(({ step, on }) => [step, on]));
  return takeoff.flatMap((step) => {
    const on = doneOn.get(step.id);
    if (!on) return [];
    return step.after.flatMap(({ id, wait }) => {
      const under = takeoff.find((other) => other.id === id);
      const underOn = doneOn.get(id);
      const hours = days.operations.filter((operation) => operation.step === id).at(-1)?.waits[wait].likely ?? 0;
      if (!under || !underOn || hours <= hoursBetween(underOn, on) + BENCH_DAY_H) return [];
      return [{ step, under, on, underOn, hours }];
    });
  });
}

/** "It was done on 2027-03-05; joints of 2027-03-04 want about 30 h." */
export const sayTooSoon = ({ step, under, on, underOn, hours }: TooSoon): string =>
  `${step.title} was done on ${on}; ${under.title.toLowerCase()} of ${underOn} wants about ${hours < 72 ? `${Math.round(hours)} h` : `${Math.round(hours / 24)} days`}.`;
