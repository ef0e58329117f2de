import type { Void } from '../../project/index.ts';
import { mm } from '../../units/index.ts';
import { onGround, type Rule } from '../finding.ts';
import { place } from '../voidWords.ts';

/** Hollows one can walk through: where two of them run into one another they are one. */
const walked = (kind: Void['kind'] | undefined) => kind === 'cave' || kind === 'tunnel';

/** Two voids with too little between them; a cable that runs into the bay it serves is no fault, nor are caves that join. */
export const meetingVoids: Rule = ({ project, voids }) =>
  voids.meetings.flatMap(({ aId, aName, bId, bName, wallMm, wantedMm, at }) => {
    const servedBy = (cableId: string, bayId: string) =>
      voids.voids.find(({ id }) => id === cableId)?.ends.some(({ inId }) => inId === bayId);
    if (servedBy(aId, bId) || servedBy(bId, aId)) return [];
    if (!project.voids.some(({ id }) => id === aId)) return [];
    const kindOf = (id: string) => project.voids.find((one) => one.id === id)?.kind;
    if (wallMm <= 0 && walked(kindOf(aId)) && walked(kindOf(bId))) return [];
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
