import { toEnd } from '../kernel/index.ts';
import { overruledBy } from '../project/index.ts';
import { type Finding, type PlanView, type Rule, severities } from './finding.ts';
import { reasons } from './reasons.ts';
import { bareStand } from './rules/bareStand.ts';
import { belowTheBoard } from './rules/belowTheBoard.ts';
import { benchAir } from './rules/benchAir.ts';
import { bentSides } from './rules/bentSides.ts';
import { besideTheBase } from './rules/besideTheBase.ts';
import { bowlTooLarge } from './rules/bowlTooLarge.ts';
import { brokenLimits } from './rules/brokenLimits.ts';
import { brokenOut } from './rules/brokenOut.ts';
import { buriedCoats } from './rules/buriedCoats.ts';
import { clashingPieces } from './rules/clashingPieces.ts';
import { closeSeams } from './rules/closeSeams.ts';
import { coatedSoon } from './rules/coatedSoon.ts';
import { coatsLeftOut } from './rules/coatsLeftOut.ts';
import { colourOverGrass } from './rules/colourOverGrass.ts';
import { colourUnderSeal } from './rules/colourUnderSeal.ts';
import { crossingLines } from './rules/crossingLines.ts';
import { cutOtherwise } from './rules/cutOtherwise.ts';
import { deadCables } from './rules/deadCables.ts';
import { deepestOverLimit } from './rules/deepestOverLimit.ts';
import { doneOutOfOrder } from './rules/doneOutOfOrder.ts';
import { droppedSlivers } from './rules/droppedSlivers.ts';
import { emptyAreas } from './rules/emptyAreas.ts';
import { emptyVoids } from './rules/emptyVoids.ts';
import { flameNearAlcohol } from './rules/flameNearAlcohol.ts';
import { footprintsUnmasked } from './rules/footprintsUnmasked.ts';
import { giantHeights } from './rules/giantHeights.ts';
import { glueEatsFoam } from './rules/glueEatsFoam.ts';
import { glueSkinsOver } from './rules/glueSkinsOver.ts';
import { grassAfterStones } from './rules/grassAfterStones.ts';
import { grassGlueSkins } from './rules/grassGlueSkins.ts';
import { guessedGround } from './rules/guessedGround.ts';
import { hardForTheTool } from './rules/hardForTheTool.ts';
import { holesOut } from './rules/holesOut.ts';
import { hooksTooLow } from './rules/hooksTooLow.ts';
import { hotGlueOnFoam } from './rules/hotGlueOnFoam.ts';
import { housesOffTheRoad } from './rules/housesOffTheRoad.ts';
import { idleLandforms } from './rules/idleLandforms.ts';
import { idleLayers } from './rules/idleLayers.ts';
import { levelsOffJoint } from './rules/levelsOffJoint.ts';
import { levelWithoutArea } from './rules/levelWithoutArea.ts';
import { lockedBays } from './rules/lockedBays.ts';
import { lostWishes } from './rules/lostWishes.ts';
import { lowSpans } from './rules/lowSpans.ts';
import { lowStoreys } from './rules/lowStoreys.ts';
import { materialShort } from './rules/materialShort.ts';
import { meetingVoids } from './rules/meetingVoids.ts';
import { missedSpots } from './rules/missedSpots.ts';
import { nearlyTouching } from './rules/nearlyTouching.ts';
import { noBenchHours } from './rules/noBenchHours.ts';
import { nothingDrawn } from './rules/nothingDrawn.ts';
import { nothingSeals } from './rules/nothingSeals.ts';
import { offTheBase } from './rules/offTheBase.ts';
import { openingOut } from './rules/openingOut.ts';
import { openOutlines } from './rules/openOutlines.ts';
import { outOfRoom } from './rules/outOfRoom.ts';
import { paintedDamp } from './rules/paintedDamp.ts';
import { partlyOff } from './rules/partlyOff.ts';
import { pasteTooDeep } from './rules/pasteTooDeep.ts';
import { pastItsDate } from './rules/pastItsDate.ts';
import { piecesNowhere } from './rules/piecesNowhere.ts';
import { plasterOnSkin } from './rules/plasterOnSkin.ts';
import { rockingThings } from './rules/rockingThings.ts';
import { sealedWet } from './rules/sealedWet.ts';
import { sealUnderPaste } from './rules/sealUnderPaste.ts';
import { selfCrossings } from './rules/selfCrossings.ts';
import { slidingFigures } from './rules/slidingFigures.ts';
import { slowJoints } from './rules/slowJoints.ts';
import { sprayOnBareFoam } from './rules/sprayOnBareFoam.ts';
import { stackTooLow } from './rules/stackTooLow.ts';
import { steepWays } from './rules/steepWays.ts';
import { stockShort } from './rules/stockShort.ts';
import { thickForSize } from './rules/thickForSize.ts';
import { thinRoofs } from './rules/thinRoofs.ts';
import { tinyLines } from './rules/tinyLines.ts';
import { tipsOver } from './rules/tipsOver.ts';
import { tooNear } from './rules/tooNear.ts';
import { twinSpots } from './rules/twinSpots.ts';
import { uncountedStores } from './rules/uncountedStores.ts';
import { underTheSkin } from './rules/underTheSkin.ts';
import { unevenJoints } from './rules/unevenJoints.ts';
import { upsideDownCliffs } from './rules/upsideDownCliffs.ts';
import { wallsMeet } from './rules/wallsMeet.ts';
import { withWords } from './said.ts';

export { bands, type Finding, type OtherStack, type PlanView, severities } from './finding.ts';
export { findingIn } from './said.ts';
export { sayGradient } from './words.ts';

/** One rule a file; each changes nothing and says what, where and what to do. */
const rules: readonly Rule[] = [
  nothingDrawn,
  offTheBase,
  crossingLines,
  selfCrossings,
  nearlyTouching,
  giantHeights,
  levelWithoutArea,
  partlyOff,
  guessedGround,
  openOutlines,
  twinSpots,
  missedSpots,
  tinyLines,
  steepWays,
  lowSpans,
  idleLandforms,
  upsideDownCliffs,
  belowTheBoard,
  wallsMeet,
  underTheSkin,
  thickForSize,
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
  bareStand,
  holesOut,
  openingOut,
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
  bowlTooLarge,
  coatedSoon,
  colourOverGrass,
  colourUnderSeal,
  buriedCoats,
  deepestOverLimit,
  doneOutOfOrder,
  flameNearAlcohol,
  footprintsUnmasked,
  glueEatsFoam,
  glueSkinsOver,
  grassAfterStones,
  grassGlueSkins,
  hooksTooLow,
  hotGlueOnFoam,
  materialShort,
  uncountedStores,
  nothingSeals,
  paintedDamp,
  pastItsDate,
  plasterOnSkin,
  sealUnderPaste,
  sealedWet,
  sprayOnBareFoam,
  tipsOver,
];

/** Everything the rules have to say about a plan, each with its reason: what stops the work first, what the builder overruled last. */
export const findingsOf = (plan: PlanView): Finding[] => toEnd(findingsFor(plan));

/** The same, yielding between one rule and the next. */
export function* findingsFor(plan: PlanView): Generator<undefined, Finding[]> {
  const told: Finding[] = [];
  for (const rule of rules) {
    yield;
    told.push(...rule(plan));
  }
  const found = told.map(withWords).map((finding): Finding => {
    const overruled = overruledBy(plan.project, finding);
    const reason =
      finding.reason ?? reasons[finding.code] ?? (finding.code.startsWith('limit-') ? reasons.limit : undefined);
    return { ...finding, ...(reason && { reason }), ...(overruled && { overruled }) };
  });
  return found.sort(
    (a, b) =>
      Number(a.overruled !== undefined) - Number(b.overruled !== undefined) ||
      severities.indexOf(a.severity) - severities.indexOf(b.severity),
  );
}
