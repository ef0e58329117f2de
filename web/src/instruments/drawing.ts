import { addMark, freeId, type Mark, type Point, type Project } from '@hosket/core';
import { create } from 'zustand';
import { edit, projectStore } from '../store/projectStore.ts';
import { pickMark } from '../store/viewStore.ts';

interface Drawing {
  /** What is being drawn on the plan, if anything. */
  kind: 'contour' | 'spot' | null;
  points: Point[];
  cursor: Point;
}

export const useDrawing = create<Drawing>(() => ({ kind: null, points: [], cursor: [0, 0] }));

export function beginDrawing(kind: 'contour' | 'spot'): void {
  const shape = projectStore.getState().project?.base.shape;
  pickMark(null);
  useDrawing.setState({
    kind,
    points: [],
    cursor: [Math.round((shape?.widthMm ?? 0) / 2), Math.round((shape?.depthMm ?? 0) / 2)],
  });
}

export const stopDrawing = (): void => useDrawing.setState({ kind: null, points: [] });
export const moveCursor = (cursor: Point): void => useDrawing.setState({ cursor });
export const takeBackPoint = (): void => useDrawing.setState(({ points }) => ({ points: points.slice(0, -1) }));

/** The height a new mark begins with: that of the last one drawn, or a sheet's worth. */
const firstHeight = (project: Project): number => project.marks.at(-1)?.heightMm ?? 20;

/** Adds a mark and picks it. */
function draw(make: (project: Project, number: number) => Mark): void {
  edit((project) => {
    const mark = make(project, project.marks.length + 1);
    pickMark(mark.id);
    return addMark(project, mark);
  });
  stopDrawing();
}

/** Puts a point down; a spot is then done. */
export function putPoint([x, y]: Point): void {
  const { kind, points } = useDrawing.getState();
  if (kind === 'contour') useDrawing.setState({ points: [...points, [x, y]], cursor: [x, y] });
  if (kind !== 'spot') return;
  draw((project, number) => ({
    kind: 'spot',
    id: freeId('spot', project.marks),
    name: `Spot ${number}`,
    heightMm: firstHeight(project),
    at: [x, y],
  }));
}

/** Ends the line: closed when it has three points or more and `closed` is asked for. With fewer than two points nothing is drawn. */
export function finishLine(closed: boolean): void {
  const { kind, points } = useDrawing.getState();
  if (kind !== 'contour' || points.length < 2) {
    stopDrawing();
    return;
  }
  draw((project, number) => ({
    kind: 'contour',
    id: freeId('contour', project.marks),
    name: `Contour ${number}`,
    heightMm: firstHeight(project),
    closed: closed && points.length >= 3,
    level: false,
    points: points.map(([x, y]) => [x, y]),
  }));
}
