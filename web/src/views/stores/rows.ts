import { catalogueOf, type PackUnit, type Project, type ShoppingLine, type StoreItem, servesFor } from '@hosket/core';

/** How far a line is settled, for sorting and grouping. */
export const states = ['to buy', 'in the cupboard', 'not needed'] as const;
export type RowState = (typeof states)[number];

/** One line of the table of stores: something in the cupboard, something needed, or both. */
export interface StoreRow {
  key: string;
  material: string;
  which: string;
  name: string;
  form: string;
  unit: PackUnit;
  item: StoreItem | null;
  line: ShoppingLine | null;
  state: RowState;
}

/** What is needed with what there is of it, then what is in the cupboard and not needed. A need with two jars has two lines; its figures stand in the first. */
export function storeRows(project: Project, shopping: readonly ShoppingLine[]): StoreRow[] {
  const catalogue = catalogueOf(project.materials);
  const nameOf = (material: string) => catalogue.material(material)?.name ?? material;
  const formOf = (material: string) => catalogue.material(material)?.form ?? 'unknown';
  const { items } = project.stores;
  const placed = new Set<string>();
  const rows = shopping.flatMap((line): StoreRow[] => {
    const { material, which, name, unit, short } = line;
    const shared = { material, which, name, form: formOf(material), unit, state: short > 1e-9 ? states[0] : states[1] };
    const serving = items.filter((item) => !placed.has(item.id) && servesFor(item, line, catalogue));
    for (const { id } of serving) placed.add(id);
    if (!serving.length) return [{ ...shared, key: `${material} ${which}`, item: null, line }];
    return serving.map((item, k) => ({ ...shared, key: item.id, item, line: k ? null : line }));
  });
  const rest = items
    .filter(({ id }) => !placed.has(id))
    .map((item): StoreRow => {
      const { id, material, which, unit } = item;
      return {
        key: id,
        material,
        which,
        name: nameOf(material),
        form: formOf(material),
        unit,
        item,
        line: null,
        state: states[2],
      };
    });
  return [...rows, ...rest];
}
