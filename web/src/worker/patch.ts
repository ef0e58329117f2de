/**
 * What has changed of a value made of plain objects and lists: parts that are the very same object in both are left out, so that a message
 * to the page carries no geometry that is there already.
 */
export type Patch =
  | { kind: 'same' }
  | { kind: 'new'; value: unknown }
  | { kind: 'list'; items: Patch[] }
  | { kind: 'parts'; parts: Record<string, Patch> };

const SAME: Patch = { kind: 'same' };

/** Parts further in than this are sent whole where they are not the same. */
const DEPTH = 6;

const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype;

/** From one value to the next. */
export function patchOf(before: unknown, after: unknown, depth = DEPTH): Patch {
  if (Object.is(before, after)) return SAME;
  if (depth > 0 && Array.isArray(before) && Array.isArray(after) && before.length === after.length)
    return listOrNew(after, (k) => patchOf(before[k], after[k], depth - 1));
  if (depth > 0 && isPlain(before) && isPlain(after)) {
    const keys = Object.keys(after);
    // A part that is gone, or new, is rare: then all of it is new.
    if (keys.length === Object.keys(before).length && keys.every((key) => key in before))
      return changed(keys, (key) => patchOf(before[key], after[key], depth - 1));
  }
  return { kind: 'new', value: after };
}

/** A list of numbers or words alone is sent whole: a patch of it would be no shorter. */
function listOrNew(after: readonly unknown[], patch: (k: number) => Patch): Patch {
  if (!after.some((item) => typeof item === 'object' && item !== null)) return { kind: 'new', value: after };
  const items = after.map((_, k) => patch(k));
  return items.every(({ kind }) => kind === 'same') ? SAME : { kind: 'list', items };
}

function changed(keys: readonly string[], patch: (key: string) => Patch): Patch {
  const parts: Record<string, Patch> = {};
  for (const key of keys) {
    const part = patch(key);
    if (part.kind !== 'same') parts[key] = part;
  }
  return Object.keys(parts).length ? { kind: 'parts', parts } : SAME;
}

/** The next value, from the one before and what has changed; what has not is shared with it. */
export function patched(before: unknown, patch: Patch): unknown {
  switch (patch.kind) {
    case 'same':
      return before;
    case 'new':
      return patch.value;
    case 'list':
      return patch.items.map((item, k) => patched((before as unknown[])[k], item));
    case 'parts': {
      const now = before as Record<string, unknown>;
      const next = { ...now };
      for (const [key, part] of Object.entries(patch.parts)) next[key] = patched(now[key], part);
      return next;
    }
  }
}
