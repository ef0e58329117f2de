import { baseSize, formatScale } from '@hosket/core';
import { EnvelopeDrawing } from '../../instruments/section/EnvelopeDrawing.tsx';
import { useProject } from '../../store/projectStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { SheetTable } from '../shed/SheetTable.tsx';
import { ViewFrame } from '../ViewFrame.tsx';
import { Allows } from './Allows.tsx';
import { BaseFields } from './BaseFields.tsx';
import { Air, Board } from './BoardAndAir.tsx';
import { DistanceFields } from './DistanceFields.tsx';
import { EnvelopeFields } from './EnvelopeFields.tsx';
import { LimitsFields } from './LimitsFields.tsx';
import { SetFields } from './SetFields.tsx';
import { TestPiece } from './TestPiece.tsx';
import { WorkFields } from './WorkFields.tsx';

/** What am I building, how big, at which scale, for which date, inside which limits, in what air, from which sheets? */
export function BriefView() {
  const project = useProject();
  const say = useSay();
  const { widthMm, depthMm } = baseSize(project.base);
  const sheets = project.sheets.reduce((count, sheet) => count + sheet.count, 0);
  return (
    <ViewFrame
      title="Brief"
      answer={`${say.mm(widthMm)} by ${say.mm(depthMm)}, ${formatScale(project.scale)}; ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'} in the shed.`}
      sideTitle="What this allows"
      side={<Allows />}
    >
      <div className="grid grid-cols-2 gap-x-8 gap-y-5 max-[999px]:grid-cols-1">
        <WorkFields project={project} />
        <BaseFields project={project} />
        <EnvelopeFields project={project} />
        <EnvelopeDrawing />
        <LimitsFields project={project} />
        <DistanceFields project={project} />
        <Board project={project} />
        <Air project={project} />
      </div>
      <SetFields project={project} />
      <SheetTable />
      <TestPiece />
    </ViewFrame>
  );
}
