import { type LayersPage, layersPages, usePicked, useView } from '../../store/viewStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { PageOf, Pages } from '../../ui/Pages.tsx';
import { chosenSchool, usePlan } from '../../worker/planStore.ts';
import { Shed } from '../shed/Shed.tsx';
import { ViewFrame } from '../ViewFrame.tsx';
import { BuildPage } from './BuildPage.tsx';
import { CostsPage } from './CostsPage.tsx';
import { GluingPage } from './GluingPage.tsx';
import { LayerPanel } from './LayerPanel.tsx';
import { LayersTakeoff } from './LayersTakeoff.tsx';
import { LevelsPage } from './LevelsPage.tsx';
import { OffersPage } from './OffersPage.tsx';
import { StackPage } from './StackPage.tsx';

const titles: Record<LayersPage, string> = {
  stack: 'Stack',
  levels: 'Levels',
  offers: 'Other stacks',
  costs: 'What it costs',
  build: 'How it is built',
  shed: 'Shed',
  gluing: 'Gluing',
};

/** Which sheets, at which heights? */
export function LayersView() {
  const report = usePlan((state) => state.report);
  const page = useView((view) => view.layersPage);
  const picked = usePicked((state) => state.layer);
  const say = useSay();
  const stack = report && chosenSchool(report);
  const count = stack?.layers.length ?? 0;
  const layer = stack?.layers.find(({ index }) => index === picked);
  return (
    <ViewFrame
      fills
      title="Layers"
      answer={
        !stack
          ? 'Working out the stack…'
          : count
            ? `${count} ${count === 1 ? 'layer reaches' : 'layers reach'} ${say.mm(stack.topMm)}; ${say.volume(stack.carveMl)} to carve off and ${say.volume(stack.fillMl)} to fill before the skin.`
            : 'No sheet is worth laying here yet. Draw higher ground, or add sheets in the shed.'
      }
      sideTitle={layer ? `Layer ${layer.index}` : 'Amounts for layers'}
      side={stack && (layer ? <LayerPanel stack={stack} layer={layer} /> : <LayersTakeoff stack={stack} />)}
    >
      {stack && report && (
        <Pages
          label="Pages of layers"
          pages={layersPages}
          titles={titles}
          page={page}
          onPage={(layersPage) => useView.setState({ layersPage })}
        >
          <PageOf name="stack" fills>
            <StackPage stack={stack} schools={report.schools} layer={layer} />
          </PageOf>
          <PageOf name="levels">
            <LevelsPage stack={stack} />
          </PageOf>
          <PageOf name="offers">
            <OffersPage front={report.front} stack={stack} />
          </PageOf>
          <PageOf name="costs">
            <CostsPage stack={stack} />
          </PageOf>
          <PageOf name="build">
            <BuildPage report={report} />
          </PageOf>
          <PageOf name="shed">
            <Shed />
          </PageOf>
          <PageOf name="gluing">
            <GluingPage stack={stack} joints={report.joints} />
          </PageOf>
        </Pages>
      )}
    </ViewFrame>
  );
}
