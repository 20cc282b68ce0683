import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const entry = (name: string, path: string) => (existsSync(path) ? { [name]: path } : {});

// Node 20 does not run TypeScript, so the server and the command line are bundled once.
export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  build: {
    ssr: true,
    outDir: 'dist/node',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: {
        ...entry('server', 'server/main.ts'),
        ...entry('analyse', 'cli/analyse.ts'),
        ...entry('validate', 'cli/validate.ts'),
        ...entry('bench', 'bench/main.bench.ts'),
        ...entry('screenshots', 'cli/screenshots.ts'),
      },
    },
  },
});
