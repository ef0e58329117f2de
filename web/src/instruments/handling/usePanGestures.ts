import { type PointerEvent, useCallback, useEffect, useLayoutEffect, useRef } from 'react';
import { MOST_ZOOM, panTo, usePanZoom, zoomBy } from './panZoom.ts';
import type { Frame } from './planFrame.ts';

// Not @use-gesture: the drawing is moved as a picture and drawn anew when it rests, which is most of what is here.
/** A gesture as it is felt: the drawing moved by pixels and scaled about its top left corner. */
interface Felt {
  x: number;
  y: number;
  scale: number;
}

const still: Felt = { x: 0, y: 0, scale: 1 };
/** A wheel that has not turned for so long has stopped, ms. */
const REST_MS = 90;

function showFelt(sheet: HTMLElement | null, { x, y, scale }: Felt): void {
  if (sheet) sheet.style.transform = scale === 1 && !x && !y ? '' : `translate(${x}px, ${y}px) scale(${scale})`;
}

/**
 * Pan by dragging free ground (or with the middle button), zoom by wheel or pinch. While a gesture lasts the drawing is moved as a picture,
 * which any machine does at full speed; when it rests, everything is drawn anew at its scale.
 */
export function usePanGestures(frame: Frame, active: boolean) {
  const element = useRef<HTMLDivElement | null>(null);
  const felt = useRef<Felt>(still);
  const now = useRef(frame);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const pointers = useRef(new Map<number, { x: number; y: number }>());

  const show = () => showFelt(element.current, felt.current);
  // A new drawing takes the place of the moved picture in the same frame.
  useLayoutEffect(() => {
    now.current = frame;
    felt.current = still;
    showFelt(element.current, still);
  }, [frame]);

  const rest = useCallback(() => {
    clearTimeout(timer.current);
    const { x, y, scale } = felt.current;
    if (scale === 1 && !x && !y) return;
    const { width, height, scale: mm, middle } = now.current;
    // The point of the old drawing that now stands in the middle.
    const px = (width / 2 - x) / scale;
    const py = (height / 2 - y) / scale;
    const place = [middle[0] + (px - width / 2) / mm, middle[1] - (py - height / 2) / mm] as const;
    if (scale !== 1) zoomBy(scale, middle, middle);
    panTo(place);
  }, []);

  const scaleAbout = (factor: number, cx: number, cy: number) => {
    const { x, y, scale } = felt.current;
    const zoom = usePanZoom.getState().zoom;
    const next = Math.min(MOST_ZOOM / zoom, Math.max(0.5 / zoom, scale * factor));
    const share = next / scale;
    felt.current = { scale: next, x: cx - (cx - x) * share, y: cy - (cy - y) * share };
    show();
  };

  useEffect(() => {
    const sheet = element.current;
    if (!sheet || !active) return;
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = sheet.parentElement?.getBoundingClientRect();
      const turn = event.deltaMode === 1 ? event.deltaY * 18 : event.deltaY;
      scaleAbout(Math.exp(-turn * 0.0016), event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0));
      clearTimeout(timer.current);
      timer.current = setTimeout(rest, REST_MS);
    };
    sheet.addEventListener('wheel', wheel, { passive: false });
    return () => {
      sheet.removeEventListener('wheel', wheel);
      clearTimeout(timer.current);
    };
  });

  const down = (event: PointerEvent<HTMLDivElement>) => {
    if (!active || event.button === 2 || (event.shiftKey && event.button === 0)) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    pointers.current.set(event.pointerId, { x: event.clientX, y: event.clientY });
  };
  const move = (event: PointerEvent<HTMLDivElement>) => {
    const before = pointers.current.get(event.pointerId);
    if (!before) return;
    const others = [...pointers.current].filter(([id]) => id !== event.pointerId).map(([, point]) => point);
    const after = { x: event.clientX, y: event.clientY };
    const box = element.current?.parentElement?.getBoundingClientRect();
    if (others.length) {
      const [other] = others;
      const apart = (p: { x: number; y: number }) => Math.max(10, Math.hypot(p.x - other.x, p.y - other.y));
      scaleAbout(
        apart(after) / apart(before),
        (after.x + other.x) / 2 - (box?.left ?? 0),
        (after.y + other.y) / 2 - (box?.top ?? 0),
      );
    } else {
      felt.current = {
        ...felt.current,
        x: felt.current.x + after.x - before.x,
        y: felt.current.y + after.y - before.y,
      };
      show();
    }
    pointers.current.set(event.pointerId, after);
  };
  const up = (event: PointerEvent<HTMLDivElement>) => {
    if (!pointers.current.delete(event.pointerId) || pointers.current.size) return;
    rest();
  };
  return {
    sheet: element,
    handlers: active ? { onPointerDown: down, onPointerMove: move, onPointerUp: up, onPointerCancel: up } : {},
  };
}
