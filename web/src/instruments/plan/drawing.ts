import { baseSize, drawItem, heightAt, type ItemKind, kindWords, type Point } from '@hosket/core';
import { create } from 'zustand';
import { edit, projectStore } from '../../store/projectStore.ts';
import { pickItem } from '../../store/viewStore.ts';
import { usePlan } from '../../worker/planStore.ts';

interface Drawing {
  /** What is being drawn on the plan, if anything. */
  kind: ItemKind | null;
  points: Point[];
  cursor: Point;
  /** It is carried onto the plan from the shelf: where it is let go of it is put down. */
  carried: boolean;
}

export const useDrawing = create<Drawing>(() => ({ kind: null, points: [], cursor: [0, 0], carried: false }));

export function beginDrawing(kind: ItemKind): void {
  const { project } = projectStore.getState();
  const size = project && baseSize(project.base);
  pickItem(null);
  useDrawing.setState({
    kind,
    points: [],
    carried: false,
    cursor: [Math.round((size?.widthMm ?? 0) / 2), Math.round((size?.depthMm ?? 0) / 2)],
  });
}

export const stopDrawing = (): void => useDrawing.setState({ kind: null, points: [], carried: false });
export const moveCursor = (cursor: Point): void => useDrawing.setState({ cursor });
export const takeBackPoint = (): void => useDrawing.setState(({ points }) => ({ points: points.slice(0, -1) }));

/** Fewest points that the thing being drawn can be ended with. */
export const enoughPoints = (kind: ItemKind): number => ({ point: 1, line: 2, outline: 3 })[kindWords[kind].drawn];

/** Height that a new thing begins with: the ground's in its middle; for lines of height that of the last one drawn, or a sheet's worth. */
function firstHeight(kind: ItemKind, points: readonly Point[]): number {
  const project = projectStore.getState().project;
  if (kind === 'contour' || kind === 'spot') {
    const last = project?.marks.findLast((mark) => mark.kind === 'contour' || mark.kind === 'spot');
    return last && 'heightMm' in last ? last.heightMm : 20;
  }
  const ground = usePlan.getState().fields?.ground;
  if (!ground) return 20;
  const heights = points.map(([x, y]) => heightAt(ground, x, y));
  return heights.reduce((sum, height) => sum + height, 0) / heights.length;
}

/** Adds what was drawn and picks it. */
function draw(kind: ItemKind, points: readonly Point[], change: object = {}): void {
  const land = firstHeight(kind, points);
  edit((project) => {
    const drawn = drawItem(project, kind, points, land, change);
    pickItem(drawn.id);
    return drawn.project;
  });
  stopDrawing();
}

/** A pointer has moved so far, px: it drags. */
export const DRAG_PX = 6;

/** A tool was pressed: once the pointer leaves it by a little, it is carried; let go of beside the plan it is put back. `onCarry` is told when it begins. */
export function carry(kind: ItemKind, from: PointerEvent, onCarry: () => void): void {
  const moved = (event: PointerEvent) => {
    if (useDrawing.getState().carried) return;
    if (Math.hypot(event.clientX - from.clientX, event.clientY - from.clientY) < DRAG_PX) return;
    onCarry();
    beginDrawing(kind);
    useDrawing.setState({ carried: true });
  };
  const end = () => {
    window.removeEventListener('pointermove', moved);
    // The plan hears of it first, and has put it down then.
    setTimeout(() => useDrawing.getState().carried && stopDrawing());
  };
  window.addEventListener('pointermove', moved);
  window.addEventListener('pointerup', end, { once: true });
  window.addEventListener('pointercancel', end, { once: true });
}

/** Puts down a whole thing at once, closed where it is an outline. */
export function putDown(points: readonly Point[]): void {
  const { kind } = useDrawing.getState();
  if (kind) draw(kind, points, kind === 'contour' ? { closed: true } : {});
}

/** Puts a point down; a spot is then done. */
export function putPoint(at: Point): void {
  const { kind, points } = useDrawing.getState();
  if (!kind) return;
  if (kindWords[kind].drawn === 'point') draw(kind, [at]);
  else useDrawing.setState({ points: [...points, at], cursor: at });
}

/** Ends the drawing; a contour may be left open. With too few points nothing is drawn. */
export function finishLine(closed: boolean): void {
  const { kind, points } = useDrawing.getState();
  if (!kind) return;
  const enough = kind === 'contour' ? 2 : enoughPoints(kind);
  if (points.length < enough) stopDrawing();
  else draw(kind, points, kind === 'contour' ? { closed: closed && points.length >= 3 } : {});
}
