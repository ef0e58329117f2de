import type { Finding, Rule } from '../finding.ts';

/** Layers written by hand that come to nothing. */
export const idleLayers: Rule = ({ choice }) => {
  const { idle, unknown } = choice.chosen;
  const found: Finding[] = [];
  if (idle.length)
    found.push({
      code: 'hand-idle',
      severity: 'warn',
      band: 'layers',
      place: 'Stack by hand',
      message: `${idle.length === 1 ? 'A layer' : `${idle.length} layers`} of the stack settled by hand ${idle.length === 1 ? 'lies' : 'lie'} above the ground, or cannot be cut from what may lie there, and ${idle.length === 1 ? 'was' : 'were'} left out.`,
      remedy: 'Take it out, or let Hosket choose again.',
    });
  if (unknown.length)
    found.push({
      code: 'hand-unknown',
      severity: 'warn',
      band: 'layers',
      place: 'Stack by hand',
      message: `${unknown.length === 1 ? 'A layer' : `${unknown.length} layers`} settled by hand ${unknown.length === 1 ? 'asks' : 'ask'} for sheets that are gone, that differ in thickness, or for a slice with no bench wire.`,
      remedy: 'Swap it for a kind that is there, or let Hosket choose again.',
    });
  return found;
};
