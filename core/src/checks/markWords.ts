import type { Point } from '../geometry/index.ts';
import { type Contour, drawnAlike, type Item, nameOf, type Project, skinMmOf } from '../project/index.ts';
import { decimals, mm } from '../units/index.ts';
import { type Finding, onGround } from './finding.ts';

/** All marks with their heights meant as the project's are, so that two can be compared. */
export const marksAlike = (project: Project): Project['marks'] =>
  drawnAlike(project.heights, { marks: project.marks, landforms: [] }, () => skinMmOf(project)).marks;

export const atItem = (item: Item, code: string, message: string, remedy: string, place = nameOf(item)): Finding =>
  onGround(item.id, place, code, message, remedy);

export const isContour = (item: Item): item is Contour => item.kind === 'contour';

export const where = ([x, y]: Point) => `${decimals(x, 0)}, ${mm(y, 0)}`;
