import type { PlanReport } from '@hosket/core';
import { type CuttingPage, cuttingPages, usePicked, useView } from '../../store/viewStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { PageOf, Pages } from '../../ui/Pages.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { ViewFrame } from '../ViewFrame.tsx';
import { CutForm } from './CutForm.tsx';
import { CutList } from './CutList.tsx';
import { CutTakeoff } from './CutTakeoff.tsx';
import { PanelsPage } from './PanelsPage.tsx';
import { PiecePanel } from './PiecePanel.tsx';
import { PiecesPage } from './PiecesPage.tsx';
import { SheetsPage } from './SheetsPage.tsx';
import { TemplatesPage } from './TemplatesPage.tsx';

const titles: Record<CuttingPage, string> = {
  sheets: 'Sheets',
  pieces: 'Pieces',
  list: 'Cutting list',
  upright: 'Upright parts',
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
      sideTitle={piece ? `Piece ${piece.id}` : 'Amounts for cutting'}
      side={report && (piece ? <PiecePanel report={report} piece={piece} /> : <CutTakeoff report={report} />)}
    >
      {report && (
        <Pages
          label="Pages of cutting"
          pages={cuttingPages}
          titles={titles}
          page={page}
          onPage={(cuttingPage) => useView.setState({ cuttingPage })}
        >
          <PageOf name="sheets" fills>
            <SheetsPage report={report} />
          </PageOf>
          <PageOf name="pieces">
            <PiecesPage report={report} />
          </PageOf>
          <PageOf name="list">
            <CutList report={report} />
          </PageOf>
          <PageOf name="upright">
            <PanelsPage />
          </PageOf>
          <PageOf name="templates">
            <TemplatesPage report={report} />
          </PageOf>
          <PageOf name="how">
            <CutForm />
          </PageOf>
        </Pages>
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
