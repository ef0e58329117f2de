import type { LayerReport, SchoolReport, StackReport } from '@hosket/core';
import { lazy, Suspense, useState } from 'react';
import { PlanView } from '../../instruments/plan/PlanView.tsx';
import { StackElevation } from '../../instruments/section/StackElevation.tsx';
import { Button } from '../../ui/Button.tsx';
import { CostAgainstBest } from './CostAgainstBest.tsx';
import { Schools } from './Schools.tsx';

const ModelView = lazy(() => import('../../instruments/model/ModelView.tsx'));

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
        <div className="relative min-h-[220px]">
          {apart ? (
            <Suspense fallback={<p className="p-4 text-muted">Setting up the model…</p>}>
              <ModelView start={{ show: 'sheets', pulled: 25 }} tools={false} />
            </Suspense>
          ) : (
            <PlanView layer={layer} above={layer && stack.layers[layer.index]} marks={false} />
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
