import { boundsOf, parseMeasure } from '@hosket/core';
import { type PointerEvent, useRef, useState } from 'react';
import { useView } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { ReadField, type Reading } from '../../ui/Field.tsx';
import { useSay } from '../../ui/Figures.tsx';

type Corner = [number, number];

interface Props {
  name: string;
  points: Corner[];
  onPoints: (points: Corner[]) => void;
  onClose: () => void;
}

const WIDTH = 420;
const HEIGHT = 260;
const PAD = 26;
const MOST = 500;

/** An outline traced corner by corner: drag a corner, click an edge for one more, or write the places down. */
export function TraceDialog({ name, points, onPoints, onClose }: Props) {
  const units = useView((view) => view.units);
  const say = useSay();
  const drawing = useRef<SVGSVGElement>(null);
  const [dragged, setDragged] = useState<{ index: number; at: Corner } | null>(null);
  const shown = dragged ? points.with(dragged.index, dragged.at) : points;
  const [x0, y0, x1, y1] = boundsOf(points);
  // A little room round it, so that a corner can be dragged outwards.
  const reach = 0.15 * Math.max(x1 - x0, y1 - y0, 20);
  const scale = Math.min((WIDTH - 2 * PAD) / (x1 - x0 + 2 * reach), (HEIGHT - 2 * PAD) / (y1 - y0 + 2 * reach));
  const px = ([x, y]: Corner): Corner => [PAD + (x - x0 + reach) * scale, HEIGHT - PAD - (y - y0 + reach) * scale];
  const place = (event: PointerEvent): Corner => {
    const box = drawing.current?.getBoundingClientRect();
    const x = (event.clientX - (box?.left ?? 0) - PAD) / scale + x0 - reach;
    const y = (HEIGHT - PAD - (event.clientY - (box?.top ?? 0))) / scale + y0 - reach;
    return [Math.round(x), Math.round(y)];
  };
  const path = `M${shown.map((point) => px(point).join(' ')).join('L')}Z`;
  return (
    <Dialog
      open
      onOpen={(open) => !open && onClose()}
      title={`Outline of ${name}`}
      note="Lay a rule along it: each corner is so far from the left and so far from the front. Drag a corner, or click an edge for one more."
    >
      <svg
        ref={drawing}
        width={WIDTH}
        height={HEIGHT}
        className="touch-none border border-line bg-plaster"
        role="img"
        aria-label={`${name}, ${points.length} corners, ${say.mm(x1 - x0)} by ${say.mm(y1 - y0)}`}
        onPointerMove={(event) => dragged && setDragged({ ...dragged, at: place(event) })}
        onPointerUp={() => {
          if (dragged) onPoints(points.with(dragged.index, dragged.at));
          setDragged(null);
        }}
      >
        <path d={path} fill="var(--foam-a)" stroke="var(--graphite)" strokeWidth={1.2} />
        {shown.map((from, k) => {
          const [ax, ay] = px(from);
          const [bx, by] = px(shown[(k + 1) % shown.length]);
          return (
            <path
              key={`edge ${k}`}
              d={`M${ax} ${ay}L${bx} ${by}`}
              stroke="transparent"
              strokeWidth={12}
              className="cursor-copy"
              data-testid={`edge-${k + 1}`}
              onPointerDown={(event) => {
                if (points.length >= MOST) return;
                const at = place(event);
                onPoints(points.toSpliced(k + 1, 0, at));
              }}
            />
          );
        })}
        {shown.map((point, k) => {
          const [x, y] = px(point);
          return (
            <circle
              key={`corner ${k}`}
              cx={x}
              cy={y}
              r={6}
              fill="var(--sheet)"
              stroke="var(--clay)"
              strokeWidth={2}
              className="cursor-grab"
              data-testid={`corner-${k + 1}`}
              onPointerDown={(event) => {
                event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
                setDragged({ index: k, at: point });
              }}
            />
          );
        })}
      </svg>
      <div className="mt-2">
        <ReadField
          label="Corners, one a line: from the left; from the front"
          lines={6}
          text={points.map(([x, y]) => `${x}; ${y}`).join('\n')}
          read={(text) => readCorners(text, units)}
          onValue={onPoints}
        />
      </div>
      <Button tone="main" className="mt-3" onClick={onClose}>
        Done
      </Button>
    </Dialog>
  );
}

/** Places written one a line, in the builder's units. */
function readCorners(text: string, units: Parameters<typeof parseMeasure>[2]): Reading<Corner[]> {
  const corners: Corner[] = [];
  const lines = text.split('\n').filter((line) => line.trim());
  for (const [k, line] of lines.entries()) {
    const parts = line.split(/[;\t]/).map((part) => parseMeasure('length', part, units));
    const [x, y] = parts;
    if (parts.length !== 2 || !x.ok || !y.ok)
      return { ok: false, why: `Line ${k + 1}, "${line.trim()}": write it like 120; 45.` };
    if (Math.abs(x.value) > 5000 || Math.abs(y.value) > 5000)
      return { ok: false, why: `Line ${k + 1}: no more than 5000 mm.` };
    corners.push([x.value, y.value]);
  }
  if (corners.length < 3) return { ok: false, why: 'An outline needs at least 3 corners.' };
  if (corners.length > MOST) return { ok: false, why: `No more than ${MOST} corners.` };
  return { ok: true, value: corners };
}
