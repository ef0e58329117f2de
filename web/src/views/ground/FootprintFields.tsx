import { type Footprint, fieldLimits, footprintOfKind, type Thing } from '@hosket/core';
import { Plus, X } from 'lucide-react';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, MeasureField, NumberField } from '../../ui/Field.tsx';

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
  const move = (k: number, at: [number, number]) => to(points.map((point, n) => (n === k ? at : point)));
  const split = (k: number) => {
    const [[ax, ay], [bx, by]] = [points[k], points[(k + 1) % points.length]];
    to([...points.slice(0, k + 1), [(ax + bx) / 2, (ay + by) / 2], ...points.slice(k + 1)]);
  };
  return (
    <ol aria-label="Corners of the footprint, from its place">
      {points.map(([x, y], k) => (
        <li key={k} className="mb-1 grid grid-cols-[1.4rem_1fr_1fr_auto_auto] items-center gap-1">
          <span className="text-xs text-muted">{k + 1}</span>
          <MeasureField
            hideLabel
            label={`Corner ${k + 1}, across`}
            least={-REACH_MM}
            most={REACH_MM}
            value={x}
            onValue={(across) => move(k, [across, y])}
          />
          <MeasureField
            hideLabel
            label={`Corner ${k + 1}, away`}
            least={-REACH_MM}
            most={REACH_MM}
            value={y}
            onValue={(away) => move(k, [x, away])}
          />
          <Button
            tone="quiet"
            className="!px-1"
            aria-label={`Add a corner after corner ${k + 1}`}
            onClick={() => split(k)}
          >
            <Plus size={13} aria-hidden />
          </Button>
          <Button
            tone="quiet"
            className="!px-1"
            aria-label={`Take out corner ${k + 1}`}
            disabled={points.length <= 3}
            onClick={() => to(points.filter((_, n) => n !== k))}
          >
            <X size={13} aria-hidden />
          </Button>
        </li>
      ))}
    </ol>
  );
}
