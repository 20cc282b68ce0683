import type { Server } from 'node:http';

/** How many ports above the wanted one are tried. */
const TRIES = 20;

/** Listens on 127.0.0.1 at the wanted port, or at the next free one. @throws when none is free */
export async function listenOn(server: Server, wanted: number): Promise<number> {
  for (let port = wanted; port <= Math.min(65535, wanted + TRIES); port++) {
    const taken = await new Promise<boolean>((resolve, reject) => {
      const failed = (error: NodeJS.ErrnoException) => (error.code === 'EADDRINUSE' ? resolve(true) : reject(error));
      server.once('error', failed);
      server.listen(port, '127.0.0.1', () => {
        server.off('error', failed);
        resolve(false);
      });
    });
    const address = server.address();
    if (!taken && address && typeof address === 'object') return address.port;
  }
  throw new Error(`No free port from ${wanted} to ${wanted + TRIES}. Give another one with --port.`);
}
