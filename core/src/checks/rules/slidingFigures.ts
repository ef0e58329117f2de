import { decimals, mm } from '../../units/index.ts';
import type { Finding, Rule } from '../finding.ts';

/** Figures and vehicles that would slide, rock or reach over the edge. */
export const slidingFigures: Rule = ({ project, judgements }) =>
  judgements.figures
    .filter(({ stands }) => !stands)
    .map(({ id, name, baseMm, tiltDegrees, unevenMm }): Finding => {
      const vehicle = project.things.find((thing) => thing.id === id)?.kind === 'vehicle';
      const on = vehicle ? name : `${name} on its ${mm(baseMm)} base`;
      const { tiltDegrees: most } = project.judging;
      return {
        code: 'figure-does-not-stand',
        severity: 'warn',
        band: 'ground',
        place: name,
        message:
          tiltDegrees === null
            ? `${on} reaches over the edge.`
            : tiltDegrees > most
              ? `${on} would slide: it tilts ${decimals(tiltDegrees, 0)}°, at most ${most}° are wanted.`
              : `${on} would rock: the ground lies up to ${mm(unevenMm ?? 0)} off it.`,
        remedy: 'Move it, or put a pad under it.',
        itemId: id,
      };
    });
