/**
 * Structural sharing: of a new value, every part that says the same as that part of an older one is replaced by the older part itself.
 * Whoever compares parts by reference afterwards compares their content. Linear in the size of the new value.
 */

type Plain = Record<string, unknown>;

const isPlain = (value: unknown): value is Plain => {
  if (typeof value !== 'object' || value === null) return false;
  const proto = Object.getPrototypeOf(value);
  return proto === Object.prototype || proto === null;
};

function sameNumbers(a: ArrayLike<number>, b: ArrayLike<number>): boolean {
  if (a.length !== b.length) return false;
  for (let k = 0; k < a.length; k++) if (!Object.is(a[k], b[k])) return false;
  return true;
}

/** `after`, made of the parts of `before` wherever they are equal; `before` itself where all is. Neither is changed. */
export function shared<T>(before: unknown, after: T): T {
  if (Object.is(before, after)) return after;
  if (Array.isArray(after) && Array.isArray(before)) return sharedList(before, after) as T;
  if (isPlain(after) && isPlain(before)) return sharedFields(before, after) as T;
  if (
    ArrayBuffer.isView(after) &&
    ArrayBuffer.isView(before) &&
    after.constructor === before.constructor &&
    !(after instanceof DataView) &&
    sameNumbers(before as unknown as ArrayLike<number>, after as unknown as ArrayLike<number>)
  )
    return before as unknown as T;
  return after;
}

function sharedList(before: readonly unknown[], after: readonly unknown[]): readonly unknown[] {
  let same = before.length === after.length;
  const made = after.map((part, k) => {
    const one = shared(before[k], part);
    same &&= Object.is(one, before[k]);
    return one;
  });
  return same ? before : made;
}

function sharedFields(before: Plain, after: Plain): Plain {
  const keys = Object.keys(after);
  let same = keys.length === Object.keys(before).length;
  const made: Plain = {};
  for (const key of keys) {
    made[key] = shared(before[key], after[key]);
    same &&= key in before && Object.is(made[key], before[key]);
  }
  return same ? before : made;
}
