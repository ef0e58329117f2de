import { type Grid, heightAt, insideRing, type Point, type Ring } from '../geometry/index.ts';
import { foamTopAt, type Step } from './chooseStack.ts';

/** What a cut through the model shows at one place along it. */
export interface SectionSample {
  alongMm: number;
  onBase: boolean;
  groundMm: number;
  targetMm: number;
  /** Top of the stacked foam before carving, and how many layers stand there. */
  foamMm: number;
  layer: number;
}

/** Samples along a cut, left to right; `outline` is the base. Spacing is at most `spacingMm`. */
export function sectionAlong(
  ground: Grid,
  target: Grid,
  steps: readonly Pick<Step, 'outlineAtMm' | 'topMm'>[],
  outline: Ring,
  from: Point,
  to: Point,
  spacingMm: number,
): SectionSample[] {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const count = Math.max(2, Math.ceil(length / spacingMm) + 1);
  return Array.from({ length: count }, (_, k) => {
    const t = k / (count - 1);
    // The very edge of the base belongs to it: look a hair further in.
    const x = from[0] + t * (to[0] - from[0]);
    const y = from[1] + t * (to[1] - from[1]);
    const inward = k === 0 ? 1e-6 : k === count - 1 ? -1e-6 : 0;
    const onBase = insideRing(outline, x + inward * (to[0] - from[0]), y + inward * (to[1] - from[1]));
    const targetMm = heightAt(target, x, y);
    const { topMm, layer } = foamTopAt(steps, targetMm);
    return {
      alongMm: t * length,
      onBase,
      groundMm: heightAt(ground, x, y),
      targetMm: Math.max(0, targetMm),
      foamMm: topMm,
      layer,
    };
  });
}
