import type { Ground, SpanRead } from '../ground/index.ts';
import type { LaidRead } from '../layers/index.ts';
import { type Face, facesOf, type Project, underMm } from '../project/index.ts';
import type { ReadTile } from '../tiles/index.ts';
import { bodiesOf, type StoodThing, standThings } from './bodies.ts';
import { type Breach, breachesOf, type Enclosure, roomOf, tallTiles } from './envelope.ts';
import { type Meeting, meetingsOf } from './meetings.ts';

/** Whether everything has room: what stands where, what leaves the envelope, what is too near to what. */
export interface Fit {
  things: StoodThing[];
  room: Enclosure | null;
  faces: Face[];
  breaches: Breach[];
  meetings: Meeting[];
  /** The highest place of all over the underside of the baseboard, mm. */
  tallestMm: number;
}

export function fitOf(
  project: Project,
  ground: Ground,
  laid: readonly LaidRead[],
  spans: readonly SpanRead[],
  set: readonly ReadTile[],
): Fit {
  const things = standThings(project, ground, spans);
  const bodies = bodiesOf(project, things, laid, spans);
  const tops = bodies.flatMap(({ parts }) => parts.map(({ topMm }) => topMm));
  return {
    things,
    room: roomOf(project),
    faces: facesOf(project),
    breaches: [...breachesOf(project, bodies, ground.highestMm), ...tallTiles(project, set)],
    meetings: meetingsOf(bodies),
    tallestMm: Math.max(ground.highestMm, ...tops) + underMm(project.base),
  };
}
