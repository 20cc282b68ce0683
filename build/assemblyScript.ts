import { readdir, readFile } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { main } from 'assemblyscript/asc';
import type { Plugin } from 'vite';

const WANTED = /\.as\.ts\?wasm$/;

/** Speed over size, no collector (nothing is allocated in there), two numbers at once. */
const FLAGS = ['-O3', '--runtime', 'stub', '--noAssert', '--enable', 'simd', '--initialMemory', '2'];

/** A file is compiled once for all that ask for it in one run. */
const compiled = new Map<string, Promise<string>>();

/** `import { bytes } from './x.as.ts?wasm'` gives the bytes of a WebAssembly module compiled from AssemblyScript. */
export function assemblyScript(): Plugin {
  return {
    name: 'assembly-script',
    enforce: 'pre',
    async load(id) {
      if (!WANTED.test(id)) return null;
      const file = id.replace(/\?wasm$/, '');
      // A file may import the ones beside it.
      const beside = (await readdir(dirname(file))).filter((name) => name.endsWith('.as.ts'));
      const files = beside.sort().map((name) => join(dirname(file), name));
      files.forEach((each) => this.addWatchFile(each));
      const source = [file, ...(await Promise.all(files.map((each) => readFile(each, 'utf8'))))].join('\n');
      if (!compiled.has(source)) compiled.set(source, compile(file));
      const text = await compiled.get(source)!;
      return `export const bytes = Uint8Array.from(atob('${text}'), (letter) => letter.charCodeAt(0));`;
    },
  };
}

async function compile(file: string): Promise<string> {
  let bytes: Uint8Array | null = null;
  const { error, stderr } = await main(
    [basename(file), ...FLAGS, '--baseDir', dirname(file), '--outFile', 'kernel.wasm'],
    { writeFile: (_, contents) => void (bytes = contents as Uint8Array) },
  );
  if (error ?? !bytes) throw new Error(`${file} cannot be compiled: ${stderr.toString() || String(error)}`);
  return Buffer.from(bytes!).toString('base64');
}
