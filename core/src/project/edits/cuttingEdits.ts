import type { DoneBed, NestPlace } from '../schemas/cuttingSchema.ts';
import type { Project } from '../schemas/schema.ts';
import type { Offcut } from '../schemas/sheetSchema.ts';
import type { HandLayer } from '../schemas/stackingSchema.ts';

/** Keeps a layout: where each piece lies, and of what it is the layout. */
export const keepLayout = (project: Project, key: string, places: readonly NestPlace[]): Project => ({
  ...project,
  nest: { ...project.nest, key, places: [...places] },
});

/** Forgets the layout, what is pinned too; a first one is laid anew. */
export const dropLayout = (project: Project): Project => keepLayout(project, '', []);

/** Ticks a piece off as cut, or takes that back. */
export function toggleCut(project: Project, piece: string): Project {
  const { ticked } = project.nest;
  const next = ticked.includes(piece) ? ticked.filter((other) => other !== piece) : [...ticked, piece];
  return { ...project, nest: { ...project.nest, ticked: next } };
}

/** A sheet (all slices of it) or an offcut that is cut up, and what of it goes back to the shed. */
export interface PutAway {
  sheetId: string;
  /** Which sheet of its kind, from 1; 0 for an offcut. */
  copy: number;
  offcutId: string | null;
  /** Of the whole sheet or offcut. */
  areaMm2: number;
  beds: readonly Pick<DoneBed, 'name' | 'outline' | 'pieces'>[];
  left: readonly { name: string; points: readonly (readonly [number, number])[]; areaMm2: number }[];
  /** The stack as it stands: what is cut is settled. */
  written: readonly HandLayer[];
}

/**
 * Puts what is cut up away: it leaves the shed, what is left of it comes back as offcuts, and its pieces are cut from now on. The stack is settled by hand,
 * because foam that is cut is not chosen again. What lies on later sheets stays on them, though they move up by one.
 */
export function putAway(project: Project, { sheetId, copy, offcutId, areaMm2, beds, left, written }: PutAway): Project {
  const { nest } = project;
  const offcuts: Offcut[] = project.offcuts.filter(({ id }) => id !== offcutId);
  const place = project.offcuts.find(({ id }) => id === offcutId)?.place ?? '';
  let n = 1;
  for (const { name, points } of left) {
    while (project.offcuts.some(({ id }) => id === `offcut-${n}`) || offcuts.some(({ id }) => id === `offcut-${n}`))
      n++;
    const outline = { kind: 'traced' as const, points: points.map(([x, y]): [number, number] => [round(x), round(y)]) };
    offcuts.push({ id: `offcut-${n}`, name, sheetId, outline, place });
  }
  const usedMm2 = Math.max(0, areaMm2 - left.reduce((sum, offcut) => sum + offcut.areaMm2, 0));
  const cut = new Set(beds.flatMap(({ pieces }) => pieces.map(({ piece }) => piece)));
  return {
    ...project,
    offcuts,
    sheets: project.sheets.map((sheet) =>
      sheet.id === sheetId && copy > 0 && copy <= sheet.count ? { ...sheet, count: sheet.count - 1 } : sheet,
    ),
    stack: { ...project.stack, byHand: [...written] },
    nest: {
      ...nest,
      places: nest.places
        .filter(({ piece }) => !cut.has(piece))
        .map((laid) => (copy > 0 ? { ...laid, bed: movedUp(laid.bed, sheetId, copy) } : laid)),
      ticked: nest.ticked.filter((piece) => !cut.has(piece)),
      done: [
        ...nest.done,
        ...beds.map((bed, k) => ({
          ...bed,
          sheetId,
          fromOffcut: offcutId !== null,
          // Slices of one sheet share what was taken of it.
          usedMm2: k === 0 ? usedMm2 : 0,
        })),
      ],
    },
  };
}

/** A bed is named by its kind of sheet, which copy, and which slice: "dense-20#2.1". */
function movedUp(bed: string, sheetId: string, gone: number): string {
  const at = bed.lastIndexOf('#');
  if (bed.slice(0, at) !== sheetId) return bed;
  const [copy, slice] = bed.slice(at + 1).split('.');
  const next = Number(copy) > gone ? Number(copy) - 1 : Number(copy);
  return `${sheetId}#${next}${slice === undefined ? '' : `.${slice}`}`;
}

const round = (mm: number): number => Math.round(mm * 10) / 10;
