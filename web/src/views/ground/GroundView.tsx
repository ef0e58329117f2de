import { MousePointer2, Plus, Spline } from 'lucide-react';
import { beginDrawing, finishLine, stopDrawing, useDrawing } from '../../instruments/drawing.ts';
import { PlanView } from '../../instruments/PlanView.tsx';
import { useProject } from '../../store/projectStore.ts';
import { usePicked } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { useSay } from '../../ui/Figures.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { ViewFrame } from '../ViewFrame.tsx';
import { MarkList } from './MarkList.tsx';
import { MarkPanel } from './MarkPanel.tsx';
import { ShadingChoice } from './ShadingChoice.tsx';

/** Where is high and low, and what lies where? */
export function GroundView() {
  const { marks } = useProject();
  const picked = usePicked((state) => state.markId);
  const report = usePlan((state) => state.report);
  const say = useSay();
  const mark = marks.find((candidate) => candidate.id === picked);
  return (
    <ViewFrame
      fills
      title="Ground"
      answer={
        report && marks.length
          ? `From ${say.mm(report.ground.lowestMm)} to ${say.mm(report.ground.highestMm)} above the board, ${say.volume(report.ground.volumeMl)} of ground.`
          : 'Nothing is drawn yet. Draw a contour at the height of a flat, or put a spot height at a summit.'
      }
      sideTitle={mark ? mark.name || 'Picked mark' : 'Marks'}
      side={mark ? <MarkPanel mark={mark} /> : <MarkList />}
    >
      <Tools />
      <ShadingChoice />
      <div className="relative min-h-[300px] flex-1">
        <PlanView editable />
      </div>
    </ViewFrame>
  );
}

function Tools() {
  const { kind, points } = useDrawing();
  if (kind)
    return (
      <div className="flex flex-wrap items-center gap-2" role="toolbar" aria-label="Drawing">
        <span className="text-sm">
          {kind === 'contour'
            ? `Drawing a contour, ${points.length} ${points.length === 1 ? 'point' : 'points'}. Click for points; double-click or Enter closes it.`
            : 'Click where the height is known.'}
        </span>
        {kind === 'contour' && (
          <>
            <Button tone="main" disabled={points.length < 3} onClick={() => finishLine(true)}>
              Close the line
            </Button>
            <Button disabled={points.length < 2} onClick={() => finishLine(false)}>
              Leave it open
            </Button>
          </>
        )}
        <Button onClick={stopDrawing}>Give up</Button>
      </div>
    );
  return (
    <div className="flex flex-wrap items-center gap-2" role="toolbar" aria-label="Marks">
      <Button onClick={() => beginDrawing('contour')}>
        <Spline size={15} aria-hidden /> Contour
      </Button>
      <Button onClick={() => beginDrawing('spot')}>
        <Plus size={15} aria-hidden /> Spot height
      </Button>
      <span className="ml-2 flex items-center gap-1 text-xs text-muted">
        <MousePointer2 size={13} aria-hidden /> Pick a mark to drag its points, a + to add one. Drag the dashed line to
        cut elsewhere.
      </span>
    </div>
  );
}
