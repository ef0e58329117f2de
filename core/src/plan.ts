import { type Finding, findingsOf } from './checks/index.ts';
import { type Choice, chooseFor, offersOf, tracksOf } from './choice/index.ts';
import { type Cutting, cuttingOf } from './cutting/index.ts';
import { cuttingReport } from './cuttingReport.ts';
import { daysOf } from './days/index.ts';
import { middlesOf, standingShares } from './fit/index.ts';
import {
  cellOf,
  finishedGround,
  type Ground,
  groundOf,
  poolsOf,
  readSpans,
  readVoids,
  type Solved,
  solvedOf,
} from './ground/index.ts';
import { toEnd } from './kernel/index.ts';
import {
  type AreaMap,
  areasOf,
  type Land as LayerLand,
  type LayerPlan,
  layerPlan,
  layIn,
  levelPlaces,
  type PasteMap,
  pasteOfZones,
  roomsOf,
  stackGround,
  type Target,
  targetOf,
  weightsOf,
} from './layers/index.ts';
import { catalogueOf, type Property } from './materials/index.ts';
import { createMemory } from './memory.ts';
import { type Land, reportOf, schoolReport, type Worked } from './planReport.ts';
import {
  type Base,
  fillPasteOf,
  type HandLayer,
  itemsOf,
  openAsClosed,
  type Project,
  type School,
} from './project/index.ts';
import { type Worn, wornOf } from './recipes/index.ts';
import type { PlanReport, SchoolReport } from './report.ts';
import { costOf, layByHand } from './stack/index.ts';
import { onGround, surfacesOf, takeoffOf } from './takeoff/index.ts';
import { readSet, readTile, type SetRead, type TileRead } from './tiles/index.ts';
import { type ZoneMap, type ZonesRead, zonesOf } from './zones/index.ts';

/** Everything worked out from a project: the report, and the fields that drawings are made from. */
export interface Plan {
  report: PlanReport;
  /** What the rules have to say, worked out once more. */
  check: () => Finding[];
  ground: Ground;
  target: Target;
  /** Which zone lies where. */
  zones: ZoneMap;
  /** How deep paste lies, by cell, mm. */
  pasteMm: Float32Array;
  /** Which part of the base is built in which way. */
  areas: AreaMap;
  /** How the layers are cut: pieces, and how they lie on sheets. */
  cutting: Cutting;
  /** Takes another stack of the same ground to its days and money. */
  weigh: (school: School, layers: readonly HandLayer[]) => SchoolReport | null;
  /** Not the last word: the ground is not quite at rest, or schools and low points are still those from before; run again for the exact plan. */
  near: boolean;
}

/**
 * Runs the stages in the builder's order and keeps what has not changed since the last run. `run` is a generator that yields between
 * pieces of work, so that a newer edit can abandon an older run. A `quick` run may answer with a plan that is `near`. `cell` gives the cell of
 * the ground's lattice, mm.
 */
export function createPlanner(cell: (base: Base) => number = cellOf): {
  run: (project: Project, quick?: boolean) => Generator<undefined, Plan>;
} {
  let solved: Solved | undefined;
  const memory = createMemory();
  let layers: { key: string; sheetsKey: string; value: LayerPlan[] } | undefined;

  function* run(project: Project, quick = false): Generator<undefined, Plan> {
    memory.begin();
    solved = yield* solvedOf(project, cell(project.base), solved, quick);
    const lines = solved;
    const { base, marks, landforms, terrain, tile, profiles } = project;
    // Written out once: a plan of many points is long.
    const groundKey = JSON.stringify([lines.near, base.shape, marks, landforms, terrain, tile, profiles]);
    const land = yield* memory.exact('ground', groundKey, () => finishedGround(project, lines));
    // A quick run leaves what changes little, and the schools that are not chosen, as they were.
    const read = quick ? memory.loose : memory.exact;
    const pools = yield* read('pools', groundKey, () => poolsOf(land.grid, land.outline));
    const standing = yield* read('standing', [groundKey, project.judging], () =>
      standingShares(land.grid, land.outline, project.judging),
    );
    // Areas that are built in ways of their own, or wear skins of their own, may be zones: then these may not lag behind.
    const byZone =
      project.stacking.areas.some(({ of }) => of.kind === 'zone') || wearsByZone(project) || zonesAreCheap(project);
    const wearing = [wornWhere(project), project.surface, figuresOf(project, ['plyMm'])];
    const zonesKey = [
      groundKey,
      project.patches,
      project.zones,
      project.laid,
      project.recipes.map(({ id }) => id),
      project.surface.recipe,
    ];
    const readZones = () => zonesOf(project, land);
    const exactly = byZone ? memory.exact : read;
    let zones = yield* exactly('zones', zonesKey, readZones);
    // A base of another size has other cells.
    if (zones.map.zone.length !== (land.grid.columns - 1) * (land.grid.rows - 1))
      zones = yield* memory.exact('zones', zonesKey, readZones);
    // Zones of before are told apart from those of now.
    const worn = yield* memory.exact('worn', [zonesKey, wearing, memory.left()], () => wornOf(project, land, zones));
    const targetKey = [groundKey, worn.skin.thicknessMm, worn.skin.node && [zonesKey, wearing]];
    const wanted = yield* memory.exact('target', targetKey, () => targetOf(land, worn.skin));
    const voids = yield* memory.exact('voids', [groundKey, project.voids], () =>
      readVoids(land.grid, land.outline, project.voids),
    );
    const set = yield* setOf(project, land, groundKey, quick);
    // Areas of zones and landforms: what they are read from.
    const { areas, ...stacking } = project.stacking;
    const areasKey = [groundKey, areas, areas.length && [project.patches, project.zones, project.laid]];
    const map = yield* memory.exact('areas', areasKey, () => areasOf(project, land, zones));
    const laidKey = [targetKey, project.laid, figuresOf(project, ['wetKgPerL', 'solidShare'])];
    const laid = yield* memory.exact('laid', laidKey, () =>
      layIn(project.laid, land, wanted, catalogueOf(project.materials)),
    );
    const roomsKey = [targetKey, project.voids, project.laid];
    const rooms = yield* memory.exact('rooms', roomsKey, () => roomsOf(project, land, laid));
    const names = itemsOf(project).map(({ id, name }) => [id, name]);
    const coversKey = project.sheets.map(({ limit }) => limit);
    const stackLand = yield* memory.exact('stack ground', [targetKey, areasKey, coversKey, names], () =>
      stackGround(
        project,
        land,
        wanted,
        map,
        levelPlaces([...marks, ...landforms], land.built, land.grid, wanted.grid, map),
      ),
    );
    const stockKey = JSON.stringify([
      project.sheets,
      project.offcuts,
      { ...stacking, school: '', wish: '' },
      areas,
      fillPasteOf(project),
      figuresOf(project, stackFigures),
    ]);
    const choiceKey = [targetKey, areasKey, stockKey, project.stacking, project.stack, project.air, base.board];
    const tracks = yield* memory.exact('tracks', choiceKey, () => tracksOf(project, stackLand));
    // What else could be built matters to a quick answer only where the builder chose by it.
    const byWish = project.stacking.wish !== 'least cost' && !project.stack.byHand;
    const offers = yield* (byWish ? memory.exact : read)('offers', choiceKey, () =>
      offersOf(project, stackLand, tracks),
    );
    const choice = chooseFor(project, stackLand, tracks, offers);
    const layerLand: LayerLand = { ground: land, target: wanted, map, rooms, levels: stackLand.levels };
    const layersKey = JSON.stringify([targetKey, areasKey, roomsKey, stockKey, project.stack]);
    let left = memory.left();
    if (layers?.key !== layersKey) {
      const known = quick && layers?.sheetsKey === stockKey ? layers.value : null;
      left ||= known !== null;
      const plans: LayerPlan[] = [];
      for (const { school, model, found } of choice.bySchool) {
        const kept = school === choice.chosen.school ? undefined : known?.find((plan) => plan.school === school);
        plans.push(kept ?? layerPlan(project, layerLand, model, school, found.steps, found.costMin));
        yield;
      }
      layers = { key: known ? '' : layersKey, sheetsKey: stockKey, value: plans };
    }
    const skinMl = land.volumeMl - wanted.volumeMl;
    const whole: Whole = { project, land: layerLand, worn, zones, skinMl };
    const pasteKey = [layersKey, choiceKey, zonesKey, left];
    const { materials, rows, counts, bench, air, cutting: cuts, seed, stores } = project;
    const amountsKey = [
      wearing,
      project.recipes,
      materials,
      rows,
      counts,
      bench,
      air,
      cuts,
      seed,
      project.envelope,
      stores.packs,
    ];
    const worked: Worked[] = [];
    for (const plan of layers.value) {
      // The chosen school may not lag behind.
      const known = plan.school === choice.chosen.school ? memory.exact : read;
      const paste = yield* known(`paste ${plan.school}`, pasteKey, () => pasteFor(whole, plan));
      const all = yield* known(`worked ${plan.school}`, [pasteKey, amountsKey], () =>
        workedOut(whole, plan, paste, null),
      );
      worked.push({ ...all, plan });
    }
    const chosenPlan = yield* memory.exact('chosen', [layersKey, choiceKey, left], () =>
      chosenOf(project, choice, layerLand, layers?.value ?? []),
    );
    const paste = yield* memory.exact('paste', pasteKey, () => pasteFor(whole, chosenPlan));
    const cutKey = [layersKey, choiceKey, project.cutting, project.nest];
    const cutting = yield* read('cutting', cutKey, () => cuttingOf(project, chosenPlan.layers));
    left ||= memory.left();
    const cutReport = yield* memory.exact('cutting report', [cutKey, left], () => cuttingReport(project, cutting));
    // From here on what is used is what the pieces are laid on.
    const laidPlan = { ...chosenPlan, sheetsUsed: cutting.sheetsUsed };
    const alike = worked.find(({ plan }) => plan === chosenPlan);
    const chosen = workedOut(whole, laidPlan, paste, cutting, alike);
    const middles = yield* memory.exact('middles', [pasteKey, base.board, figuresOf(project, ['densityKgM3'])], () =>
      middlesOf(project, land, chosenPlan.layers, paste, zones.map),
    );
    const reads: Land = {
      solved: lines,
      ground: land,
      target: wanted,
      spans: readSpans(land.grid, project.landforms, land.built),
      laid,
      pools,
      standing,
      voids,
      zones,
      worn,
      paste,
      set,
      choice,
      map,
      cutting,
      cuttingReport: cutReport,
      middles,
    };
    const { report, view } = reportOf(project, reads, worked, chosen);
    return {
      report,
      check: () => findingsOf(view),
      ground: land,
      target: wanted,
      zones: zones.map,
      pasteMm: paste.depthMm,
      areas: map,
      cutting,
      weigh: (school, written) => weighed(whole, choice, school, written),
      near: lines.near || left,
    };
  }

  /** How the tiles of the set meet: the open one by its ground, each other one by a ground that is worked out once. */
  function* setOf(project: Project, land: Ground, groundKey: string, quick: boolean): Generator<undefined, SetRead> {
    const reads = new Map<string, TileRead>();
    const { profiles, tile, things, laid } = project;
    if (!project.tiles.length) return readSet(project, reads);
    const read = quick ? memory.loose : memory.exact;
    const open = yield* read('open tile', [groundKey, things, laid], () =>
      readTile(project, openAsClosed(project), land),
    );
    reads.set(tile.id, open);
    for (const closed of project.tiles) {
      const shape = { ...closed, tile: closed, profiles };
      const other = yield* memory.exact(`tile ${closed.id}`, [closed, profiles], function* () {
        return readTile(project, closed, yield* groundOf(shape, cell(shape.base)));
      });
      reads.set(closed.id, other);
    }
    return readSet(project, reads);
  }
  return { run };
}

/** Figures of materials on which the stack, its joints and its paste depend: others change amounts only. */
const stackFigures: readonly Property[] = [
  'densityKgM3',
  'vapourResistance',
  'lineMm',
  'mostPerCoatMm',
  'dryKgPerL',
  'dryA',
  'dryB',
  'clampMin',
  'solidsPercent',
  'spreadGPerM2',
  'cureH',
];

/** What the builder changed of some figures. */
const figuresOf = ({ materials }: Project, wanted: readonly Property[]): unknown => [
  materials.values.filter(({ property }) => wanted.includes(property)),
  materials.added.map(({ id, values }) => [id, ...wanted.map((property) => values[property] ?? null)]),
];

/** Whether zones and coats ask for nothing that takes long to find out. */
const zonesAreCheap = ({ zones, recipes }: Project): boolean =>
  [...zones.rules, ...recipes.flatMap(({ coats }) => coats)].every(({ when }) =>
    (['water', 'wall', 'rock', 'way', 'wetness'] as const).every((what) => when[what] === null),
  );

/** What decides where each coat lies, and how thick skins are: all else of a recipe changes amounts only. */
const wornWhere = ({ recipes }: Project): unknown =>
  recipes.map(({ id, coats }) => [
    id,
    coats.map(({ operation, when, material, thicknessMm, coats: plies }) => [
      when,
      operation === 'skin' && [material, thicknessMm, plies],
    ]),
  ]);

/** Whether skins may differ from place to place. */
const wearsByZone = ({ zones, patches, recipes }: Project): boolean =>
  [...zones.rules, ...patches].some(({ recipe }) => recipe !== null) ||
  recipes.some(({ coats }) =>
    coats.some(({ operation, when }) => operation === 'skin' && Object.values(when).some((limits) => limits !== null)),
  );

/** What the take-off of any stack on a ground is worked out from. */
interface Whole {
  project: Project;
  land: LayerLand;
  worn: Worn;
  zones: ZonesRead;
  skinMl: number;
}

const pasteFor = ({ land, zones, skinMl }: Whole, plan: LayerPlan): PasteMap =>
  pasteOfZones(land, plan, skinMl, zones.map, zones.zones.length);

/** `known` is the same stack worked out before, however its pieces lay: what goes on it is the same. */
function workedOut(
  { project, land, worn }: Whole,
  plan: LayerPlan,
  paste: PasteMap,
  cut: Cutting | null,
  known?: Worked,
): Worked {
  const above = known?.above ?? onGround(project, land.ground, surfacesOf(project, land.ground, worn, paste));
  const takeoff = takeoffOf(project, plan, above, cut);
  return { plan, above, takeoff, days: daysOf(project, plan, takeoff) };
}

/** The stack that is built: that of its school where nothing else was wished for. */
function chosenOf(
  project: Project,
  { chosen, bySchool }: Choice,
  land: LayerLand,
  plans: readonly LayerPlan[],
): LayerPlan {
  const { school, model, steps, costMin } = chosen;
  const same = bySchool.findIndex((each) => each.school === school && each.found.steps === steps);
  return plans[same] ?? layerPlan(project, land, model, school, steps, costMin);
}

/** Any stack of a school, written from the board up, with its take-off and its days; null where a layer of it cannot be laid. */
function weighed(
  whole: Whole,
  { bySchool }: Choice,
  school: School,
  written: readonly HandLayer[],
): SchoolReport | null {
  const { project, land } = whole;
  const track = bySchool.find((each) => each.school === school);
  if (!track) return null;
  const { steps, idle, unknown } = layByHand(track.model, written);
  if (idle.length || unknown.length) return null;
  const costMin = costOf(track.model, steps, weightsOf(project.stacking));
  const plan = layerPlan(project, land, track.model, school, steps, costMin);
  return schoolReport(project, workedOut(whole, plan, pasteFor(whole, plan), null));
}

/** The plan of a project, worked out from nothing. The same project always gives the same plan. */
export const plan = (project: Project): Plan => toEnd(createPlanner().run(project));
