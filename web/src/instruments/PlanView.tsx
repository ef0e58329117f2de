import { baseOutline, baseSize, isolines, type LayerReport } from '@hosket/core';
import { useDeferredValue, useMemo } from 'react';
import { useProject } from '../store/projectStore.ts';
import { usePicked } from '../store/viewStore.ts';
import { useFields, usePlan } from '../worker/planStore.ts';
import { DistanceLine } from './DistanceLine.tsx';
import { PlanFrame } from './Frame.tsx';
import { PlanDrawing } from './PlanDrawing.tsx';
import { PlanItems } from './PlanItems.tsx';
import { PlanRoom } from './PlanRoom.tsx';
import { PlanSection } from './PlanSection.tsx';
import { linePath, piecePath } from './paths.ts';
import { useFrame } from './planFrame.ts';
import { Relief } from './Relief.tsx';
import type { Shading } from './shading.ts';
import { UnderlayPicture, UnderlayPins } from './UnderlayPicture.tsx';

interface Props {
  editable?: boolean;
  /** A layer whose footprint is laid over the plan. */
  layer?: LayerReport;
  marks?: boolean;
  /** What the tint tells, where that is not the builder's to choose. */
  shading?: Shading;
}

/** The base from above: shaded ground with its height lines, marks, the section line, and a layer's footprint. */
export function PlanView({ editable = false, layer, marks = true, shading }: Props) {
  const { base } = useProject();
  const { widthMm, depthMm } = baseSize(base);
  return (
    <PlanFrame
      widthMm={widthMm}
      depthMm={depthMm}
      label="Plan of the base"
      moves={editable}
      under={<ShadedGround shading={shading} />}
    >
      {marks && <UnderlayPicture />}
      <OutsideMask />
      <HeightLines />
      {layer && <Footprint layer={layer} />}
      {marks && <PlanItems editable={editable} />}
      {marks && <PlanRoom />}
      {marks && <DistanceLine editable={editable} />}
      {editable && <UnderlayPins />}
      {editable && <ShownPlace />}
      <PlanSection />
      {editable && <PlanDrawing />}
    </PlanFrame>
  );
}

/** The relief alone follows every coarse ground of a drag; the plan round it is not drawn again. */
function ShadedGround({ shading }: { shading?: Shading }) {
  const { widthMm, depthMm } = baseSize(useProject().base);
  const fields = useFields();
  const highestMm = usePlan((state) => state.report?.ground.highestMm ?? 0);
  if (!fields) return <div className="size-full bg-sheet" />;
  return <Relief grid={fields.ground} widthMm={widthMm} depthMm={depthMm} highestMm={highestMm} shading={shading} />;
}

/** Covers what lies off the base, and draws its edge. */
function OutsideMask() {
  const { base } = useProject();
  const { place, width, height } = useFrame();
  const edge = linePath(baseOutline(base), place, true);
  const box = `M0 0H${width}V${height}H0Z`;
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
  // While something is dragged they may come a little later than the handle and the relief.
  const fields = useDeferredValue(useFields());
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

/** Where a list has led to. */
function ShownPlace() {
  const { place } = useFrame();
  const at = usePicked((state) => state.place);
  if (!at) return null;
  const [x, y] = place(at);
  return (
    <g pointerEvents="none" data-testid="shown-place">
      <circle cx={x} cy={y} r={13} fill="none" stroke="#fcfbf8" strokeWidth={4} />
      <circle cx={x} cy={y} r={13} fill="none" stroke="#a8452b" strokeWidth={2} />
      <circle cx={x} cy={y} r={2.5} fill="#a8452b" />
    </g>
  );
}
