import {
  hasHeights,
  heightsMeantAs,
  type Item,
  type PlanReport,
  type Project,
  sayGradient,
  skinMmOf,
} from '@hosket/core';

/** Which heights are written: those that were drawn, or all as bare foam or finished ground. */
export const heightsShown = ['as drawn', 'bare foam', 'finished'] as const;
export type HeightsShown = (typeof heightsShown)[number];

/** An item with the heights that are to be written. */
export function shownAs(project: Project, shown: HeightsShown, item: Item): Item {
  if (shown === 'as drawn' || !hasHeights(item)) return item;
  return heightsMeantAs(shown === 'finished' ? 'ground' : 'foam', project.heights, item, skinMmOf(project));
}

/** What stands beside an item on the plan: its height, its gradient, the room under it. Empty where there is nothing to say. */
export function itemLabel(item: Item, report: PlanReport | null, mm: (value: number) => string): string {
  switch (item.kind) {
    case 'contour':
    case 'spot':
    case 'pad':
      return mm(item.heightMm);
    case 'form':
      return `${mm(item.fromMm)} to ${mm(item.toMm)}`;
    case 'cliff':
      return `${mm(item.topMm)} / ${mm(item.footMm)}`;
    case 'basin':
    case 'island':
    case 'beach':
      return `water ${mm(item.waterMm)}`;
    case 'pit':
      return item.waterMm === null ? `floor ${mm(item.floorMm)}` : `water ${mm(item.waterMm)}`;
    case 'way': {
      const gradient = report?.landforms.find(({ id }) => id === item.id)?.gradientPercent;
      return gradient === null || gradient === undefined ? '' : sayGradient(gradient / 100);
    }
    case 'span': {
      const least = report?.spans.find(({ id }) => id === item.id)?.leastMm;
      return least === null || least === undefined ? '' : `room ${mm(least)}`;
    }
    case 'tree':
    case 'figure':
    case 'vehicle':
    case 'held':
    case 'stood': {
      const top = report?.fit.things.find(({ id }) => id === item.id)?.topMm;
      return top === undefined ? '' : `top ${mm(top)}`;
    }
    case 'cave':
    case 'bay':
    case 'chamber':
      return `floor ${mm(item.floorMm)}`;
    case 'tunnel':
    case 'cable':
      return `${mm(item.fromMm)} to ${mm(item.toMm)}`;
    case 'fence':
    case 'street':
    case 'track': {
      const first = report?.rows.find(({ id }) => id === item.id)?.pieces[0];
      return first ? `${first.count} ${first.name.toLowerCase()}` : '';
    }
    case 'patch':
      return item.cover;
    default:
      return '';
  }
}
