/** Heights of places, worked out in threads of their own: at most so many wait, and none longer than so long. */
import { Piscina } from 'piscina';

/** What gives the heights of a place as a grid file; fails with `TooBusy` when too many are asked for at once. */
export type HeightsOf = (place: string) => Promise<string>;

export class TooBusy extends Error {}

const MOST_WAITING = 500;
const LONGEST_MS = 10_000;

/** `worker` is the address of the built `elevationWorker`. */
export function heightsInThreads(worker: URL): { heightsOf: HeightsOf; stop: () => Promise<void> } {
  const pool = new Piscina<string, string>({
    filename: worker.href,
    minThreads: 1,
    maxThreads: 2,
    maxQueue: MOST_WAITING,
  });
  return {
    heightsOf: async (place) => {
      if (pool.queueSize >= MOST_WAITING) throw new TooBusy();
      const late = AbortSignal.timeout(LONGEST_MS);
      try {
        return await pool.run(place, { signal: late });
      } catch (error) {
        if (late.aborted || pool.queueSize >= MOST_WAITING) throw new TooBusy();
        throw error;
      }
    },
    stop: () => pool.destroy(),
  };
}
