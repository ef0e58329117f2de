import type { Air } from '../project/index.ts';
import { product, type Range, sum } from '../units/index.ts';
import { depthFactor, dryingFactor, saturationPressurePa } from './air.ts';

/** Evaporative: hours until d mm from one drying face is dry, t = F a d + b d^2 x 1.5^((20 - T)/10); a in hours a mm, b in hours a mm2. */
export const evaporationHours = (depthMm: number, { a, b }: { a: Range; b: Range }, air: Air): Range =>
  sum([product(dryingFactor(air) * depthMm, [{ range: a }]), product(depthMm ** 2 * depthFactor(air), [{ range: b }])]);

/**
 * Moisture-cured: hours until x mm from the air is through, t = (x / K)^2 days x p_ref / (RH p(T)), K in mm per root day at 23 C and 50 %
 * (p_ref 1401 Pa of vapour). Bone-dry air is counted as 5 %.
 */
export function moistureHours(depthMm: number, mmPerRootDay: number, air: Air): number {
  const vapour = Math.max(0.05, air.humidityPercent / 100) * saturationPressurePa(air.temperatureC);
  return 24 * (depthMm / mmPerRootDay) ** 2 * (1401 / vapour);
}

/** Part of a sheet or board that water vapour must pass: thickness and vapour resistance factor mu. */
export interface Barrier {
  thicknessMm: number;
  mu: number;
}

export interface GlueJoint {
  /** Water to lose, g per m2 of joint. */
  waterGm2: number;
  /** What lies above up to the air, and below; null where that side is shut. */
  above: readonly Barrier[] | null;
  below: readonly Barrier[] | null;
  /** Half the width of the glued face, mm: the way sideways to the edge. */
  halfWidthMm: number;
}

/** Vapour permeability of still air, kg/(m s Pa) (ISO 12572 gives about 1.95e-10; from memory). */
const AIR_PERMEABILITY = 2.0e-10;
const DRY_SHARE = 0.95;
const HANDLING_SHARE = 0.6;
/** Sideways along the film: (half width / 5 mm)^2 x 3 days. */
const EDGE_DAYS = 3;

/** Water leaving a joint through what lies round it, g/m2 a day. */
export function throughFaces({ above, below }: Pick<GlueJoint, 'above' | 'below'>, air: Air): number {
  const humidity = Math.min(air.humidityPercent / 100, 0.95);
  const conductance = (side: readonly Barrier[] | null) =>
    side ? 1 / side.reduce((sum, { thicknessMm, mu }) => sum + (mu * thicknessMm) / 1000, 0) : 0;
  const flow =
    AIR_PERMEABILITY *
    saturationPressurePa(air.temperatureC) *
    (1 - humidity) *
    (conductance(above) + conductance(below));
  return flow * 1000 * 86400;
}

/**
 * A water-based glue between two faces that hardly breathe: hours until it can be worked on (60 % of its water gone) and until it is dry
 * (95 %). Water leaves through the sheets (linear in their thickness) and sideways along the film (square of the way); 1/t = 1/t1 + 1/t2.
 */
export function jointHours(joint: GlueJoint, air: Air): { handling: number; dry: number } {
  const facesDays = (DRY_SHARE * joint.waterGm2) / throughFaces(joint, air);
  const edgeDays = EDGE_DAYS * (joint.halfWidthMm / 5) ** 2;
  const dry = 24 / (1 / facesDays + 1 / edgeDays);
  return { handling: (dry * HANDLING_SHARE) / DRY_SHARE, dry };
}
