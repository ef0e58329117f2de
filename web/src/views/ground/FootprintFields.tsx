import { type Footprint, fieldLimits, footprintOfKind, type Thing } from '@hosket/core';
import { ChoiceField, MeasureField, NumberField } from '../../ui/Field.tsx';
import { PointRows, partedAfter } from '../../ui/PointRows.tsx';

const shapes = [
  { value: 'round', text: 'round' },
  { value: 'oblong', text: 'oblong (a lorry, a boat)' },
  { value: 'cross', text: 'a cross (wings)' },
  { value: 'outline', text: 'corner by corner' },
] as const;

const REACH_MM = 2000;

interface Props {
  thing: Thing;
  change: (fields: { footprint: Footprint | undefined }) => void;
}

/** What a thing covers of the plan where it is not round: its shape, its measures and how it is turned. */
export function FootprintFields({ thing, change }: Props) {
  const { footprint } = thing;
  const set = (next: Footprint) => change({ footprint: next });
  return (
    <>
      <ChoiceField
        label="Footprint"
        value={footprint?.kind ?? 'round'}
        options={shapes}
        onValue={(kind) => change({ footprint: kind === 'round' ? undefined : footprintOfKind(thing, kind) })}
      />
      {footprint && (
        <div className="grid grid-cols-2 gap-2">
          {footprint.kind !== 'outline' && (
            <MeasureField
              label="Length"
              value={footprint.longMm}
              {...fieldLimits('things.footprint.longMm')}
              onValue={(longMm) => set({ ...footprint, longMm })}
            />
          )}
          {footprint.kind === 'cross' && (
            <MeasureField
              label="Across each bar"
              value={footprint.armMm}
              {...fieldLimits('things.footprint.armMm')}
              onValue={(armMm) => set({ ...footprint, armMm })}
            />
          )}
          <NumberField
            label="Turned by"
            unit="°"
            value={footprint.turnDegrees}
            {...fieldLimits('things.footprint.turnDegrees')}
            onValue={(turnDegrees) => set({ ...footprint, turnDegrees })}
          />
        </div>
      )}
      {footprint?.kind === 'outline' && <Corners footprint={footprint} set={set} />}
    </>
  );
}

type Outline = Extract<Footprint, { kind: 'outline' }>;

/** Corners counted from the thing's place, as numbers. */
function Corners({ footprint, set }: { footprint: Outline; set: (next: Outline) => void }) {
  const { points } = footprint;
  const to = (next: [number, number][]) => set({ ...footprint, points: next });
  return (
    <ol aria-label="Corners of the footprint, from its place">
      <PointRows
        points={points}
        name="Corner"
        measures={['across', 'away']}
        least={[-REACH_MM, -REACH_MM]}
        most={REACH_MM}
        fewest={3}
        move={(k, at) => to(points.map((point, n) => (n === k ? at : point)))}
        split={(k) => to(partedAfter(points, k))}
        remove={(k) => to(points.filter((_, n) => n !== k))}
      />
    </ol>
  );
}
