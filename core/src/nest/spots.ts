import { type BitMap, bitsOf, type NoFit, noFitOf } from './noFit.ts';
import type { Prepared, Variant } from './problem.ts';

/** A piece on the lattice of a bed: a variant, and the place of its corner. */
export interface Spot {
  variant: Variant;
  bed: number;
  i: number;
  j: number;
}

/** Maps of where pieces may not lie, made when they are first asked for. */
export interface Maps {
  prepared: Prepared;
  /** The map of two variants; turned, where it is kept with the two exchanged. */
  between: (fixed: Variant, moving: Variant) => { map: NoFit; turned: boolean };
  obstacle: (bed: number, index: number, moving: Variant) => NoFit;
  bitsBetween: (fixed: Variant, moving: Variant) => BitMap;
  bitsOfObstacle: (bed: number, index: number, moving: Variant) => BitMap;
  /** Last place of a variant's corner on a bed, across and deep; -1 where it is too large for it. */
  lastI: (variant: Variant, bed: number) => number;
  lastJ: (variant: Variant, bed: number) => number;
}

/** So much memory is given to maps, bytes; then all are forgotten and made anew. */
const MOST_BYTES = 240e6;

/** Keeps what `make` gives by number, until it is too much. */
function store<T>(sizeOf: (made: T) => number, most: number): (key: number, make: () => T) => T {
  const kept = new Map<number, T>();
  let bytes = 0;
  return (key, make) => {
    const known = kept.get(key);
    if (known) return known;
    if (bytes > most) {
      kept.clear();
      bytes = 0;
    }
    const made = make();
    bytes += sizeOf(made);
    kept.set(key, made);
    return made;
  };
}

export function createMaps(prepared: Prepared): Maps {
  const { count, cellMm, grounds } = prepared;
  const maps = store<NoFit>(({ depth }) => depth.byteLength, MOST_BYTES);
  const bits = store<BitMap>((map) => map.bits.byteLength, MOST_BYTES / 6);
  const last = (room: number, size: number) => (size > room + 1e-6 ? -1 : Math.floor((room - size) / cellMm + 1e-6));
  const most = Math.max(1, ...grounds.map(({ obstacles }) => obstacles.length));
  const obstacleKey = (bed: number, index: number, moving: Variant) =>
    count * count + (bed * most + index) * count + moving.id;
  const between: Maps['between'] = (fixed, moving) => {
    const turned = fixed.id > moving.id;
    const [a, b] = turned ? [moving, fixed] : [fixed, moving];
    return { map: maps(a.id * count + b.id, () => noFitOf(a.raster, b.raster)), turned };
  };
  const obstacle: Maps['obstacle'] = (bed, index, moving) =>
    maps(obstacleKey(bed, index, moving), () => noFitOf(grounds[bed].obstacles[index].raster, moving.raster));
  return {
    prepared,
    between,
    obstacle,
    bitsBetween: (fixed, moving) =>
      bits(fixed.id * count + moving.id, () => {
        const { map, turned } = between(fixed, moving);
        return bitsOf(map, turned);
      }),
    bitsOfObstacle: (bed, index, moving) =>
      bits(obstacleKey(bed, index, moving), () => bitsOf(obstacle(bed, index, moving), false)),
    lastI: (variant, bed) => last(grounds[bed].widthMm, variant.widthMm),
    lastJ: (variant, bed) => last(grounds[bed].depthMm, variant.depthMm),
  };
}
