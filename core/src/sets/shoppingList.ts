/** The shopping list of a tile or a whole set: tiles one after another, each by stages that keep what does not change, packs over all of them. */
import { createKernel, type Kernel, readAsOne, stagesOf, toEnd } from '../kernel/index.ts';
import { createPlanner, type Plan } from '../planner/index.ts';
import { doneHere, type Offcut, openTile, type Project, tilesOf } from '../project/index.ts';
import type { PlanReport } from '../report/index.ts';
import {
  type Need,
  needsTogether,
  type SheetNeed,
  type ShoppingLine,
  sheetNeeds,
  sheetsTogether,
  shoppingOf,
} from '../stores/index.ts';

/** Everything to buy for what is still to do: of one tile, or of a whole set. */
export interface ShoppingList {
  /** Names of the tiles that it is for, in the order in which they are built. */
  tiles: string[];
  shopping: ShoppingLine[];
  /** What costs are in. */
  currency: string;
  sheets: SheetNeed[];
  /** What a list cannot mend: a tile for which the shed, after those before it, has no foam. */
  gaps: { tile: string; message: string; remedy: string }[];
}

/** How far the tiles of a set are worked out. */
export interface SetProgress {
  /** Which tile it is at, from 1, of how many. */
  at: number;
  of: number;
  name: string;
}

/** The shopping list of the tile that lies open, as its plan has it. */
export const listOfTile = (project: Project, { shopping, stack }: PlanReport): ShoppingList => ({
  tiles: [project.tile.name],
  shopping,
  currency: project.currency,
  sheets: sheetNeeds(project, stack.sheetsUsed),
  gaps: [],
});

/** What one tile adds to the list, and the shed as it leaves it. */
interface Share {
  needs: Need[];
  sheets: SheetNeed[];
  gaps: ShoppingList['gaps'];
  shed: Shed;
}
type Shed = Pick<Project, 'sheets' | 'offcuts'>;

/** Findings that say that foam is missing. */
const NO_FOAM = ['stack-too-low', 'stock-short', 'piece-nowhere'];

/** A tile on its own, with all that its needs depend on: not what is in the cupboard, nor words and pictures. */
function jobOf(project: Project, id: string, first: boolean): Project {
  const opened = openTile(project, id);
  return {
    ...opened,
    name: '',
    notes: '',
    underlay: null,
    overruled: [],
    tiles: [],
    counts: first ? project.counts : [],
    stores: { ...opened.stores, items: [] },
  };
}

/** What a tile's share is worked out from: the shed as the tiles before it leave it. */
interface Job {
  tile: Project;
  shed: Shed;
}

/** What a tile adds to the list. */
const share = stagesOf<Job>()({
  name: 'share of a tile',
  needs: {},
  *run({ input }) {
    const { sheets, offcuts } = readAsOne(input, 'shed');
    const alone = { ...readAsOne(input, 'tile'), sheets, offcuts };
    const planning = createPlanner().run(alone);
    for (;;) {
      const step = planning.next();
      if (step.done) return shareOf(alone, step.value);
      yield;
    }
  },
});

/**
 * The shopping list of a whole set. Tiles are built in the order in which they were made: each is cut from what those before it leave of the shed, offcuts too, so that no
 * sheet is counted twice. What is counted without being drawn comes once. Runs tile by tile and says which one it is at; a tile that has not changed is not worked out again.
 */
export function createSetLister(): { run: (project: Project) => Generator<SetProgress, ShoppingList> } {
  const kernels = new Map<string, Kernel<Job>>();

  function* run(project: Project): Generator<SetProgress, ShoppingList> {
    const tiles = tilesOf(project);
    const shares: Share[] = [];
    let shed: Shed = { sheets: project.sheets, offcuts: project.offcuts };
    for (const [k, { id, name }] of tiles.entries()) {
      const kernel = kernels.get(id) ?? createKernel<Job>();
      kernels.set(id, kernel);
      const bringing = kernel.get(share, { tile: jobOf(project, id, k === 0), shed });
      let step = bringing.next();
      while (!step.done) {
        yield { at: k + 1, of: tiles.length, name };
        step = bringing.next();
      }
      shares.push(step.value.value);
      ({ shed } = step.value.value);
    }
    for (const id of kernels.keys()) if (!tiles.some((tile) => tile.id === id)) kernels.delete(id);
    return {
      tiles: tiles.map(({ name }) => name),
      shopping: shoppingOf(
        project,
        needsTogether(
          project,
          shares.map(({ needs }) => needs),
        ),
      ),
      sheets: sheetsTogether(shares.map(({ sheets }) => sheets)),
      currency: project.currency,
      gaps: shares.flatMap(({ gaps }) => gaps),
    };
  }
  return { run };
}

/** The shopping list of everything that a file holds: of its set, or of its one tile. */
export function wholeList(project: Project, report: PlanReport): ShoppingList {
  if (!project.tiles.length) return listOfTile(project, report);
  return toEnd(createSetLister().run(project));
}

function shareOf(project: Project, plan: Plan): Share {
  const { report } = plan;
  const sheets = sheetNeeds(project, report.stack.sheetsUsed);
  const cutDone = doneHere(project).some(({ step }) => step === 'cut');
  return {
    needs: report.shopping.map(({ material, which, name, unit, amount, parts, steps }) => ({
      material,
      which,
      name,
      unit,
      amount,
      parts,
      steps,
    })),
    sheets,
    gaps: cutDone
      ? []
      : report.findings
          .filter(({ code }) => NO_FOAM.includes(code))
          .map(({ message, remedy }) => ({ tile: project.tile.name, message, remedy })),
    shed: cutDone ? { sheets: project.sheets, offcuts: project.offcuts } : shedAfter(project, sheets, plan),
  };
}

/** The shed when a tile is cut: without the sheets and offcuts that it takes, with what it leaves of them. */
function shedAfter({ tile, sheets, offcuts }: Project, taken: readonly SheetNeed[], { cutting }: Plan): Shed {
  const used = new Set(cutting.beds.map(({ offcutId }) => offcutId));
  const fresh = cutting.beds.flatMap(({ sheetId, left }) => left.map((points) => ({ sheetId, points })));
  return {
    sheets: sheets.map((sheet) => ({
      ...sheet,
      count: sheet.count - (taken.find(({ sheetId }) => sheetId === sheet.id)?.there ?? 0),
    })),
    offcuts: [
      ...offcuts.filter(({ id }) => !used.has(id)),
      ...fresh.map(
        ({ sheetId, points }, k): Offcut => ({
          id: `left-${tile.id}-${k + 1}`,
          name: `Left of ${tile.name}`,
          sheetId,
          outline: { kind: 'traced', points: points.map(([x, y]) => [x, y]) },
          place: '',
        }),
      ),
    ],
  };
}
