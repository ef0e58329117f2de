import { boardAreaMm2, boardOfKind, boards, fieldLimits, type Project, underMm } from '@hosket/core';
import { edit } from '../../store/projectStore.ts';
import { ChoiceField, MeasureField, MeasureOrNoneField, NumberField, TickField } from '../../ui/Field.tsx';
import { useSay } from '../../ui/Figures.tsx';
import { Legend } from '../../ui/Legend.tsx';
import { BoardHoles } from './BoardHoles.tsx';

export function Air({ project }: { project: Project }) {
  const { air } = project;
  const change = (next: Partial<Project['air']>) => edit((p) => ({ ...p, air: { ...p.air, ...next } }));
  return (
    <fieldset className="grid grid-cols-3 content-start gap-3">
      <Legend>Bench air</Legend>
      <MeasureField
        label="Temperature"
        kind="temperature"
        value={air.temperatureC}
        {...fieldLimits('air.temperatureC')}
        onValue={(temperatureC) => change({ temperatureC })}
      />
      <NumberField
        label="Humidity"
        unit="%"
        value={air.humidityPercent}
        {...fieldLimits('air.humidityPercent')}
        onValue={(humidityPercent) => change({ humidityPercent })}
      />
      <NumberField
        label="Air movement"
        unit="m/s"
        value={air.airSpeedMs}
        {...fieldLimits('air.airSpeedMs')}
        onValue={(airSpeedMs) => change({ airSpeedMs })}
      />
      <p className="col-span-3 text-xs text-muted">
        Still room 0.1 m/s; a gentle fan 0.5. Every wait follows from this.
      </p>
    </fieldset>
  );
}

export function Board({ project }: { project: Project }) {
  const { base } = project;
  const { board } = base;
  const say = useSay();
  const to = (next: Partial<Project['base']>) => edit((p) => ({ ...p, base: { ...p.base, ...next } }));
  const change = (next: Partial<Project['base']['board']>) =>
    edit((p) => ({ ...p, base: { ...p.base, board: { ...p.base.board, ...next } } }));
  const there = board.material !== 'none';
  return (
    <fieldset className="grid grid-cols-2 content-start gap-3">
      <Legend>What it stands on</Legend>
      <ChoiceField
        label="Baseboard"
        value={board.material}
        options={boards.map((value) => ({ value, text: value === 'none' ? 'none: foam is the base' : value }))}
        onValue={(material) => change(boardOfKind(board, material))}
      />
      {there && (
        <MeasureField
          label="Thickness"
          value={board.thicknessMm}
          {...fieldLimits('base.board.thicknessMm')}
          least={0.5}
          onValue={(thicknessMm) => change({ thicknessMm })}
        />
      )}
      {board.material === 'other' && (
        <NumberField
          label="Its density"
          unit="kg/L"
          value={board.densityKgL ?? USUAL_KG_L}
          {...fieldLimits('base.board.densityKgL')}
          least={0.01}
          onValue={(densityKgL) => change({ densityKgL })}
        />
      )}
      {there && (
        <>
          <MeasureField
            label="Stands out by, or −"
            value={board.beyondMm ?? 0}
            {...fieldLimits('base.board.beyondMm')}
            onValue={(beyondMm) => change({ beyondMm: beyondMm || undefined })}
          />
          <MeasureOrNoneField
            label="Edge in waves, each way"
            none="plain"
            value={board.wave?.deepMm ?? null}
            {...fieldLimits('base.board.wave.deepMm')}
            least={0.5}
            now={null}
            onValue={(deepMm) =>
              change({ wave: deepMm === null ? undefined : { longMm: board.wave?.longMm ?? USUAL_WAVE_MM, deepMm } })
            }
          />
          {board.wave && (
            <MeasureField
              label="Each wave long"
              value={board.wave.longMm}
              {...fieldLimits('base.board.wave.longMm')}
              onValue={(longMm) => board.wave && change({ wave: { ...board.wave, longMm } })}
            />
          )}
        </>
      )}
      <MeasureOrNoneField
        label="Sides sloped, degrees"
        none="upright"
        plain
        value={base.bevelDegrees ?? null}
        {...fieldLimits('base.bevelDegrees')}
        now={null}
        onValue={(bevelDegrees) => to({ bevelDegrees: bevelDegrees ?? undefined })}
      />
      <MeasureOrNoneField
        label="Feet, tall"
        none="none"
        value={base.feet?.heightMm ?? null}
        {...fieldLimits('base.feet.heightMm')}
        least={0.5}
        now={null}
        onValue={(heightMm) =>
          to({ feet: heightMm === null ? undefined : { count: 4, acrossMm: 15, ...base.feet, heightMm } })
        }
      />
      {base.feet && (
        <>
          <NumberField
            label="How many"
            whole
            value={base.feet.count}
            {...fieldLimits('base.feet.count')}
            onValue={(count) => base.feet && to({ feet: { ...base.feet, count } })}
          />
          <MeasureField
            label="Across each"
            value={base.feet.acrossMm}
            {...fieldLimits('base.feet.acrossMm')}
            least={0.5}
            onValue={(acrossMm) => base.feet && to({ feet: { ...base.feet, acrossMm } })}
          />
        </>
      )}
      <div className="col-span-2">
        <TickField
          label="Air reaches its underside (battens, feet)"
          value={board.airBelow}
          onValue={(airBelow) => change({ airBelow })}
        />
      </div>
      {there && <BoardHoles project={project} />}
      <p className="col-span-2 text-xs text-muted">
        {there && 'A board that stands out by less than 0 lies under a slab that hangs over it. '}From the table to the
        top of the board <span className="figure">{say.mm(underMm(base))}</span>
        {there && (
          <>
            ; the board <span className="figure">{say.area(boardAreaMm2(base))}</span>
          </>
        )}
        .
      </p>
    </fieldset>
  );
}

/** What the density field of an unknown board begins with, and a wave's length (common practice, no source). */
const USUAL_KG_L = 0.7;
const USUAL_WAVE_MM = 60;
