import type { Point } from '@hosket/core';
import { createContext, useContext } from 'react';
import type { Placer } from './paths.ts';

/** Where the base lies in a drawing: its scale and the ways between mm on the base and points of the drawing. */
export interface Frame {
  widthMm: number;
  depthMm: number;
  /** Size of the drawing, pixels. */
  width: number;
  height: number;
  scale: number;
  left: number;
  top: number;
  /** The place of the base in the middle of the drawing. */
  middle: Point;
  place: Placer;
  /** mm on the base under a pointer. */
  toBase: (event: { clientX: number; clientY: number }) => Point;
}

export const FrameContext = createContext<Frame | null>(null);

export function useFrame(): Frame {
  const frame = useContext(FrameContext);
  if (!frame) throw new Error('drawn outside a plan');
  return frame;
}
