import {
  decimals,
  deferral,
  fieldLimits,
  glues,
  type Project,
  type SchoolReport,
  type StackReport,
  sayHours,
  sheetsWorth,
} from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { ChoiceField, MeasureField, NumberField } from '../../ui/Field.tsx';
import { AmountLine, Figure, Line, useSay } from '../../ui/Figures.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { Legend } from '../../ui/Legend.tsx';
import { usePlan } from '../../worker/planStore.ts';

type Stacking = Project['stacking'];
const change = (next: Partial<Stacking>) => edit((p) => ({ ...p, stacking: { ...p.stacking, ...next } }));

/** The amounts the stack decides. */
export function LayersTakeoff({ stack: school }: { stack: StackReport }) {
  const report = usePlan((state) => state.report);
  const { stacking, currency } = useProject();
  const say = useSay();
  const stages = report?.takeoff.filter(({ stage }) => stage === 'cut' || stage === 'glue') ?? [];
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
      {school.hollowMl >= 0.5 && (
        <Line name="To carve out" remark="for voids and things set in">
          <Figure text={say.volume(school.hollowMl)} />
        </Line>
      )}
      {school.cutOutMl >= 0.5 && (
        <Line name="Saved by hollowing" remark={`${say.mass(school.savedG)} of foam`}>
          <Figure text={say.volume(school.cutOutMl)} />
        </Line>
      )}
      {school.totals.bought > 0 && (
        <Line name="To buy, by area">
          <Figure text={`${decimals(school.totals.bought, 2)} ${currency}`} />
        </Line>
      )}
      <Line
        name="Foam left"
        remark={`weighs ${say.mass(school.foamMassG.likely)} (${say.mass(school.foamMassG.low)}–${say.mass(school.foamMassG.high)})`}
      >
        <Figure text={say.volume(school.foamLeftMl)} />
      </Line>
      <Line name="Paste, 95 % no deeper" remark={`deepest ${say.mm(school.paste.deepestMm)}`}>
        <Figure text={say.mm(school.paste.most95Mm)} />
      </Line>
      <Cautions
        of={
          report?.takeoff
            .filter(({ stage }) => stage === 'glue' || stage === 'carve')
            .flatMap(({ cautions }) => cautions) ?? []
        }
      />
      <p className="mt-1 text-xs text-muted">{deferral}</p>
      <h3 className="mt-4 text-base">
        <Word>Joints</Word>
      </h3>
      {report?.joints.map((joint) => (
        <Line key={joint.joint} name={joint.between} remark={`hold ${sayHours(joint.workable.likely)}`}>
          <Figure text={`dry ${sayHours(joint.dry.likely)}`} />
        </Line>
      ))}
      <fieldset className="mt-4 grid grid-cols-2 gap-2">
        <Legend>How it is chosen</Legend>
        <div className="col-span-2">
          <ChoiceField
            label="Glue in the joints"
            value={stacking.glue}
            options={glues}
            onValue={(glue) => change({ glue })}
          />
        </div>
        <MeasureField
          label="Least step worth a sheet"
          value={stacking.leastStepMm}
          {...fieldLimits('stacking.leastStepMm')}
          onValue={(leastStepMm) => change({ leastStepMm })}
        />
        <NumberField
          label="Of a sheet becomes pieces"
          unit="%"
          value={stacking.sheetYieldPercent}
          {...fieldLimits('stacking.sheetYieldPercent')}
          onValue={(sheetYieldPercent) => change({ sheetYieldPercent })}
        />
      </fieldset>
      <p className="mt-2 text-xs text-muted">
        This stack costs {Math.round(school.costMin)} min by these figures; the cheapest of its school{' '}
        {Math.round(school.best.costMin)}; what counts how much stands on the page “What it costs”. Filling counts dear
        because it must dry; no more than 15 mm is left to paste on top while there are sheets. Foam is counted by area
        over the part of a sheet that becomes pieces, until cutting is planned.
      </p>
    </>
  );
}

/** What the sheets taken are worth, where they have prices. */
function SheetsWorth({ school }: { school: SchoolReport }) {
  const project = useProject();
  const worth = sheetsWorth(project, school.sheetsUsed);
  if (!worth) return null;
  return (
    <Line name="These sheets are worth" remark="whole sheets, as priced in Brief">
      <Figure text={`${decimals(worth, 2)} ${project.currency}`} />
    </Line>
  );
}
