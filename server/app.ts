import express, { type ErrorRequestHandler, type Express } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import path from 'node:path';
import sirv from 'sirv';
import { forecastQuerySchema } from '@/records/forecast';
import { firstProblem } from '@/records/parse';
import { placesQuerySchema } from '@/records/place';
import { forecastFor } from './forecast';
import type { FindPlaces } from './places';

const YEAR_S = 365 * 24 * 60 * 60;
const HOUR_S = 60 * 60;
/** What tells a browser that there is a new version. */
const ASKED_ANEW: ReadonlySet<string> = new Set(['index.html', 'sw.js']);
/** What this app asks of a device; nothing else, and none of it for others. */
const PERMISSIONS = [
  ...['geolocation', 'microphone', 'accelerometer', 'gyroscope', 'screen-wake-lock'].map(
    (name) => `${name}=(self)`,
  ),
  ...['camera', 'payment', 'usb', 'midi', 'serial', 'hid', 'display-capture'].map(
    (name) => `${name}=()`,
  ),
].join(', ');

/** What is wrong with a request, and nothing of how the server is made. */
const refuse: ErrorRequestHandler = (
  error: { readonly status?: unknown },
  _request,
  response,
  next,
) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const status = typeof error.status === 'number' && error.status < 500 ? error.status : 500;
  response
    .status(status)
    .type('text')
    .send(status === 500 ? 'It failed here' : 'No such address');
};
/** File names that carry a hash of their content: the same name is the same file for ever. */
const HASHED = /[-.][0-9a-f]{16,}\.\w+$/;

/** How long a browser may hold a built file. */
function cacheOf(file: string): string {
  if (HASHED.test(file)) return `public, max-age=${YEAR_S}, immutable`;
  return `public, max-age=${ASKED_ANEW.has(path.basename(file)) ? 0 : HOUR_S}`;
}

/** Files as the build left them, compressed once there, and looked through once at the start. */
const sentAsBuilt = (distDir: string, cache: (file: string) => string) =>
  sirv(distDir, {
    brotli: true,
    gzip: true,
    etag: true,
    extensions: [],
    setHeaders: (response, file) => response.setHeader('Cache-Control', cache(file)),
  });

/**
 * Serves the built app: its files, its page for every address of its own, `/healthz`, places by name at
 * `/api/places`, and the simulated forecast at `/api/forecast`.
 * @param distDir the folder that the export wrote
 * @param findPlaces what looks places up by name
 * @throws Error if there is no build there
 */
export function createApp(distDir: string, findPlaces: FindPlaces): Express {
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
  app.use((_request, response, next) => {
    response.set('Permissions-Policy', PERMISSIONS);
    next();
  });
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
  app.get('/api/places', (request, response) => {
    const asked = placesQuerySchema.safeParse(request.query);
    if (!asked.success) {
      response.status(400).json({ error: firstProblem(asked.error) });
      return;
    }
    response.set('Cache-Control', `public, max-age=${HOUR_S}`);
    response.json({ places: findPlaces(asked.data.name) });
  });
  app.all('/api/{*path}', (_request, response) => {
    response.status(404).json({ error: 'no such service' });
  });
  app.use((request, response, next) => {
    try {
      decodeURIComponent(request.path);
      next();
    } catch {
      response.status(400).type('text').send('No such address');
    }
  });
  const file = sentAsBuilt(distDir, cacheOf);
  app.use((request, response, next) => {
    if (['GET', 'HEAD'].includes(request.method)) file(request, response, next);
    else response.status(404).type('text').send('No such file');
  });
  // A file that is not there is not there; every other address is the app's own.
  const ownPage = sentAsBuilt(distDir, () => 'no-cache');
  app.use((request, response, next) => {
    const isFile = /\.\w+$/.test(request.path) || /^\/(?:_expo|assets|fonts)\//.test(request.path);
    if (isFile) {
      response.status(404).type('text').send('No such file');
      return;
    }
    request.url = '/index.html';
    ownPage(request, response, next);
  });
  app.use(refuse);
  return app;
}
