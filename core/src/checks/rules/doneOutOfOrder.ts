import { doneHere } from '../../project/index.ts';
import type { Rule } from '../finding.ts';

/** A step that is marked done while what must come before it is not: voids before skin, everything before the sides. */
export const doneOutOfOrder: Rule = ({ project, takeoff }) => {
  const done = new Set(doneHere(project).map(({ step }) => step));
  return takeoff.flatMap(({ id, title, after, stage }) => {
    if (!done.has(id)) return [];
    const missing = after.flatMap((need) => takeoff.filter((step) => step.id === need.id && !done.has(step.id)));
    if (!missing.length) return [];
    const names = missing.map((step) => step.title).join('; ');
    return [
      {
        code: 'done-out-of-order',
        severity: 'warn' as const,
        band: 'surface' as const,
        place: title,
        message: `${title} is marked done, but not what comes before it: ${names}.`,
        remedy: missing.some((step) => step.id === 'voids')
          ? 'Cables and bays go in before the skin: what is shut in cannot be reached. Mark them done, or open it again.'
          : stage === 'edge'
            ? 'Sides come last: they will be splashed and knocked. Mark what was done, or plan a second coat.'
            : 'Mark what was done before, or take the mark back.',
        step: id,
      },
    ];
  });
};
