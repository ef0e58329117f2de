import type { PlanReport } from '@hosket/core';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField } from '../../ui/Field.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { saveBody, saveSheet, saveSheets } from './saveFiles.ts';

const bodies = [
  { value: 'stack', text: 'the stack of layers' },
  { value: 'ground', text: 'the finished ground' },
] as const;

/** Files for cutters and printers: a sheet as SVG or DXF, all of them in one zip, the stack and the ground as STL or 3MF. */
export function CutFiles({ report }: { report: PlanReport }) {
  const project = useProject();
  const fields = usePlan((state) => state.fields);
  const { beds } = report.cutting;
  const [bedId, setBedId] = useState('');
  const [body, setBody] = useState<'stack' | 'ground'>('stack');
  const bed = beds.find(({ id }) => id === bedId) ?? beds[0];
  return (
    <section aria-label="Files">
      <h2 className="mb-1 text-base">Files for cutters and printers</h2>
      <p className="mb-2 text-xs text-muted">
        In millimetres. Sheets have a layer each for cuts, holes, labels, offcuts and the sheet itself.
      </p>
      {bed && (
        <div className="mb-2 flex flex-wrap items-end gap-2">
          <div className="w-60">
            <ChoiceField
              label="Sheet"
              value={bed.id}
              options={beds.map(({ id, name }) => ({ value: id, text: name }))}
              onValue={setBedId}
            />
          </div>
          <Button onClick={() => saveSheet(project.name, bed, 'svg')}>
            <Download size={14} aria-hidden /> SVG
          </Button>
          <Button onClick={() => saveSheet(project.name, bed, 'dxf')}>
            <Download size={14} aria-hidden /> DXF
          </Button>
          <Button onClick={() => saveSheets(project.name, beds)}>
            <Download size={14} aria-hidden /> All sheets, zipped
          </Button>
        </div>
      )}
      <div className="flex flex-wrap items-end gap-2">
        <div className="w-60">
          <ChoiceField label="Body" value={body} options={bodies} onValue={setBody} />
        </div>
        <Button disabled={!fields} onClick={() => fields && saveBody(project, report, fields, body, 'stl')}>
          <Download size={14} aria-hidden /> STL
        </Button>
        <Button disabled={!fields} onClick={() => fields && saveBody(project, report, fields, body, '3mf')}>
          <Download size={14} aria-hidden /> 3MF
        </Button>
      </div>
    </section>
  );
}
