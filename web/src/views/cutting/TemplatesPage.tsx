import {
  fieldLimits,
  type PlanReport,
  paperSize,
  papers,
  type TemplateKind,
  templateKinds,
  templatePages,
  templateSource,
} from '@hosket/core';
import { Download } from 'lucide-react';
import { useMemo, useState } from 'react';
import { PaperPages } from '../../instruments/paper/PaperPages.tsx';
import { edit, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, MeasureField, TickField } from '../../ui/Field.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { savePdf } from '../savePdf.ts';
import { CutFiles } from './CutFiles.tsx';

const kindWords: Record<TemplateKind, string> = {
  pieces: 'Pieces at full size',
  guide: 'Stacking guide, a page a layer',
  contours: 'Contour plan at full size',
  profiles: 'Profiles of sides and sections',
  board: 'The board, where it is more than a plain rectangle',
};

/** Paper templates: what is printed on what, every page to be seen before it is, and files for cutters. */
export function TemplatesPage({ report }: { report: PlanReport }) {
  const project = useProject();
  const fields = usePlan((state) => state.fields);
  const [kinds, setKinds] = useState<readonly TemplateKind[]>(templateKinds);
  const { paper } = project;
  const change = (next: Partial<typeof paper>) => edit((p) => ({ ...p, paper: { ...p.paper, ...next } }));
  const pages = useMemo(
    () => (fields ? templatePages(project, templateSource(project, report, fields.ground, fields.outline), kinds) : []),
    [project, report, fields, kinds],
  );
  const size = paperSize(paper);
  return (
    <>
      <fieldset className="mb-3 grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-3">
        <legend className="sr-only">Paper</legend>
        <ChoiceField label="Paper" value={paper.size} options={papers} onValue={(next) => change({ size: next })} />
        {paper.size === 'own' && (
          <>
            <MeasureField
              label="Paper width"
              value={paper.widthMm}
              least={90}
              most={2000}
              onValue={(widthMm) => change({ widthMm })}
            />
            <MeasureField
              label="Paper height"
              value={paper.heightMm}
              least={120}
              most={2000}
              onValue={(heightMm) => change({ heightMm })}
            />
          </>
        )}
        <MeasureField
          label="White margin"
          value={paper.marginMm}
          {...fieldLimits('paper.marginMm')}
          onValue={(marginMm) => change({ marginMm })}
        />
        <MeasureField
          label="Overlap of pages"
          value={paper.overlapMm}
          {...fieldLimits('paper.overlapMm')}
          onValue={(overlapMm) => change({ overlapMm })}
        />
        <MeasureField
          label="The printed bar of 100 mm measures"
          value={paper.barMm}
          {...fieldLimits('paper.barMm')}
          onValue={(barMm) => change({ barMm })}
        />
      </fieldset>
      <div className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-1">
        {templateKinds.map((kind) => (
          <TickField
            key={kind}
            label={kindWords[kind]}
            value={kinds.includes(kind)}
            onValue={(on) =>
              setKinds((list) =>
                on ? templateKinds.filter((k) => k === kind || list.includes(k)) : list.filter((k) => k !== kind),
              )
            }
          />
        ))}
      </div>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <Button tone="main" disabled={!pages.length} onClick={() => savePdf(project.name, 'templates', pages)}>
          <Download size={14} aria-hidden /> Save {pages.length} {pages.length === 1 ? 'page' : 'pages'} as PDF
        </Button>
        <span className="text-xs text-muted">
          Print at 100 %, not fitted to the page ({size.widthMm} × {size.heightMm} mm). Measure the bar before you cut;
          if it is off, write down what it measures and save again.
        </span>
      </div>
      <PaperPages label="Pages" pages={pages} widthPx={132} />
      <CutFiles report={report} />
    </>
  );
}
