import type { Breach } from '../fit/index.ts';
import type { Finding, Rule } from './finding.ts';

const tenth = (value: number) => value.toFixed(1);

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
      message: `${name} is ${tenth(byMm)} mm ${out[side].where}.`,
      remedy: out[side].remedy,
      ...(id ? { itemId: id } : {}),
    }),
  );

/** Two things that run into one another, or stand nearer than they may. */
export const tooNear: Rule = ({ fit }) =>
  fit.meetings.map(
    ({ aId, aName, bName, gapMm, wantedMm }): Finding => ({
      code: gapMm < 0 ? 'things-collide' : 'things-too-near',
      severity: 'warn',
      band: 'brief',
      place: `${aName} and ${bName}`,
      message:
        gapMm < 0
          ? `${aName} and ${bName} run ${tenth(-gapMm)} mm into one another.`
          : `${aName} stands ${tenth(gapMm)} mm from ${bName}; ${tenth(wantedMm)} mm are to be kept free.`,
      remedy: `Move one of them ${tenth(wantedMm - gapMm)} mm away, or make one smaller.`,
      itemId: aId,
    }),
  );

/** A thing that stands beside the base. */
export const besideTheBase: Rule = ({ fit }) =>
  fit.things
    .filter(({ groundMm }) => groundMm === null)
    .map(
      ({ id, name }): Finding => ({
        code: 'stands-beside',
        severity: 'warn',
        band: 'ground',
        place: name,
        message: `${name} stands beside the base, not on it.`,
        remedy: 'Move it onto the base.',
        itemId: id,
      }),
    );

/** Limits and rules of the brief that the plan breaks. */
export const brokenLimits: Rule = ({ limits }) =>
  limits
    .filter(({ kept }) => kept === false)
    .map(
      ({ id, text, why }): Finding => ({
        code: `limit-${id}`,
        severity: 'warn',
        band: 'brief',
        place: text,
        message: `Not kept: ${text.charAt(0).toLowerCase()}${text.slice(1)}; ${why}.`,
        remedy: 'Change the plan, or the limit in the brief.',
      }),
    );

/** Figures that would slide, rock or reach over the edge. */
export const slidingFigures: Rule = ({ project, judgements }) =>
  judgements.figures
    .filter(({ stands }) => !stands)
    .map(({ id, name, baseMm, tiltDegrees, unevenMm }): Finding => {
      const on = `${name} on its ${tenth(baseMm)} mm base`;
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
              ? `${on} would slide: it tilts ${tiltDegrees.toFixed(0)}°, at most ${most}° are wanted.`
              : `${on} would rock: the ground lies up to ${tenth(unevenMm ?? 0)} mm off it.`,
        remedy: 'Move it, or put a pad under it.',
        itemId: id,
      };
    });

/** Houses that no way leads to. */
export const housesOffTheRoad: Rule = ({ judgements }) =>
  judgements.houses
    .filter(({ reached }) => !reached)
    .map(
      ({ id, name, wayMm }): Finding => ({
        code: 'house-without-way',
        severity: 'note',
        band: 'ground',
        place: name,
        message: wayMm === null ? `No way leads to ${name}.` : `The nearest way ends ${tenth(wayMm)} mm from ${name}.`,
        remedy: 'Draw a road or steps to its door, if it had one.',
        itemId: id,
      }),
    );
