import { type KeyboardEvent, useEffect, useRef } from 'react';
import { finishLine, moveCursor, putPoint, stopDrawing, takeBackPoint, useDrawing } from './drawing.ts';
import { useFrame } from './Frame.tsx';
import { linePath } from './paths.ts';

const arrows: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** While a mark is being drawn: click or tap for points; or arrow keys move a cross, Space puts a point, Enter ends, Escape gives up. */
export function PlanDrawing() {
  const { kind, points, cursor } = useDrawing();
  const { place, toBase, widthMm, depthMm, left, top, scale } = useFrame();
  const area = useRef<SVGRectElement>(null);
  useEffect(() => {
    if (kind) area.current?.focus();
  }, [kind]);
  if (!kind) return null;
  const key = (event: KeyboardEvent) => {
    const arrow = arrows[event.key];
    if (arrow) {
      const reach = event.shiftKey ? 10 : 1;
      moveCursor([
        Math.min(widthMm, Math.max(0, cursor[0] + arrow[0] * reach)),
        Math.min(depthMm, Math.max(0, cursor[1] + arrow[1] * reach)),
      ]);
    } else if (event.key === ' ') putPoint(cursor);
    else if (event.key === 'Enter') kind === 'spot' ? putPoint(cursor) : finishLine(!event.shiftKey);
    else if (event.key === 'Backspace') takeBackPoint();
    else if (event.key === 'Escape') stopDrawing();
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
        aria-label={`Drawing a ${kind}. Cross at ${cursor[0]}, ${cursor[1]} mm, ${points.length} points. Arrow keys move it, Space puts a point, Enter ends, Escape gives up.`}
        tabIndex={0}
        x={left - 20}
        y={top - 20}
        width={widthMm * scale + 40}
        height={depthMm * scale + 40}
        fill="transparent"
        className="cursor-crosshair"
        onKeyDown={key}
        onPointerMove={(event) => moveCursor(toBase(event))}
        onPointerDown={(event) => event.button === 0 && event.detail < 2 && putPoint(toBase(event))}
        onDoubleClick={() => finishLine(true)}
      />
      <g pointerEvents="none">
        <path d={`M${x - 12} ${y}H${x + 12}M${x} ${y - 12}V${y + 12}`} stroke="var(--clay)" strokeWidth={1.2} />
        {points.length > 0 && (
          <path
            d={linePath([...points, cursor], place, false)}
            fill="none"
            stroke="#a8452b"
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
              fill="#fcfbf8"
              stroke="#a8452b"
              strokeWidth={2}
            />
          );
        })}
      </g>
    </g>
  );
}
