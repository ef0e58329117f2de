import { benchAir, coatsLeftOut, noBenchHours, pasteTooDeep, slowJoints } from './buildRules.ts';
import { clashingPieces, closeSeams, cutOtherwise, droppedSlivers, hardForTheTool, piecesNowhere } from './cutRules.ts';
import { type Finding, type PlanView, type Rule, severities } from './finding.ts';
import { besideTheBase, brokenLimits, housesOffTheRoad, outOfRoom, slidingFigures, tooNear } from './fitRules.ts';
import { belowTheBoard, idleLandforms, lowSpans, rockingThings, steepWays, upsideDownCliffs } from './landformRules.ts';
import {
  crossingLines,
  missedSpots,
  nothingDrawn,
  offTheBase,
  openOutlines,
  selfCrossings,
  tinyLines,
  twinSpots,
} from './markRules.ts';
import { bentSides, lowStoreys, unevenJoints } from './setRules.ts';
import { emptyAreas, idleLayers, levelsOffJoint, lostWishes, stackTooLow, stockShort } from './stackRules.ts';
import { brokenOut, deadCables, emptyVoids, lockedBays, meetingVoids, thinRoofs } from './voidRules.ts';

export { bands, type Finding, severities } from './finding.ts';
export { sayGradient } from './landformRules.ts';

const rules: readonly Rule[] = [
  nothingDrawn,
  offTheBase,
  crossingLines,
  selfCrossings,
  openOutlines,
  twinSpots,
  missedSpots,
  tinyLines,
  steepWays,
  lowSpans,
  idleLandforms,
  upsideDownCliffs,
  belowTheBoard,
  rockingThings,
  besideTheBase,
  outOfRoom,
  tooNear,
  brokenLimits,
  slidingFigures,
  housesOffTheRoad,
  thinRoofs,
  brokenOut,
  emptyVoids,
  deadCables,
  lockedBays,
  meetingVoids,
  unevenJoints,
  lowStoreys,
  bentSides,
  stackTooLow,
  stockShort,
  idleLayers,
  lostWishes,
  levelsOffJoint,
  emptyAreas,
  closeSeams,
  clashingPieces,
  cutOtherwise,
  piecesNowhere,
  hardForTheTool,
  droppedSlivers,
  pasteTooDeep,
  coatsLeftOut,
  slowJoints,
  benchAir,
  noBenchHours,
];

/** Everything the rules have to say about a plan, what stops the work first. */
export const findingsOf = (plan: PlanView): Finding[] =>
  rules.flatMap((rule) => rule(plan)).sort((a, b) => severities.indexOf(a.severity) - severities.indexOf(b.severity));
