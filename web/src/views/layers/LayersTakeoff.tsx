import { glues, type LayerReport, type Project, type SchoolReport, sayHours } from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { pickLayer } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, MeasureField, NumberField } from '../../ui/Field.tsx';
import { AmountLine, Figure, Line, useSay } from '../../ui/Figures.tsx';
import { usePlan } from '../../worker/planStore.ts';

type Stacking = Project['stacking'];
const change = (next: Partial<Stacking>) => edit((p) => ({ ...p, stacking: { ...p.stacking, ...next } }));
const cost = (next: Partial<Stacking['costs']>) =>
  edit((p) => ({ ...p, stacking: { ...p.stacking, costs: { ...p.stacking.costs, ...next } } }));

/** The amounts the stack decides; or the picked layer. */
export function LayersTakeoff({ school, layer }: { school: SchoolReport; layer?: LayerReport }) {
  const report = usePlan((state) => state.report);
  const { stacking, sheets } = useProject();
  const say = useSay();
  const stages = report?.takeoff.filter(({ stage }) => stage === 'cut' || stage === 'glue') ?? [];
  if (layer)
    return <OneLayer layer={layer} sheetName={sheets.find(({ id }) => id === layer.sheetId)?.name ?? 'sheet'} />;
  return (
    <>
      {stages.flatMap(({ stage, materials }) =>
        materials.map(({ name, amount }) => <AmountLine key={`${stage} ${name}`} name={name} amount={amount} />),
      )}
      <SheetsWorth school={school} />
      <Line name="To carve off" remark="in the rough, before the skin">
        <Figure text={say.volume(school.carveMl)} />
      </Line>
      <Line name="To fill" remark="before the skin">
        <Figure text={say.volume(school.fillMl)} />
      </Line>
      <Line
        name="Foam left"
        remark={`weighs ${say.mass(school.foamMassG.likely)} (${say.mass(school.foamMassG.low)}–${say.mass(school.foamMassG.high)})`}
      >
        <Figure text={say.volume(school.foamLeftMl)} />
      </Line>
      <Line name="Paste, 95 % no deeper" remark={`deepest ${say.mm(school.paste.deepestMm)}`}>
        <Figure text={say.mm(school.paste.most95Mm)} />
      </Line>
      <h3 className="mt-4 text-base">Joints</h3>
      {report?.joints.map((joint) => (
        <Line key={joint.joint} name={joint.between} remark={`hold ${sayHours(joint.workable.likely)}`}>
          <Figure text={`dry ${sayHours(joint.dry.likely)}`} />
        </Line>
      ))}
      <fieldset className="mt-4 grid grid-cols-2 gap-2">
        <legend className="mb-1 font-head text-base font-semibold">How it is chosen</legend>
        <div className="col-span-2">
          <ChoiceField
            label="Glue in the joints"
            value={stacking.glue}
            options={glues}
            onValue={(glue) => change({ glue })}
          />
        </div>
        <NumberField
          label="A layer costs"
          unit="min"
          value={stacking.costs.perLayerMin}
          least={0}
          most={1000}
          onValue={(perLayerMin) => cost({ perLayerMin })}
        />
        <NumberField
          label="A litre carved"
          unit="min"
          value={stacking.costs.carveMinPerL}
          least={0}
          most={10000}
          onValue={(carveMinPerL) => cost({ carveMinPerL })}
        />
        <NumberField
          label="A litre filled"
          unit="min"
          value={stacking.costs.fillMinPerL}
          least={0}
          most={10000}
          onValue={(fillMinPerL) => cost({ fillMinPerL })}
        />
        <MeasureField
          label="Least step worth a sheet"
          value={stacking.leastStepMm}
          most={50}
          onValue={(leastStepMm) => change({ leastStepMm })}
        />
        <NumberField
          label="Of a sheet becomes pieces"
          unit="%"
          value={stacking.sheetYieldPercent}
          least={10}
          most={100}
          onValue={(sheetYieldPercent) => change({ sheetYieldPercent })}
        />
      </fieldset>
      <p className="mt-2 text-xs text-muted">
        The stack costs least of all stacks these sheets allow, {Math.round(school.costMin)} min by these figures.
        Filling counts dear because it must dry; no more than 15 mm is left to paste on top while there are sheets.
      </p>
    </>
  );
}

/** What the sheets taken are worth, where they have prices. */
function SheetsWorth({ school }: { school: SchoolReport }) {
  const { sheets, currency } = useProject();
  const priceOf = (id: string) => sheets.find((sheet) => sheet.id === id)?.price ?? 0;
  const worth = school.sheetsUsed.reduce((sum, used) => sum + used.sheets * priceOf(used.sheetId), 0);
  if (!worth) return null;
  return (
    <Line name="These sheets are worth" remark="whole sheets, as priced in Brief">
      <Figure text={`${worth.toFixed(2)} ${currency}`} />
    </Line>
  );
}

function OneLayer({ layer, sheetName }: { layer: LayerReport; sheetName: string }) {
  const say = useSay();
  return (
    <>
      <Line name="Sheet">{sheetName}</Line>
      <Line name="Lies from">
        <Figure text={say.mm(layer.bottomMm)} />
      </Line>
      <Line name="to">
        <Figure text={say.mm(layer.topMm)} />
      </Line>
      <Line name="Outline follows the foam line at">
        <Figure text={say.mm(layer.outlineAtMm)} />
      </Line>
      <Line name="Footprint" remark={`${layer.pieces.length} ${layer.pieces.length === 1 ? 'piece' : 'pieces'}`}>
        <Figure text={say.area(layer.areaMm2)} />
      </Line>
      <Line name="Outline to cut">
        <Figure text={say.mm(layer.outlineMm)} />
      </Line>
      <Line name="To carve off it">
        <Figure text={say.volume(layer.carveMl)} />
      </Line>
      <Line name="To fill round it">
        <Figure text={say.volume(layer.fillMl)} />
      </Line>
      <Line name="From one sheet">{layer.fitsWhole ? 'yes, whole' : 'no, join two'}</Line>
      <Button className="mt-3" onClick={() => pickLayer(null)}>
        All layers
      </Button>
    </>
  );
}
