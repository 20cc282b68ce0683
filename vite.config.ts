import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

/** What the library for pages can do beside and is not asked for. */
const NOTHING = fileURLToPath(new URL('./src/files/plans/nothing.ts', import.meta.url));
const NOT_NEEDED = { html2canvas: NOTHING, canvg: NOTHING, dompurify: NOTHING };

export default defineConfig({
  plugins: [react(), tailwindcss()],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)), ...NOT_NEEDED } },
  worker: { format: 'es' },
  build: { outDir: 'dist/app', emptyOutDir: true, target: 'es2022', chunkSizeWarningLimit: 1800 },
});
