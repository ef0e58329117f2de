import type { Point } from '@hosket/core';
import { create } from 'zustand';

/** How the plan is looked at: how many times larger than it fits, and which place of the base is in the middle (null: its middle). */
interface Look {
  zoom: number;
  middle: Point | null;
}

export const MOST_ZOOM = 24;

export const usePanZoom = create<Look>(() => ({ zoom: 1, middle: null }));

export const wholePlan = (): void => usePanZoom.setState({ zoom: 1, middle: null });

/** Zooms by a factor, keeping `about` (mm on the base) where it is in the drawing. */
export function zoomBy(factor: number, about: Point, middleNow: Point): void {
  usePanZoom.setState(({ zoom }) => {
    const next = Math.min(MOST_ZOOM, Math.max(0.5, zoom * factor));
    const share = 1 - zoom / next;
    return {
      zoom: next,
      middle: [middleNow[0] + (about[0] - middleNow[0]) * share, middleNow[1] + (about[1] - middleNow[1]) * share],
    };
  });
}

export const panTo = (middle: Point): void => usePanZoom.setState({ middle });

/** Brings a place into the middle, near enough to see it. */
export const lookAt = (place: Point): void =>
  usePanZoom.setState(({ zoom }) => ({ middle: place, zoom: Math.max(zoom, 1.6) }));
