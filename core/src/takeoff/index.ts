export { deferral } from './cautions.ts';
export { postPlaces, readRow } from './counts.ts';
export { gluing } from './foamStages.ts';
export { hadFor, type PriceOf, pricesOf } from './money.ts';
export type { Batches, Drying, StageId, StageTakeoff, WaitKind } from './stage.ts';
export { atPace, surfaceStages } from './surfaceStages.ts';
export { dressedOf, surfacesOf } from './surfaces.ts';
export { onGround, takeoffOf } from './takeoff.ts';
export type { WornSurface } from './wornSurface.ts';
