import type { Air } from '../project/index.ts';
import { power } from '../units/index.ts';

/**
 * Saturation vapour pressure over water, Pa, for -45 to 60 C. Magnus form: 611.2 exp(17.62 T / (243.12 + T)) (WMO guide, from memory).
 * Throws outside its range.
 */
export function saturationPressurePa(temperatureC: number): number {
  if (!(temperatureC >= -45 && temperatureC <= 60))
    throw new RangeError(`saturation pressure is for -45 to 60 C, not ${temperatureC}`);
  return 611.2 * Math.exp((17.62 * temperatureC) / (243.12 + temperatureC));
}

/** Damp beyond this and the sum would never end; drier than this promises too much (a wet surface cools itself). */
const MOST_HUMID = 0.95;
const LEAST_FACTOR = 0.3;

/**
 * How much longer a wet surface takes than at 20 C, 50 %, 0.1 m/s:
 * F = 0.5 p(20) / ((1 - RH) p(T)) x (0.089 + 0.0782 x 0.1) / (0.089 + 0.0782 v). Shape of the pool-evaporation equation (ASHRAE, from memory).
 */
export function dryingFactor({ temperatureC, humidityPercent, airSpeedMs }: Air): number {
  const humidity = Math.min(humidityPercent / 100, MOST_HUMID);
  const pull = (1 - humidity) * saturationPressurePa(temperatureC);
  const factor = ((0.5 * saturationPressurePa(20)) / pull) * ((0.089 + 0.0782 * 0.1) / (0.089 + 0.0782 * airSpeedMs));
  return Math.max(LEAST_FACTOR, factor);
}

/** Diffusion out of the depth goes about 1.5 times faster for 10 K more. */
export const depthFactor = ({ temperatureC }: Air): number => power(1.5, (20 - temperatureC) / 10);

/** A reaction goes about twice as fast for 10 K more (E about 52 kJ/mol), for 12 to 35 C. */
export const reactionFactor = ({ temperatureC }: Air): number => power(2, (20 - temperatureC) / 10);
