import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express } from 'express';
import helmet from 'helmet';
import { INSTRUMENTS_PATH, instrumentsRouter } from './instruments';

const A_YEAR = 31_536_000_000;

/** Where a server says that it is one of ours. */
export const ABOUT = '/about.json';

/** Serves the built app: strict policy, compression, long caching of hashed files only. */
export function createApp(appFolder: string): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // The kernel of the lattice is WebAssembly; script made from text stays forbidden.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          // Charts, toasts and popovers set styles of their own.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'", 'blob:'],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      // Plain http on this machine: a promise of https would lock people out.
      strictTransportSecurity: false,
      crossOriginEmbedderPolicy: true,
      referrerPolicy: { policy: 'no-referrer' },
    }),
  );
  // A stream that waits to be compressed never arrives.
  app.use(
    compression({
      filter: (request, response) =>
        !String(response.getHeader('Content-Type') ?? '').startsWith('text/event-stream') &&
        compression.filter(request, response),
    }),
  );
  app.get(ABOUT, (_request, response) => {
    response.set('Cache-Control', 'no-cache').json({ app: 'inclinar' });
  });
  app.use(INSTRUMENTS_PATH, instrumentsRouter());
  app.use(
    '/assets',
    express.static(join(appFolder, 'assets'), {
      immutable: true,
      maxAge: A_YEAR,
      index: false,
      fallthrough: false,
    }),
  );
  app.use(express.static(appFolder, { index: false, maxAge: 0 }));
  app.get('/{*any}', (_request, response) => {
    const page = join(appFolder, 'index.html');
    if (!existsSync(page)) {
      response.status(503).type('text').send('The app is not built yet. Run npm start.');
      return;
    }
    // Named from its folder: a hidden folder above it is nobody’s business.
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: appFolder });
  });
  app.use((_request, response) => {
    response.status(404).type('text').send('There is nothing here.');
  });
  app.use(sayLittle);
  return app;
}

const WORDS: Readonly<Record<number, string>> = {
  400: 'This address cannot be read.',
  403: 'This may not be read.',
  404: 'There is nothing here.',
};

/** A fault as a sentence: neither stack nor path of this machine is anybody's business. */
const sayLittle: ErrorRequestHandler = (error: { status?: unknown }, _request, response, next) => {
  if (response.headersSent) return next(error);
  const status = typeof error.status === 'number' && error.status >= 400 && error.status < 600 ? error.status : 500;
  response
    .status(status)
    .type('text')
    .send(WORDS[status] ?? 'The server could not answer. Load the page again.');
};
