import { type Mark, markPoints, movePoint, type Point, removePoint, splitStretch } from '@hosket/core';
import { useMemo, useState } from 'react';
import { edit, useProject } from '../store/projectStore.ts';
import { pickMark, usePicked } from '../store/viewStore.ts';
import { useSay } from '../ui/Figures.tsx';
import { useFrame } from './Frame.tsx';
import { Handle } from './Handle.tsx';
import { placeLabels } from './labels.ts';
import { linePath } from './paths.ts';

/** All marks on the plan with their heights; the picked one with handles at its points when it may be edited. */
export function PlanMarks({ editable }: { editable: boolean }) {
  const { marks } = useProject();
  const { place, widthMm, depthMm, scale, left, top } = useFrame();
  const picked = usePicked((state) => state.markId);
  const [preview, setPreview] = useState<{ id: string; index: number; at: Point } | null>(null);
  const say = useSay();
  const shown = useMemo(
    () =>
      preview
        ? marks.map((mark) => (mark.id === preview.id ? withPoint(mark, preview.index, preview.at) : mark))
        : marks,
    [marks, preview],
  );
  const labels = placeLabels(shown, (mark) => say.mm(mark.heightMm).replace(' mm', '').replace(' in', '″'), place, {
    width: left + widthMm * scale,
    height: top + depthMm * scale,
  });
  const current = editable ? shown.find((mark) => mark.id === picked) : undefined;
  return (
    <g>
      {shown.map((mark) => (
        <MarkShape
          key={mark.id}
          mark={mark}
          picked={mark.id === picked}
          onPick={editable ? () => pickMark(mark.id) : undefined}
        />
      ))}
      {current && (
        <MarkHandles mark={current} onPreview={(index, at) => setPreview(at && { id: current.id, index, at })} />
      )}
      <g pointerEvents="none">
        {labels.map((label) => (
          <g key={label.markId} transform={`translate(${label.x} ${label.y})`}>
            <rect
              x={-label.width / 2}
              y={-11}
              width={label.width}
              height={14}
              rx={3}
              fill="var(--sheet)"
              opacity={0.86}
            />
            <text
              textAnchor="middle"
              className="figure"
              fontSize={11}
              fill={label.markId === picked ? 'var(--clay)' : 'var(--graphite)'}
            >
              {label.text}
            </text>
          </g>
        ))}
      </g>
      {preview && <DragReadout at={preview.at} />}
    </g>
  );
}

function withPoint(mark: Mark, index: number, at: Point): Mark {
  if (mark.kind === 'spot') return { ...mark, at: [at[0], at[1]] };
  return { ...mark, points: mark.points.map((point, k) => (k === index ? [at[0], at[1]] : point)) };
}

function MarkShape({ mark, picked, onPick }: { mark: Mark; picked: boolean; onPick?: () => void }) {
  const { place } = useFrame();
  const ink = picked ? 'var(--clay)' : '#22272b';
  const wrap = (shape: React.ReactNode) => (
    <g className={onPick && 'cursor-pointer'} onPointerDown={onPick}>
      {shape}
    </g>
  );
  if (mark.kind === 'spot') {
    const [x, y] = place(mark.at);
    return wrap(
      <>
        <circle cx={x} cy={y} r={10} fill="transparent" />
        <path d={`M${x - 5} ${y}H${x + 5}M${x} ${y - 5}V${y + 5}`} stroke={ink} strokeWidth={picked ? 2.5 : 1.6} />
      </>,
    );
  }
  const path = linePath(mark.points, place, mark.closed);
  return wrap(
    <>
      <path
        d={path}
        fill={mark.level ? (picked ? 'var(--clay)' : '#22272b') : 'none'}
        fillOpacity={picked ? 0.14 : 0.05}
        stroke="none"
      />
      <path d={path} fill="none" stroke="transparent" strokeWidth={11} />
      <path d={path} fill="none" stroke={ink} strokeWidth={picked ? 2.2 : 1.2} strokeLinejoin="round" />
    </>,
  );
}

function MarkHandles({ mark, onPreview }: { mark: Mark; onPreview: (index: number, at: Point | null) => void }) {
  const { place } = useFrame();
  const points = markPoints(mark);
  const name = mark.name || mark.id;
  const stretches = mark.kind === 'contour' ? points.slice(0, mark.closed ? undefined : -1) : [];
  return (
    <g>
      {stretches.map((point, k) => {
        const to = points[(k + 1) % points.length];
        const [x, y] = place([(point[0] + to[0]) / 2, (point[1] + to[1]) / 2]);
        return (
          <g
            key={k}
            transform={`translate(${x} ${y})`}
            className="cursor-copy"
            onPointerDown={() => edit((project) => splitStretch(project, mark.id, k))}
          >
            <circle r={8} fill="transparent" />
            <path d="M-3.2 0H3.2M0 -3.2V3.2" stroke="var(--clay)" strokeWidth={1.4} />
          </g>
        );
      })}
      {points.map((point, k) => (
        <Handle
          key={k}
          label={`${mark.kind === 'spot' ? 'Spot' : `Point ${k + 1}`} of ${name}, ${point[0]} mm across, ${point[1]} mm away`}
          at={point}
          onPreview={(at) => onPreview(k, at)}
          onMove={(at) => edit((project) => movePoint(project, mark.id, k, at))}
          onRemove={() => edit((project) => removePoint(project, mark.id, k))}
        >
          <circle r={4.5} fill="var(--sheet)" stroke="var(--clay)" strokeWidth={2} />
        </Handle>
      ))}
    </g>
  );
}

function DragReadout({ at }: { at: Point }) {
  const { place } = useFrame();
  const [x, y] = place(at);
  return (
    <g transform={`translate(${x + 12} ${y - 12})`} pointerEvents="none">
      <rect x={0} y={-15} width={96} height={20} rx={3} fill="var(--graphite)" />
      <text x={48} y={-1} textAnchor="middle" fontSize={12} fill="var(--sheet)" className="figure">
        {at[0]} , {at[1]}
      </text>
    </g>
  );
}
