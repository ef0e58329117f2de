import { Tabs } from 'radix-ui';
import { type LayersPage, layersPages, usePicked, useView } from '../../store/viewStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { chosenSchool, usePlan } from '../../worker/planStore.ts';
import { Shed } from '../shed/Shed.tsx';
import { ViewFrame } from '../ViewFrame.tsx';
import { BuildPage } from './BuildPage.tsx';
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
      sideTitle={layer ? `Layer ${layer.index}` : 'Take-off for layers'}
      side={stack && (layer ? <LayerPanel stack={stack} layer={layer} /> : <LayersTakeoff stack={stack} />)}
    >
      {stack && report && (
        <Tabs.Root
          value={page}
          onValueChange={(next) => useView.setState({ layersPage: next as LayersPage })}
          className="flex min-h-0 flex-1 flex-col"
        >
          <Tabs.List aria-label="Pages of layers" className="mb-2 flex flex-wrap gap-x-4 border-b border-line">
            {layersPages.map((name) => (
              <Tabs.Trigger
                key={name}
                value={name}
                className="-mb-px cursor-pointer border-b-2 border-transparent pb-1 text-sm text-muted data-[state=active]:border-clay data-[state=active]:text-graphite"
              >
                {titles[name]}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <Page name="stack" fills>
            <StackPage stack={stack} schools={report.schools} layer={layer} />
          </Page>
          <Page name="levels">
            <LevelsPage stack={stack} />
          </Page>
          <Page name="offers">
            <OffersPage front={report.front} stack={stack} />
          </Page>
          <Page name="build">
            <BuildPage report={report} />
          </Page>
          <Page name="shed">
            <Shed />
          </Page>
          <Page name="gluing">
            <GluingPage stack={stack} joints={report.joints} />
          </Page>
        </Tabs.Root>
      )}
    </ViewFrame>
  );
}

/** One page; it scrolls by itself unless it fills its room. */
function Page({ name, fills, children }: { name: LayersPage; fills?: boolean; children: React.ReactNode }) {
  return (
    <Tabs.Content
      value={name}
      className={`relative min-h-0 flex-1 outline-none ${fills ? 'data-[state=active]:flex data-[state=active]:flex-col' : 'overflow-y-auto pb-4'}`}
    >
      {children}
    </Tabs.Content>
  );
}
