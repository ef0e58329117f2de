import { type Finding, type PlanView, type Rule, severities } from './finding.ts';
import { belowTheBoard } from './rules/belowTheBoard.ts';
import { benchAir } from './rules/benchAir.ts';
import { bentSides } from './rules/bentSides.ts';
import { besideTheBase } from './rules/besideTheBase.ts';
import { brokenLimits } from './rules/brokenLimits.ts';
import { brokenOut } from './rules/brokenOut.ts';
import { clashingPieces } from './rules/clashingPieces.ts';
import { closeSeams } from './rules/closeSeams.ts';
import { coatsLeftOut } from './rules/coatsLeftOut.ts';
import { crossingLines } from './rules/crossingLines.ts';
import { cutOtherwise } from './rules/cutOtherwise.ts';
import { deadCables } from './rules/deadCables.ts';
import { droppedSlivers } from './rules/droppedSlivers.ts';
import { emptyAreas } from './rules/emptyAreas.ts';
import { emptyVoids } from './rules/emptyVoids.ts';
import { hardForTheTool } from './rules/hardForTheTool.ts';
import { housesOffTheRoad } from './rules/housesOffTheRoad.ts';
import { idleLandforms } from './rules/idleLandforms.ts';
import { idleLayers } from './rules/idleLayers.ts';
import { levelsOffJoint } from './rules/levelsOffJoint.ts';
import { lockedBays } from './rules/lockedBays.ts';
import { lostWishes } from './rules/lostWishes.ts';
import { lowSpans } from './rules/lowSpans.ts';
import { lowStoreys } from './rules/lowStoreys.ts';
import { meetingVoids } from './rules/meetingVoids.ts';
import { missedSpots } from './rules/missedSpots.ts';
import { noBenchHours } from './rules/noBenchHours.ts';
import { nothingDrawn } from './rules/nothingDrawn.ts';
import { offTheBase } from './rules/offTheBase.ts';
import { openOutlines } from './rules/openOutlines.ts';
import { outOfRoom } from './rules/outOfRoom.ts';
import { pasteTooDeep } from './rules/pasteTooDeep.ts';
import { piecesNowhere } from './rules/piecesNowhere.ts';
import { rockingThings } from './rules/rockingThings.ts';
import { selfCrossings } from './rules/selfCrossings.ts';
import { slidingFigures } from './rules/slidingFigures.ts';
import { slowJoints } from './rules/slowJoints.ts';
import { stackTooLow } from './rules/stackTooLow.ts';
import { steepWays } from './rules/steepWays.ts';
import { stockShort } from './rules/stockShort.ts';
import { thinRoofs } from './rules/thinRoofs.ts';
import { tinyLines } from './rules/tinyLines.ts';
import { tooNear } from './rules/tooNear.ts';
import { twinSpots } from './rules/twinSpots.ts';
import { unevenJoints } from './rules/unevenJoints.ts';
import { upsideDownCliffs } from './rules/upsideDownCliffs.ts';

export { bands, type Finding, severities } from './finding.ts';
export { sayGradient } from './words.ts';

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
