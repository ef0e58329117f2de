import { type Coat, isLooseStone, operations } from '../project/index.ts';
import type { Worn, WornSurface } from './wornSurface.ts';

/** What is done at once: the same thing with the same stuff, on every zone that is ready for it. */
export interface Step {
  id: string;
  worn: Worn[];
}

/** Coats with the same key are one pot and one operation, whatever zones they are on. */
function keyOf({ operation, material, colour, coats, thinParts, tool }: Coat): string {
  const often = operation === 'skin' ? 'paste' : String(coats);
  return [operation, material, colour, often, thinParts ?? '', tool].join('|');
}

/**
 * Recipes worked through side by side: of the coats that come next on some zone, those of the earliest operation are done, on all zones that are at them (of several,
 * what most zones wait for). Names of `before` are not given again. So no recipe is done out of its order, and what can be done at once is.
 */
export function stepsOf(surfaces: readonly WornSurface[], before: readonly Step[] = []): Step[] {
  const queues = surfaces.map((surface) => {
    const all = surface.recipe.coats.map((coat, at): Queued => ({ surface, coat, at, key: keyOf(coat) }));
    return all.filter((worn) => surface.coatMm2[worn.at] > 1 && worn.coat.sharePercent > 0);
  });
  const at = queues.map(() => 0);
  const steps: Step[] = [];
  for (;;) {
    const heads = new Map<string, number[]>();
    queues.forEach((queue, k) => {
      const head = queue[at[k]];
      if (!head) return;
      const same = heads.get(head.key);
      if (same) same.push(k);
      else heads.set(head.key, [k]);
    });
    if (!heads.size) return steps;
    const [, zones] = [...heads].reduce((best, next) => (comesBefore(next, best, queues, at) ? next : best));
    const worn = zones.map((k) => queues[k][at[k]]);
    for (const k of zones) at[k]++;
    steps.push({ id: idOf(worn[0].coat, [...before, ...steps]), worn });
  }
}

interface Queued extends Worn {
  key: string;
}
type Head = [string, number[]];

function comesBefore([key, zones]: Head, [bestKey, best]: Head, queues: readonly Queued[][], at: number[]): boolean {
  const rank = (k: number) => rankOf(queues[k][at[k]].coat);
  const difference = rank(zones[0]) - rank(best[0]);
  if (difference) return difference < 0;
  // What is still to come on other zones waits for them, so that it is done once.
  const later = laterOn(key, queues, at) - laterOn(bestKey, queues, at);
  if (later) return later < 0;
  return zones.length > best.length;
}

/** Place of a coat among all that may be done next, whatever zone it is on: loose stones come after all grass, since a base is tapped for that. */
const rankOf = (coat: Coat): number =>
  isLooseStone(coat) ? operations.indexOf('grass') + 0.5 : operations.indexOf(coat.operation);

/** On how many zones a coat comes later that cannot be done yet. */
const laterOn = (key: string, queues: readonly Queued[][], at: number[]): number =>
  queues.filter((queue, k) => queue.some((worn, n) => n > at[k] && worn.key === key)).length;

/** A short name that no earlier step has. */
function idOf({ operation, material, colour }: Coat, steps: readonly Step[]): string {
  const plain = [operation, material, colour]
    .filter(Boolean)
    .join(' ')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-');
  let id = plain;
  for (let n = 2; steps.some((step) => step.id === id); n++) id = `${plain}-${n}`;
  return id;
}
