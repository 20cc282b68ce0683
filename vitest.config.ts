import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';
import { mutants } from './tests/thresholds/mutants.ts';

export default defineConfig({
  plugins: [react(), mutants()],
  resolve: {
    alias: {
      '@': fileURLToPath(new URL('./src', import.meta.url)),
      '#': fileURLToPath(new URL('./', import.meta.url)),
    },
  },
  test: {
    include: ['{src,server,cli,demo,tests,bench}/**/*.test.{ts,tsx}'],
    pool: 'threads',
    maxWorkers: 2,
    // A loop over nothing passes nothing.
    expect: { requireAssertions: true },
    testTimeout: 60_000,
  },
});
