/** Ground, target and foam along a line, sampled. */
import { type Grid, heightAt, insideRing, type Point, type Polygon, type Ring, ringsOf } from '../geometry/index.ts';
import { areaAt } from './areas.ts';
import { foamTopAt } from './levels.ts';

/** What a cut through the model shows at one place along it. */
export interface SectionSample {
  alongMm: number;
  onBase: boolean;
  groundMm: number;
  targetMm: number;
  /** Top of the stacked foam before carving, and how many layers stand there. */
  foamMm: number;
  layer: number;
  /** Layers (from 1) that are cut out here. */
  cutOut: readonly number[];
}

/** A layer as a section sees it. */
export interface SectionLayer {
  index: number;
  topMm: number;
  outlineAtMm: readonly number[];
  cutOuts: readonly Polygon[];
}

const NONE: readonly number[] = [];

/** Samples along a cut, left to right; `outline` is the base, `node` the area of every node of the lattice. Spacing is at most `spacingMm`. */
export function sectionAlong(
  ground: Grid,
  target: Grid,
  layers: readonly SectionLayer[],
  node: Uint8Array | null,
  outline: Ring,
  from: Point,
  to: Point,
  spacingMm: number,
): SectionSample[] {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const count = Math.max(2, Math.ceil(length / spacingMm) + 1);
  const cuts = layers.flatMap(({ index, cutOuts }) => {
    const crossings = crossingsAlong(ringsOf(cutOuts), from, to);
    return crossings.length ? [{ index, crossings }] : [];
  });
  return Array.from({ length: count }, (_, k) => {
    const t = k / (count - 1);
    // The very edge of the base belongs to it: look a hair further in.
    const x = from[0] + t * (to[0] - from[0]);
    const y = from[1] + t * (to[1] - from[1]);
    const inward = k === 0 ? 1e-6 : k === count - 1 ? -1e-6 : 0;
    const onBase = insideRing(outline, x + inward * (to[0] - from[0]), y + inward * (to[1] - from[1]));
    const targetMm = heightAt(target, x, y);
    const { topMm, layer } = foamTopAt(layers, targetMm, areaAt({ node }, target, x, y));
    const cutOut = cuts.filter(({ crossings }) => crossings.filter((at) => at < t).length % 2 === 1);
    return {
      alongMm: t * length,
      onBase,
      groundMm: heightAt(ground, x, y),
      targetMm: Math.max(0, targetMm),
      foamMm: topMm,
      layer,
      cutOut: cutOut.length ? cutOut.map(({ index }) => index) : NONE,
    };
  });
}

/** Where rings cross the way from one place to another, as shares of the way. */
function crossingsAlong(rings: readonly Ring[], [ax, ay]: Point, [bx, by]: Point): number[] {
  const [dx, dy] = [bx - ax, by - ay];
  const whole = dx * dx + dy * dy;
  if (!whole) return [];
  const found: number[] = [];
  for (const ring of rings)
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const side = (ring[j][0] - ax) * dy - (ring[j][1] - ay) * dx;
      const next = (ring[i][0] - ax) * dy - (ring[i][1] - ay) * dx;
      if (side > 0 === next > 0) continue;
      const t = side / (side - next);
      const x = ring[j][0] + t * (ring[i][0] - ring[j][0]) - ax;
      const y = ring[j][1] + t * (ring[i][1] - ring[j][1]) - ay;
      found.push((x * dx + y * dy) / whole);
    }
  return found;
}
