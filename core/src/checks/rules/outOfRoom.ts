import type { Breach } from '../../fit/index.ts';
import { mm } from '../../units/index.ts';
import type { Finding, Rule } from '../finding.ts';

const out: Readonly<Record<Breach['side'], { where: string; remedy: string }>> = {
  top: { where: 'too tall for the box', remedy: 'Make it or the ground under it lower, or take a higher box.' },
  left: { where: 'out of the box at its left', remedy: 'Move it to the right, or take a wider box.' },
  right: { where: 'out of the box at its right', remedy: 'Move it to the left, or take a wider box.' },
  front: { where: 'out of the front of the box', remedy: 'Move it back, or take a deeper box.' },
  back: { where: 'out of the back of the box', remedy: 'Move it forward, or take a deeper box.' },
  storey: {
    where: 'too tall for the storey above it',
    remedy: 'Make it or the ground under it lower, or raise the storey above.',
  },
  swing: {
    where: 'outside the circle that the turntable leaves clear',
    remedy: 'Move it towards the middle, or give the turntable more room.',
  },
};

/** What leaves the box, or the turntable's circle. */
export const outOfRoom: Rule = ({ fit }) =>
  fit.breaches.map(
    ({ id, name, side, byMm }): Finding => ({
      code: side === 'swing' ? 'swing-too-wide' : 'out-of-the-box',
      severity: 'warn',
      band: 'brief',
      place: name,
      message: `${name} is ${mm(byMm)} ${out[side].where}.`,
      remedy: out[side].remedy,
      ...(id ? { itemId: id } : {}),
    }),
  );
