export { type Balance, balanceOf } from './balance.ts';
export type { StoodThing } from './bodies.ts';
export { bodiesOf, type Middles, middlesOf } from './bodiesOf.ts';
export { type Breach, type Enclosure as Room, sides } from './envelope.ts';
export { type Fit, fitOf } from './fit.ts';
export {
  type FigureStand,
  figureStands,
  type HouseWay,
  houseWays,
  type StandingShare,
  standingShares,
} from './judgements.ts';
export { type LimitRead, limitIn, limitsRead, limitWritten } from './limits.ts';
export { type Mass, massOf } from './mass.ts';
export type { Meeting } from './meetings.ts';
