import type { Server } from 'node:http';
import { ABOUT } from './app';

/** How many ports above the wanted one are tried. */
const TRIES = 20;

/** No port could be had: why, and what to do. */
export class NoPortError extends Error {}

/** This machine alone, and all that reach it. */
export const HOSTS = { alone: '127.0.0.1', open: '0.0.0.0' } as const;

/** Listens at the wanted port, or at the next free one; on this machine alone unless it is told otherwise. @throws NoPortError when none can be had */
export async function listenOn(server: Server, wanted: number, host: string = HOSTS.alone): Promise<number> {
  for (let port = wanted; port <= Math.min(65535, wanted + TRIES); port++) {
    const fault = await new Promise<NodeJS.ErrnoException | null>((resolve) => {
      server.once('error', resolve);
      server.listen(port, host, () => {
        server.off('error', resolve);
        resolve(null);
      });
    });
    const address = server.address();
    if (fault === null && address && typeof address === 'object') return address.port;
    if (fault?.code === 'EACCES')
      throw new NoPortError(`Port ${port} may not be used by this user. Give one from 1024 on with --port.`);
    if (fault && fault.code !== 'EADDRINUSE')
      throw new NoPortError(
        `Port ${port} could not be opened (${fault.code ?? 'unknown'}). Give another one with --port.`,
      );
  }
  const last = Math.min(65535, wanted + TRIES);
  throw new NoPortError(`No port from ${wanted} to ${last} is free. Give another one with --port.`);
}

/** Whether a server of ours answers at a port of this machine. */
export async function isOursAt(port: number): Promise<boolean> {
  try {
    const answer = await fetch(`http://127.0.0.1:${port}${ABOUT}`, { signal: AbortSignal.timeout(2000) });
    return answer.ok && ((await answer.json()) as { app?: unknown }).app === 'inclinar';
  } catch {
    return false;
  }
}
