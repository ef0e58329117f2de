import { defineConfig } from 'vite';

/** The server built to one file, and what runs in threads of its own to another; express and its kin stay where they are installed. */
export default defineConfig({
  root: import.meta.dirname,
  ssr: { noExternal: [/^@hosket\//] },
  build: {
    ssr: true,
    rollupOptions: { input: { main: 'src/main.ts', elevationWorker: 'src/elevationWorker.ts' } },
    outDir: 'dist',
    emptyOutDir: true,
    target: 'node20',
  },
});
