/** A stack written down by hand, laid layer by layer from the board. */
import type { HandLayer } from '../project/index.ts';
import { layOn, type StackModel, type Step } from './model.ts';
import { optionFor } from './stock.ts';

/** A stack laid as the builder wrote it down. */
export interface HandStack {
  steps: Step[];
  /** Which of the written layers (from 0) reach no ground, or cannot be cut from what they ask for. */
  idle: number[];
  unknown: number[];
}

/** Lays a written stack from the board up; a layer that cannot be laid is left out and told. */
export function layByHand(model: StackModel, written: readonly HandLayer[]): HandStack {
  // What was asked for by hand is laid even where it is thinner than what is worth a sheet.
  const free = { ...model, leastStepMm: 0 };
  const laid: HandStack = { steps: [], idle: [], unknown: [] };
  written.forEach((layer, k) => {
    const option = optionFor(layer, model.stock, model.wire);
    const step = option && layOn(free, option, laid.steps.at(-1)?.topMm ?? 0);
    if (step) laid.steps.push(step);
    else (option ? laid.idle : laid.unknown).push(k);
  });
  return laid;
}
