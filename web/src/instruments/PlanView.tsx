import { baseOutline, isolines, type LayerReport } from '@hosket/core';
import { useMemo } from 'react';
import { useProject } from '../store/projectStore.ts';
import { usePlan } from '../worker/planStore.ts';
import { PlanFrame, useFrame } from './Frame.tsx';
import { PlanDrawing } from './PlanDrawing.tsx';
import { PlanMarks } from './PlanMarks.tsx';
import { PlanSection } from './PlanSection.tsx';
import { linePath, piecePath } from './paths.ts';
import { Relief } from './Relief.tsx';

interface Props {
  editable?: boolean;
  /** A layer whose footprint is laid over the plan. */
  layer?: LayerReport;
  marks?: boolean;
}

/** The base from above: shaded ground with its height lines, marks, the section line, and a layer's footprint. */
export function PlanView({ editable = false, layer, marks = true }: Props) {
  const { base } = useProject();
  const fields = usePlan((state) => state.fields);
  const highestMm = usePlan((state) => state.report?.ground.highestMm ?? 0);
  const { widthMm, depthMm } = base.shape;
  return (
    <PlanFrame
      widthMm={widthMm}
      depthMm={depthMm}
      label="Plan of the base"
      under={
        fields ? (
          <Relief grid={fields.ground} widthMm={widthMm} depthMm={depthMm} highestMm={highestMm} />
        ) : (
          <div className="size-full bg-sheet" />
        )
      }
    >
      <OutsideMask />
      <HeightLines />
      {layer && <Footprint layer={layer} />}
      {marks && <PlanMarks editable={editable} />}
      <PlanSection />
      {editable && <PlanDrawing />}
    </PlanFrame>
  );
}

/** Covers what lies off the base, and draws its edge. */
function OutsideMask() {
  const { base } = useProject();
  const { place, left, top, widthMm, depthMm, scale } = useFrame();
  const edge = linePath(baseOutline(base), place, true);
  const box = `M${left - 3} ${top - 3}h${widthMm * scale + 6}v${depthMm * scale + 6}h${-widthMm * scale - 6}Z`;
  return (
    <g pointerEvents="none">
      <path d={box + edge} fillRule="evenodd" fill="var(--plaster)" />
      <path d={edge} fill="none" stroke="#22272b" strokeWidth={1} />
    </g>
  );
}

/** Height lines of the worked-out ground, every 5 or 10 mm. */
function HeightLines() {
  const highestMm = usePlan((state) => state.report?.ground.highestMm ?? 0);
  const fields = usePlan((state) => state.fields);
  const { place } = useFrame();
  const lines = useMemo(() => {
    if (!fields) return [];
    const step = highestMm > 60 ? 10 : 5;
    const levels = Array.from({ length: Math.floor(highestMm / step) }, (_, k) => (k + 1) * step);
    return isolines(fields.ground, levels);
  }, [fields, highestMm]);
  const path = useMemo(
    () => lines.flatMap((rings) => rings.map((ring) => linePath(ring, place, true))).join(''),
    [lines, place],
  );
  return <path d={path} fill="none" stroke="#22272b" strokeOpacity={0.28} strokeWidth={0.7} pointerEvents="none" />;
}

function Footprint({ layer }: { layer: LayerReport }) {
  const { place } = useFrame();
  return (
    <path
      d={piecePath(layer.pieces, place)}
      fillRule="evenodd"
      fill="#a8452b"
      fillOpacity={0.2}
      stroke="#a8452b"
      strokeWidth={1.8}
      pointerEvents="none"
      data-testid="footprint"
    />
  );
}
