import { baseSize } from '@hosket/core';
import { Maximize, ZoomIn, ZoomOut } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import { useProject } from '../../store/projectStore.ts';
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

/** Zoom by buttons, beside the plan and not over it: it may reach into every corner. */
export function ZoomButtons() {
  const { zoom, middle } = usePanZoom();
  const { widthMm, depthMm } = baseSize(useProject().base);
  const about = middle ?? ([widthMm / 2, depthMm / 2] as const);
  const button = 'flex size-6 cursor-pointer items-center justify-center rounded-md hover:bg-plaster';
  return (
    <div className="flex shrink-0 items-center" role="group" aria-label="Zoom">
      <button type="button" className={button} aria-label="Zoom out" onClick={() => zoomBy(1 / STEP, about, about)}>
        <ZoomOut size={15} aria-hidden />
      </button>
      <span className="figure min-w-10 text-center text-xs" data-testid="zoom">
        {Math.round(zoom * 100)} %
      </span>
      <button type="button" className={button} aria-label="Zoom in" onClick={() => zoomBy(STEP, about, about)}>
        <ZoomIn size={15} aria-hidden />
      </button>
      <button type="button" className={button} aria-label="See the whole base" onClick={wholePlan}>
        <Maximize size={15} aria-hidden />
      </button>
    </div>
  );
}
