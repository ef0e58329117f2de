import { boundsOf, heightAt, insideRing, type Point, type Ring } from '../geometry/index.ts';
import { deckOver, type Ground, type SpanRead } from '../ground/index.ts';
import type { LaidRead } from '../layers/index.ts';
import { footReachMm, footRing, nameOf, type Project, runOf, type Thing } from '../project/index.ts';

/** A part of a body: a cylinder about a point, or a prism over an outline. Heights above the top of the baseboard, mm. */
export type Part = { bottomMm: number; topMm: number } & (
  | { kind: 'round'; at: Point; radiusMm: number }
  | { kind: 'outline'; ring: Ring }
);

/** Something that takes up room over the base. */
export interface Body {
  id: string;
  name: string;
  parts: Part[];
  marginMm: number;
  /** Another body that it stands on, and so touches. */
  onId?: string | null;
}

/** How a thing stands on the finished ground. */
export interface StoodThing {
  id: string;
  name: string;
  at: [number, number];
  /** Height of the ground, or of the deck, that it stands on; null off the base. */
  groundMm: number | null;
  /** The deck that it stands on. */
  deckId: string | null;
  bottomMm: number;
  topMm: number;
  /** Where its crown begins; its underside where it has none wider than its foot. */
  branchesMm: number;
  /** From its point to the farthest place that it covers. */
  reachMm: number;
}

/** A crown begins at this share of a tree's height (common practice, no source). */
const CROWN_FROM = 1 / 3;

/**
 * Stands every thing on the ground at its height, or on the deck over its point; one that stands off the base is taken to stand on the level of
 * the board.
 */
export function standThings(
  { things, landforms }: Pick<Project, 'things' | 'landforms'>,
  ground: Ground,
  spans: readonly SpanRead[],
): StoodThing[] {
  return things.map((thing) => {
    const [x, y] = thing.points[0];
    const on = insideRing(ground.outline, x, y);
    const deck = thing.under ? null : deckOver(landforms, spans, x, y);
    const groundMm = deck?.topMm ?? (on ? Math.max(0, heightAt(ground.grid, x, y)) : null);
    const bottomMm = (groundMm ?? 0) + thing.raisedMm;
    const [foot, crown] = [footReachMm(thing), (thing.crownMm ?? 0) / 2];
    return {
      id: thing.id,
      name: nameOf(thing),
      at: [x, y],
      groundMm,
      deckId: deck?.id ?? null,
      bottomMm,
      topMm: bottomMm + thing.heightMm,
      branchesMm: crown > foot ? bottomMm + CROWN_FROM * thing.heightMm : bottomMm,
      reachMm: Math.max(foot, crown),
    };
  });
}

function partsOfThing(thing: Thing, { at, bottomMm, branchesMm, topMm, reachMm }: StoodThing): Part[] {
  const round = (radiusMm: number, from: number, to: number): Part => ({
    kind: 'round',
    at,
    radiusMm,
    bottomMm: from,
    topMm: to,
  });
  const ring = footRing(thing);
  const foot = (to: number): Part =>
    ring ? { kind: 'outline', ring, bottomMm, topMm: to } : round(thing.footMm / 2, bottomMm, to);
  return branchesMm === bottomMm ? [foot(topMm)] : [foot(branchesMm), round(reachMm, branchesMm, topMm)];
}

/** Everything that stands or lies on the ground: things, laid-in things, decks of spans. */
export function bodiesOf(
  project: Project,
  stood: readonly StoodThing[],
  laid: readonly LaidRead[],
  spans: readonly SpanRead[],
): Body[] {
  const things = project.things.flatMap((thing) => {
    const read = stood.find(({ id }) => id === thing.id);
    const { id, marginMm } = thing;
    return read ? [{ id, name: read.name, marginMm, onId: read.deckId, parts: partsOfThing(thing, read) }] : [];
  });
  const pieces = project.laid.flatMap((thing): Body[] => {
    const read = laid.find(({ id }) => id === thing.id);
    if (!read) return [];
    const part: Part = { kind: 'outline', ring: runOf(thing), bottomMm: read.undersideMm, topMm: read.topMm };
    return [{ id: thing.id, name: read.name, marginMm: thing.marginMm, onId: read.deckId, parts: [part] }];
  });
  const decks = project.landforms.flatMap((form): Body[] => {
    const read = spans.find(({ id }) => id === form.id);
    if (form.kind !== 'span' || !read) return [];
    const ring = stripRing(runOf(form), form.widthMm / 2);
    const part: Part = {
      kind: 'outline',
      ring,
      bottomMm: Math.min(read.fromMm, read.toMm) - form.thicknessMm,
      topMm: Math.max(read.fromMm, read.toMm),
    };
    return [{ id: form.id, name: nameOf(form), marginMm: 0, parts: [part] }];
  });
  return [...things, ...pieces, ...decks];
}

/** The box along a line from its first point to its last, `half` to each side: near enough for a deck. */
export function stripRing(line: Ring, half: number): Ring {
  const [a, b] = [line[0], line[line.length - 1]];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  const [nx, ny] = [(-(b[1] - a[1]) / length) * half, ((b[0] - a[0]) / length) * half];
  return [
    [a[0] - nx, a[1] - ny],
    [b[0] - nx, b[1] - ny],
    [b[0] + nx, b[1] + ny],
    [a[0] + nx, a[1] + ny],
  ];
}

/** The box round a part on the plan. */
export function boxOf(part: Part): [number, number, number, number] {
  if (part.kind === 'outline') return boundsOf(part.ring);
  const { at, radiusMm: r } = part;
  return [at[0] - r, at[1] - r, at[0] + r, at[1] + r];
}

/** How far the farthest place of a part lies from a point, mm. */
export const farthestFrom = (part: Part, [x, y]: Point): number =>
  part.kind === 'round'
    ? Math.hypot(part.at[0] - x, part.at[1] - y) + part.radiusMm
    : Math.max(...part.ring.map(([px, py]) => Math.hypot(px - x, py - y)));
