import {
  baseOutline,
  baseSize,
  boardOutline,
  discOf,
  feetPlaces,
  isolines,
  type LayerReport,
  outlineRings,
  type Ring,
  settingOut,
} from '@hosket/core';
import { type ReactNode, useDeferredValue, useMemo } from 'react';
import { useProject } from '../../store/projectStore.ts';
import { usePicked } from '../../store/viewStore.ts';
import { daylight } from '../../ui/daylight.ts';
import { useFields, usePlan } from '../../worker/planStore.ts';
import { PlanFrame } from '../handling/Frame.tsx';
import { linePath, piecePath } from '../handling/paths.ts';
import { useFrame } from '../handling/planFrame.ts';
import { DistanceLine } from './DistanceLine.tsx';
import { PlanDrawing } from './PlanDrawing.tsx';
import { PlanItems } from './PlanItems.tsx';
import { PlanRoom } from './PlanRoom.tsx';
import { PlanSection } from './PlanSection.tsx';
import { Relief } from './Relief.tsx';
import type { Shading } from './shading.ts';
import { UnderlayPicture, UnderlayPins } from './UnderlayPicture.tsx';

interface Props {
  editable?: boolean;
  /** A layer whose footprint is laid over the plan, and the one above it. */
  layer?: LayerReport;
  above?: LayerReport;
  marks?: boolean;
  /** What the tint tells, where that is not the builder's to choose. */
  shading?: Shading;
  /** Drawn over the ground, and takes the pointer there. */
  over?: ReactNode;
}

/** The base from above: shaded ground with its height lines, marks, the section line, and a layer's footprint. */
export function PlanView({ editable = false, layer, above, marks = true, shading, over }: Props) {
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
      <HeightLines />
      <GuessedGround />
      <OutsideMask />
      {layer && <Footprint layer={layer} above={above} />}
      {marks && <PlanItems editable={editable} />}
      {marks && <PlanRoom />}
      {marks && <DistanceLine editable={editable} />}
      {editable && <UnderlayPins />}
      {over}
      <ShownPlace />
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
  const path = (outline: Ring) =>
    outlineRings(outline)
      .map((ring) => linePath(ring, place, true))
      .join('');
  const edge = path(baseOutline(base));
  const box = `M0 0H${width}V${height}H0Z`;
  const board = boardOutline(base);
  const flush = !base.board.beyondMm && !base.board.wave;
  const stand = [
    ...(base.board.holes ?? []),
    ...feetPlaces(base).map((at) => ({ at, acrossMm: base.feet?.acrossMm ?? 0 })),
  ];
  return (
    <g pointerEvents="none">
      <path d={box + edge} fillRule="evenodd" fill="var(--plaster)" />
      {board && !flush && (
        <path
          d={path(board) + edge}
          fillRule="evenodd"
          fill="var(--board)"
          fillOpacity={0.45}
          stroke="var(--board)"
          data-testid="board"
        />
      )}
      {stand.map(({ at, acrossMm }) => (
        <path
          key={at.join()}
          d={linePath(discOf(at, acrossMm), place, true)}
          fill="none"
          stroke={daylight.graphite}
          strokeWidth={0.8}
          strokeDasharray="2 2"
          data-testid="under-board"
        />
      ))}
      <path d={edge} fill="none" stroke={daylight.graphite} strokeWidth={1} />
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
  return (
    <path d={path} fill="none" stroke={daylight.graphite} strokeOpacity={0.28} strokeWidth={0.7} pointerEvents="none" />
  );
}

/** Ground of which nothing says how high it is: short strokes over it, as water is not, and a broken edge. */
function GuessedGround() {
  const fields = useDeferredValue(useFields());
  const { place } = useFrame();
  const rings = useMemo(() => {
    const { guessed, ground } = fields ?? {};
    // A coarse ground that follows a pointer knows no guesses.
    if (!guessed || !ground || guessed.length !== ground.values.length) return [];
    return isolines({ ...ground, values: Float32Array.from(guessed) }, [0.5])[0];
  }, [fields]);
  if (!rings.length) return null;
  const path = rings.map((ring) => linePath(ring, place, true)).join('');
  return (
    <path
      d={path}
      fillRule="evenodd"
      fill="url(#guess)"
      stroke={daylight.graphite}
      strokeOpacity={0.5}
      strokeWidth={0.8}
      strokeDasharray="2 4"
      pointerEvents="none"
      data-testid="guessed"
    />
  );
}

/** A layer's pieces, each kind of sheet in them; on it the outline and the dowels of the layer above. */
function Footprint({ layer, above }: { layer: LayerReport; above?: LayerReport }) {
  const { place } = useFrame();
  const inner = layer.parts.slice(0, -1);
  return (
    <g pointerEvents="none">
      <path
        d={piecePath(layer.pieces, place)}
        fillRule="evenodd"
        fill={daylight.clay}
        fillOpacity={0.2}
        stroke={daylight.clay}
        strokeWidth={1.8}
        data-testid="footprint"
      />
      {inner.map(({ sheetIds, pieces }) => (
        <path
          key={sheetIds.join()}
          d={piecePath(pieces, place)}
          fillRule="evenodd"
          fill="url(#fill)"
          stroke={daylight.clay}
          strokeWidth={1}
        />
      ))}
      <path
        d={piecePath(layer.cutOuts, place)}
        fillRule="evenodd"
        fill={daylight.sheet}
        fillOpacity={0.75}
        stroke={daylight.graphite}
        strokeWidth={0.9}
        strokeDasharray="4 3"
        data-testid="cut-outs"
      />
      {above && (
        <path
          d={piecePath(above.pieces, place)}
          fill="none"
          stroke={daylight.graphite}
          strokeWidth={1.2}
          strokeDasharray="7 4"
          data-testid="next-outline"
        />
      )}
      <Letters layer={layer} />
      {above?.dowels.map((dowel) => {
        const [x, y] = place(dowel);
        return (
          <g key={dowel.join()} stroke={daylight.graphite} strokeWidth={1.4}>
            <circle cx={x} cy={y} r={5} fill={daylight.sheet} />
            <path d={`M${x - 5} ${y}H${x + 5}M${x} ${y - 5}V${y + 5}`} />
          </g>
        );
      })}
    </g>
  );
}

/** The places whose measures are told, by their letters. */
function Letters({ layer }: { layer: LayerReport }) {
  const { place } = useFrame();
  const sets = useMemo(() => settingOut(layer.pieces), [layer.pieces]);
  return (
    <g fontSize={11} fontWeight={600} fill={daylight.graphite} textAnchor="middle" data-testid="set-out">
      {sets.flatMap(({ places }) =>
        places.map(({ letter, fromLeftMm, fromFrontMm }) => {
          const [x, y] = place([fromLeftMm, fromFrontMm]);
          return (
            <g key={letter}>
              <circle cx={x} cy={y} r={2.5} fill={daylight.clay} />
              <text x={x} y={y - 5} paintOrder="stroke" stroke={daylight.sheet} strokeWidth={3}>
                {letter}
              </text>
            </g>
          );
        }),
      )}
    </g>
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
      <circle cx={x} cy={y} r={13} fill="none" stroke={daylight.sheet} strokeWidth={4} />
      <circle cx={x} cy={y} r={13} fill="none" stroke={daylight.clay} strokeWidth={2} />
      <circle cx={x} cy={y} r={2.5} fill={daylight.clay} />
    </g>
  );
}
