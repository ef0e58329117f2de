import { boards, fieldLimits, type Project } from '@hosket/core';
import { edit } from '../../store/projectStore.ts';
import { ChoiceField, MeasureField, NumberField, TickField } from '../../ui/Field.tsx';

export function Air({ project }: { project: Project }) {
  const { air } = project;
  const change = (next: Partial<Project['air']>) => edit((p) => ({ ...p, air: { ...p.air, ...next } }));
  return (
    <fieldset className="grid grid-cols-3 content-start gap-3">
      <legend className="mb-1 font-head text-base font-semibold">Bench air</legend>
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
        {...fieldLimits('base.board.thicknessMm')}
        least={0.5}
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
