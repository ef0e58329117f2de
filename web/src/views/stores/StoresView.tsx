import { type PlanReport, type Project, sheetNeeds } from '@hosket/core';
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
import { ShoppingPage } from './ShoppingPage.tsx';
import { StoresTakeoff } from './StoresTakeoff.tsx';
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
  return (
    <ViewFrame
      fills
      title="Stores"
      answer={report ? answerOf(project, report, say.mass) : 'Working out what is needed…'}
      sideTitle="What it comes to"
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
            <CupboardPage report={report} />
          </PageOf>
          <PageOf name="shopping">
            <ShoppingPage report={report} />
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
            <BenchSheetPage report={report} />
          </PageOf>
        </Pages>
      )}
    </ViewFrame>
  );
}

/** "10 things to buy, 34.50 EUR as far as priced; the piece weighs 1.8 kg." */
function answerOf(project: Project, report: PlanReport, mass: (g: number) => string): string {
  const things = report.shopping.filter(({ short }) => short > 1e-9).length;
  const sheets = sheetNeeds(project, report.stack.sheetsUsed).filter(({ toBuy }) => toBuy > 0).length;
  const all = things + sheets;
  const cost = costOf(project, report);
  const buy = all ? `${all} ${all === 1 ? 'thing' : 'things'} to buy` : 'Nothing to buy';
  return `${buy}${cost === null ? '' : `, ${cost.toFixed(2)} ${project.currency} as far as it is priced`}; the piece weighs ${mass(report.mass.totalG.likely)}.`;
}

/** What must be spent, as far as it is priced; null where nothing is. */
function costOf(project: Project, report: PlanReport): number | null {
  const costs = [
    ...report.shopping.flatMap(({ buy }) => (buy?.cost == null ? [] : [buy.cost])),
    ...sheetNeeds(project, report.stack.sheetsUsed).flatMap(({ cost, toBuy }) =>
      cost === null || !toBuy ? [] : [cost],
    ),
  ];
  return costs.length ? costs.reduce((sum, cost) => sum + cost, 0) : null;
}
