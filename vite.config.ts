import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { assemblyScript } from './build/assemblyScript.ts';

/** What the library for pages can do beside and is not asked for. */
const NOTHING = fileURLToPath(new URL('./src/files/plans/nothing.ts', import.meta.url));
const NOT_NEEDED = { html2canvas: NOTHING, canvg: NOTHING, dompurify: NOTHING };

/** What is larger is not kept for offline use: nothing of ours is [bytes]. */
const LARGEST_FILE = 4_000_000;

export default defineConfig({
  plugins: [
    assemblyScript(),
    react(),
    tailwindcss(),
    VitePWA({
      // A page that is open over an update keeps its own files until someone asks for the new ones.
      registerType: 'prompt',
      injectRegister: false,
      includeAssets: ['icon.svg'],
      manifest: {
        name: 'Inclinar',
        short_name: 'Inclinar',
        description: 'Sizes, balances and checks foam board model aircraft before a prototype is built',
        start_url: '/',
        display: 'standalone',
        background_color: '#f6f3eb',
        theme_color: '#f6f3eb',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg}', '**/*-{latin,greek}-*.woff2'],
        clientsClaim: true,
        skipWaiting: false,
        cleanupOutdatedCaches: true,
        maximumFileSizeToCacheInBytes: LARGEST_FILE,
        navigateFallback: '/index.html',
        // Made-up instruments and what tells a server as ours need the server.
        navigateFallbackDenylist: [/^\/instruments\//, /^\/about\.json/],
      },
    }),
  ],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)), ...NOT_NEEDED } },
  worker: { format: 'es', plugins: () => [assemblyScript()] },
  build: { outDir: 'dist/app', emptyOutDir: true, target: 'es2022', chunkSizeWarningLimit: 1800 },
});
