import { type Project, type StageReport, sayAmount, sayHours, sayMinutes } from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { ChoiceField, MeasureField, NumberField } from '../../ui/Field.tsx';
import { AmountLine, Figure, Line, useSay } from '../../ui/Figures.tsx';
import { chosenSchool, usePlan } from '../../worker/planStore.ts';
import { ViewFrame } from '../ViewFrame.tsx';
import { Zones } from './Zones.tsx';

/** What goes on top, and how much of it? */
export function SurfaceView() {
  const report = usePlan((state) => state.report);
  const say = useSay();
  const skin = report?.takeoff.find(({ stage }) => stage === 'skin');
  const units = useView((view) => view.units);
  const said = skin && sayAmount(skin.materials[0].amount, units);
  return (
    <ViewFrame
      title="Surface"
      answer={
        said
          ? `${said.likely} of compound (${said.range})${skin.batches && skin.batches.count > 1 ? ` in ${skin.batches.count} bowls of about ${say.volume(skin.batches.mlEach)}` : ' in one bowl'}.`
          : 'No skin is asked for.'
      }
      sideTitle="The recipe"
      side={<Recipe />}
    >
      <Zones />
      <h2 className="mb-2 text-base">Coats and cover</h2>
      {report && (
        <ol className="grid gap-3">
          {report.takeoff.map((stage) => (
            <Stage key={stage.stage} stage={stage} />
          ))}
        </ol>
      )}
    </ViewFrame>
  );
}

function Stage({ stage }: { stage: StageReport }) {
  const report = usePlan((state) => state.report);
  const say = useSay();
  const last = report?.operations.filter((operation) => operation.stage === stage.stage).at(-1);
  return (
    <li className="border border-line bg-sheet px-4 py-2">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className="text-base">{stage.title}</h3>
        <span className="text-sm text-muted">
          over {say.area(stage.areaMm2)} · {sayMinutes(stage.handsOn.likely)} hands-on
        </span>
      </div>
      {stage.batches && (
        <p className="text-sm">
          <strong>
            {stage.batches.count} {stage.batches.count === 1 ? 'bowl' : 'bowls'} of about{' '}
            {say.volume(stage.batches.mlEach)}
          </strong>{' '}
          <span className="text-muted">({stage.batches.why})</span>
        </p>
      )}
      <div className="grid grid-cols-2 gap-x-8 max-[999px]:grid-cols-1">
        <div>
          {stage.materials.map(({ name, amount }) => (
            <AmountLine key={name} name={name} amount={amount} />
          ))}
          <AmountLine name="Hands-on" amount={stage.handsOn} />
        </div>
        <div>
          {last && last.waits.through.likely > 0 && (
            <>
              <Line name="Dry to the touch">
                <Figure text={sayHours(last.waits.touch.likely)} />
              </Line>
              <Line name="May be worked or coated">
                <Figure text={sayHours(last.waits.coat.likely)} />
              </Line>
              <Line name="Dry through" remark={last.waits.reason}>
                <Figure text={sayHours(last.waits.through.likely)} />
              </Line>
            </>
          )}
        </div>
      </div>
      {stage.note && <p className="mt-1 text-xs text-muted">{stage.note} Follow the maker's safety sheet.</p>}
    </li>
  );
}

type Surface = Project['surface'];
const change = (next: Partial<Surface>) => edit((p) => ({ ...p, surface: { ...p.surface, ...next } }));

type Cover = Pick<Surface['soil'], 'sharePercent' | 'notSteeperDegrees'>;

/** Where a cover lies: how much of the ground that is not too steep for it. */
function CoverFields({ cover, onChange }: { cover: Cover; onChange: (change: Partial<Cover>) => void }) {
  return (
    <>
      <NumberField
        label="Share covered"
        unit="%"
        value={cover.sharePercent}
        least={0}
        most={100}
        onValue={(sharePercent) => onChange({ sharePercent })}
      />
      <NumberField
        label="Not steeper than"
        unit="°"
        value={cover.notSteeperDegrees}
        least={0}
        most={90}
        onValue={(notSteeperDegrees) => onChange({ notSteeperDegrees })}
      />
    </>
  );
}

function Recipe() {
  const say = useSay();
  const { surface } = useProject();
  const report = usePlan((state) => state.report);
  const { soil, grass } = surface;
  return (
    <div className="grid gap-4">
      <fieldset className="grid grid-cols-2 gap-2">
        <legend className="text-sm font-semibold">Skin of compound</legend>
        <MeasureField label="Thickness" value={surface.skinMm} most={30} onValue={(skinMm) => change({ skinMm })} />
        <NumberField
          label="Left in bowls"
          unit="%"
          value={surface.lossPercent}
          least={0}
          most={50}
          onValue={(lossPercent) => change({ lossPercent })}
        />
      </fieldset>
      <fieldset className="grid grid-cols-2 gap-2">
        <legend className="text-sm font-semibold">Coats</legend>
        <NumberField
          whole
          label="Seal coats"
          value={surface.sealCoats}
          least={0}
          most={5}
          onValue={(sealCoats) => change({ sealCoats })}
        />
        <NumberField
          whole
          label="Base coats"
          value={surface.baseCoats}
          least={0}
          most={5}
          onValue={(baseCoats) => change({ baseCoats })}
        />
        <NumberField
          whole
          label="Dry-brush tones"
          value={surface.dryBrushTones}
          least={0}
          most={8}
          onValue={(dryBrushTones) => change({ dryBrushTones })}
        />
        <NumberField
          label="Roughness"
          value={surface.roughness}
          least={1}
          most={3}
          onValue={(roughness) => change({ roughness })}
        />
      </fieldset>
      <fieldset className="grid grid-cols-2 gap-2">
        <legend className="text-sm font-semibold">Soil</legend>
        <MeasureField
          label="Layer"
          value={soil.layerMm}
          most={5}
          onValue={(layerMm) => change({ soil: { ...soil, layerMm } })}
        />
        <CoverFields cover={soil} onChange={(cover) => change({ soil: { ...soil, ...cover } })} />
      </fieldset>
      <fieldset className="grid grid-cols-2 gap-2">
        <legend className="text-sm font-semibold">Static grass</legend>
        <ChoiceField
          label="Fibres"
          value={String(grass.fibreMm)}
          options={['2', '4', '6', '12'].map((value) => ({ value, text: `${value} mm` }))}
          onValue={(value) => change({ grass: { ...grass, fibreMm: Number(value) as Surface['grass']['fibreMm'] } })}
        />
        <CoverFields cover={grass} onChange={(cover) => change({ grass: { ...grass, ...cover } })} />
      </fieldset>
      {report && (
        <p className="text-xs text-muted">
          Paste lies up to {say.mm(chosenSchool(report).paste.most95Mm)} deep over 95 % of the surface. Amounts are
          estimates: low and high are about one in twenty below and above.
        </p>
      )}
    </div>
  );
}
