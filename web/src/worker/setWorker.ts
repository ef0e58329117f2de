import './workerSetup.ts';
import { createSetLister } from '@hosket/core';
import { breath } from './breath.ts';
import type { SetAnswer, SetRequest } from './messages.ts';

const lister = createSetLister();
let newest = 0;
const answer = (message: SetAnswer) => self.postMessage(message);

/** Works the tiles of a set out one after the other, for one shopping list; a newer request breaks it off. */
self.onmessage = async ({ data: { ticket, project } }: MessageEvent<SetRequest>) => {
  newest = ticket;
  try {
    const run = lister.run(project);
    let told = 0;
    for (;;) {
      const step = run.next();
      if (step.done) return answer({ ticket, kind: 'list', list: step.value });
      if (step.value.at !== told) answer({ ticket, kind: 'progress', progress: step.value });
      told = step.value.at;
      await breath();
      if (ticket !== newest) return;
    }
  } catch (error) {
    answer({ ticket, kind: 'failed', why: (error as Error).message });
  }
};
