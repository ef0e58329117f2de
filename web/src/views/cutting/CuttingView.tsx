import type { PlanReport } from '@hosket/core';
import { Tabs } from 'radix-ui';
import { type CuttingPage, cuttingPages, usePicked, useView } from '../../store/viewStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { ViewFrame } from '../ViewFrame.tsx';
import { CutForm } from './CutForm.tsx';
import { CutList } from './CutList.tsx';
import { CutTakeoff } from './CutTakeoff.tsx';
import { PiecePanel } from './PiecePanel.tsx';
import { PiecesPage } from './PiecesPage.tsx';
import { SheetsPage } from './SheetsPage.tsx';
import { TemplatesPage } from './TemplatesPage.tsx';

const titles: Record<CuttingPage, string> = {
  sheets: 'Sheets',
  pieces: 'Pieces',
  list: 'Cutting list',
  templates: 'Templates and files',
  how: 'How it is cut',
};

/** Which pieces, from which sheets? */
export function CuttingView() {
  const report = usePlan((state) => state.report);
  const page = useView((view) => view.cuttingPage);
  const picked = usePicked((state) => state.piece);
  const say = useSay();
  const piece = report?.cutting.pieces.find(({ id }) => id === picked);
  return (
    <ViewFrame
      fills
      title="Cutting"
      answer={report ? answerOf(report, say.area) : 'Working out the pieces…'}
      sideTitle={piece ? `Piece ${piece.id}` : 'Take-off for cutting'}
      side={report && (piece ? <PiecePanel report={report} piece={piece} /> : <CutTakeoff report={report} />)}
    >
      {report && (
        <Tabs.Root
          value={page}
          onValueChange={(next) => useView.setState({ cuttingPage: next as CuttingPage })}
          className="flex min-h-0 flex-1 flex-col"
        >
          <Tabs.List aria-label="Pages of cutting" className="mb-2 flex flex-wrap gap-x-4 border-b border-line">
            {cuttingPages.map((name) => (
              <Tabs.Trigger
                key={name}
                value={name}
                className="-mb-px cursor-pointer border-b-2 border-transparent pb-1 text-sm text-muted data-[state=active]:border-clay data-[state=active]:text-graphite"
              >
                {titles[name]}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <Page name="sheets" fills>
            <SheetsPage report={report} />
          </Page>
          <Page name="pieces">
            <PiecesPage report={report} />
          </Page>
          <Page name="list">
            <CutList report={report} />
          </Page>
          <Page name="templates">
            <TemplatesPage report={report} />
          </Page>
          <Page name="how">
            <CutForm />
          </Page>
        </Tabs.Root>
      )}
    </ViewFrame>
  );
}

function answerOf({ cutting }: PlanReport, area: (mm2: number) => string): string {
  const { pieces, beds, nowhere, leftMm2 } = cutting;
  if (!pieces.length) return 'There are no layers to cut yet.';
  const waiting = pieces.filter(({ state }) => state !== 'put away').length;
  if (!waiting) return 'Everything is cut and put away.';
  const sheets = beds.filter(({ kind }) => kind !== 'offcut').length;
  const offcuts = beds.length - sheets;
  const on = [
    ...(offcuts ? [`${offcuts} ${offcuts === 1 ? 'offcut' : 'offcuts'}`] : []),
    ...(sheets ? [`${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}`] : []),
  ].join(' and ');
  const lies = `${waiting} ${waiting === 1 ? 'piece' : 'pieces'} on ${on || 'nothing'}`;
  const without = nowhere.length ? `; ${nowhere.length} of them ${nowhere.length === 1 ? 'fits' : 'fit'} nowhere` : '';
  return `${lies}${without}; ${area(leftMm2)} of useful offcuts left.`;
}

/** One page; it scrolls by itself unless it fills its room. */
function Page({ name, fills, children }: { name: CuttingPage; fills?: boolean; children: React.ReactNode }) {
  return (
    <Tabs.Content
      value={name}
      className={`relative min-h-0 flex-1 outline-none ${fills ? 'data-[state=active]:flex data-[state=active]:flex-col' : 'overflow-y-auto pb-4'}`}
    >
      {children}
    </Tabs.Content>
  );
}
