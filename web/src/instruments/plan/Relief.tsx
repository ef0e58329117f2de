import { baseOutline, type Grid } from '@hosket/core';
import { useEffect, useMemo, useRef } from 'react';
import { useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { usePlan } from '../../worker/planStore.ts';
import { readGround, useGroundRead } from '../../worker/readStore.ts';
import { coverGrid } from '../textures/covers.ts';
import { reliefPixels } from './relief.ts';
import { bandsOf, type Shading } from './shading.ts';

interface Props {
  grid: Grid;
  widthMm: number;
  depthMm: number;
  highestMm: number;
  /** What the tint tells; as chosen for the plan where nothing else is asked for. */
  shading?: Shading;
}

/** The shaded ground. Its picture is a little larger than the base where the lattice runs past the edge. */
export function Relief({ grid, widthMm, depthMm, highestMm, shading: asked }: Props) {
  const chosen = useView((view) => view.shading);
  const wanted = asked ?? chosen;
  const read = useRead(grid, wanted);
  // Until the ground has been read it stands in its plain light.
  const shading = read || wanted === 'slope' || wanted === 'height' ? wanted : 'relief';
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const element = canvas.current;
    const context = element?.getContext('2d');
    if (!element || !context) return;
    element.width = grid.columns;
    element.height = grid.rows;
    context.putImageData(
      new ImageData(reliefPixels(grid, shading, bandsOf(shading, highestMm), read), grid.columns, grid.rows),
      0,
      0,
    );
  }, [grid, shading, highestMm, read]);
  const wide = ((grid.columns - 1) * grid.cellMm) / widthMm;
  const deep = ((grid.rows - 1) * grid.cellMm) / depthMm;
  return (
    <canvas
      ref={canvas}
      className="absolute bottom-0 left-0 max-w-none"
      style={{ width: `${100 * wide}%`, height: `${100 * deep}%` }}
    />
  );
}

/** What is tinted besides slope and height: read from the ground only while it is looked at. */
function useRead(grid: Grid, shading: Shading): Grid | null {
  const figureMm = useView((view) => view.figureMm);
  const { base, judging } = useProject();
  const { report, fields } = usePlan();
  const read = useGroundRead();
  useEffect(() => {
    if (shading === 'wet' || shading === 'standing')
      readGround({ what: shading, grid, outline: baseOutline(base), figureMm, judging });
  }, [shading, grid, base, judging, figureMm]);
  return useMemo(() => {
    if (shading === 'cover') return report && fields ? coverGrid(fields.zones, report) : null;
    if (shading === 'paste') return fields ? { ...fields.zones, originMm: [0, 0], values: fields.pasteMm } : null;
    return read.what === shading ? read.grid : null;
  }, [shading, report, fields, read]);
}
