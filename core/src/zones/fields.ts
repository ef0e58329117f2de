import {
  distanceTo,
  distanceToEdge,
  forEachCell,
  type Grid,
  insideRing,
  nearestValue,
  smoothed,
} from '../geometry/index.ts';
import { beneaths, type Ground, thinnedTo, wetnessIn } from '../ground/index.ts';
import { type Askable, askables, isLaid, type Project, runOf } from '../project/index.ts';

/** Finer than this distances and wetness need not be. */
const MOST_NODES = 60_000;
/** Ground this steep is a wall, and this steep bare rock (common practice, no source), degrees. */
const WALL_DEGREES = 65;
const ROCK_DEGREES = 45;
/** Wetness is read over so much ground, mm. */
const WET_OVER_MM = 8;
/** Where the light of noon comes from: the front, half way up (common practice, no source). */
const LIGHT = [0, -Math.SQRT1_2, Math.SQRT1_2] as const;

/** What a rule can ask of a place: value at a lattice cell whose mean height and slopes are known. */
export type Reading = (x: number, y: number, heightMm: number, slopeX: number, slopeY: number) => number;

const degrees = (slopeX: number, slopeY: number) => (Math.atan(Math.hypot(slopeX, slopeY)) * 180) / Math.PI;

/** 0 where the light falls square, 100 where none does. */
export function shadePercent(slopeX: number, slopeY: number): number {
  const lit = (-slopeX * LIGHT[0] - slopeY * LIGHT[1] + LIGHT[2]) / Math.sqrt(1 + slopeX ** 2 + slopeY ** 2);
  return 100 * (1 - Math.max(0, lit));
}

/** The readings of a finished ground that some conditions ask for, each made once. Yields between pieces of work. */
export function* readingsFor(
  project: Pick<Project, 'landforms' | 'laid'>,
  ground: Ground,
  asked: readonly { when: Record<Askable, unknown> }[],
): Generator<undefined, (what: Askable) => Reading> {
  const known = new Map<Askable, Reading>();
  for (const what of askables) {
    if (!asked.some(({ when }) => when[what])) continue;
    known.set(what, yield* readingOf(what, project, ground));
    yield;
  }
  return (what) => {
    const reading = known.get(what);
    if (!reading) throw new Error(`${what} was not among the conditions`);
    return reading;
  };
}

function* readingOf(
  what: Askable,
  project: Pick<Project, 'landforms' | 'laid'>,
  ground: Ground,
): Generator<undefined, Reading> {
  switch (what) {
    case 'slope':
      return (_x, _y, _z, slopeX, slopeY) => degrees(slopeX, slopeY);
    case 'height':
      return (_x, _y, heightMm) => heightMm;
    case 'shade':
      return (_x, _y, _z, slopeX, slopeY) => shadePercent(slopeX, slopeY);
    case 'wetness': {
      // On flats the way of water from node to node is chance: a zone goes by what it is round about.
      const wet = smoothed(yield* wetnessIn(ground.grid, ground.outline), WET_OVER_MM);
      return (x, y) => nearestValue(wet, x, y);
    }
    case 'edge':
      return (x, y) => distanceToEdge(ground.outline, x, y);
    default: {
      const lattice = thinnedTo(MOST_NODES, ground.grid);
      const set = setOf(what, project, ground, lattice);
      yield;
      const far = { ...lattice, values: distanceTo(lattice, set) };
      return (x, y) => nearestValue(far, x, y);
    }
  }
}

/** The nodes that are water, wall, rock or way. */
function setOf(
  what: 'water' | 'wall' | 'rock' | 'way',
  { landforms, laid }: Pick<Project, 'landforms' | 'laid'>,
  ground: Ground,
  lattice: Grid,
): Uint8Array {
  const { columns, rows, cellMm, originMm, values } = lattice;
  const set = new Uint8Array(columns * rows);
  const each = (test: (x: number, y: number, heightMm: number) => boolean) => {
    for (let j = 0, n = 0; j < rows; j++)
      for (let i = 0; i < columns; i++, n++)
        if (!set[n] && test(originMm[0] + i * cellMm, originMm[1] + j * cellMm, values[n])) set[n] = 1;
  };
  if (what === 'water' || what === 'way') {
    const wanted = landforms.filter(({ kind }) =>
      (what === 'way' ? ['way', 'steps'] : ['basin', 'pit', 'channel']).includes(kind),
    );
    for (const { at } of beneaths(wanted, ground.built))
      each((x, y, z) => {
        const there = at(x, y);
        return there !== null && (what === 'way' || (there.waterMm !== null && z <= there.waterMm));
      });
    return set;
  }
  steeperThan(lattice, what === 'wall' ? WALL_DEGREES : ROCK_DEGREES, set);
  for (const piece of laid.filter(isLaid)) {
    if ((what === 'wall') !== (piece.kind === 'building')) continue;
    const ring = runOf(piece);
    each((x, y) => insideRing(ring, x, y));
  }
  return set;
}

/** Marks the near left node of every cell that is steeper than so much. */
function steeperThan(lattice: Grid, limit: number, set: Uint8Array): void {
  const across = lattice.columns - 1;
  forEachCell(lattice, null, (cell, _area, _height, slopeX, slopeY) => {
    if (degrees(slopeX, slopeY) >= limit) set[Math.floor(cell / across) * lattice.columns + (cell % across)] = 1;
  });
}
