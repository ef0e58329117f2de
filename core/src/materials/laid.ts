import type { Coefficient } from '../units/index.ts';
import { coefficient } from './source.ts';

/** A thing laid in rather than built. */
export interface LaidStuff {
  density: Coefficient;
  /** Share of its box (outline times height) that is solid. */
  solidShare: Coefficient;
}

const stuff = (name: string, density: [number, number, number], share: [number, number, number]): LaidStuff => ({
  density: coefficient(`Density of ${name}`, ...density, 'kg/L', 'memory', 'C'),
  solidShare: coefficient(`Solid share of ${name} in its box`, ...share, '', 'memory', 'C'),
});

export const laidStuff = {
  rock: stuff('stone', [2.4, 2.65, 2.8], [0.5, 0.6, 0.75]),
  bark: stuff('dry bark', [0.25, 0.4, 0.6], [0.5, 0.7, 0.85]),
  slate: stuff('slate', [2.6, 2.75, 2.9], [0.65, 0.8, 0.95]),
  cast: stuff('cast plaster', [1.0, 1.16, 1.3], [0.5, 0.6, 0.75]),
  building: stuff('a hollow model building', [0.05, 0.1, 0.2], [1, 1, 1]),
} as const;
