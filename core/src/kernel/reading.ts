/**
 * Notes what is really read of an immutable value, so that whoever read it can be asked later whether a newer value would read the same.
 *
 * The reader is given a view: objects whose fields are getters that note the read and then become plain fields, so that only the first read
 * costs anything. Lists of objects are lists of views. What holds only numbers, words or lists of them (a line's points) is handed over as it is
 * and counts as read whole, by reference: share structure first (`shared`). A view that outlives its reading goes on noting.
 */
export interface Reading<T> {
  view: T;
  /** Whether `now` says the same as the value first read, in everything that was read. */
  unchanged: (now: T) => boolean;
}

interface Noted {
  of: object;
  parts: Map<string | number, unknown>;
}
class Part {
  readonly noted: Noted;
  constructor(noted: Noted) {
    this.noted = noted;
  }
}

/** Of each view: the value behind it, and where reads are noted. */
const behind = new WeakMap<object, Noted>();

const isLeaf = (value: unknown): boolean => {
  if (typeof value !== 'object' || value === null) return true;
  if (Array.isArray(value))
    return value.every((part) => typeof part !== 'object' || part === null || Array.isArray(part));
  const proto = Object.getPrototypeOf(value);
  return proto !== Object.prototype && proto !== null;
};

const descriptors = new Map<string, PropertyDescriptor>();

/** One getter for each name of a field, for all views. */
function descriptorOf(key: string): PropertyDescriptor {
  let one = descriptors.get(key);
  if (!one) {
    one = {
      enumerable: true,
      configurable: true,
      get(this: object) {
        const noted = behind.get(this);
        if (!noted) return undefined;
        const value = read(noted, key);
        Object.defineProperty(this, key, { value, enumerable: true, configurable: true, writable: true });
        return value;
      },
    };
    descriptors.set(key, one);
  }
  return one;
}

function read(noted: Noted, key: string | number): unknown {
  const value = (noted.of as Record<string | number, unknown>)[key];
  if (isLeaf(value)) {
    noted.parts.set(key, value);
    return value;
  }
  const within: Noted = { of: value as object, parts: new Map() };
  noted.parts.set(key, new Part(within));
  return viewOf(within);
}

function viewOf(noted: Noted): object {
  if (Array.isArray(noted.of)) return noted.of.map((_, k) => read(noted, k));
  const view = {};
  for (const key of Object.keys(noted.of)) Object.defineProperty(view, key, descriptorOf(key));
  behind.set(view, noted);
  return view;
}

const sameKeys = (a: object, b: object): boolean => {
  if (Array.isArray(a) || Array.isArray(b)) return Array.isArray(a) && Array.isArray(b) && a.length === b.length;
  const keys = Object.keys(a);
  return keys.length === Object.keys(b).length && keys.every((key) => key in b);
};

function unchanged(noted: Noted, now: unknown): boolean {
  if (now === noted.of) return true;
  if (typeof now !== 'object' || now === null || !sameKeys(noted.of, now)) return false;
  for (const [key, part] of noted.parts) {
    const value = (now as Record<string | number, unknown>)[key];
    if (part instanceof Part ? !unchanged(part.noted, value) : !Object.is(part, value)) return false;
  }
  return true;
}

/** Begins to note what is read of an object of plain data. */
export function reading<T extends object>(of: T): Reading<T> {
  const noted: Noted = { of, parts: new Map() };
  return { view: viewOf(noted) as T, unchanged: (now) => unchanged(noted, now) };
}

/**
 * A field of a view read as one, by reference: the value itself, whose parts cost nothing to read. For what is read from end to end many times a second.
 * A field of what is no view is just that field.
 */
export function readAsOne<T extends object, K extends string & keyof T>(view: T, key: K): T[K] {
  const noted = behind.get(view);
  if (!noted) return view[key];
  const value = (noted.of as T)[key];
  noted.parts.set(key, value);
  return value;
}
