import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { forecastQuerySchema } from '@/records/forecast';
import { firstProblem } from '@/records/parse';
import { forecastFor } from './forecast';

const YEAR_S = 365 * 24 * 60 * 60;
const HOUR_S = 60 * 60;
/** What tells a browser that there is a new version. */
const ASKED_ANEW: ReadonlySet<string> = new Set(['index.html', 'sw.js']);
/** File names that carry a hash of their content: the same name is the same file for ever. */
const HASHED = /[-.][0-9a-f]{16,}\.\w+$/;

/**
 * Serves the built app: its files, its page for every address of its own, `/healthz`, and the
 * simulated forecast at `/api/forecast`.
 * @param distDir the folder that the export wrote
 * @throws Error if there is no build there
 */
export function createApp(distDir: string): Express {
  const page = path.join(distDir, 'index.html');
  if (!existsSync(page)) throw new Error(`${page} is missing: run npm run build first`);
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          // React Native for web writes its style sheet into the page.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      // The app is also opened over plain http on a local network.
      strictTransportSecurity: false,
      originAgentCluster: false,
      crossOriginOpenerPolicy: false,
    }),
  );
  app.use(compression());
  app.get('/healthz', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ status: 'ok' });
  });
  app.get('/api/forecast', (request, response) => {
    const asked = forecastQuerySchema.safeParse(request.query);
    if (!asked.success) {
      response.status(400).json({ error: firstProblem(asked.error) });
      return;
    }
    response.set('Cache-Control', 'no-cache').json(forecastFor(asked.data));
  });
  app.all('/api/{*path}', (_request, response) => {
    response.status(404).json({ error: 'no such service' });
  });
  app.use(
    express.static(distDir, {
      index: false,
      setHeaders: (response, file) => {
        response.setHeader(
          'Cache-Control',
          HASHED.test(file)
            ? `public, max-age=${YEAR_S}, immutable`
            : `public, max-age=${ASKED_ANEW.has(path.basename(file)) ? 0 : HOUR_S}`,
        );
      },
    }),
  );
  app.get(['/_expo/{*file}', '/assets/{*file}', '/fonts/{*file}'], (_request, response) => {
    response.status(404).type('text').send('No such file');
  });
  app.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(page);
  });
  return app;
}
