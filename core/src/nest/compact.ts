/**
 * Compaction of a finished layout: the wall of the strip comes in by small steps while contacts push pieces apart (position-based relaxation),
 * until it no longer goes.
 */

import { meetRings, ringArea } from '../geometry/index.ts';
import { power } from '../units/index.ts';
import { type Body, bodyOf, type Contact, contactsOf, lie, NEAR_MM, placeOf, type Walls } from './bodies.ts';
import type { Placed, Prepared } from './problem.ts';

/** The wall comes in by this much at first, by more while that goes well, and by half where it does not; less than the least is not tried, mm. */
const FIRST_MM = 1;
const MOST_MM = 1.5;
const LEAST_MM = 0.05;
/** Rounds in which what overlaps must have come apart, and how often every contact gives way in one. */
const ROUNDS = 40;
const SWEEPS = 30;
/** Contacts are pressed this far apart, and count as apart from the other on, mm: rounding must not make them overlap. */
const HAIR_MM = 0.02;
const APART_MM = 0.003;
/** How many rounds back is looked to see whether a step will come clean. */
const LOOK_BACK = 5;

/**
 * Presses the pieces on the last bed together: its far wall comes in a little, and whatever overlaps then gives way, moving and (where a piece may lie at any turn) turning,
 * contact after contact, as bodies in a box do (position-based dynamics: each contact is a straight constraint, relaxed one by one). A step that does not come clean is
 * taken back. Yields after every round; gives the places, all free of overlap, or null where nothing was gained or the bed is no rectangle.
 */
export function* compact(
  { problem, grounds, pinned }: Prepared,
  placed: readonly Placed[],
): Generator<undefined, Placed[] | null> {
  const last = Math.max(-1, ...placed.map(({ bed }) => bed));
  const ground = grounds.find(({ bed }) => bed === last);
  if (!ground || ground.free) return null;
  const still = new Set(pinned.map(({ piece }) => piece));
  const bodies = placed
    .filter(({ bed }) => bed === last)
    .map((place) => bodyOf(problem, place, still.has(place.piece)));
  const rightOf = () => Math.max(...bodies.map(({ box }) => box[2]));
  const within = (right: number): Walls => [ground.x0, ground.y0, right, ground.y0 + ground.depthMm];
  let good = bodies.map(stateOf);
  const before = rightOf();
  let right = before;
  let step = FIRST_MM;
  while (step > LEAST_MM) {
    const walls = within(right - step);
    let clean = false;
    const lacks: number[] = [];
    while (!clean && lacks.length < ROUNDS && hopeful(lacks)) {
      const contacts = contactsOf(bodies, walls);
      const lack = contacts.reduce((most, { apartMm }) => Math.max(most, HAIR_MM - apartMm), 0);
      clean = lack < HAIR_MM - APART_MM;
      if (!clean) giveWay(bodies, contacts);
      lacks.push(lack);
      yield;
    }
    if (clean) {
      good = bodies.map(stateOf);
      right -= step;
      step = Math.min(MOST_MM, step * 1.3);
    } else {
      for (const [k, body] of bodies.entries()) putBack(body, good[k]);
      step /= 2;
    }
  }
  if (right >= before || !sound(bodies)) return null;
  return [...placed.filter(({ bed }) => bed !== last), ...bodies.map(placeOf)];
}

/** What is lacking shrinks from round to round by about the same share: whether it will be little enough in time. */
function hopeful(lacks: readonly number[]): boolean {
  const done = lacks.length;
  if (done < LOOK_BACK + 4) return true;
  const now = lacks[done - 1];
  const share = power(now / lacks[done - 1 - LOOK_BACK], 1 / LOOK_BACK);
  return now * power(share, ROUNDS - done) < HAIR_MM;
}

const stateOf = ({ x, y, angle }: Body): readonly [number, number, number] => [x, y, angle];
function putBack(body: Body, [x, y, angle]: readonly [number, number, number]): void {
  Object.assign(body, { x, y, angle });
  lie(body);
}

/** Every contact gives way until its two sides are apart, again and again; no body goes farther than contacts were read. */
function giveWay(bodies: readonly Body[], contacts: readonly Contact[]): void {
  const from = bodies.map(stateOf);
  for (let sweep = 0; sweep < SWEEPS; sweep++)
    for (const { a, b, normal, apartMm, leverA, leverB, gives, was } of contacts) {
      let apart = apartMm + normal[0] * (a.x - was[0]) + normal[1] * (a.y - was[1]) + leverA * (a.angle - was[2]);
      if (b) apart -= normal[0] * (b.x - was[3]) + normal[1] * (b.y - was[4]) + leverB * (b.angle - was[5]);
      if (apart >= HAIR_MM) continue;
      const by = (HAIR_MM - apart) / gives;
      shift(a, by, normal, leverA);
      if (b) shift(b, -by, normal, leverB);
    }
  // All go the same share of their way, so that what pushes does not overtake what is pushed.
  const farthest = bodies.reduce((most, { box, ...now }, k) => {
    const [x, y, angle] = from[k];
    const swing = Math.abs(now.angle - angle) * Math.hypot(box[2] - box[0], box[3] - box[1]);
    return Math.max(most, Math.hypot(now.x - x, now.y - y) + swing / 2);
  }, 0);
  const share = Math.min(1, NEAR_MM / 2 / Math.max(farthest, 1e-9));
  for (const [k, body] of bodies.entries()) {
    const [x, y, angle] = from[k];
    putBack(body, [x + (body.x - x) * share, y + (body.y - y) * share, angle + (body.angle - angle) * share]);
  }
}

function shift(body: Body, by: number, normal: readonly [number, number], lever: number): void {
  body.x += by * body.moves * normal[0];
  body.y += by * body.moves * normal[1];
  body.angle += by * body.turns * lever;
}

/** Overlaps smaller than this are rounding, mm2. */
const NOTHING_MM2 = 0.005;

/** Whether no two bodies overlap, by the clipper: contacts are read near the outlines only. */
function sound(bodies: readonly Body[]): boolean {
  return bodies.every((a, k) =>
    bodies.slice(0, k).every((b) => {
      const [p, q] = [a.box, b.box];
      if (p[0] > q[2] || q[0] > p[2] || p[1] > q[3] || q[1] > p[3]) return true;
      return meetRings(a.rings, b.rings).reduce((sum, ring) => sum + ringArea(ring), 0) < NOTHING_MM2;
    }),
  );
}
