import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // What hangs is ended; what is merely slow, on a slow or busy machine, is not.
    testTimeout: 600_000,
    hookTimeout: 600_000,
    setupFiles: ['vitest.setup.ts'],
    projects: [
      { extends: true, test: { name: 'core', include: ['core/src/**/*.test.ts'], environment: 'node' } },
      { extends: true, test: { name: 'formats', include: ['formats/src/**/*.test.ts'], environment: 'node' } },
      {
        extends: true,
        test: {
          name: 'cli',
          include: ['cli/src/**/*.test.ts', 'server/src/**/*.test.ts', 'scripts/*.test.mjs'],
          environment: 'node',
        },
      },
      { extends: true, test: { name: 'web', include: ['web/src/**/*.test.{ts,tsx}'], environment: 'happy-dom' } },
    ],
  },
});
