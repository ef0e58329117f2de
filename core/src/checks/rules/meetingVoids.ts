import { mm } from '../../units/index.ts';
import { onGround, type Rule } from '../finding.ts';
import { place } from '../voidWords.ts';

/** Two voids with too little between them; a cable that runs into the bay it serves is no fault. */
export const meetingVoids: Rule = ({ project, voids }) =>
  voids.meetings.flatMap(({ aId, aName, bId, bName, wallMm, wantedMm, at }) => {
    const servedBy = (cableId: string, bayId: string) =>
      voids.voids.find(({ id }) => id === cableId)?.ends.some(({ inId }) => inId === bayId);
    if (servedBy(aId, bId) || servedBy(bId, aId)) return [];
    if (!project.voids.some(({ id }) => id === aId)) return [];
    return [
      onGround(
        aId,
        `${aName} and ${bName}`,
        wallMm > 0 ? 'wall-too-thin' : 'voids-meet',
        wallMm > 0
          ? `Only ${mm(wallMm)} stand between ${aName} and ${bName} at ${place(at)}; ${mm(wantedMm)} are wanted.`
          : `${aName} and ${bName} run into one another at ${place(at)}.`,
        'Move one of them, or set one higher.',
      ),
    ];
  });
