export { type AreaMap, areasOf } from './areas.ts';
export { boardFlats } from './boardFlats.ts';
export { foamTarget } from './foamTarget.ts';
export { type LaidRead, layIn, namedLaid } from './laidIn.ts';
export type { Land, Layer, LayerPlan } from './layers.ts';
export { layerPlan } from './layers.ts';
export { foamTopAt, type Level, type LevelPlace, levelName, levelPlaces, sayTolerance, sayWork } from './levels.ts';
export { most95Guess } from './pasteGuess.ts';
export { type Recess as Room, roomKinds, roomsOf } from './rooms.ts';
export { type NamedRoomWork, type RoomWork, roomWays, sayRoomWork } from './roomWork.ts';
export * from './section.ts';
export { type SetOut, settingOut } from './settingOut.ts';
export type { SheetsUsed } from './sheetsUsed.ts';
export { groundOver, skinOver } from './skinOver.ts';
export {
  fillMinPerLOf,
  limitsOf,
  modelFor,
  type Priced,
  pinnedOf,
  type StackGround,
  stackGround,
  weightsOf,
  wishWeights,
} from './stackModel.ts';
export { evenSkin, foamItself, type Target, targetFor, targetOf } from './target.ts';
export type { Wedge } from './wedges.ts';
export { type Depth, most95Of, type PasteMap, pasteOfZones, type ZonePaste } from './zonePaste.ts';
