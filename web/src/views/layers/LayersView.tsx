import { PlanView } from '../../instruments/PlanView.tsx';
import { StackElevation } from '../../instruments/StackElevation.tsx';
import { usePicked } from '../../store/viewStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { chosenSchool, usePlan } from '../../worker/planStore.ts';
import { ViewFrame } from '../ViewFrame.tsx';
import { LayersTakeoff } from './LayersTakeoff.tsx';
import { Schools } from './Schools.tsx';

/** Which sheets, at which heights? */
export function LayersView() {
  const report = usePlan((state) => state.report);
  const picked = usePicked((state) => state.layer);
  const say = useSay();
  const school = report && chosenSchool(report);
  const count = school?.layers.length ?? 0;
  const layer = school?.layers.find(({ index }) => index === picked);
  return (
    <ViewFrame
      fills
      title="Layers"
      answer={
        !school
          ? 'Working out the stack…'
          : count
            ? `${count} ${count === 1 ? 'layer reaches' : 'layers reach'} ${say.mm(school.topMm)}; ${say.volume(school.carveMl)} to carve off and ${say.volume(school.fillMl)} to fill before the skin.`
            : 'No sheet is worth laying here yet. Draw higher ground, or add sheets in Brief.'
      }
      sideTitle={layer ? `Layer ${layer.index}` : 'Take-off for layers'}
      side={school && <LayersTakeoff school={school} layer={layer} />}
    >
      {school && (
        <>
          <div className="grid min-h-[200px] flex-1 grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-3 max-[999px]:grid-cols-1">
            <StackElevation school={school} />
            <div className="relative min-h-[220px]">
              <PlanView layer={layer} marks={false} />
            </div>
          </div>
          <Schools schools={report.schools} />
        </>
      )}
    </ViewFrame>
  );
}
