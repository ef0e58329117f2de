/** The face of the core: what the command line, the browser and the benches may use. Its first line sees to it that they all get the same figures. */
import './units/fixedMath.ts';

export { type Finding, findingIn, sayGradient } from './checks/index.ts';
export {
  bedName,
  type Clash,
  clashesOn,
  kerfMmOf,
  type NestJob,
  placesOf,
  STRAIGHTENED_MM,
  toolLimits,
  withLayout,
} from './cutting/index.ts';
export { type ComparedSurface, compareGlues, compareWays, type WayRead, wallClock } from './days/index.ts';
export { limitIn } from './fit/index.ts';
export {
  boundsOf,
  distanceToEdge,
  distanceToStretch,
  type Grid,
  heightAt,
  insideRing,
  isolines,
  lineLength,
  nearestValue,
  offsetLine,
  outlineEdges,
  outlineRings,
  type Point,
  type Polygon,
  pointAlong,
  polygonArea,
  type Ring,
  ringArea,
  ringSize,
} from './geometry/index.ts';
export {
  type Hold,
  type Hollow,
  holdsAlong,
  nearestOn,
  standingOf,
  type VoidShape,
  voidShape,
  wetnessOf,
} from './ground/index.ts';
export {
  type BenchSheet,
  benchPages,
  type SheetPurchase,
  type SheetStep,
  type SmallDrawing,
  smallPlan,
  smallSection,
} from './handout/index.ts';
export { type StageTime, shared, toEnd } from './kernel/index.ts';
export {
  fillMinPerLOf,
  type RoomWork,
  type SectionLayer,
  type SectionSample,
  type SetOut,
  sayRoomWork,
  sayTolerance,
  sayWork,
  sectionAlong,
  settingOut,
} from './layers/index.ts';
export {
  type Catalogue,
  catalogueOf,
  type Form,
  facts,
  forms,
  type Given,
  inUnit,
  kgPerL,
  type Material,
  type Mix,
  measuredOut,
  mixes,
  noMaterials,
  type OwnMaterials,
  type OwnValue,
  type PackUnit,
  type Property,
  packUnits,
  properties,
  propertyNames,
  servesFor,
  shippedMaterials,
  stuffOf,
  type Value,
} from './materials/index.ts';
export {
  compareScores,
  createSearch,
  type Layout,
  laidOut,
  movePolygon,
  type NestProblem,
  type Placed,
  type Score,
  type Search,
  scorePlaced,
} from './nest/index.ts';
export {
  createDrafter,
  createPlanner,
  DRAFT_NODES,
  type Draft,
  type Drawn,
  type Plan,
  type Planner,
  type PlanProgress,
  plan,
  planWithMoves,
} from './planner/index.ts';
export * from './project/index.ts';
export { coatsOfPart, doneIn, shippedRecipes, type Way, wayOf, ways } from './recipes/index.ts';
export {
  type BedReport,
  type CuttingReport,
  type LandformReport,
  type LayerReport,
  type MovesReport,
  type PieceReport,
  type PlanReport,
  type ProposalReport,
  planReportSchema,
  type SchoolReport,
  type StackReport,
  type StageReport,
  type WedgesReport,
  writePlan,
} from './report/index.ts';
export {
  benchSheet,
  createSetLister,
  listOfTile,
  type SetProgress,
  type SheetFields,
  type ShoppingList,
  templateSource,
  testPieceOf,
  USUAL_TEST_PIECE_MM,
  wholeList,
} from './sets/index.ts';
export { type Criterion, layerKinds, offcutArea, thicknessOf } from './stack/index.ts';
export {
  type Advice,
  adviceOf,
  type PartRead,
  type PiecePart,
  type Purchase,
  type SheetNeed,
  type ShoppingLine,
  sayBuy,
  sayKind,
  sayPurchase,
  sayQuantity,
  sheetNeeds,
} from './stores/index.ts';
export { deferral, hadFor, postPlaces, pricesOf } from './takeoff/index.ts';
export {
  BAR_MM,
  type Page,
  type Pen,
  paperSize,
  paperSizes,
  pens,
  roomiest,
  type Stroke,
  type TemplateKind,
  type TemplateSource,
  templateKinds,
  templatePages,
  type Words,
} from './templates/index.ts';
export * from './units/index.ts';
export { type Suggestion, suggestedZones, type ZoneMap } from './zones/index.ts';
