/** What a draft may cost so that thirty a second are left when the page has drawn them too, and what leaves room for a finer one, ms. */
const TOO_SLOW_MS = 13;
const QUICK_MS = 5;
/** So many drafts are looked at before their number of nodes is changed: a change costs a pause. */
const LOOK_AT = 8;
const FEWEST = 1300;
const MOST = 5500;

/** Chooses how many nodes a draft has from how long the last ones took: coarser on a slow machine, finer on a quick one. */
export function createPace(start: number): { nodes: () => number; took: (ms: number) => void } {
  let nodes = start;
  let seen: number[] = [];
  return {
    nodes: () => nodes,
    took: (ms) => {
      seen.push(ms);
      if (seen.length < LOOK_AT) return;
      const middle = seen.sort((a, b) => a - b)[LOOK_AT / 2];
      seen = [];
      if (middle > TOO_SLOW_MS) nodes = Math.max(FEWEST, Math.round(nodes * 0.7));
      if (middle < QUICK_MS) nodes = Math.min(MOST, Math.round(nodes * 1.4));
    },
  };
}
