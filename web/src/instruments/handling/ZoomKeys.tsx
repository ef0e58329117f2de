import { Maximize, ZoomIn, ZoomOut } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import { panTo, usePanZoom, wholePlan, zoomBy } from './panZoom.ts';
import type { Frame } from './planFrame.ts';

const STEP = 1.35;
/** Arrow keys move the plan by this share of its size. */
const SHARE = 0.15;

/** Keys of the plan itself: + and - zoom, 0 shows the whole base, arrow keys move it when nothing on it has the focus. */
export function planKey(event: KeyboardEvent<HTMLElement | SVGElement>, frame: Frame): void {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  const away = [(SHARE * frame.width) / frame.scale, (SHARE * frame.height) / frame.scale];
  const [x, y] = frame.middle;
  if (event.key === '+' || event.key === '=') zoomBy(STEP, frame.middle, frame.middle);
  else if (event.key === '-') zoomBy(1 / STEP, frame.middle, frame.middle);
  else if (event.key === '0') wholePlan();
  else if (event.target !== event.currentTarget) return;
  else if (event.key === 'ArrowLeft') panTo([x - away[0], y]);
  else if (event.key === 'ArrowRight') panTo([x + away[0], y]);
  else if (event.key === 'ArrowUp') panTo([x, y + away[1]]);
  else if (event.key === 'ArrowDown') panTo([x, y - away[1]]);
  else return;
  event.preventDefault();
}

/** Zoom by buttons. */
export function ZoomButtons({ frame }: { frame: Frame }) {
  const zoom = usePanZoom((look) => look.zoom);
  const button = 'flex size-7 cursor-pointer items-center justify-center rounded-md hover:bg-plaster';
  return (
    <div
      className="absolute bottom-2 right-2 flex items-center rounded-md border border-line bg-sheet"
      role="group"
      aria-label="Zoom"
    >
      <button
        type="button"
        className={button}
        aria-label="Zoom out"
        onClick={() => zoomBy(1 / STEP, frame.middle, frame.middle)}
      >
        <ZoomOut size={15} aria-hidden />
      </button>
      <span className="figure min-w-11 text-center text-xs" data-testid="zoom">
        {Math.round(zoom * 100)} %
      </span>
      <button
        type="button"
        className={button}
        aria-label="Zoom in"
        onClick={() => zoomBy(STEP, frame.middle, frame.middle)}
      >
        <ZoomIn size={15} aria-hidden />
      </button>
      <button type="button" className={button} aria-label="See the whole base" onClick={wholePlan}>
        <Maximize size={15} aria-hidden />
      </button>
    </div>
  );
}
