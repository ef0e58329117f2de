import { kindWords, type Point } from '@hosket/core';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { daylight } from '../../ui/daylight.ts';
import { linePath } from '../handling/paths.ts';
import { useFrame } from '../handling/planFrame.ts';
import { isTyped, typedPoint } from '../handling/typed.ts';
import { DragReadout } from './DragReadout.tsx';
import {
  DRAG_PX,
  finishLine,
  moveCursor,
  putDown,
  putPoint,
  stopDrawing,
  takeBackPoint,
  useDrawing,
} from './drawing.ts';
import { arrows } from './Handle.tsx';
import { sketchAt, sketchOver } from './sketch.ts';
import { snapPoint } from './snap.ts';

/**
 * While a thing is being drawn: click or tap for points, drag to span all of it at once, or arrow keys move a cross, Space puts a point, numbers write one, Enter ends, Escape gives up.
 */
export function PlanDrawing() {
  const { kind, points, cursor, carried } = useDrawing();
  const project = useProject();
  const { units, snapping } = useView();
  const { place, toBase, widthMm, depthMm, width, height, scale } = useFrame();
  const area = useRef<SVGRectElement>(null);
  const [typed, setTyped] = useState('');
  const [what, setWhat] = useState<string | null>(null);
  /** Where the pointer was pressed for a first point: a click puts it, a drag spans the whole thing. */
  const [press, setPress] = useState<{ at: Point; x: number; y: number; drags: boolean } | null>(null);
  const [hovers, setHovers] = useState(false);
  useEffect(() => {
    if (kind) area.current?.focus();
    setTyped('');
    setWhat(null);
    setPress(null);
    setHovers(false);
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
  // What a drag spans, or what would be put down here.
  const spans = press?.drags ? sketchOver(kind, press.at, cursor) : null;
  const ghost = spans ?? (hovers && !press && !points.length ? sketchAt(kind, cursor, project) : null);
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
        onPointerMove={(event) => {
          setHovers(true);
          if (press && Math.hypot(event.clientX - press.x, event.clientY - press.y) >= DRAG_PX)
            setPress({ ...press, drags: true });
          moveCursor(under(event));
        }}
        onPointerLeave={() => setHovers(false)}
        onPointerDown={(event) => {
          if (event.button !== 0) return;
          event.stopPropagation();
          if (points.length) return put(under(event));
          event.currentTarget.setPointerCapture(event.pointerId);
          setPress({ at: under(event), x: event.clientX, y: event.clientY, drags: false });
        }}
        onPointerUp={(event) => {
          if (carried) putDown(sketchAt(kind, under(event), project));
          else if (press?.drags) putDown(sketchOver(kind, press.at, under(event)));
          else if (press) put(press.at);
          setPress(null);
        }}
        onPointerCancel={() => setPress(null)}
        onDoubleClick={() => finishLine(true)}
      />
      <g pointerEvents="none">
        {ghost && (
          <path
            d={linePath(ghost, place, kindWords[kind].drawn === 'outline')}
            fill={kindWords[kind].drawn === 'outline' ? daylight.clay : 'none'}
            fillOpacity={0.12}
            stroke={daylight.clay}
            strokeWidth={1.4}
            strokeOpacity={press?.drags || carried ? 1 : 0.55}
            strokeDasharray="3 3"
            data-testid="ghost"
          />
        )}
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
