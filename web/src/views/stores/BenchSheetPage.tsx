import { benchPages, type PlanReport } from '@hosket/core';
import { Download, Printer } from 'lucide-react';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { PaperPages } from '../../instruments/paper/PaperPages.tsx';
import { useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { TickField } from '../../ui/Field.tsx';
import { savePdf } from '../savePdf.ts';
import { useBenchSheet } from './useBenchSheet.ts';

/** What to take to the bench on paper: every page to be seen before it is saved or printed. */
export function BenchSheetPage({ report }: { report: PlanReport }) {
  const project = useProject();
  const sheet = useBenchSheet(report);
  const go = useNavigate();
  const largeType = useView((view) => view.largeType);
  const pages = useMemo(
    () => (sheet ? benchPages(sheet, project.paper, { largeType }) : []),
    [sheet, project.paper, largeType],
  );
  return (
    <div>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <Button tone="main" disabled={!pages.length} onClick={() => savePdf(project.name, 'bench sheet', pages)}>
          <Download size={14} aria-hidden /> Save {pages.length} {pages.length === 1 ? 'page' : 'pages'} as PDF
        </Button>
        <Button onClick={() => go('../print', { relative: 'path' })}>
          <Printer size={14} aria-hidden /> As a plain page to print
        </Button>
        <TickField label="Large type" value={largeType} onValue={(on) => useView.setState({ largeType: on })} />
        <span className="text-xs text-muted">
          All of it on one page first; then stage after stage with amounts, bowls, waits, tools and cautions; then the
          shopping list. Paper is chosen with the templates (Cutting).
        </span>
      </div>
      <PaperPages label="Pages of the bench sheet" pages={pages} widthPx={210} />
    </div>
  );
}
