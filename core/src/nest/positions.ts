/** Candidate positions of pieces on the lattices of beds, and maps of where they may not lie, kept once made. */
import { type BitMap, bitsOf, type NoFit, noFitOf } from './noFit.ts';
import type { Prepared, Variant } from './problem.ts';

/** A piece on the lattice of a bed: a variant, and the place of its corner. */
export interface Position {
  variant: Variant;
  bed: number;
  i: number;
  j: number;
}

/** Maps of where pieces may not lie, made when they are first asked for. */
export interface Maps {
  prepared: Prepared;
  /** The map of two variants: of the one with the lower number lying still, so that it is turned where that is the moving one. */
  between: (fixed: Variant, moving: Variant) => NoFit;
  obstacle: (bed: number, index: number, moving: Variant) => NoFit;
  bitsBetween: (fixed: Variant, moving: Variant) => BitMap;
  bitsOfObstacle: (bed: number, index: number, moving: Variant) => BitMap;
  /** Last place of a variant's corner on a bed, across and deep; -1 where it is too large for it. */
  lastI: (variant: Variant, bed: number) => number;
  lastJ: (variant: Variant, bed: number) => number;
}

/** So much memory is given to maps, bytes; then all are forgotten and made anew. */
const MOST_BYTES = 240e6;

/** Numbers below this are kept in a list, which is asked faster. */
const LISTED = 1e6;

/** Keeps what `make` gives by number (most of them below `size`), until it is too much. */
function store<T>(size: number, sizeOf: (made: T) => number, most: number): (key: number, make: () => T) => T {
  const listed = Math.min(size, LISTED);
  const list = () => new Array<T | undefined>(listed).fill(undefined);
  let kept = list();
  let others = new Map<number, T>();
  let bytes = 0;
  return (key, make) => {
    const known = key < listed ? kept[key] : others.get(key);
    if (known) return known;
    if (bytes > most) {
      kept = list();
      others = new Map();
      bytes = 0;
    }
    const made = make();
    bytes += sizeOf(made);
    if (key < listed) kept[key] = made;
    else others.set(key, made);
    return made;
  };
}

export function createMaps(prepared: Prepared): Maps {
  const { count, cellMm, grounds } = prepared;
  const maps = store<NoFit>(count * count, ({ depth }) => depth.byteLength, MOST_BYTES);
  const bits = store<BitMap>(count * count, (map) => map.bits.byteLength, MOST_BYTES / 6);
  const last = (room: number, size: number) => (size > room + 1e-6 ? -1 : Math.floor((room - size) / cellMm + 1e-6));
  const most = Math.max(1, ...grounds.map(({ obstacles }) => obstacles.length));
  const obstacleKey = (bed: number, index: number, moving: Variant) =>
    count * count + (bed * most + index) * count + moving.id;
  const between: Maps['between'] = (fixed, moving) => {
    return fixed.id < moving.id
      ? maps(fixed.id * count + moving.id, () => noFitOf(fixed.raster, moving.raster))
      : maps(moving.id * count + fixed.id, () => noFitOf(moving.raster, fixed.raster));
  };
  const obstacle: Maps['obstacle'] = (bed, index, moving) =>
    maps(obstacleKey(bed, index, moving), () => noFitOf(grounds[bed].obstacles[index].raster, moving.raster));
  return {
    prepared,
    between,
    obstacle,
    bitsBetween: (fixed, moving) =>
      bits(fixed.id * count + moving.id, () => bitsOf(between(fixed, moving), fixed.id > moving.id)),
    bitsOfObstacle: (bed, index, moving) =>
      bits(obstacleKey(bed, index, moving), () => bitsOf(obstacle(bed, index, moving), false)),
    lastI: (variant, bed) => last(grounds[bed].widthMm, variant.widthMm),
    lastJ: (variant, bed) => last(grounds[bed].depthMm, variant.depthMm),
  };
}
