const RUNS = 3;

export const middle = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)];
export const whole = Math.round;
export const ratio = (a: number, b: number) => Number((a / b).toFixed(2));

/** The median of a few runs, ms, and the last result. */
export function timed<T>(work: (run: number) => T, runs = RUNS): { ms: number; value: T } {
  const times: number[] = [];
  let value = work(-1);
  for (let run = 0; run < runs; run++) {
    const from = performance.now();
    value = work(run);
    times.push(performance.now() - from);
  }
  return { ms: middle(times), value };
}
