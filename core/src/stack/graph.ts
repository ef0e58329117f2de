/**
 * The joints that stacks can reach as nodes, and every layer that may be laid between two as an edge: an acyclic graph from the board up.
 */
import { LEVEL_STEP_MM } from '../geometry/index.ts';
import { atBoard, type Give, giveOf, noGive, type Settled } from './give.ts';
import { type End, endAt, layOn, lineOn, type StackModel, type Step } from './model.ts';
import { type Option, sliceOf } from './stock.ts';

/**
 * A height that stacks reach, with every layer that may be laid on it. Nodes go from the board up. Where levels may be moved, a height has a node
 * for each way in which those near it are settled.
 */
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
    toMm: fromMm + lineOn(model, fromMm) + option.thicknessMm,
  }));
  const optionsAt = (heightMm: number): Option[] => [
    ...model.options,
    ...(model.wire ? landingSlices(model, heightMm, landings) : []),
    ...(held.length ? pinnedHere(held, heightMm) : []),
  ];
  const give = giveIn(model, optionsAt);
  // By height in steps: the states in which it is reached, and the place of the node of each.
  const reached: States[] = Array.from({ length: stepsTo(model) });
  reached[0] = new Map([[atBoard.key, { settled: atBoard, place: 0 }]]);
  const nodes: Node[] = [];
  const lowestEnd = Math.max(0, ...held.map(({ toMm }) => toMm)) - HAIR_MM;
  const goals: { edge: Node['edges'][number]; key: string }[] = [];
  for (let key = 0; key < reached.length; key++) {
    const states = reached[key];
    if (!states) continue;
    const heightMm = key * LEVEL_STEP_MM;
    const options = optionsAt(heightMm);
    for (const here of states.values()) {
      const edges: Node['edges'] = [];
      for (const option of options) {
        const bottomMm = heightMm + lineOn(model, heightMm);
        const topMm = bottomMm + option.thicknessMm;
        const needMm = Math.max(topMm, bottomMm + model.leastStepMm);
        for (const { carried, next, moves, moveMin } of give.settle(here.settled, heightMm, topMm, needMm)) {
          const laid = layOn(model, option, heightMm, carried);
          if (!laid || !clearOf(held, laid)) continue;
          const to = keyOf(laid.topMm);
          reached[to] ??= new Map();
          if (!reached[to].has(next.key)) reached[to].set(next.key, { settled: next, place: -1 });
          const edge = { step: moves.length ? { ...laid, moves, moveMin } : laid, to };
          edges.push(edge);
          goals.push({ edge, key: next.key });
        }
      }
      const carried = give.end(here.settled);
      here.place = nodes.length;
      nodes.push({
        heightMm,
        edges,
        end: endAt(model, heightMm, carried === 'open' ? null : carried),
        mayEnd: heightMm >= lowestEnd && carried !== 'open',
      });
    }
  }
  // For now edges go to heights; the places of the nodes above are known only here.
  for (const { edge, key } of goals) edge.to = reached[edge.to]?.get(key)?.place ?? 0;
  return held.length || model.levels.length ? onTheWay(nodes) : nodes;
}

/** The give of a model's levels: they may move onto every height that its options reach, whatever ground there is. */
function giveIn(model: StackModel, optionsAt: (heightMm: number) => Option[]): Give {
  if (!model.levels.length) return noGive;
  const reached = new Uint8Array(stepsTo(model));
  reached[0] = 1;
  const joints: number[] = [];
  for (let key = 0; key < reached.length; key++) {
    if (!reached[key]) continue;
    const heightMm = key * LEVEL_STEP_MM;
    joints.push(heightMm);
    for (const { thicknessMm } of optionsAt(heightMm))
      reached[keyOf(heightMm + lineOn(model, heightMm) + thicknessMm)] = 1;
  }
  return giveOf(model, joints, comesTo(model));
}

/** Whether some row of layers takes a stack from one height to another. With a wire more can be reached than its options tell: all counts then. */
function comesTo(model: StackModel): (fromMm: number, toMm: number) => boolean {
  const rises = new Uint8Array(stepsTo(model));
  rises[0] = 1;
  for (let rise = 0; rise < rises.length; rise++)
    if (rises[rise])
      for (const { thicknessMm } of model.options) {
        rises[rise + keyOf(model.glueLineMm + thicknessMm)] = 1;
        if (rise === 0) rises[keyOf(lineOn(model, 0) + thicknessMm)] = 1;
      }
  return (fromMm, toMm) => {
    const rise = keyOf(toMm - fromMm);
    return rise >= 0 && (model.wire !== null || rises[rise] === 1);
  };
}

type States = Map<string, { settled: Settled; place: number }> | undefined;

/** So many steps of height lie below the highest joint that a stack may reach, its levels moved or not. */
function stepsTo({ highestMm, glueLineMm, stock, levels }: StackModel): number {
  const thickest = Math.max(0, ...stock.map(({ thicknessMm }) => thicknessMm));
  const up = Math.max(0, ...levels.map(({ upMm }) => upMm));
  return keyOf(highestMm + up + glueLineMm + thickest) + 2;
}

/** Slices that bring the next joint onto a height, from every pool that the wire can slice so. */
function landingSlices(model: StackModel, fromMm: number, landings: readonly number[]): Option[] {
  const { stock: pools, wire } = model;
  if (!wire) return [];
  return landings.flatMap((heightMm) => {
    const sliceMm = heightMm - fromMm - lineOn(model, fromMm);
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
