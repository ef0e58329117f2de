import { createSearch, type NestProblem, toEnd } from '@hosket/core';

/** Searches for so many seconds and tells how far the layout reaches whenever that gets less. */
process.once('message', ({ problem, seed, seconds }: { problem: NestProblem; seed: number; seconds: number }) => {
  const search = createSearch(problem, seed);
  const from = performance.now();
  let told = Number.POSITIVE_INFINITY;
  let looked = 0;
  for (;;) {
    search.step();
    const now = (performance.now() - from) / 1000;
    const over = now > seconds;
    // The layout is pushed together only now and then: that takes as long as many tries.
    if (!over && now - looked < 0.5) continue;
    looked = now;
    const { score, placed, leftOver } = toEnd(search.best());
    const news = {
      seconds: now,
      reachMm: score.reachMm,
      sheets: score.sheets,
      tries: search.tries(),
      placed,
      leftOver,
    };
    if (over) {
      process.send?.(news, () => process.disconnect());
      return;
    }
    if (score.reachMm < told - 1e-6) process.send?.(news);
    told = score.reachMm;
  }
});
