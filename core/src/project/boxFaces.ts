import type { Project } from './schemas/schema.ts';

/** An inner face that is dressed. */
export interface Face {
  name: string;
  areaMm2: number;
}

/** The dressed inner faces of the box with their areas: backdrop width x height, each wall depth x height. */
export function facesOf({ envelope: { box } }: Pick<Project, 'envelope'>): Face[] {
  if (!box) return [];
  const wall = box.depthMm * box.heightMm;
  return [
    ...(box.backdrop ? [{ name: 'Backdrop', areaMm2: box.widthMm * box.heightMm }] : []),
    ...(box.walls
      ? [
          { name: 'Left wall', areaMm2: wall },
          { name: 'Right wall', areaMm2: wall },
        ]
      : []),
  ];
}
