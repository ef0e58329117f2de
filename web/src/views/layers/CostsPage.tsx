import {
  type BenchKind,
  benches,
  benchOf,
  carvingTools,
  costsAt,
  costsWith,
  fieldLimits,
  fillMinPerLOf,
  type Project,
  type StackReport,
} from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { ChoiceField, NumberField, TickField } from '../../ui/Field.tsx';
import { Legend } from '../../ui/Legend.tsx';

type Costs = Project['stacking']['costs'];
type Figure = Exclude<keyof Costs, 'tool' | 'fillByPaste'>;
const change = (next: (costs: Costs) => Costs) =>
  edit((p) => ({ ...p, stacking: { ...p.stacking, costs: next(p.stacking.costs) } }));

interface Group {
  title: string;
  figures: readonly (readonly [Figure, string])[];
}

const layers: Group = {
  title: 'A layer',
  figures: [
    ['perLayerMin', 'Each layer'],
    ['outlineMinPerM', 'A metre of its outline'],
    ['gluedMinPerDm2', 'A square decimetre glued'],
  ],
};
const carving: Group = {
  title: 'Carving and filling',
  figures: [
    ['carveMinPerL', 'A litre carved'],
    ['carveMinPerM', 'A metre of edge carved'],
    ['flatMinPerDm2', 'A square decimetre of flat off a joint'],
    ['fillMinPerL', 'A litre filled'],
  ],
};
const levels: Group = {
  title: 'Levels',
  figures: [
    ['offMinPerMm', 'A millimetre off a joint, where one is wanted'],
    ['perMoveMin', 'Moving a level'],
    ['moveMinPerMm', 'A millimetre that it is moved'],
  ],
};
const worth: Group = {
  title: 'What else counts',
  figures: [
    ['minPerMoney', 'One of the currency'],
    ['minPerKg', 'A kilogram'],
    ['minPerDay', 'A day sooner'],
  ],
};

/** Everything the stack is chosen by, in minutes: for three kinds of bench, each figure the builder's own to set. */
export function CostsPage({ stack }: { stack: StackReport }) {
  const project = useProject();
  const { costs } = project.stacking;
  const bench = benchOf(costs);
  return (
    <div className="grid gap-y-5">
      <p className="text-muted">
        The stack is the one that costs the fewest minutes by these figures. It comes to{' '}
        <span className="figure">{Math.round(stack.costMin)} min</span>.
      </p>
      <div className="grid max-w-[560px] grid-cols-2 gap-3">
        <ChoiceField
          label="Figures as usual at a"
          value={bench ?? ''}
          options={[
            ...(bench ? [] : [{ value: '' as const, text: 'bench of my own' }]),
            ...benches.map((value) => ({ value, text: value })),
          ]}
          onValue={(value) => value && change((now) => costsAt(now, value as BenchKind))}
        />
        <ChoiceField
          label="Carved with a"
          value={costs.tool}
          options={carvingTools}
          onValue={(tool) => change((now) => costsWith(now, tool))}
        />
      </div>
      <CostFields group={layers} costs={costs} />
      <CostFields group={carving} costs={costs} />
      <div className="grid gap-1">
        <TickField
          label="Filling takes as long as its paste does to spread; the figure is for plaster compound"
          value={!!costs.fillByPaste}
          onValue={(fillByPaste) =>
            change(({ fillByPaste: _, ...now }) => (fillByPaste ? { ...now, fillByPaste } : now))
          }
        />
        {costs.fillByPaste && (
          <p className="text-muted">
            A litre of the paste that fills here counts{' '}
            <span className="figure">{Math.round(fillMinPerLOf(project))} min</span>.
          </p>
        )}
      </div>
      <CostFields group={levels} costs={costs} />
      <CostFields group={worth} costs={costs} />
      <p className="text-xs text-muted">
        A wire or a hot knife goes along an edge, however much comes off; a knife or a rasp takes its time by what comes
        off. Foam melted or sanded gives off fumes and dust: outdoors or extracted, with a mask; follow the maker’s
        sheet. The figures for the three benches are common practice, no source: put in your own.
      </p>
    </div>
  );
}

function CostFields({ group: { title, figures }, costs }: { group: Group; costs: Costs }) {
  return (
    <fieldset className="grid max-w-[840px] grid-cols-4 items-end gap-3 max-[699px]:grid-cols-2">
      <Legend>{title}</Legend>
      {figures.map(([key, label]) => (
        <NumberField
          key={key}
          label={label}
          unit="min"
          value={costs[key]}
          {...fieldLimits(`stacking.costs.${key}`)}
          onValue={(value) => change((now) => ({ ...now, [key]: value }))}
        />
      ))}
    </fieldset>
  );
}
