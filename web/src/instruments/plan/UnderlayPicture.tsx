import type { Point, Underlay } from '@hosket/core';
import { endPreview, preview, settle, useShown } from '../../store/preview.ts';
import { useView } from '../../store/viewStore.ts';
import { daylight } from '../../ui/daylight.ts';
import { useFrame } from '../handling/planFrame.ts';
import { Handle } from './Handle.tsx';
import { onBase, onPicture } from './underlay.ts';

/** The picture under the plan, faded. */
export function UnderlayPicture() {
  const { underlay } = useShown();
  const { place } = useFrame();
  if (!underlay || underlay.hidden || underlay.strengthPercent === 0) return null;
  const { picture, pins, strengthPercent } = underlay;
  const corner = (px: Point) => place(onBase(pins, px));
  const [x0, y0] = corner([0, 0]);
  const [x1, y1] = corner([1, 0]);
  const [x2, y2] = corner([0, 1]);
  return (
    <image
      href={`data:${picture.type};base64,${picture.data}`}
      width={picture.widthPx}
      height={picture.heightPx}
      preserveAspectRatio="none"
      transform={`matrix(${x1 - x0} ${y1 - y0} ${x2 - x0} ${y2 - y0} ${x0} ${y0})`}
      opacity={strengthPercent / 100}
      pointerEvents="none"
      data-testid="underlay"
    />
  );
}

/** The two points of the picture, while it is being placed: dragged, they move the picture; or, when they are chosen anew, their place on it. */
export function UnderlayPins() {
  const { underlay } = useShown();
  const placing = useView((view) => view.placing);
  if (!underlay || underlay.hidden || placing === 'no') return null;
  const moved = (k: 0 | 1, to: Point): Underlay => {
    const pins: Underlay['pins'] = [{ ...underlay.pins[0] }, { ...underlay.pins[1] }];
    const mm: [number, number] = [to[0], to[1]];
    pins[k] = placing === 'picture' ? { ...pins[k], mm } : { px: onPicture(underlay.pins, to), mm };
    return { ...underlay, pins };
  };
  return (
    <g>
      {([0, 1] as const).map((k) => {
        const { mm } = underlay.pins[k];
        return (
          <Handle
            key={k}
            label={`${k ? 'Second' : 'First'} point of the picture, ${Math.round(mm[0])} mm across, ${Math.round(mm[1])} mm away`}
            at={mm}
            onPreview={(to) => preview((p) => ({ ...p, underlay: moved(k, to) }))}
            onCancel={endPreview}
            onMove={(to) => settle((p) => ({ ...p, underlay: moved(k, to) }))}
          >
            <circle r={8} fill="none" stroke={daylight.sheet} strokeWidth={4} />
            <circle r={8} fill="none" stroke={daylight.water} strokeWidth={2} />
            <path d="M-12 0H-4M4 0H12M0 -12V-4M0 4V12" stroke={daylight.water} strokeWidth={1.6} />
            <text x={11} y={-8} fontSize={12} fill={daylight.water} className="figure">
              {k ? 'B' : 'A'}
            </text>
          </Handle>
        );
      })}
    </g>
  );
}
