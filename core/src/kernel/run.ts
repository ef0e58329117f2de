/** Work in steps, run to its end at once. Whoever has others waiting takes the steps one by one instead and looks up between them. */
export function toEnd<T>(run: Generator<unknown, T>): T {
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}
