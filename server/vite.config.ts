import { defineConfig } from 'vite';

/** The server built to one file with the core in it; express and its kin stay where they are installed. */
export default defineConfig({
  root: import.meta.dirname,
  ssr: { noExternal: [/^@hosket\//] },
  build: { ssr: 'src/main.ts', outDir: 'dist', emptyOutDir: true, target: 'node20' },
});
