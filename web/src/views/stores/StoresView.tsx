import type { PlanReport, Project, ShoppingList } from '@hosket/core';
import { decimals } from '@hosket/core';
import { useProject } from '../../store/projectStore.ts';
import { type StoresPage, storesPages, useView } from '../../store/viewStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { PageOf, Pages } from '../../ui/Pages.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { ViewFrame } from '../ViewFrame.tsx';
import { BenchSheetPage } from './BenchSheetPage.tsx';
import { ChecksPage } from './ChecksPage.tsx';
import { CupboardPage } from './CupboardPage.tsx';
import { DonePage } from './DonePage.tsx';
import { ListFor } from './ListFor.tsx';
import { ShoppingPage } from './ShoppingPage.tsx';
import { StoresTakeoff } from './StoresTakeoff.tsx';
import { useShoppingList } from './useShoppingList.ts';
import { WeightPage } from './WeightPage.tsx';

const titles: Record<StoresPage, string> = {
  cupboard: 'Cupboard and needs',
  shopping: 'Shopping list',
  done: 'What is done',
  weight: 'Weight and cost',
  checks: 'All checks',
  sheet: 'Bench sheet',
};

/** What have I got, what must I buy, what does it cost? */
export function StoresView() {
  const project = useProject();
  const report = usePlan((state) => state.report);
  const page = useView((view) => view.storesPage);
  const say = useSay();
  const { list } = useShoppingList(report);
  return (
    <ViewFrame
      fills
      title="Stores"
      answer={report ? answerOf(project, report, list, say.mass) : 'Working out what is needed…'}
      sideTitle={project.tiles.length ? `What ${project.tile.name} comes to` : 'What it comes to'}
      side={report && <StoresTakeoff report={report} />}
    >
      {report && (
        <Pages
          label="Pages of the stores"
          pages={storesPages}
          titles={titles}
          page={page}
          onPage={(storesPage) => useView.setState({ storesPage })}
        >
          <PageOf name="cupboard">
            <ListFor />
            {list && <CupboardPage list={list} />}
          </PageOf>
          <PageOf name="shopping">
            <ListFor />
            {list && <ShoppingPage list={list} />}
          </PageOf>
          <PageOf name="done">
            <DonePage report={report} />
          </PageOf>
          <PageOf name="weight">
            <WeightPage report={report} />
          </PageOf>
          <PageOf name="checks">
            <ChecksPage report={report} />
          </PageOf>
          <PageOf name="sheet">
            <ListFor />
            <BenchSheetPage report={report} />
          </PageOf>
        </Pages>
      )}
    </ViewFrame>
  );
}

/** "10 things to buy, 34.50 EUR as far as priced; the piece weighs 1.8 kg." */
function answerOf(
  { currency, tile, tiles }: Project,
  { mass }: PlanReport,
  list: ShoppingList | null,
  said: (g: number) => string,
): string {
  const weighs = (what: string) => `${what} weighs ${said(mass.totalG.likely)}.`;
  if (!list) return `Working out what the set needs; ${weighs(tile.name)}`;
  const all =
    list.shopping.filter(({ short }) => short > 1e-9).length + list.sheets.filter(({ toBuy }) => toBuy > 0).length;
  const cost = costOf(list);
  const buy = all ? `${all} ${all === 1 ? 'thing' : 'things'} to buy` : 'Nothing to buy';
  const forAll = list.tiles.length > 1 ? ` for ${list.tiles.length} tiles` : '';
  const priced = cost === null ? '' : `, ${decimals(cost, 2)} ${currency} as far as it is priced`;
  return `${buy}${forAll}${priced}; ${weighs(tiles.length ? tile.name : 'the piece')}`;
}

/** What must be spent, as far as it is priced; null where nothing is. */
function costOf({ shopping, sheets }: ShoppingList): number | null {
  const costs = [
    ...shopping.flatMap(({ buy }) => (buy?.cost == null ? [] : [buy.cost])),
    ...sheets.flatMap(({ cost, toBuy }) => (cost === null || !toBuy ? [] : [cost])),
  ];
  return costs.length ? costs.reduce((sum, cost) => sum + cost, 0) : null;
}
