import './workerSetup.ts';
import { createDrafter, DRAFT_NODES, type Project } from '@hosket/core';
import { createPace } from './draftPace.ts';

const drafted = createDrafter();
const pace = createPace(DRAFT_NODES);

/** Answers each project with its draft; the page asks for the next only when it has the last. */
self.onmessage = ({ data }: MessageEvent<Project>) => {
  try {
    const begun = performance.now();
    const { ground, target } = drafted(data, pace.nodes());
    pace.took(performance.now() - begun);
    // The drafter keeps its own copy of what it needs for the next.
    self.postMessage({ ground, target });
  } catch (error) {
    self.postMessage({ why: (error as Error).message });
  }
};
