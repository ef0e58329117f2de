import { standingOf, wetnessOf } from '@hosket/core';
import type { ReadRequest } from './messages.ts';

/** Reads a ground for the tint of the plan: how wet it is, or where a figure stands. */
self.onmessage = ({ data }: MessageEvent<ReadRequest>) => {
  const { what, grid, outline, figureMm, judging } = data;
  self.postMessage(what === 'wet' ? wetnessOf(grid, outline) : standingOf(grid, outline, figureMm, judging));
};
