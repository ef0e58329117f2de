import type { Opening, VoidRead } from '../ground/index.ts';
import type { Void } from '../project/index.ts';
import { onGround, type PlanView, type Rule } from './finding.ts';

const tenth = (value: number) => value.toFixed(1);
const place = ([x, y]: readonly [number, number]) => `${Math.round(x)} mm across, ${Math.round(y)} mm away`;

/** Every void with what was read of it. */
const each = <T>({ project, voids }: PlanView, visit: (read: VoidRead, hollow: Void) => T[]): T[] =>
  voids.voids.flatMap((read) => {
    const hollow = project.voids.find(({ id }) => id === read.id);
    return hollow ? visit(read, hollow) : [];
  });

/** A roof that the builder's own limit calls too thin. */
export const thinRoofs: Rule = (plan) =>
  each(plan, ({ name, thinnestMm, thinnestAt }, { id, roofLeastMm }) =>
    thinnestMm === null || thinnestAt === null || thinnestMm >= roofLeastMm - 1e-6
      ? []
      : [
          onGround(
            id,
            name,
            'roof-too-thin',
            `The roof of ${name} is ${tenth(thinnestMm)} mm thin at ${place(thinnestAt)}; ${tenth(roofLeastMm)} mm are wanted.`,
            'Lower it, make it less high inside, or raise the ground over it.',
          ),
        ],
  );

/** Where a void opens on the ground: a note where it is meant to, else something to mend. */
export const brokenOut: Rule = (plan) =>
  each(plan, ({ name, openings }, hollow) => {
    const isMeant = ({ at }: Opening) =>
      ('opens' in hollow && hollow.opens) ||
      (hollow.kind === 'bay' && hollow.access === 'by a lid') ||
      (hollow.kind === 'cable' && nearEnd(hollow, at));
    const where = (list: readonly Opening[]) =>
      list.map(({ at, acrossMm }) => `${tenth(acrossMm)} mm across at ${place(at)}`).join('; ');
    const meant = openings.filter(isMeant);
    const not = openings.filter((opening) => !isMeant(opening));
    const mouth = onGround(
      hollow.id,
      name,
      'void-opens',
      `${name} opens on the ground: ${where(meant)}.`,
      'Nothing to do where that is its mouth.',
    );
    const hole = onGround(
      hollow.id,
      name,
      'void-breaks-out',
      `${name} breaks out of the ground: ${where(not)}.`,
      'Lower it or raise the ground; or say that it is meant to open.',
    );
    return [...(meant.length ? [{ ...mouth, severity: 'note' as const }] : []), ...(not.length ? [hole] : [])];
  });

/** A cable comes to the light at one of its ends. */
function nearEnd(cable: Extract<Void, { kind: 'cable' }>, [x, y]: readonly [number, number]): boolean {
  const ends = [cable.points[0], cable.points[cable.points.length - 1]];
  return ends.some(([u, v]) => Math.hypot(u - x, v - y) <= 3 * cable.boreMm + 5);
}

/** A void that is not in the ground at all. */
export const emptyVoids: Rule = (plan) =>
  each(plan, ({ name, floorMm }, { id }) =>
    floorMm !== null
      ? []
      : [
          onGround(
            id,
            name,
            'void-in-the-air',
            `Nothing of ${name} lies in the ground.`,
            'Lower its floor, or move it under higher ground.',
          ),
        ],
  );

/** A cable run must lead out, or to a bay. */
export const deadCables: Rule = (plan) =>
  each(plan, ({ name, ends }, { id }) => {
    if (!ends.length) return [];
    const leads = ends.some(
      ({ where }) => where === 'at the edge' || where === 'off the base' || where === 'in a void',
    );
    if (!leads)
      return [
        onGround(
          id,
          name,
          'cable-ends-nowhere',
          `${name} ends nowhere: neither end reaches the edge of the base or a bay.`,
          'Draw it on to the edge, or to a bay at the height of its bore.',
        ),
      ];
    return ends
      .filter(({ where }) => where === 'in the ground')
      .map(({ at, deepMm }) =>
        onGround(
          id,
          name,
          'cable-end-buried',
          `An end of ${name} lies ${tenth(deepMm)} mm under the ground at ${place(at)}: nothing can be connected there.`,
          'Bring it up to the ground where its lamp stands, or lead it into a bay.',
        ),
      );
  });

/** A bay that is to be reached from the side must reach it; one from below must lie on the board. */
export const lockedBays: Rule = (plan) =>
  each(plan, ({ name, atEdge }, hollow) => {
    if (hollow.kind !== 'bay') return [];
    const say = (why: string, remedy: string) => [onGround(hollow.id, name, 'bay-not-reached', why, remedy)];
    if (hollow.access === 'from the side' && !atEdge)
      return say(
        `${name} is to be reached from the side, but lies inside the base.`,
        'Move it to the edge of the base, or reach it from below.',
      );
    if (hollow.access === 'from below' && hollow.floorMm > 0.05)
      return say(
        `${name} is to be reached from below, but ${tenth(hollow.floorMm)} mm of foam lie under it.`,
        'Put its floor at 0, on the board, and open the board there.',
      );
    return [];
  });

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
          ? `Only ${tenth(wallMm)} mm stand between ${aName} and ${bName} at ${place(at)}; ${tenth(wantedMm)} mm are wanted.`
          : `${aName} and ${bName} run into one another at ${place(at)}.`,
        'Move one of them, or set one higher.',
      ),
    ];
  });
