import type { PlanReport, Project, Wearer } from '@hosket/core';

/** Everything that wears a recipe, as the screen picks it: `rest`, `edges`, `walls`, or the id of a patch or rule. */
export interface Worn {
  key: string;
  name: string;
  wearer: Wearer;
  /** Of its own; null wears the project's (sides and walls: nothing). */
  recipe: string | null;
  trueMm2: number;
}

const EDGES = 'edges of the base';
const WALLS = 'walls of the box';

/** The key of a zone by its id in the report. */
export const zoneKeyOf = (id: string | null): string =>
  id === null ? 'rest' : id === EDGES ? 'edges' : id === WALLS ? 'walls' : id;

export function wearersOf({ zones, patches, surface }: Project, report: PlanReport): Worn[] {
  const own = (id: string) =>
    zones.rules.find((rule) => rule.id === id)?.recipe ?? patches.find((patch) => patch.id === id)?.recipe ?? null;
  return [
    ...report.zones.map(
      ({ id, name, by, trueMm2 }): Worn =>
        id === null
          ? { key: 'rest', name, wearer: { of: 'rest' }, recipe: surface.recipe, trueMm2 }
          : { key: id, name, wearer: { of: by === 'outline' ? 'patch' : 'rule', id }, recipe: own(id), trueMm2 },
    ),
    ...report.dressed.map(({ id, name, trueMm2, recipe }): Worn => {
      const of = id === EDGES ? 'edges' : 'walls';
      return { key: of, name, wearer: { of }, recipe, trueMm2 };
    }),
  ];
}

export const pickedWearer = (worn: readonly Worn[], key: string): Worn =>
  worn.find((one) => one.key === key) ?? worn.find((one) => one.key === 'rest') ?? worn[0];
