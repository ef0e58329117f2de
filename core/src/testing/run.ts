/** Runs a generator to its end. */
export function toEnd<T>(run: Generator<unknown, T>): T {
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}
