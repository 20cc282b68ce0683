import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';

const A_YEAR = 31_536_000_000;

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
          scriptSrc: ["'self'"],
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
  app.use(compression());
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
    response.set('Cache-Control', 'no-cache').sendFile(page);
  });
  return app;
}
