import './workerSetup.ts';
import { compareScores, createSearch, type Layout, type NestProblem, type Search, toEnd } from '@hosket/core';

/** Asks for ever better layouts of some problems, from a seed. */
export interface NestRequest {
  problems: readonly NestProblem[];
  seed: number;
}

/** The best layouts so far, a problem each; null where nothing has changed since the last answer. */
export interface NestAnswer {
  layouts: (Layout | null)[];
  tries: number;
}

/** One problem is worked on so long before the next one has its turn, ms; a problem of one piece needs no more than a few tries. */
const TURN_MS = 120;
const FEW_TRIES = 24;

const breath = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

self.onmessage = async ({ data: { problems, seed } }: MessageEvent<NestRequest>) => {
  const searches: Search[] = problems.map((problem) => createSearch(problem, seed));
  const sent: (Layout | null)[] = problems.map(() => null);
  for (;;) {
    for (const [k, search] of searches.entries()) {
      const free = problems[k].pieces.length - problems[k].pinned.length;
      const until = performance.now() + TURN_MS;
      while (performance.now() < until && (free > 1 || search.tries() < FEW_TRIES)) search.step();
      if (free < 2 && searches.length === 1) await new Promise((resolve) => setTimeout(resolve, TURN_MS));
      const best = toEnd(search.best());
      const before = sent[k];
      const news = !before || compareScores(best.score, before.score) < 0;
      if (news) sent[k] = best;
      const tries = searches.reduce((sum, each) => sum + each.tries(), 0);
      self.postMessage({
        layouts: searches.map((_, n) => (n === k && news ? best : null)),
        tries,
      } satisfies NestAnswer);
      await breath();
    }
  }
};
