import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';
import { assemblyScript } from './build/assemblyScript.ts';
import { mutants } from './tests/thresholds/mutants.ts';

const PURE = 'src/core,src/words,src/files,tests,cli,server,demo,bench';

export default defineConfig({
  plugins: [assemblyScript(), react(), mutants()],
  resolve: {
    alias: {
      '@': fileURLToPath(new URL('./src', import.meta.url)),
      '#': fileURLToPath(new URL('./', import.meta.url)),
    },
  },
  test: {
    pool: 'threads',
    maxWorkers: 2,
    // A loop over nothing passes nothing.
    expect: { requireAssertions: true },
    testTimeout: 60_000 * Number(process.env['CAMPAIGN'] ?? 1),
    projects: [
      {
        extends: true,
        // Pure functions: the modules are loaded once for all files.
        test: { name: 'core', isolate: false, include: [`{${PURE}}/**/*.test.ts`] },
      },
      {
        extends: true,
        test: { name: 'app', include: ['src/**/*.test.{ts,tsx}'], exclude: [`{${PURE}}/**`] },
      },
    ],
  },
});
