import type { Ground } from '../ground/index.ts';
import {
  type Askable,
  askables,
  type Between,
  type Cover,
  type Project,
  type ZoneRule,
  type Zones,
} from '../project/index.ts';
import { namedZones, type ZoneRead, zonesOf } from './zones.ts';

/** A rule is worth proposing where it covers at least so much of the base, percent. */
const WORTHWHILE = 0.2;

const upTo = (to: number): Between => ({ from: null, to });
const over = (from: number): Between => ({ from, to: null });

const rule = (id: string, name: string, cover: Cover, when: Partial<Record<Askable, Between>>): ZoneRule => ({
  id: `suggested-${id}`,
  name,
  cover,
  recipe: null,
  when: Object.fromEntries(askables.map((what) => [what, when[what] ?? null])) as ZoneRule['when'],
});

/** The rules of the trade, in the order in which they are asked (common practice, no source). */
const ofTheTrade: readonly ZoneRule[] = [
  rule('bed', 'Under water', 'water bed', { water: upTo(0.5) }),
  rule('way', 'Ways', 'road', { way: upTo(0.5) }),
  rule('wall-foot-wet', 'Moss where walls meet water', 'moss', { wall: upTo(6), water: upTo(12) }),
  rule('wall-foot', 'Moss where walls meet damp soil', 'moss', {
    wall: upTo(4),
    wetness: over(5.5),
    slope: upTo(45),
  }),
  rule('rock', 'Too steep for soil', 'rock', { slope: over(45) }),
  rule('shade', 'Steep and in shade', 'bare soil', { slope: { from: 28, to: 45 }, shade: over(60) }),
  rule('shore', 'Wet shore', 'mud', { water: upTo(3) }),
  rule('wet', 'Where water gathers', 'lush grass', { wetness: over(6.5) }),
  rule('near-water', 'Beside water', 'lush grass', { water: upTo(15), slope: upTo(30) }),
  rule('between-rock', 'Flats between rock', 'dry grass', { rock: upTo(25), slope: upTo(15) }),
];

export interface Suggestion {
  zones: Zones;
  reads: ZoneRead[];
}

/** Zones by the rules of the trade for a finished ground: only those that cover anything there. Patches that were drawn stay. */
export function suggestedZones(project: Project, ground: Ground): Suggestion {
  const all = zonesOf({ ...project, zones: { rules: [...ofTheTrade], rest: 'grass' } }, ground);
  const worth = new Set(all.zones.filter(({ percent }) => percent >= WORTHWHILE).map(({ id }) => id));
  const zones: Zones = { rules: ofTheTrade.filter(({ id }) => worth.has(id)), rest: 'grass' };
  return { zones, reads: namedZones({ ...project, zones }, zonesOf({ ...project, zones }, ground).zones) };
}
