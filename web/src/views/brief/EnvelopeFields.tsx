import { baseSize, type Envelope, fieldLimits, type Project } from '@hosket/core';
import { edit } from '../../store/projectStore.ts';
import { MeasureField, MeasureOrNoneField, TickField } from '../../ui/Field.tsx';
import { Legend } from '../../ui/Legend.tsx';

type Box = NonNullable<Envelope['box']>;
const change = (next: Partial<Envelope>) => edit((p) => ({ ...p, envelope: { ...p.envelope, ...next } }));

/** The box or cabinet that the finished piece must go into, and the circle a turntable leaves clear. */
export function EnvelopeFields({ project }: { project: Project }) {
  const { box, swingMm } = project.envelope;
  const { widthMm, depthMm } = baseSize(project.base);
  const first = (): Box => ({
    widthMm: Math.ceil(widthMm) + 40,
    depthMm: Math.ceil(depthMm) + 40,
    heightMm: 240,
    backMm: null,
    underMm: 0,
    backdrop: false,
    walls: false,
  });
  return (
    <fieldset className="grid grid-cols-3 content-start gap-3">
      <Legend>Room to fit into</Legend>
      <div className="col-span-3">
        <TickField
          label="It goes into a box or cabinet"
          value={box !== null}
          onValue={(there) => change({ box: there ? first() : null })}
        />
      </div>
      {box && <BoxFields box={box} />}
      <div className="col-span-2">
        <MeasureOrNoneField
          label="Circle that a turntable leaves clear"
          none="none"
          value={swingMm}
          {...fieldLimits('envelope.swingMm')}
          onValue={(mm) => change({ swingMm: mm })}
        />
      </div>
    </fieldset>
  );
}

function BoxFields({ box }: { box: Box }) {
  const set = (next: Partial<Box>) => change({ box: { ...box, ...next } });
  return (
    <>
      <MeasureField
        label="Inside width"
        value={box.widthMm}
        {...fieldLimits('envelope.box.widthMm')}
        onValue={(widthMm) => set({ widthMm })}
      />
      <MeasureField
        label="Inside depth"
        value={box.depthMm}
        {...fieldLimits('envelope.box.depthMm')}
        onValue={(depthMm) => set({ depthMm })}
      />
      <MeasureField
        label="Inside height"
        value={box.heightMm}
        {...fieldLimits('envelope.box.heightMm')}
        onValue={(heightMm) => set({ heightMm })}
      />
      <MeasureOrNoneField
        label="Base to back wall"
        none="in the middle"
        value={box.backMm}
        {...fieldLimits('envelope.box.backMm')}
        onValue={(backMm) => set({ backMm })}
      />
      <MeasureField
        label="Feet under it"
        value={box.underMm}
        {...fieldLimits('envelope.box.underMm')}
        onValue={(underMm) => set({ underMm })}
      />
      <div className="grid content-end gap-1">
        <TickField label="Backdrop" value={box.backdrop} onValue={(backdrop) => set({ backdrop })} />
        <TickField label="Inner walls" value={box.walls} onValue={(walls) => set({ walls })} />
      </div>
    </>
  );
}
