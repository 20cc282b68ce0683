/** A WebAssembly module compiled from AssemblyScript: see build/assemblyScript.ts. */
declare module '*.as.ts?wasm' {
  export const bytes: Uint8Array<ArrayBuffer>;
}
