import { decimals } from '@hosket/core';
import type { HeightGrid } from '@hosket/formats';
import { useState } from 'react';
import { edit } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { MeasureField } from '../../ui/Field.tsx';
import { withFiles } from '../../worker/files.ts';
import { Notes } from './Notes.tsx';

interface Props {
  name: string;
  grid: HeightGrid;
  onDone: (text: string) => void;
}

/** A grid of heights as ground: between which heights it is to lie. The rest is set beside the plan, where it is seen. */
export function HeightsForm({ name, grid, onDone }: Props) {
  const [lowMm, setLow] = useState(8);
  const [highMm, setHigh] = useState(60);
  const { columns, rows, cell, unit, notes } = grid;
  const low = grid.values.reduce((a, b) => Math.min(a, b));
  const high = grid.values.reduce((a, b) => Math.max(a, b));
  const take = async () => {
    const terrain = await withFiles(`Laying ${name}`, (calls) => calls.terrainOf(grid, name, lowMm, highMm));
    edit((p) => ({ ...p, terrain }));
    onDone(`${name} is the ground now. Crop, turn and smooth it beside the plan.`);
  };
  return (
    <div>
      <p>
        <strong>{name}</strong>: {columns} by {rows} heights from {decimals(low, 1)} to {decimals(high, 1)}, {cell}{' '}
        {unit}
        {cell === 1 ? '' : 's'} apart.
      </p>
      <Notes notes={notes} />
      <div className="my-2 grid max-w-[360px] grid-cols-2 gap-3">
        <MeasureField label="Lowest place on the base" value={lowMm} most={2000} onValue={setLow} />
        <MeasureField label="Highest place on the base" value={highMm} most={2000} onValue={setHigh} />
      </div>
      <p className="mb-2 text-sm text-muted">
        It takes the place of the bare board; contours, landforms and everything drawn act on top of it.
      </p>
      <Button tone="main" onClick={take}>
        Make it the ground
      </Button>
    </div>
  );
}
