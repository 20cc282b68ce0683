import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { assemblyScript } from './build/assemblyScript.ts';

const entry = (name: string, path: string) => (existsSync(path) ? { [name]: path } : {});

// Node 20 does not run TypeScript, so the server and the command line are bundled once.
/** What the library for pages can do beside and is not asked for. */
const NOTHING = fileURLToPath(new URL('./src/files/plans/nothing.ts', import.meta.url));
const NOT_NEEDED = { html2canvas: NOTHING, canvg: NOTHING, dompurify: NOTHING };

export default defineConfig({
  plugins: [assemblyScript()],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)), ...NOT_NEEDED } },
  build: {
    ssr: true,
    outDir: 'dist/node',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: {
        ...entry('server', 'server/main.ts'),
        ...entry('analyse', 'cli/analyse.ts'),
        ...entry('plans', 'cli/plans.ts'),
        ...entry('fly', 'cli/fly.ts'),
        ...entry('infer', 'cli/infer.ts'),
        ...entry('sweep', 'cli/sweep.ts'),
        ...entry('tolerances', 'cli/tolerances.ts'),
        ...entry('validate', 'cli/validate.ts'),
        ...entry('bench', 'bench/main.bench.ts'),
        ...entry('screenshots', 'cli/screenshots.ts'),
      },
    },
  },
});
