import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';
import { assemblyScript } from './build/assemblyScript.ts';
import { mutants } from './tests/thresholds/mutants.ts';

/** What is tested on a page. */
const ON_PAGE = 'src/**/*.test.tsx';

const NO_PLOT = fileURLToPath(new URL('./tests/noPlot.tsx', import.meta.url));

export default defineConfig({
  plugins: [assemblyScript(), react(), mutants()],
  resolve: {
    alias: {
      '@': fileURLToPath(new URL('./src', import.meta.url)),
      '#': fileURLToPath(new URL('./', import.meta.url)),
      'react-plotly.js/factory': NO_PLOT,
      'plotly.js': NO_PLOT,
    },
  },
  test: {
    pool: 'threads',
    maxWorkers: 2,
    // The modules are loaded, and the code is compiled, once for all files.
    isolate: false,
    // A loop over nothing passes nothing.
    expect: { requireAssertions: true },
    testTimeout: 60_000 * Number(process.env['CAMPAIGN'] ?? 1),
    projects: [
      {
        extends: true,
        test: { name: 'core', include: ['{src,tests,cli,server,demo,bench}/**/*.test.ts'] },
      },
      {
        extends: true,
        test: { name: 'page', environment: 'jsdom', setupFiles: ['tests/page.ts'], include: [ON_PAGE] },
      },
    ],
  },
});
