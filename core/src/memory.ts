/** Results by name, each kept until what it is made from has changed. */
export interface Memory {
  /** The result of `make`, or the one made before from the same key. */
  exact: <T>(name: string, key: unknown, make: () => Generator<undefined, T> | T) => Generator<undefined, T>;
  /** The same, but where there is an older result that one is taken as it is: what a quick answer does with what changes little. */
  loose: <T>(name: string, key: unknown, make: () => Generator<undefined, T> | T) => Generator<undefined, T>;
  /** Whether a `loose` result was taken that is not of the present key, since the last `begin`. */
  left: () => boolean;
  begin: () => void;
}

const isRun = <T>(made: Generator<undefined, T> | T): made is Generator<undefined, T> =>
  typeof made === 'object' && made !== null && 'next' in made;

export function createMemory(): Memory {
  const kept = new Map<string, { key: string; value: unknown }>();
  let left = false;
  function* exact<T>(name: string, key: unknown, make: () => Generator<undefined, T> | T): Generator<undefined, T> {
    const text = JSON.stringify(key);
    const before = kept.get(name);
    if (before?.key === text) return before.value as T;
    const made = make();
    const value = isRun(made) ? yield* made : made;
    kept.set(name, { key: text, value });
    yield;
    return value;
  }
  function* loose<T>(name: string, key: unknown, make: () => Generator<undefined, T> | T): Generator<undefined, T> {
    const before = kept.get(name);
    if (!before) return yield* exact(name, key, make);
    if (before.key !== JSON.stringify(key)) left = true;
    return before.value as T;
  }
  return {
    exact,
    loose,
    left: () => left,
    begin: () => {
      left = false;
    },
  };
}
