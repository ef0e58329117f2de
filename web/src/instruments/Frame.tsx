import type { Point } from '@hosket/core';
import { createContext, type ReactNode, useContext, useMemo, useRef } from 'react';
import type { Placer } from './paths.ts';
import { useSize } from './useSize.ts';

/** Where the base lies in a drawing: its scale and the ways between mm on the base and points of the drawing. */
interface Frame {
  widthMm: number;
  depthMm: number;
  scale: number;
  left: number;
  top: number;
  place: Placer;
  /** mm on the base under a pointer, to half a millimetre. */
  toBase: (event: { clientX: number; clientY: number }) => Point;
}

const FrameContext = createContext<Frame | null>(null);

export function useFrame(): Frame {
  const frame = useContext(FrameContext);
  if (!frame) throw new Error('drawn outside a plan');
  return frame;
}

const MARGIN = 26;
const half = (value: number) => Math.round(value * 2) / 2;

interface Props {
  widthMm: number;
  depthMm: number;
  /** Drawn under the SVG, in the place of the base. */
  under: ReactNode;
  label: string;
  children: ReactNode;
}

/** Fits the base into the room of the positioned element round it; everything inside is drawn in its millimetres. */
export function PlanFrame({ widthMm, depthMm, under, label, children }: Props) {
  const [room, width, height] = useSize();
  const svg = useRef<SVGSVGElement>(null);
  const frame = useMemo<Frame>(() => {
    const scale = Math.max(0.05, Math.min((width - 2 * MARGIN) / widthMm, (height - 2 * MARGIN) / depthMm));
    const left = (width - widthMm * scale) / 2;
    const top = (height - depthMm * scale) / 2;
    return {
      widthMm,
      depthMm,
      scale,
      left,
      top,
      place: ([x, y]) => [left + x * scale, top + (depthMm - y) * scale],
      toBase: ({ clientX, clientY }) => {
        const box = svg.current?.getBoundingClientRect();
        return [
          half((clientX - (box?.left ?? 0) - left) / scale),
          half(depthMm - (clientY - (box?.top ?? 0) - top) / scale),
        ];
      },
    };
  }, [width, height, widthMm, depthMm]);
  return (
    <div ref={room} className="absolute inset-0 overflow-hidden">
      {width > 0 && (
        <FrameContext.Provider value={frame}>
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
            className="absolute inset-0 touch-none select-none"
          >
            {children}
          </svg>
        </FrameContext.Provider>
      )}
    </div>
  );
}
