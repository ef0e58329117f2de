import { defineConfig } from 'vite';

/** The command built, with everything it needs: what reads its words in one file, so that wrong use is told at once, the planner in another. */
export default defineConfig({
  root: import.meta.dirname,
  ssr: { noExternal: true },
  build: {
    ssr: 'src/main.ts',
    outDir: 'dist',
    emptyOutDir: true,
    target: 'node20',
    rolldownOptions: { output: { chunkFileNames: '[name].js' } },
  },
});
