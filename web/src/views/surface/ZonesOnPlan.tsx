import { isolines, type PlanReport } from '@hosket/core';
import { useMemo } from 'react';
import { linePath } from '../../instruments/handling/paths.ts';
import { useFrame } from '../../instruments/handling/planFrame.ts';
import { pickZone, usePicked } from '../../store/viewStore.ts';
import { daylight } from '../../ui/daylight.ts';
import { useFields } from '../../worker/planStore.ts';
import { zoneKeyOf } from './wearers.ts';

/** The picked zone outlined on the plan; a tap on the ground picks the zone that lies there. The list beside it does the same by keys. */
export function ZonesOnPlan({ zones }: { zones: PlanReport['zones'] }) {
  const { place, toBase, width, height } = useFrame();
  const map = useFields()?.zones;
  const picked = usePicked((state) => zones.findIndex(({ id }) => zoneKeyOf(id) === state.zone));
  const rings = useMemo(() => {
    if (!map || picked < 0) return [];
    const values = Float32Array.from(map.zone, (zone) => (zone === picked ? 1 : 0));
    // Cells are read at their middles.
    const originMm = [map.cellMm / 2, map.cellMm / 2] as const;
    return isolines(
      { columns: map.columns, rows: map.rows, cellMm: map.cellMm, originMm: [...originMm], values },
      [0.5],
    )[0];
  }, [map, picked]);
  const outline = rings.map((ring) => linePath(ring, place, true)).join('');
  const pick = (event: { clientX: number; clientY: number }) => {
    if (!map) return;
    const [x, y] = toBase(event);
    const [i, j] = [Math.floor(x / map.cellMm), Math.floor(y / map.cellMm)];
    if (i < 0 || j < 0 || i >= map.columns || j >= map.rows) return;
    const zone = zones[map.zone[j * map.columns + i]];
    if (zone) pickZone(zoneKeyOf(zone.id));
  };
  return (
    <g data-testid="zones-on-plan">
      <rect width={width} height={height} fill="transparent" className="cursor-pointer" onPointerUp={pick} />
      <g fill="none" pointerEvents="none">
        <path d={outline} stroke={daylight.sheet} strokeWidth={3.6} strokeOpacity={0.85} />
        <path d={outline} stroke={daylight.graphite} strokeWidth={1.5} />
      </g>
    </g>
  );
}
