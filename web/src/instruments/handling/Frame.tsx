import { type Point, tenth } from '@hosket/core';
import { type ReactNode, useMemo, useRef } from 'react';
import { usePanZoom } from './panZoom.ts';
import { type Frame, FrameContext } from './planFrame.ts';
import { usePanGestures } from './usePanGestures.ts';
import { useSize } from './useSize.ts';
import { planKey } from './ZoomKeys.tsx';

const MARGIN = 10;

interface Props {
  widthMm: number;
  depthMm: number;
  /** Drawn under the SVG, in the place of the base. */
  under: ReactNode;
  label: string;
  /** Can be panned and zoomed; else the whole base is always shown. */
  moves?: boolean;
  children: ReactNode;
}

/** Fits the base into the room of the positioned element round it; everything inside is drawn in its millimetres. */
export function PlanFrame({ widthMm, depthMm, under, label, moves = false, children }: Props) {
  const [room, width, height] = useSize();
  const svg = useRef<SVGSVGElement>(null);
  const look = usePanZoom();
  const { zoom, middle } = moves ? look : { zoom: 1, middle: null };
  const frame = useMemo<Frame>(() => {
    const fit = Math.max(0.05, Math.min((width - 2 * MARGIN) / widthMm, (height - 2 * MARGIN) / depthMm));
    const scale = fit * zoom;
    const centre: Point = middle ?? [widthMm / 2, depthMm / 2];
    const left = width / 2 - centre[0] * scale;
    const top = height / 2 - (depthMm - centre[1]) * scale;
    return {
      widthMm,
      depthMm,
      width,
      height,
      scale,
      left,
      top,
      middle: centre,
      place: ([x, y]) => [left + x * scale, top + (depthMm - y) * scale],
      toBase: ({ clientX, clientY }) => {
        const box = svg.current?.getBoundingClientRect();
        return [
          tenth((clientX - (box?.left ?? 0) - left) / scale),
          tenth(depthMm - (clientY - (box?.top ?? 0) - top) / scale),
        ];
      },
    };
  }, [width, height, widthMm, depthMm, zoom, middle]);
  const gestures = usePanGestures(frame, moves);
  return (
    <div ref={room} className="absolute inset-0 overflow-hidden" data-picture={moves ? 'plan' : undefined}>
      {width > 0 && (
        <FrameContext.Provider value={frame}>
          {/* Gestures move this sheet as a picture and have it drawn anew when they rest. */}
          <div
            ref={gestures.sheet}
            className="absolute inset-0 origin-top-left will-change-transform"
            {...gestures.handlers}
          >
            <div
              className="absolute"
              style={{ left: frame.left, top: frame.top, width: widthMm * frame.scale, height: depthMm * frame.scale }}
            >
              {under}
            </div>
            <svg
              ref={svg}
              role="group"
              aria-label={label}
              width={width}
              height={height}
              tabIndex={moves ? 0 : undefined}
              onKeyDown={moves ? (event) => planKey(event, frame) : undefined}
              className={`absolute inset-0 select-none ${moves ? 'touch-none' : 'touch-manipulation'}`}
            >
              {children}
            </svg>
          </div>
        </FrameContext.Provider>
      )}
    </div>
  );
}
