import {
  baseOutline,
  baseSize,
  boardOutline,
  discOf,
  feetPlaces,
  footRing,
  type Item,
  isClosed,
  isThing,
  itemsOf,
  type LayerReport,
  offsetLine,
  outlineRings,
  type PlanReport,
  type Project,
  type Ring,
  runOf,
  type Thing,
  type Void,
} from '@hosket/core';
import {
  BufferAttribute,
  BufferGeometry,
  CylinderGeometry,
  ExtrudeGeometry,
  Path,
  Shape,
  ShapeGeometry,
  Vector2,
} from 'three';
import { modelColours } from '../../ui/daylight.ts';

/** Something to draw: its geometry in mm, its colour, and whether one sees through it. */
export interface Piece {
  geometry: BufferGeometry;
  colour: string;
  glassy?: boolean;
  /** Hardly there: what lies behind it is to be seen. */
  ghostly?: boolean;
}

const shapeOf = (outer: Ring, holes: readonly Ring[] = []): Shape => {
  const shape = new Shape(outer.map(([x, y]) => vector(x, y)));
  shape.holes = holes.map((hole) => new Path(hole.map(([x, y]) => vector(x, y))));
  return shape;
};
const vector = (x: number, y: number) => new Vector2(x, y);

/** Lays a shape drawn on the plan flat in the model, its near edge towards the viewer, and lifts it. */
const laidFlat = (geometry: BufferGeometry, depthMm: number, liftMm: number): BufferGeometry =>
  geometry.rotateX(-Math.PI / 2).translate(0, liftMm, depthMm);

/** A plate with upright sides between two heights. */
const plate = (outer: Ring, holes: readonly Ring[], fromMm: number, toMm: number, depthMm: number): BufferGeometry =>
  laidFlat(
    new ExtrudeGeometry(shapeOf(outlineRings(outer)[0], [...outlineRings(outer).slice(1), ...holes]), {
      depth: Math.max(0.1, toMm - fromMm),
      bevelEnabled: false,
    }),
    depthMm,
    fromMm,
  );

/** What the ground stands on: the board with its holes, a bottom panel, feet. */
export function standPieces(base: Project['base'], depthMm: number): Piece[] {
  const { board, frame, feet } = base;
  const outline = boardOutline(base);
  const colour = modelColours.board;
  const holes = (board.holes ?? []).map(({ at, acrossMm }) => discOf(at, acrossMm));
  const bottomMm = frame?.bottomMm ?? 0;
  const underside = -board.thicknessMm - bottomMm;
  return [
    ...(outline ? [{ geometry: plate(outline, holes, -board.thicknessMm, 0, depthMm), colour }] : []),
    ...(bottomMm ? [{ geometry: plate(baseOutline(base), [], underside, -board.thicknessMm, depthMm), colour }] : []),
    ...(feet
      ? feetPlaces(base).map((at) => ({
          geometry: plate(discOf(at, feet.acrossMm), [], underside - feet.heightMm, underside, depthMm),
          colour: modelColours.trunk,
        }))
      : []),
  ];
}

/** Sheets as they are cut, each lifted by its place in the stack times `apartMm`; the picked one stands out. */
export const layerPieces = (
  layers: readonly LayerReport[],
  apartMm: number,
  picked: number | null,
  depthMm: number,
): Piece[] =>
  layers.flatMap(({ index, bottomMm, topMm, pieces }) =>
    pieces.map(({ outer, holes }) => ({
      geometry: plate(outer, holes, bottomMm + index * apartMm, topMm + index * apartMm, depthMm),
      colour: index === picked ? modelColours.foamPicked : index % 2 ? modelColours.foamEven : modelColours.foamOdd,
    })),
  );

/** A band along a line, its height running evenly from end to end; `thickMm` below it. */
function band(
  run: Ring,
  widthMm: number,
  fromMm: number,
  toMm: number,
  thickMm: number,
  depthMm: number,
): BufferGeometry {
  const left = offsetLine(run, widthMm / 2);
  const right = offsetLine(run, -widthMm / 2);
  let whole = 0;
  const along = run.map(([x, y], k) => {
    if (k) whole += Math.hypot(x - run[k - 1][0], y - run[k - 1][1]);
    return whole;
  });
  const height = (k: number) => fromMm + ((toMm - fromMm) * along[k]) / (whole || 1);
  const corner = ([x, y]: Ring[number], z: number) => [x, z, depthMm - y];
  const positions: number[] = [];
  const quad = (a: number[], b: number[], c: number[], d: number[]) =>
    positions.push(...a, ...b, ...c, ...a, ...c, ...d);
  for (let k = 1; k < run.length; k++) {
    const [z0, z1] = [height(k - 1), height(k)];
    const [l0, l1, r0, r1] = [left[k - 1], left[k], right[k - 1], right[k]];
    quad(corner(r0, z0), corner(r1, z1), corner(l1, z1), corner(l0, z0));
    if (!thickMm) continue;
    const [u0, u1] = [z0 - thickMm, z1 - thickMm];
    quad(corner(l0, u0), corner(l1, u1), corner(r1, u1), corner(r0, u0));
    quad(corner(r0, u0), corner(r1, u1), corner(r1, z1), corner(r0, z0));
    quad(corner(l1, u1), corner(l0, u0), corner(l0, z0), corner(l1, z1));
    if (k === 1) quad(corner(l0, u0), corner(r0, u0), corner(r0, z0), corner(l0, z0));
    if (k === run.length - 1) quad(corner(r1, u1), corner(l1, u1), corner(l1, z1), corner(r1, z1));
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(Float32Array.from(positions), 3));
  geometry.computeVertexNormals();
  return geometry;
}

/** What stands on or in the ground and is not of it: water, decks, laid-in things. */
export function thingPieces(project: Project, report: PlanReport): Piece[] {
  const { depthMm } = baseSize(project.base);
  return itemsOf(project).flatMap((item) => thingPiece(item, report, depthMm));
}

function thingPiece(item: Item, report: PlanReport, depthMm: number): Piece[] {
  const run = runOf(item);
  const built = report.landforms.find(({ id }) => id === item.id);
  const water = (geometry: BufferGeometry): Piece => ({ geometry, colour: modelColours.water, glassy: true });
  const [fromMm, toMm] = [built?.fromMm ?? null, built?.toMm ?? null];
  if ((item.kind === 'basin' || item.kind === 'pit') && item.waterMm !== null)
    return [water(laidFlat(new ShapeGeometry(shapeOf(run)), depthMm, item.waterMm))];
  if (item.kind === 'channel' && fromMm !== null && toMm !== null) {
    const line = item.waterMm - item.depthMm;
    return item.waterMm ? [water(band(run, item.widthMm + item.waterMm, fromMm + line, toMm + line, 0, depthMm))] : [];
  }
  if (item.kind === 'span' && fromMm !== null && toMm !== null)
    return [
      { geometry: band(run, item.widthMm, fromMm, toMm, item.thicknessMm, depthMm), colour: modelColours.bridge },
    ];
  const stood = report.fit.things.find(({ id }) => id === item.id);
  if (stood && isThing(item)) return stoodPieces(item, stood, depthMm);
  const laid = report.laid.find(({ id }) => id === item.id);
  if (laid && isClosed(item))
    return [
      {
        geometry: plate(run, [], laid.undersideMm, laid.topMm, depthMm),
        colour: item.kind === 'building' ? modelColours.house : modelColours.block,
      },
    ];
  return [];
}

/** Hollows as bodies, to be seen through a glassy ground. */
export const hollowPieces = (voids: readonly Void[], depthMm: number): Piece[] =>
  voids.map((hollow): Piece => {
    const run = runOf(hollow);
    const colour = hollow.kind === 'cable' ? modelColours.cable : modelColours.hollow;
    if (hollow.kind === 'tunnel') {
      const top = hollow.headMm;
      return {
        geometry: band(run, hollow.widthMm, hollow.fromMm + top, hollow.toMm + top, top, depthMm),
        colour,
      };
    }
    if (hollow.kind === 'cable') {
      const half = hollow.boreMm / 2;
      return {
        geometry: band(run, hollow.boreMm, hollow.fromMm + half, hollow.toMm + half, hollow.boreMm, depthMm),
        colour,
      };
    }
    return { geometry: plate(run, [], hollow.floorMm, hollow.floorMm + hollow.headMm, depthMm), colour };
  });

/** A thing as a post of its foot, under a crown where it has one. */
function stoodPieces(
  thing: Thing,
  { bottomMm, branchesMm, topMm, reachMm }: PlanReport['fit']['things'][number],
  depthMm: number,
): Piece[] {
  const [x, y] = thing.points[0];
  const drum = (across: number, fromMm: number, toMm: number, colour: string): Piece => ({
    geometry: new CylinderGeometry(across / 2, across / 2, toMm - fromMm, 24).translate(
      x,
      (fromMm + toMm) / 2,
      depthMm - y,
    ),
    colour,
  });
  const ring = footRing(thing);
  const foot = (toMm: number, colour: string): Piece =>
    ring ? { geometry: plate(ring, [], bottomMm, toMm, depthMm), colour } : drum(thing.footMm, bottomMm, toMm, colour);
  if (branchesMm === bottomMm) return [foot(topMm, thing.kind === 'held' ? modelColours.held : modelColours.figure)];
  return [foot(branchesMm, modelColours.trunk), drum(2 * reachMm, branchesMm, topMm, modelColours.crown)];
}
