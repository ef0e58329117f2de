import 'fake-indexeddb/auto';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { fakeLocks } from '../testing/locks.ts';

/** The modules of one tab, as another page would load them: stores of their own over the same database, locks and channel. */
async function newTab() {
  vi.resetModules();
  const [store, autosave, pen, library, { database }] = await Promise.all([
    import('./projectStore.ts'),
    import('./autosave.ts'),
    import('./pen.ts'),
    import('./library.ts'),
    import('./database.ts'),
  ]);
  const stop = autosave.startAutosave();
  let letGo = () => {};
  const show = (read: typeof library.openKept) => async (id: string) => {
    const kept = await read(id);
    if (kept && store.projectStore.getState().id === id) store.showProject(id, kept.project, kept.past, kept.future);
  };
  return {
    store,
    pen,
    library,
    database,
    flush: autosave.flushSave,
    notes: () => store.projectStore.getState().project?.notes ?? '',
    open: async (id: string) => {
      const kept = await library.openKept(id);
      if (!kept) throw new Error('not there');
      store.showProject(id, kept.project, kept.past, kept.future);
      letGo = pen.holdPen(id, {
        flush: autosave.flushSave,
        follow: show(library.followKept),
        takeUp: show(library.openKept),
      });
      await settle();
    },
    /** As when it is closed in good order: what waits is written. */
    close: async () => {
      stop();
      letGo();
      await settle();
    },
    /** As when it is killed: the pen falls, what waits is gone. */
    kill: async () => {
      store.projectStore.setState({ id: null, project: null });
      letGo();
      await settle();
    },
  };
}
type Tab = Awaited<ReturnType<typeof newTab>>;

/** Until what tabs tell one another has come through. */
const settle = async () => {
  for (let k = 0; k < 6; k++) await new Promise((done) => setTimeout(done, 1));
};

/** Whole numbers below `most`, the same for the same seed (minimal standard generator: Park and Miller 1988). */
function drawn(seed: number) {
  let state = seed;
  return (most: number) => {
    state = (state * 16807) % 2147483647;
    return state % most;
  };
}

const note = (tab: Tab, word: string) => {
  const before = tab.notes();
  tab.store.edit((project) => ({ ...project, notes: `${project.notes} ${word}` }));
  return tab.notes() !== before;
};

/** How many steps, and from which seeds: a longer run is asked for by `npm run fuzz -- tabs N SEED`. */
const [STEPS = 340, ...SEEDS] = (process.env.HOSKET_TABS ?? '340 3 11 2027').split(' ').map(Number);

describe('several tabs on one project', () => {
  const locks = Object.getOwnPropertyDescriptor(navigator, 'locks');
  beforeAll(() => Object.defineProperty(navigator, 'locks', { value: fakeLocks(), configurable: true }));
  afterAll(() => {
    if (locks) Object.defineProperty(navigator, 'locks', locks);
  });

  it('one writes, the other follows; the pen goes over with all that was written', async () => {
    const first = await newTab();
    const id = await first.library.addNew();
    await first.open(id);
    const second = await newTab();
    await second.open(id);
    expect(second.pen.penStore.getState().pen).toBe('elsewhere');
    expect(note(second, 'no')).toBe(false);
    expect(note(first, 'a')).toBe(true);
    // Not written yet: taking the pen over has it written first.
    await second.pen.takePen();
    await vi.waitFor(() => expect(second.pen.penStore.getState().pen).toBe('mine'));
    expect(second.notes()).toBe(' a');
    expect(first.pen.penStore.getState().pen).toBe('elsewhere');
    expect(note(first, 'no')).toBe(false);
    expect(note(second, 'b')).toBe(true);
    await second.flush();
    await vi.waitFor(() => expect(first.notes()).toBe(' a b'));
    await second.close();
    await vi.waitFor(() => expect(first.pen.penStore.getState().pen).toBe('mine'));
    expect(note(first, 'c')).toBe(true);
    await first.flush();
    expect((await first.library.openKept(id))?.project.notes).toBe(' a b c');
    await first.close();
  });

  it('without locks a write over what another tab wrote is kept beside it', async () => {
    Object.defineProperty(navigator, 'locks', { value: undefined, configurable: true });
    const first = await newTab();
    const id = await first.library.addNew();
    await first.open(id);
    const second = await newTab();
    await second.open(id);
    note(first, 'a');
    await first.flush();
    note(second, 'b');
    await second.flush();
    const kept = (await first.database.projects.toArray()).filter(({ name }) => name.startsWith('My groundwork'));
    expect(kept.map(({ name, project }) => [name, project.notes]).sort()).toContainEqual([
      'My groundwork, from another tab',
      ' b',
    ]);
    expect((await first.library.openKept(id))?.project.notes).toBe(' a');
    Object.defineProperty(navigator, 'locks', { value: fakeLocks(), configurable: true });
    await first.close();
    await second.close();
  });

  it.each(SEEDS)('loses nothing that had time to be written, seed %i', async (seed) => {
    const draw = drawn(seed);
    let tabs: Tab[] = [await newTab()];
    const keeper = tabs[0];
    const id = await keeper.library.addNew();
    await keeper.open(id);
    /** Words that were accepted, and by which tab; those not yet flushed may go with a killed tab. */
    const words = new Map<string, { tab: Tab; flushed: boolean }>();
    const flushed = async (tab: Tab) => {
      await tab.flush();
      for (const word of words.values()) if (word.tab === tab) word.flushed = true;
    };
    for (let step = 0; step < STEPS; step++) {
      const tab = tabs[draw(tabs.length)];
      const what = draw(20);
      if (what < 11) {
        const word = `w${step}`;
        if (note(tab, word)) words.set(word, { tab, flushed: false });
      } else if (what < 15) await flushed(tab);
      else if (what === 15 && tabs.length < 3) {
        const fresh = await newTab();
        await fresh.open(id);
        tabs.push(fresh);
      } else if (what === 16) {
        await tab.pen.takePen();
        await settle();
        for (const word of words.values()) if (word.tab !== tab) word.flushed = true;
      } else if (what === 17 && tabs.length > 1) {
        tabs = tabs.filter((other) => other !== tab);
        if (draw(2)) {
          await flushed(tab);
          await tab.close();
        } else {
          for (const [word, { tab: by, flushed: safe }] of words) if (by === tab && !safe) words.delete(word);
          await tab.kill();
        }
      } else if (what === 18) await tab.library.remove(id);
      else if (what === 19) await tab.library.restore(id);
    }
    for (const tab of tabs) await flushed(tab);
    await settle();
    const ids = (await keeper.database.projects.toArray()).map((kept) => kept.id);
    const everything = (await Promise.all(ids.map((each) => keeper.library.readKept(each))))
      .flatMap((kept) => (kept ? [kept.project, ...kept.past, ...kept.future] : []))
      .map(({ notes }) => ` ${notes} `)
      .join('');
    const lost = [...words.keys()].filter((word) => !everything.includes(` ${word} `));
    expect(lost).toEqual([]);
    expect(words.size).toBeGreaterThan(STEPS / 6);
    for (const tab of tabs) await tab.close();
  });
});
