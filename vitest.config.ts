import { defineConfig } from 'vitest/config';

/**
 * Properties draw the same cases in every run, so that a suite that was green stays green for the same code. Others are drawn with
 * `HOSKET_SEED=any npm run unit`, or with a number to see one run again.
 */
const { HOSKET_SEED = '20270301' } = process.env;

/** Nothing of these rooms keeps a state from one test file to the next, so that files share what they import: it is read once, not 140 times. */
const shared = { environment: 'node', isolate: false } as const;

export default defineConfig({
  test: {
    // What hangs is ended; what is merely slow, on a slow or busy machine, is not.
    testTimeout: 600_000,
    hookTimeout: 600_000,
    // All cores: left to itself one of two would stand idle.
    maxWorkers: '100%',
    setupFiles: ['core/src/testing/seed.ts'],
    provide: { seed: HOSKET_SEED === 'any' ? null : Number(HOSKET_SEED) },
    projects: [
      { extends: true, test: { name: 'core', include: ['core/src/**/*.test.ts'], ...shared } },
      { extends: true, test: { name: 'formats', include: ['formats/src/**/*.test.ts'], ...shared } },
      {
        extends: true,
        test: {
          name: 'cli',
          include: ['cli/src/**/*.test.ts', 'server/src/**/*.test.ts', 'scripts/*.test.mjs'],
          ...shared,
        },
      },
      { extends: true, test: { name: 'web', include: ['web/src/**/*.test.{ts,tsx}'], environment: 'happy-dom' } },
    ],
  },
});
