import type { PlanReport } from '@hosket/core';
import { type SurfacePage, surfacePages, useView } from '../../store/viewStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { PageOf, Pages } from '../../ui/Pages.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { ViewFrame } from '../ViewFrame.tsx';
import { CountedPage } from './CountedPage.tsx';
import { DepthPage } from './DepthPage.tsx';
import { MaterialsPage } from './MaterialsPage.tsx';
import { MixesPage } from './MixesPage.tsx';
import { RecipePanel } from './RecipePanel.tsx';
import { SurfaceTakeoff } from './SurfaceTakeoff.tsx';
import { WaysPage } from './WaysPage.tsx';
import { Zones } from './Zones.tsx';

const titles: Record<SurfacePage, string> = {
  zones: 'Zones and recipes',
  ways: 'Ways side by side',
  depth: 'Depth of paste',
  counted: 'Counted things',
  mixes: 'Mixes',
  materials: 'Materials',
};

/** What goes on top, zone by zone, and how much of it? */
export function SurfaceView() {
  const report = usePlan((state) => state.report);
  const page = useView((view) => view.surfacePage);
  const say = useSay();
  return (
    <ViewFrame
      fills
      title="Surface"
      answer={report ? answerOf(report, say.volume) : 'Working out what goes on top…'}
      sideTitle="Amounts for the surface"
      side={report && <SurfaceTakeoff report={report} />}
    >
      {report && (
        <Pages
          label="Pages of the surface"
          pages={surfacePages}
          titles={titles}
          page={page}
          onPage={(surfacePage) => useView.setState({ surfacePage })}
        >
          <PageOf name="zones">
            <div className="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-4 max-[999px]:grid-cols-1">
              <Zones />
              <RecipePanel report={report} />
            </div>
          </PageOf>
          <PageOf name="ways">
            <WaysPage report={report} />
          </PageOf>
          <PageOf name="depth">
            <DepthPage report={report} />
          </PageOf>
          <PageOf name="counted">
            <CountedPage report={report} />
          </PageOf>
          <PageOf name="mixes">
            <MixesPage />
          </PageOf>
          <PageOf name="materials">
            <MaterialsPage />
          </PageOf>
        </Pages>
      )}
    </ViewFrame>
  );
}

/** "694 ml of cellulose-plaster compound in 3 bowls; 1 recipe on 1 zone." */
function answerOf({ takeoff, zones }: PlanReport, volume: (ml: number) => string): string {
  const pastes = takeoff.filter(({ stage, drying }) => stage === 'skin' && drying.kind === 'paste');
  const ml = pastes.reduce((sum, { materials: [{ amount }] }) => sum + amount.likely, 0);
  const bowls = pastes.reduce((sum, { batches }) => sum + (batches?.count ?? 0), 0);
  const kinds = new Set(pastes.map(({ materials: [{ name }] }) => name.replace(/, mixed$/, '').toLowerCase()));
  const what = kinds.size === 1 ? [...kinds][0] : `paste of ${kinds.size} kinds`;
  const there = zones.filter(({ percent }) => percent > 0);
  const worn = new Set(there.map(({ recipe }) => recipe)).size;
  const said = pastes.length ? `${volume(ml)} of ${what} in ${count(bowls, 'bowl')}` : 'No paste';
  return `${said}; ${count(worn, 'recipe')} on ${count(there.length, 'zone')}.`;
}

const count = (n: number, what: string) => `${n === 1 && what === 'bowl' ? 'one' : n} ${what}${n === 1 ? '' : 's'}`;
