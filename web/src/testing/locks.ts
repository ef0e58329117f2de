/** Web Locks as browsers have them, for tests of several tabs in one process: exclusive ones, waited for in order, asked for if free, or stolen. */

interface Held {
  rob: () => void;
}

type Options = { ifAvailable?: boolean; steal?: boolean; signal?: AbortSignal };
type Callback = (lock: object | null) => unknown;

const aborted = () => Object.assign(new Error('aborted'), { name: 'AbortError' });

export function fakeLocks() {
  const held = new Map<string, Held>();
  const queues = new Map<string, (() => void)[]>();
  const next = (name: string) => queues.get(name)?.shift()?.();
  const hold = (name: string, callback: Callback): Promise<unknown> =>
    new Promise((done, fail) => {
      const mine: Held = { rob: () => fail(aborted()) };
      held.set(name, mine);
      Promise.resolve(callback({ name }))
        .then(done, fail)
        .finally(() => {
          if (held.get(name) !== mine) return;
          held.delete(name);
          next(name);
        });
    });
  return {
    request(name: string, options: Options, callback: Callback): Promise<unknown> {
      if (options.steal) {
        held.get(name)?.rob();
        return hold(name, callback);
      }
      if (!held.has(name)) return hold(name, callback);
      if (options.ifAvailable) return Promise.resolve(callback(null));
      return new Promise((done, fail) => {
        const start = () => void hold(name, callback).then(done, fail);
        const queue = queues.get(name) ?? [];
        queues.set(name, [...queue, start]);
        options.signal?.addEventListener('abort', () => {
          queues.set(
            name,
            (queues.get(name) ?? []).filter((other) => other !== start),
          );
          fail(aborted());
        });
      });
    },
  };
}
