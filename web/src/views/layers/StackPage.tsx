import { type LayerReport, type SchoolReport, type StackReport, terraced } from '@hosket/core';
import { lazy, Suspense, useState } from 'react';
import { PlanView } from '../../instruments/plan/PlanView.tsx';
import { StackElevation } from '../../instruments/section/StackElevation.tsx';
import { edit, undo } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { say } from '../../ui/toast.tsx';
import { CostAgainstBest } from './CostAgainstBest.tsx';
import { Schools } from './Schools.tsx';

const ModelView = lazy(() => import('../../instruments/model/ModelView.tsx'));

/** The ground as a staircase of these layers. */
function terrace({ layers }: StackReport): void {
  edit((project) => terraced(project, layers));
  say('The ground stands in steps at the joints of the stack; what was drawn of heights is gone.', {
    name: 'Undo',
    run: undo,
  });
}

interface Props {
  stack: StackReport;
  schools: readonly SchoolReport[];
  layer?: LayerReport;
}

/** The stack from the side with the heights wanted, the picked layer on the plan or the layers apart, and the three schools. */
export function StackPage({ stack, schools, layer }: Props) {
  const [apart, setApart] = useState(false);
  return (
    <>
      <CostAgainstBest stack={stack} />
      <div className="grid min-h-[200px] flex-1 grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-3 max-[999px]:grid-cols-1">
        <StackElevation stack={stack} />
        <div data-drawing className="relative min-h-[220px]">
          {apart ? (
            <Suspense fallback={<p className="p-4 text-muted">Setting up the model…</p>}>
              <ModelView start={{ show: 'sheets', pulled: 25 }} tools={false} />
            </Suspense>
          ) : (
            <PlanView layer={layer} above={layer && stack.layers[layer.index]} marks={false} />
          )}
          {!apart && stack.layers.length > 0 && (
            <Button
              className="absolute bottom-0 right-0 z-10 !min-h-6 text-xs"
              title="The ground becomes steps, as high as the sheets, to leave standing or to blend with paste"
              onClick={() => terrace(stack)}
            >
              Terrace it
            </Button>
          )}
          <Button
            className="absolute bottom-0 left-0 z-10 !min-h-6 text-xs"
            aria-pressed={apart}
            onClick={() => setApart(!apart)}
          >
            {apart ? 'Back to the plan' : 'Take the layers apart'}
          </Button>
        </div>
      </div>
      <Schools schools={schools} stack={stack} />
    </>
  );
}
