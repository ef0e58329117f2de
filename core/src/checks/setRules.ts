import { tileSides } from '../project/index.ts';
import type { Finding, Rule } from './finding.ts';

const tenth = (value: number) => value.toFixed(1);
const inBrief = (place: string, code: string, message: string, remedy: string): Finding => ({
  code,
  severity: 'warn',
  band: 'brief',
  place,
  message,
  remedy,
});

/** Sides that lie against one another and do not meet. */
export const unevenJoints: Rule = ({ set }) =>
  set.joints
    .filter(({ meets }) => !meets)
    .map(({ aName, aSide, bName, bSide, mostMm, atMm, longerMm }) =>
      inBrief(
        `${aName} and ${bName}`,
        'edges-do-not-meet',
        longerMm >= 1
          ? `The ${aSide} of ${aName} and the ${bSide} of ${bName} differ in length by ${tenth(longerMm)} mm.`
          : `The ${aSide} of ${aName} and the ${bSide} of ${bName} do not meet: a step of ${tenth(mostMm)} mm, ${tenth(atMm)} mm along.`,
        'Give both sides the same profile in Brief, or stand another tile there.',
      ),
    );

/** A storey whose tallest thing reaches into the board above. */
export const lowStoreys: Rule = ({ set }) =>
  set.storeys
    .filter(({ roomMm, tallestMm }) => tallestMm > roomMm)
    .map(({ belowName, aboveName, roomMm, tallestMm }) =>
      inBrief(
        `${belowName} under ${aboveName}`,
        'storey-too-low',
        `${belowName} stands ${tenth(tallestMm)} mm tall; under ${aboveName} there are ${tenth(roomMm)} mm.`,
        `Raise ${aboveName} by ${tenth(tallestMm - roomMm)} mm, or lower what stands below.`,
      ),
    );

/** Profiles hold to straight sides. */
export const bentSides: Rule = ({ project }) =>
  project.base.shape.kind !== 'rectangle' && tileSides.some((side) => project.tile.sides[side])
    ? [
        inBrief(
          project.tile.name,
          'profile-on-a-curve',
          `${project.tile.name} wears profiles, but its base is no rectangle: they do nothing.`,
          'Make the base a rectangle, or take the profiles off its sides.',
        ),
      ]
    : [];
