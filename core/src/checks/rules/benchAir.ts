import type { Rule } from '../finding.ts';

export const benchAir: Rule = ({ project: { air } }) => [
  ...(air.temperatureC < 10
    ? [
        {
          code: 'air-cold',
          severity: 'warn' as const,
          band: 'brief' as const,
          place: 'Bench air',
          message: `At ${air.temperatureC} °C glue and paste hardly dry, and water-based paint may not form a film.`,
          remedy: 'Work and dry in a warmer room.',
        },
      ]
    : []),
  ...(air.humidityPercent > 85
    ? [
        {
          code: 'air-damp',
          severity: 'warn' as const,
          band: 'brief' as const,
          place: 'Bench air',
          message: `At ${air.humidityPercent} % humidity drying all but stalls; the times shown are rough.`,
          remedy: 'Air the room or run a dehumidifier.',
        },
      ]
    : []),
];
