import { basePresets, boards, changeShape, formatScale, namedScales, type Project, parseScale } from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { ChoiceField, MeasureField, NumberField, ReadField, TickField, WordsField } from '../../ui/Field.tsx';
import { Line, useSay } from '../../ui/Figures.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { ViewFrame } from '../ViewFrame.tsx';
import { SheetTable } from './SheetTable.tsx';

/** What am I building, how big, at which scale, in what air, from which sheets? */
export function BriefView() {
  const project = useProject();
  const say = useSay();
  const { widthMm, depthMm } = project.base.shape;
  const sheets = project.sheets.reduce((count, sheet) => count + sheet.count, 0);
  return (
    <ViewFrame
      title="Brief"
      answer={`${say.mm(widthMm)} by ${say.mm(depthMm)}, ${formatScale(project.scale)}; ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'} in the shed.`}
      sideTitle="What this allows"
      side={<Allows />}
    >
      <div className="grid grid-cols-2 gap-x-8 gap-y-5 max-[999px]:grid-cols-1">
        <About project={project} />
        <BaseFields project={project} />
        <Air project={project} />
        <Board project={project} />
      </div>
      <SheetTable />
    </ViewFrame>
  );
}

function About({ project }: { project: Project }) {
  return (
    <fieldset className="grid grid-cols-2 content-start gap-3">
      <legend className="mb-1 font-head text-base font-semibold">The work</legend>
      <WordsField label="Name" required value={project.name} onValue={(name) => edit((p) => ({ ...p, name }))} />
      <ReadField
        label="Scale (1:87, a name, or empty)"
        text={project.scale === null ? '' : formatScale(project.scale)}
        read={(text) => {
          if (!text.trim() || text.trim() === 'no scale') return { ok: true, value: null };
          const scale = parseScale(text);
          return scale.ok ? scale : { ok: false, why: `${scale.fault.message} ${scale.fault.remedy}` };
        }}
        onValue={(scale: number | null) => edit((p) => ({ ...p, scale }))}
      />
      <div className="col-span-2">
        <WordsField
          label="Notes"
          lines={2}
          most={20000}
          value={project.notes}
          onValue={(notes) => edit((p) => ({ ...p, notes }))}
        />
      </div>
      <div className="col-span-2">
        <ChoiceField
          label="Named scale"
          value={namedScales.find(({ ratio }) => ratio === project.scale)?.name ?? ''}
          options={[
            { value: '', text: 'none of these' },
            ...namedScales.map(({ name, ratio, standard }) => ({
              value: name,
              text: `${name}, ${formatScale(ratio)} (${standard})`,
            })),
          ]}
          onValue={(name) =>
            edit((p) => ({ ...p, scale: namedScales.find((scale) => scale.name === name)?.ratio ?? null }))
          }
        />
      </div>
    </fieldset>
  );
}

const changeBase = (change: Parameters<typeof changeShape>[1]) => edit((p) => changeShape(p, change));

function BaseFields({ project }: { project: Project }) {
  const { shape } = project.base;
  const preset = basePresets.find(({ widthMm, depthMm }) => widthMm === shape.widthMm && depthMm === shape.depthMm);
  return (
    <fieldset className="grid grid-cols-2 content-start gap-3">
      <legend className="mb-1 font-head text-base font-semibold">Base</legend>
      <ChoiceField
        label="Shape"
        value={shape.kind}
        options={['rectangle', 'oval']}
        onValue={(kind) => changeBase({ kind })}
      />
      <ChoiceField
        label="Usual size"
        value={preset?.name ?? ''}
        options={[{ value: '', text: 'own size' }, ...basePresets.map(({ name }) => ({ value: name, text: name }))]}
        onValue={(name) => {
          const size = basePresets.find((candidate) => candidate.name === name);
          if (size) changeBase({ widthMm: size.widthMm, depthMm: size.depthMm });
        }}
      />
      <MeasureField
        label="Width"
        value={shape.widthMm}
        least={20}
        most={3000}
        onValue={(widthMm) => changeBase({ widthMm })}
      />
      <MeasureField
        label="Depth"
        value={shape.depthMm}
        least={20}
        most={3000}
        onValue={(depthMm) => changeBase({ depthMm })}
      />
      <p className="col-span-2 text-xs text-muted">Marks stay where they are when the size changes.</p>
    </fieldset>
  );
}

function Air({ project }: { project: Project }) {
  const { air } = project;
  const change = (next: Partial<Project['air']>) => edit((p) => ({ ...p, air: { ...p.air, ...next } }));
  return (
    <fieldset className="grid grid-cols-3 content-start gap-3">
      <legend className="mb-1 font-head text-base font-semibold">Bench air</legend>
      <MeasureField
        label="Temperature"
        kind="temperature"
        value={air.temperatureC}
        least={-5}
        most={45}
        onValue={(temperatureC) => change({ temperatureC })}
      />
      <NumberField
        label="Humidity"
        unit="%"
        value={air.humidityPercent}
        least={0}
        most={100}
        onValue={(humidityPercent) => change({ humidityPercent })}
      />
      <NumberField
        label="Air movement"
        unit="m/s"
        value={air.airSpeedMs}
        least={0}
        most={3}
        onValue={(airSpeedMs) => change({ airSpeedMs })}
      />
      <p className="col-span-3 text-xs text-muted">
        Still room 0.1 m/s; a gentle fan 0.5. Every wait follows from this.
      </p>
    </fieldset>
  );
}

function Board({ project }: { project: Project }) {
  const { board } = project.base;
  const change = (next: Partial<Project['base']['board']>) =>
    edit((p) => ({ ...p, base: { ...p.base, board: { ...p.base.board, ...next } } }));
  return (
    <fieldset className="grid grid-cols-2 content-start gap-3">
      <legend className="mb-1 font-head text-base font-semibold">Baseboard</legend>
      <ChoiceField
        label="Material"
        value={board.material}
        options={boards}
        onValue={(material) => change({ material })}
      />
      <MeasureField
        label="Thickness"
        value={board.thicknessMm}
        least={0.5}
        most={60}
        onValue={(thicknessMm) => change({ thicknessMm })}
      />
      <div className="col-span-2">
        <TickField
          label="Stands on battens, air reaches its underside"
          value={board.airBelow}
          onValue={(airBelow) => change({ airBelow })}
        />
      </div>
    </fieldset>
  );
}

function Allows() {
  const project = useProject();
  const report = usePlan((state) => state.report);
  const say = useSay();
  const area = project.sheets.reduce((sum, sheet) => sum + sheet.count * sheet.widthMm * sheet.depthMm, 0);
  const highest = project.sheets.reduce((sum, sheet) => sum + sheet.count * (sheet.measuredMm ?? sheet.nominalMm), 0);
  const cost = project.sheets.reduce((sum, sheet) => sum + sheet.count * (sheet.price ?? 0), 0);
  return (
    <>
      <Line name="Base">
        <span className="figure">{report ? say.area(report.ground.planMm2) : '…'}</span>
      </Line>
      <Line name="Foam in the shed">
        <span className="figure">{say.area(area)}</span>
      </Line>
      <Line name="All sheets stacked">
        <span className="figure">{say.mm(highest)}</span>
      </Line>
      {cost > 0 && (
        <Line name="Worth, as priced">
          <span className="figure">
            {cost.toFixed(2)} {project.currency}
          </span>
        </Line>
      )}
      {project.scale && (
        <>
          <Line name="1 m real is" remark={`at ${formatScale(project.scale)}`}>
            <span className="figure">{say.mm(1000 / project.scale)}</span>
          </Line>
          <Line name="A person of 1.75 m">
            <span className="figure">{say.mm(1750 / project.scale)}</span>
          </Line>
          <Line name="10 mm here stands for">
            <span className="figure">{((10 * project.scale) / 1000).toFixed(2)} m</span>
          </Line>
        </>
      )}
    </>
  );
}
