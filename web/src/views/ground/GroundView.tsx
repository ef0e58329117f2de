import { itemsOf } from '@hosket/core';
import { lazy, Suspense, useState } from 'react';
import { ZoomButtons } from '../../instruments/handling/ZoomKeys.tsx';
import { useDrawing } from '../../instruments/plan/drawing.ts';
import { PlanView } from '../../instruments/plan/PlanView.tsx';
import { useProject } from '../../store/projectStore.ts';
import { usePicked } from '../../store/viewStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { useMedia } from '../../ui/useMedia.ts';
import { usePlan } from '../../worker/planStore.ts';
import { BringIn } from '../bringIn/BringIn.tsx';
import { HandOut } from '../bringIn/HandOut.tsx';
import { ViewFrame } from '../ViewFrame.tsx';
import { WholeWindow } from '../WholeWindow.tsx';
import { BroughtIn } from './BroughtIn.tsx';
import { HeightsShown } from './HeightsShown.tsx';
import { ItemPanel } from './ItemPanel.tsx';
import { OutlineList } from './OutlineList.tsx';
import { Places } from './Places.tsx';
import { SectionFields } from './SectionFields.tsx';
import { SelectionPanel } from './SelectionPanel.tsx';
import { Shelf } from './Shelf.tsx';
import { type Panes, TintKey, ViewChoice } from './ViewChoice.tsx';
import { WhileDrawing } from './WhileDrawing.tsx';

const ModelView = lazy(() => import('../../instruments/model/ModelView.tsx'));

/** From this width on plan and model may stand side by side. */
const WIDE = '(min-width: 1500px)';

/** Where is high and low, and what lies where? */
export function GroundView() {
  const project = useProject();
  const [wished, setPane] = useState<Panes>('plan');
  // Two drawings side by side need the room of two.
  const wide = useMedia(WIDE);
  const pane = wished === 'both' && !wide ? 'plan' : wished;
  const { ids, several: more } = usePicked();
  const report = usePlan((state) => state.report);
  const say = useSay();
  const picked = itemsOf(project).filter(({ id }) => ids.includes(id));
  const [one] = picked;
  const several = more || picked.length > 1;
  const drawing = useDrawing(({ kind }) => kind !== null);
  const drawn = itemsOf(project).length > 0 || (report?.ground.highestMm ?? 0) > 0;
  return (
    <ViewFrame
      fills
      ownTools
      title="Ground"
      answer={
        report && drawn ? (
          <>
            {say.mm(report.ground.lowestMm)} to {say.mm(report.ground.highestMm)} above the board, finished;{' '}
            {say.volume(report.ground.volumeMl)}
          </>
        ) : drawn ? (
          'The ground is being worked out.'
        ) : (
          'Nothing is drawn yet. Draw a pad at the height of a flat, or a contour, and the ground follows.'
        )
      }
      tools={
        <>
          <HeightsShown />
          <BringIn />
          <HandOut pane={pane === 'model' ? 'model' : 'plan'} />
        </>
      }
      sideTitle={
        several
          ? `${picked.length} ${picked.length === 1 ? 'thing' : 'things'} picked`
          : one
            ? one.name || 'Picked'
            : 'What is drawn'
      }
      side={
        several ? (
          <SelectionPanel items={picked} />
        ) : one ? (
          <ItemPanel item={one} />
        ) : (
          <>
            <OutlineList />
            <Places />
            <SectionFields />
            <BroughtIn />
          </>
        )
      }
    >
      <div className="flex min-h-7 items-center gap-2 max-[999px]:flex-wrap">
        {drawing ? <WhileDrawing /> : <ViewChoice pane={pane} wide={wide} onPane={setPane} />}
        {pane !== 'model' && <ZoomButtons />}
        <WholeWindow />
      </div>
      <div className="flex min-h-[300px] flex-1 gap-1.5 pb-1 max-[999px]:flex-col">
        {pane !== 'model' && <Shelf />}
        {pane !== 'model' && (
          <div className="relative min-h-[300px] min-w-0 flex-1">
            <PlanView editable />
            <TintKey />
          </div>
        )}
        {pane !== 'plan' && (
          <div className="relative min-h-[300px] min-w-0 flex-1">
            <Suspense fallback={<p className="p-4 text-muted">Setting up the model…</p>}>
              <ModelView />
            </Suspense>
          </div>
        )}
      </div>
    </ViewFrame>
  );
}
