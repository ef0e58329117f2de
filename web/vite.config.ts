import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      strategies: 'generateSW',
      // A new version waits until it is asked for (store/updates.ts).
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Hosket',
        short_name: 'Hosket',
        description: 'Plans the groundwork of dioramas and gaming boards.',
        start_url: '/',
        display: 'standalone',
        background_color: '#F3F0E9',
        theme_color: '#F3F0E9',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-512-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff,woff2}'],
        maximumFileSizeToCacheInBytes: 8_000_000,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        clientsClaim: true,
        inlineWorkboxRuntime: true,
        sourcemap: false,
      },
    }),
  ],
  build: { outDir: 'dist', emptyOutDir: true, target: 'es2023', assetsInlineLimit: 0, chunkSizeWarningLimit: 1200 },
  worker: { format: 'es' },
  server: { host: '127.0.0.1' },
});
