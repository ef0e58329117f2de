import { catalogueOf, inUnit, servesFor } from '../../materials/index.ts';
import type { Project } from '../schemas/schema.ts';
import type { DoneStep, Overruled, PackOffer, StoreItem, Stores } from '../schemas/storesSchema.ts';

const withStores = (project: Project, change: Partial<Stores>): Project => ({
  ...project,
  stores: { ...project.stores, ...change },
});
const put = <T extends { id: string }>(list: readonly T[], one: T): T[] =>
  list.some(({ id }) => id === one.id) ? list.map((other) => (other.id === one.id ? one : other)) : [...list, one];

/** Puts something in the cupboard, or in the place of what has its id. */
export const putStoreItem = (project: Project, item: StoreItem): Project =>
  withStores(project, { items: put(project.stores.items, item) });

export const removeStoreItem = (project: Project, id: string): Project =>
  withStores(project, { items: project.stores.items.filter((item) => item.id !== id) });

/** Notes a pack that can be had, with its price. */
export const putPack = (project: Project, pack: PackOffer): Project =>
  withStores(project, { packs: put(project.stores.packs, pack) });

export const removePack = (project: Project, id: string): Project =>
  withStores(project, { packs: project.stores.packs.filter((pack) => pack.id !== id) });

/** What is opened goes first, the one opened longest ago before others; then what is past soonest. */
const usedFirst = (a: StoreItem, b: StoreItem) =>
  (a.opened ?? '9999').localeCompare(b.opened ?? '9999') || (a.useBy ?? '9999').localeCompare(b.useBy ?? '9999');

/** What is counted without being drawn belongs to the whole set, not to one tile of it: so begin the ids of its steps. */
export const COUNT_STEP = 'count-';

/** What is done of the tile that lies open, and of what belongs to all tiles. */
export const doneHere = ({ stores, tile }: Pick<Project, 'stores' | 'tile'>): DoneStep[] =>
  stores.done.filter((one) => one.tile === tile.id || one.step.startsWith(COUNT_STEP));

/** Marks a step of the open tile done and takes what it used out of the cupboard, as far as it is there. A step that was marked before is marked anew. */
export function markDone(before: Project, done: Omit<DoneStep, 'taken' | 'tile'>): Project {
  const project = markUndone(before, done.step);
  const catalogue = catalogueOf(project.materials);
  const left = new Map(project.stores.items.map(({ id, amount }) => [id, amount]));
  const taken: DoneStep['taken'] = [];
  for (const need of done.used) {
    let wanted = need.amount;
    for (const item of project.stores.items.filter((one) => servesFor(one, need, catalogue)).sort(usedFirst)) {
      const there = inUnit(left.get(item.id) ?? 0, item.unit, need.unit, item.material, catalogue);
      if (there === null || there <= 0 || wanted <= 0) continue;
      const share = Math.min(1, wanted / there);
      const amount = (left.get(item.id) ?? 0) * share;
      left.set(item.id, (left.get(item.id) ?? 0) - amount);
      wanted -= there * share;
      taken.push({ item: item.id, amount });
    }
  }
  return withStores(project, {
    items: project.stores.items.map((item) => ({ ...item, amount: left.get(item.id) ?? item.amount })),
    done: [...project.stores.done, { ...done, tile: project.tile.id, taken }],
  });
}

/** Takes a mark of the open tile back: what was taken out of the cupboard is put back. */
export function markUndone(project: Project, step: string): Project {
  const { items, done } = project.stores;
  const marks = doneHere(project).filter((one) => one.step === step);
  if (!marks.length) return project;
  const undone = marks.flatMap(({ taken }) => taken);
  const back = (id: string) => undone.reduce((sum, { item, amount }) => (item === id ? sum + amount : sum), 0);
  return withStores(project, {
    items: items.map((item) => ({ ...item, amount: item.amount + back(item.id) })),
    done: done.filter((one) => !marks.includes(one)),
  });
}

const sameFinding = (a: Pick<Overruled, 'code' | 'place'>, b: Pick<Overruled, 'code' | 'place'>) =>
  a.code === b.code && a.place === b.place;

/** Overrules a finding, with the reason; null lets it count again. */
export const overrule = (
  project: Project,
  finding: Pick<Overruled, 'code' | 'place'>,
  note: string | null,
): Project => ({
  ...project,
  overruled: [
    ...project.overruled.filter((one) => !sameFinding(one, finding)),
    ...(note ? [{ code: finding.code, place: finding.place, note }] : []),
  ],
});

/** Why a finding is overruled; null where it counts. */
export const overruledBy = (project: Pick<Project, 'overruled'>, finding: Pick<Overruled, 'code' | 'place'>) =>
  project.overruled.find((one) => sameFinding(one, finding))?.note ?? null;
