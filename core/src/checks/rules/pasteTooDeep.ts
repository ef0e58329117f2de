import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';

/** More coats than this of one paste are a sign that foam is missing. */
const MANY_COATS = 3;

export const pasteTooDeep: Rule = ({ takeoff }) =>
  takeoff
    .filter(({ stage, coats, drying }) => stage === 'skin' && drying.kind === 'paste' && coats > MANY_COATS)
    .map(({ coats, drying, zones, title }) => ({
      code: 'paste-deep',
      severity: 'warn',
      band: 'surface',
      place: zones.map(({ name }) => name).join(', '),
      message: `${title} lies ${drying.kind === 'paste' ? mm(drying.depthMm) : ''} deep: ${coats} coats, each set before the next, and a long drying.`,
      remedy: 'Carve back instead of building up, glue offcuts into the steps, or take a paste that may lie thicker.',
    }));
