import { createDrafter, type Project } from '@hosket/core';
import { z } from 'zod';

z.config({ jitless: true });

const drafted = createDrafter();

/** Answers each project with its draft; the page asks for the next only when it has the last. */
self.onmessage = ({ data }: MessageEvent<Project>) => {
  try {
    const { ground, target } = drafted(data);
    // The drafter keeps its own copy of what it needs for the next.
    self.postMessage({ ground, target });
  } catch (error) {
    self.postMessage({ why: (error as Error).message });
  }
};
