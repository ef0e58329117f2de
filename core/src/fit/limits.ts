import { coveredSize, type LimitRule, type Presence, type Project } from '../project/index.ts';
import type { StageTakeoff } from '../takeoff/index.ts';
import { decimals, grams, inWords, mm, type Said, sentence, type UnitSystem } from '../units/index.ts';
import type { ZoneRead } from '../zones/index.ts';
import type { Mass } from './mass.ts';

/** What the plan has come to, as limits need it. */
export interface Reached {
  /** By when the work is over as often as the brief asks, `2027-03-15T...`; null when it never ends. */
  finish: string | null;
  handsOnMin: number;
  mass: Mass;
  /** Of everything used, and of everything that must still be bought, as far as it is priced; null when nothing is. */
  cost: number | null;
  toBuy: number | null;
  /** Highest place of all over the underside of the board, mm. */
  tallestMm: number;
  zones: readonly ZoneRead[];
  /** What is laid on them. */
  takeoff: readonly Pick<StageTakeoff, 'operation' | 'zones'>[];
  /** Houses that stand along streets. */
  streetHouses: number;
}

/** One limit or rule, and whether it is kept; measures in its sentences are quantities (`units/quantity.ts`). */
export interface LimitRead {
  id: string;
  text: string;
  /** Null: to be judged by the builder. */
  kept: boolean | null;
  /** By how much, in words. */
  why: string;
}

const dayOf = (moment: string) => moment.slice(0, 10);

const has: Readonly<Record<Presence, (project: Project, reached: Reached) => number>> = {
  water: ({ landforms }) =>
    landforms.filter(
      (form) => form.kind === 'basin' || form.kind === 'channel' || (form.kind === 'pit' && form.waterMm !== null),
    ).length,
  road: ({ landforms }) => landforms.filter(({ kind }) => kind === 'way').length,
  cliff: ({ landforms, marks }) =>
    landforms.filter(({ kind }) => kind === 'cliff').length + marks.filter(({ kind }) => kind === 'break').length,
  rock: ({ laid }) => laid.filter(({ kind }) => kind === 'rock' || kind === 'slate' || kind === 'cast').length,
  building: ({ laid }, { streetHouses }) => laid.filter(({ kind }) => kind === 'building').length + streetHouses,
  tree: ({ things }) => things.filter(({ kind }) => kind === 'tree').length,
  figure: ({ things }) => things.filter(({ kind }) => kind === 'figure').length,
  vehicle: ({ things }) => things.filter(({ kind }) => kind === 'vehicle').length,
  span: ({ landforms }) => landforms.filter(({ kind }) => kind === 'span').length,
  fence: ({ rows }) => rows.filter(({ kind }) => kind === 'fence').length,
  railway: ({ landforms, rows }) =>
    rows.filter(({ kind }) => kind === 'track').length +
    landforms.filter((form) => form.kind === 'way' && (form.use === 'track' || form.use === 'roadbed')).length,
};

function ruleRead(project: Project, reached: Reached, { id, text, check }: LimitRule): LimitRead {
  const read = (kept: boolean | null, why: string): LimitRead => ({ id, text, kept, why });
  switch (check.kind) {
    case 'by hand':
      return read(check.done ? true : null, check.done ? 'ticked by hand' : 'for you to judge');
    case 'footprint': {
      const { widthMm: w, depthMm: d } = coveredSize(project.base);
      const [long, short] = [Math.max(w, d), Math.min(w, d)];
      const [most, least] = [Math.max(check.widthMm, check.depthMm), Math.min(check.widthMm, check.depthMm)];
      return read(long <= most + 1e-6 && short <= least + 1e-6, `${mm(w)} by ${mm(d)}`);
    }
    case 'height':
      return read(reached.tallestMm <= check.mostMm + 1e-6, `${mm(reached.tallestMm)} tall with the board`);
    case 'present': {
      const count = has[check.what](project, reached);
      return read(count >= check.least, `${count} of ${check.least}`);
    }
    case 'zone': {
      const percent = reached.zones
        .filter(({ cover }) => cover === check.cover)
        .reduce((sum, zone) => sum + zone.percent, 0);
      return read(
        percent > 0 && percent >= check.leastPercent,
        `${check.cover} on ${decimals(percent, 0)} % of the base`,
      );
    }
    case 'worn': {
      const on = new Set(
        reached.takeoff
          .filter(({ operation }) => operation === check.operation)
          .flatMap(({ zones }) => zones.map(({ id }) => id)),
      );
      const percent = reached.zones.filter(({ id }) => on.has(id)).reduce((sum, zone) => sum + zone.percent, 0);
      return read(
        percent > 0 && percent >= check.leastPercent,
        `${check.operation} on ${decimals(percent, 0)} % of the base`,
      );
    }
    case 'finished by':
      return dueRead(reached.finish, check.date, project.limits.sureOf, read);
  }
}

function dueRead(
  finish: string | null,
  due: string,
  sureOf: number,
  read: (kept: boolean | null, why: string) => LimitRead,
): LimitRead {
  if (finish === null) return read(false, 'the work has no end yet');
  return read(dayOf(finish) <= due, `${sureOf} % sure to be ready by ${dayOf(finish)}`);
}

/** Every limit and rule of the brief against what the plan comes to. */
export function limitsRead(project: Project, reached: Reached): LimitRead[] {
  const { dueDate, weightG, cost, benchHours, rules } = project.limits;
  const reads: LimitRead[] = [];
  const limit = (id: string, text: string) => (kept: boolean | null, why: string) => {
    const read = { id, text, kept, why };
    reads.push(read);
    return read;
  };
  if (dueDate !== null) dueRead(reached.finish, dueDate, project.limits.sureOf, limit('due', `Finished by ${dueDate}`));
  if (weightG !== null) {
    const { low, likely, high } = reached.mass.totalG;
    limit('weight', `No heavier than ${grams(weightG)}`)(
      likely <= weightG,
      `about ${grams(likely)} (${grams(low)} to ${grams(high)}) when it is dry`,
    );
  }
  if (cost !== null)
    limit('cost', `No dearer than ${cost} ${project.currency}`)(
      reached.cost === null && reached.toBuy === null ? null : Math.max(reached.cost ?? 0, reached.toBuy ?? 0) <= cost,
      reached.cost === null && reached.toBuy === null
        ? 'nothing has a price yet'
        : `${decimals(reached.cost ?? 0, 2)} ${project.currency} used up, ${decimals(reached.toBuy ?? 0, 2)} ${project.currency} to buy in whole packs, as far as it is priced`,
    );
  if (benchHours !== null)
    limit('hours', `No more than ${benchHours} h at the bench`)(
      reached.handsOnMin <= 60 * benchHours,
      `about ${decimals(reached.handsOnMin / 60, 1)} h`,
    );
  return [...reads, ...rules.map((rule) => ruleRead(project, reached, rule))];
}

/** A limit as the report keeps it: its sentences in metric units, and their words and figures apart where there are any. */
export interface LimitWritten extends LimitRead {
  said?: { text: Said; why: Said };
}

export function limitWritten(read: LimitRead): LimitWritten {
  const { metric, said } = inWords({ text: read.text, why: read.why });
  return { ...read, ...metric, ...(said && { said }) };
}

/** A limit's sentences in the builder's units. */
export const limitIn = ({ text, why, said }: LimitWritten, system: UnitSystem): { text: string; why: string } =>
  said ? { text: sentence(said.text, system), why: sentence(said.why, system) } : { text, why };
