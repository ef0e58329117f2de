import { type CuttingReport, keepLayout, type NestPlace, type Project } from '@hosket/core';
import { edit } from '../../store/projectStore.ts';

/** Where every piece lies now, as a project keeps it. */
const placesNow = ({ beds }: CuttingReport): NestPlace[] =>
  beds.flatMap(({ id, pieces }) =>
    pieces.map(({ piece, turnDegrees, xMm, yMm, pinned }) => ({ piece, bed: id, turnDegrees, xMm, yMm, pinned })),
  );

/** Between -180 and 180. */
const turned = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180;

/** Puts a piece somewhere by hand: it is pinned there, and everything else stays where it lies. A piece that lay nowhere is laid there too. */
export const place = (cutting: CuttingReport, put: Omit<NestPlace, 'pinned'>): void =>
  edit((project) => {
    const others = placesNow(cutting).filter(({ piece }) => piece !== put.piece);
    return keepLayout(project, cutting.key, [
      ...others,
      { ...put, turnDegrees: turned(put.turnDegrees), pinned: true },
    ]);
  });

/** Pins a piece where it lies, or lets it go. */
export const togglePinned = (cutting: CuttingReport, piece: string): void =>
  edit((project) =>
    keepLayout(
      project,
      cutting.key,
      placesNow(cutting).map((each) => (each.piece === piece ? { ...each, pinned: !each.pinned } : each)),
    ),
  );

/** Turns all pins loose. */
export const unpinAll = (cutting: CuttingReport) => (project: Project) =>
  keepLayout(
    project,
    cutting.key,
    placesNow(cutting).map((each) => ({ ...each, pinned: false })),
  );
