import { kindWords, type Point } from '@hosket/core';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { daylight } from '../../ui/daylight.ts';
import { linePath } from '../handling/paths.ts';
import { useFrame } from '../handling/planFrame.ts';
import { isTyped, typedPoint } from '../handling/typed.ts';
import { DragReadout } from './DragReadout.tsx';
import { finishLine, moveCursor, putPoint, stopDrawing, takeBackPoint, useDrawing } from './drawing.ts';
import { arrows } from './Handle.tsx';
import { snapPoint } from './snap.ts';

/**
 * While a thing is being drawn: click or tap for points; or arrow keys move a cross, Space puts a point, numbers write one, Enter ends, Escape gives up.
 */
export function PlanDrawing() {
  const { kind, points, cursor } = useDrawing();
  const project = useProject();
  const { units, snapping } = useView();
  const { place, toBase, widthMm, depthMm, width, height, scale } = useFrame();
  const area = useRef<SVGRectElement>(null);
  const [typed, setTyped] = useState('');
  const [what, setWhat] = useState<string | null>(null);
  useEffect(() => {
    if (kind) area.current?.focus();
    setTyped('');
    setWhat(null);
  }, [kind]);
  if (!kind) return null;
  const under = (event: { clientX: number; clientY: number; altKey: boolean }): Point => {
    const free = toBase(event);
    if (!snapping || event.altKey) return free;
    const snap = snapPoint(project, free, scale, []);
    setWhat(snap.what);
    return snap.at;
  };
  const put = (at: Point) => {
    const last = points.at(-1);
    // A second press of a double click puts no second point.
    if (!last || Math.hypot(last[0] - at[0], last[1] - at[1]) > 0.05) putPoint(at);
  };
  const key = (event: KeyboardEvent) => {
    const arrow = arrows[event.key];
    if (arrow && !event.altKey) {
      const reach = event.shiftKey ? 10 : 1;
      setWhat(null);
      moveCursor([
        Math.min(widthMm, Math.max(0, Math.round(cursor[0] + arrow[0] * reach))),
        Math.min(depthMm, Math.max(0, Math.round(cursor[1] + arrow[1] * reach))),
      ]);
    } else if (event.key === 'Escape') typed ? setTyped('') : stopDrawing();
    else if (event.key === 'Enter') {
      const written = typed && typedPoint(typed, points.at(-1) ?? cursor, cursor, units);
      setTyped('');
      if (written) put(written);
      else if (!typed) kindWords[kind].drawn === 'point' ? putPoint(cursor) : finishLine(!event.shiftKey);
    } else if (event.key === 'Backspace') typed ? setTyped(typed.slice(0, -1)) : takeBackPoint();
    else if (event.key === ' ' && !typed) put(cursor);
    else if (
      isTyped(event.key) &&
      !event.ctrlKey &&
      !event.metaKey &&
      !event.altKey &&
      (typed || /[-\d.]/.test(event.key))
    )
      setTyped(typed + event.key);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const [x, y] = place(cursor);
  return (
    <g>
      <rect
        ref={area}
        role="application"
        aria-label={`Drawing: ${kindWords[kind].title}. Cross at ${cursor[0]}, ${cursor[1]} mm, ${points.length} points. Arrow keys move it, Space puts a point, numbers like 120; 45 write one, Enter ends, Escape gives up.`}
        tabIndex={0}
        x={0}
        y={0}
        width={width}
        height={height}
        fill="transparent"
        className="cursor-crosshair"
        onKeyDown={key}
        onPointerMove={(event) => moveCursor(under(event))}
        onPointerDown={(event) => {
          if (event.button !== 0) return;
          event.stopPropagation();
          put(under(event));
        }}
        onDoubleClick={() => finishLine(true)}
      />
      <g pointerEvents="none">
        <path d={`M${x - 12} ${y}H${x + 12}M${x} ${y - 12}V${y + 12}`} stroke="var(--clay)" strokeWidth={1.2} />
        {points.length > 0 && (
          <path
            d={linePath([...points, cursor], place, false)}
            fill="none"
            stroke={daylight.clay}
            strokeWidth={2}
            strokeDasharray="5 3"
          />
        )}
        {points.map((point) => {
          const [px, py] = place(point);
          return (
            <circle
              key={`${point[0]},${point[1]}`}
              cx={px}
              cy={py}
              r={4}
              fill={daylight.sheet}
              stroke={daylight.clay}
              strokeWidth={2}
            />
          );
        })}
      </g>
      <DragReadout at={cursor} what={what} typed={typed} />
    </g>
  );
}
