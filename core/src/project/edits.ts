import type { Point } from '../geometry/index.ts';
import type { Contour, Mark, Project, Sheet, Spot } from './schema.ts';

/** Edits are pure: each takes a project and gives another; what is not touched is shared. */

/** The first of `stem-1`, `stem-2`... that no item bears yet. */
export function freeId(stem: string, taken: readonly { id: string }[]): string {
  const ids = new Set(taken.map((item) => item.id));
  for (let n = taken.length + 1; ; n++) if (!ids.has(`${stem}-${n}`)) return `${stem}-${n}`;
}

export const addMark = (project: Project, mark: Mark): Project => ({ ...project, marks: [...project.marks, mark] });

export const removeMark = (project: Project, id: string): Project => ({
  ...project,
  marks: project.marks.filter((mark) => mark.id !== id),
});

/** Changes fields of one mark, whichever kind it is. */
export function changeMark(
  project: Project,
  id: string,
  change: Partial<Omit<Contour, 'kind' | 'id'>> | Partial<Omit<Spot, 'kind' | 'id'>>,
): Project {
  return { ...project, marks: project.marks.map((mark) => (mark.id === id ? ({ ...mark, ...change } as Mark) : mark)) };
}

/** The points of a mark: a contour's line, or a spot's one point. */
export const markPoints = (mark: Mark): readonly Point[] => (mark.kind === 'spot' ? [mark.at] : mark.points);

/** Puts one point of a mark elsewhere. */
export function movePoint(project: Project, id: string, index: number, to: Point): Project {
  const mark = project.marks.find((candidate) => candidate.id === id);
  if (!mark) return project;
  if (mark.kind === 'spot') return changeMark(project, id, { at: [to[0], to[1]] });
  return changeMark(project, id, { points: mark.points.map((point, k) => (k === index ? [to[0], to[1]] : point)) });
}

/** A new point half way along the stretch that begins at `index`. */
export function splitStretch(project: Project, id: string, index: number): Project {
  const mark = project.marks.find((candidate) => candidate.id === id);
  if (mark?.kind !== 'contour') return project;
  const from = mark.points[index];
  const to = mark.points[(index + 1) % mark.points.length];
  const points = [...mark.points];
  points.splice(index + 1, 0, [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]);
  return changeMark(project, id, { points });
}

/** Takes one point out of a line; the whole mark goes when too few would be left. */
export function removePoint(project: Project, id: string, index: number): Project {
  const mark = project.marks.find((candidate) => candidate.id === id);
  if (mark?.kind !== 'contour' || mark.points.length <= (mark.closed ? 3 : 2)) return removeMark(project, id);
  return changeMark(project, id, { points: mark.points.filter((_, k) => k !== index) });
}

export const changeSheet = (project: Project, id: string, change: Partial<Omit<Sheet, 'id'>>): Project => ({
  ...project,
  sheets: project.sheets.map((sheet) => (sheet.id === id ? { ...sheet, ...change } : sheet)),
});

type Shape = Project['base']['shape'];

/** Another shape or size of base. Marks stay where they are; section lines are brought back onto the new box. */
export function changeShape(project: Project, change: Partial<Shape>): Project {
  const shape = { ...project.base.shape, ...change } as Shape;
  const inside = ([x, y]: Point): [number, number] => [Math.min(x, shape.widthMm), Math.min(y, shape.depthMm)];
  const before = project.base.shape;
  const sections = project.sections.map((section) => {
    // An end on the far edge stays on it.
    const follow = ([x, y]: Point): [number, number] =>
      inside([x >= before.widthMm ? shape.widthMm : x, y >= before.depthMm ? shape.depthMm : y]);
    return { ...section, from: follow(section.from), to: follow(section.to) };
  });
  return { ...project, base: { ...project.base, shape }, sections };
}
