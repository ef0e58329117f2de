import type { Terrain, Underlay } from '@hosket/core';
import { fieldLimits } from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, MeasureField, NumberField, TickField } from '../../ui/Field.tsx';
import { Legend } from '../../ui/Legend.tsx';

/** What was brought in and stays: heights under the marks, a picture under the plan. */
export function BroughtIn() {
  const { terrain, underlay } = useProject();
  return (
    <>
      {terrain && <TerrainFields terrain={terrain} />}
      {underlay && <UnderlayFields underlay={underlay} />}
    </>
  );
}

function TerrainFields({ terrain }: { terrain: Terrain }) {
  const change = (by: Partial<Terrain>) => edit((p) => ({ ...p, terrain: p.terrain && { ...p.terrain, ...by } }));
  const { crop } = terrain;
  const sides = [
    ['left', 'Crop, from the left', 0, crop.right - 0.02],
    ['right', 'to', crop.left + 0.02, 1],
    ['near', 'Crop, from the front', 0, crop.far - 0.02],
    ['far', 'to', crop.near + 0.02, 1],
  ] as const;
  return (
    <fieldset className="mt-4">
      <Legend>Heights brought in</Legend>
      <p className="mb-2 text-xs text-muted">
        {terrain.name}, {terrain.columns} by {terrain.rows}
      </p>
      <div className="grid grid-cols-2 gap-2">
        <MeasureField
          label="Lowest"
          value={terrain.lowMm}
          {...fieldLimits('terrain.lowMm')}
          onValue={(lowMm) => change({ lowMm })}
        />
        <MeasureField
          label="Highest"
          value={terrain.highMm}
          {...fieldLimits('terrain.highMm')}
          onValue={(highMm) => change({ highMm })}
        />
        {sides.map(([side, label, least, most]) => (
          <NumberField
            key={side}
            label={side === 'right' || side === 'far' ? `${label} (${side})` : label}
            unit="%"
            value={Math.round(crop[side] * 1000) / 10}
            least={Math.round(least * 1000) / 10}
            most={Math.round(most * 1000) / 10}
            onValue={(percent) => change({ crop: { ...crop, [side]: percent / 100 } })}
          />
        ))}
        <NumberField
          label="Turned"
          unit="°"
          value={terrain.turnDegrees}
          {...fieldLimits('terrain.turnDegrees')}
          onValue={(turnDegrees) => change({ turnDegrees })}
        />
        <MeasureField
          label="Smoothed over"
          value={terrain.smoothMm}
          {...fieldLimits('terrain.smoothMm')}
          onValue={(smoothMm) => change({ smoothMm })}
        />
        <MeasureField
          label="Marks bend it over"
          value={terrain.reachMm}
          {...fieldLimits('terrain.reachMm')}
          onValue={(reachMm) => change({ reachMm })}
        />
      </div>
      <div className="mt-2">
        <Button onClick={() => edit((p) => ({ ...p, terrain: null }))}>Take these heights away</Button>
      </div>
    </fieldset>
  );
}

function UnderlayFields({ underlay }: { underlay: Underlay }) {
  const placing = useView((view) => view.placing);
  const change = (by: Partial<Underlay>) => edit((p) => ({ ...p, underlay: p.underlay && { ...p.underlay, ...by } }));
  const [a, b] = underlay.pins;
  const apart = Math.hypot(b.mm[0] - a.mm[0], b.mm[1] - a.mm[1]);
  const stretchTo = (mm: number) => {
    const by = apart > 0 ? mm / apart : 0;
    const end: [number, number] = apart
      ? [a.mm[0] + (b.mm[0] - a.mm[0]) * by, a.mm[1] + (b.mm[1] - a.mm[1]) * by]
      : [a.mm[0] + mm, a.mm[1]];
    change({ pins: [a, { ...b, mm: end }] });
  };
  return (
    <fieldset className="mt-4">
      <Legend>Picture under the plan</Legend>
      <p className="mb-2 text-xs text-muted">{underlay.name}</p>
      <div className="grid grid-cols-2 gap-2">
        <ChoiceField
          label="Dragging its points"
          value={placing}
          options={[
            { value: 'no', text: 'does nothing' },
            { value: 'points', text: 'chooses them anew' },
            { value: 'picture', text: 'moves the picture' },
          ]}
          onValue={(value) => useView.setState({ placing: value })}
        />
        <MeasureField label="From A to B it is" value={apart} least={1} most={5000} onValue={stretchTo} />
        <NumberField
          label="Strength"
          unit="%"
          value={underlay.strengthPercent}
          {...fieldLimits('underlay.strengthPercent')}
          onValue={(strengthPercent) => change({ strengthPercent })}
        />
      </div>
      <p className="my-1 text-xs text-muted">
        Put A and B on two places whose distance you know, then write that distance.
      </p>
      <TickField label="Hidden" value={underlay.hidden} onValue={(hidden) => change({ hidden })} />
      <div className="mt-2">
        <Button onClick={() => edit((p) => ({ ...p, underlay: null }))}>Take the picture away</Button>
      </div>
    </fieldset>
  );
}
