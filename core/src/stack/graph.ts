/**
 * The joints that stacks can reach as nodes, and every layer that may be laid between two as an edge: an acyclic graph from the board up.
 */
import { LEVEL_STEP_MM } from '../geometry/index.ts';
import { type End, endAt, layOn, type StackModel, type Step } from './model.ts';
import { type Option, sliceOf } from './stock.ts';

/** A height that stacks reach, with every layer that may be laid on it. Nodes go from the board up. */
export interface Node {
  heightMm: number;
  edges: { step: Step; to: number }[];
  end: End;
  /** Whether a stack may end here. */
  mayEnd: boolean;
}

/** A layer that stays where it is, whatever is chosen round it. */
export interface Pinned {
  option: Option;
  fromMm: number;
}

export interface Graph {
  model: StackModel;
  nodes: Node[];
  /** No stack holds all pinned layers where they are, so they were left out of account. */
  pinsLost: boolean;
}

const HAIR_MM = LEVEL_STEP_MM / 2;
const keyOf = (heightMm: number) => Math.round(heightMm / LEVEL_STEP_MM);

/** All heights that stacks of a model reach (in steps of LEVEL_STEP_MM) and the layers between them. */
export function graphOf(model: StackModel, pinned: readonly Pinned[] = []): Graph {
  const nodes = nodesOf(model, pinned);
  if (!pinned.length || nodes.some(({ mayEnd }) => mayEnd)) return { model, nodes, pinsLost: false };
  return { model, nodes: nodesOf(model, []), pinsLost: true };
}

function nodesOf(model: StackModel, pinned: readonly Pinned[]): Node[] {
  const landings = [model.highestMm, ...model.pins.map(({ heightMm }) => heightMm), ...pinned.map((pin) => pin.fromMm)];
  const held = pinned.map(({ option, fromMm }) => ({
    option,
    fromMm,
    toMm: fromMm + model.glueLineMm + option.thicknessMm,
  }));
  const thickest = Math.max(0, ...model.stock.map(({ thicknessMm }) => thicknessMm));
  // By height in steps: whether it is reached, and the place of its node.
  const reached = new Uint8Array(keyOf(model.highestMm + model.glueLineMm + thickest) + 2);
  const places = new Int32Array(reached.length);
  const nodes: Node[] = [];
  const lowestEnd = Math.max(0, ...held.map(({ toMm }) => toMm)) - HAIR_MM;
  reached[0] = 1;
  for (let key = 0; key < reached.length; key++) {
    if (!reached[key]) continue;
    const heightMm = key * LEVEL_STEP_MM;
    const edges: Node['edges'] = [];
    const lay = (option: Option) => {
      const step = layOn(model, option, heightMm);
      if (!step || !clearOf(held, step)) return;
      // For now by height; the place of a node above is not known yet.
      const to = keyOf(step.topMm);
      edges.push({ step, to });
      reached[to] = 1;
    };
    for (const option of model.options) lay(option);
    if (model.wire) for (const option of landingSlices(model, heightMm, landings)) lay(option);
    if (held.length) for (const option of pinnedHere(held, heightMm)) lay(option);
    places[key] = nodes.length;
    nodes.push({ heightMm, edges, end: endAt(model, heightMm), mayEnd: heightMm >= lowestEnd });
  }
  for (const { edges } of nodes) for (const edge of edges) edge.to = places[edge.to];
  return held.length ? onTheWay(nodes) : nodes;
}

/** Slices that bring the next joint onto a height, from every pool that the wire can slice so. */
function landingSlices(
  { stock: pools, wire, glueLineMm }: StackModel,
  fromMm: number,
  landings: readonly number[],
): Option[] {
  if (!wire) return [];
  return landings.flatMap((heightMm) => {
    const sliceMm = heightMm - fromMm - glueLineMm;
    if (sliceMm < wire.thinnestMm) return [];
    return pools.flatMap((pool, k) => sliceOf(pool, k, sliceMm, wire) ?? []);
  });
}

type Held = { option: Option; fromMm: number; toMm: number };

/** A pinned layer may be a slice that no rule would have cut. */
const pinnedHere = (held: readonly Held[], fromMm: number): Option[] =>
  held.flatMap((pin) => (pin.option.sliceMm !== null && Math.abs(pin.fromMm - fromMm) < HAIR_MM ? [pin.option] : []));

export const sameOption = (a: Option, b: Option): boolean =>
  a.pools.length === b.pools.length &&
  a.pools.every((pool, k) => pool === b.pools[k]) &&
  (a.sliceMm === null) === (b.sliceMm === null) &&
  Math.abs(a.thicknessMm - b.thicknessMm) < HAIR_MM;

/** Whether a layer is itself pinned, or leaves every pinned layer its place. */
const clearOf = (held: readonly Held[], { option, fromMm, topMm }: Step): boolean =>
  held.every(
    (pin) =>
      (sameOption(pin.option, option) && Math.abs(pin.fromMm - fromMm) < HAIR_MM) ||
      fromMm > pin.toMm - HAIR_MM ||
      topMm < pin.fromMm + HAIR_MM,
  );

/** Only what leads to an end, so that a search meets no blind alleys. */
function onTheWay(nodes: Node[]): Node[] {
  const leads = nodes.map(({ mayEnd }) => mayEnd);
  for (let n = nodes.length - 1; n >= 0; n--) {
    nodes[n].edges = nodes[n].edges.filter(({ to }) => leads[to]);
    leads[n] ||= nodes[n].edges.length > 0;
  }
  return nodes;
}
