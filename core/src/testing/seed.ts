import '../units/index.ts';
import fc from 'fast-check';
import { inject } from 'vitest';

declare module 'vitest' {
  export interface ProvidedContext {
    /** What properties draw their cases from; null: anything. */
    seed: number | null;
  }
}

const seed = inject('seed');
if (seed !== null) fc.configureGlobal({ seed });
