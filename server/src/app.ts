import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import { elevationGrid, places } from './elevation.ts';
import { type HeightsOf, TooBusy } from './heights.ts';

/** Stands in the built page wherever the one-time token of the response goes. */
const NONCE_PLACEHOLDER = '__HOSKET_NONCE__';

const MOST_LETTERS = 80;

type HttpError = Error & { status?: number };

/** So many questions may one address ask in a minute, by default. */
const MOST_A_MINUTE = 1200;

export interface AppOptions {
  /** Who works out heights; in this thread when nobody else is named. */
  heightsOf?: HeightsOf;
  mostAMinute?: number;
}

/** The application with its security headers; `dist` is the folder of the built web app. Throws when it has not been built. */
export function createApp(
  dist: string,
  { heightsOf = async (place) => elevationGrid(place), mostAMinute = MOST_A_MINUTE }: AppOptions = {},
): Express {
  const page = join(dist, 'index.html');
  if (!existsSync(page)) throw new Error(`The web application is not built: ${page} is missing. Run "npm run build".`);
  const template = readFileSync(page, 'utf8');
  const app = express();
  app.disable('x-powered-by');
  // The least effort: it is the same machine, or near it.
  app.use(compression({ level: 1 }));
  app.use((_request, response, next) => {
    // Dialog primitives add style elements of their own; the token lets those in and nothing else.
    const nonce = randomBytes(16).toString('base64');
    response.locals.nonce = nonce;
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          'default-src': ["'self'"],
          'base-uri': ["'self'"],
          'connect-src': ["'self'"],
          'font-src': ["'self'"],
          'form-action': ["'self'"],
          'frame-ancestors': ["'none'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'object-src': ["'none'"],
          'script-src': ["'self'"],
          'style-src': ["'self'", `'nonce-${nonce}'`],
          'worker-src': ["'self'"],
        },
      },
      // Served on plain http to this machine only.
      strictTransportSecurity: false,
    })(_request, response, next);
  });
  // Nothing is taken in here: a body of any length is a slip or worse.
  app.use((request, response, next) => {
    if (request.headers['transfer-encoding'] === undefined && !Number(request.headers['content-length'])) return next();
    response.set('Connection', 'close').status(413).type('text').send('Nothing is taken in here.');
  });
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.use(
    '/api',
    rateLimit({
      windowMs: 60_000,
      limit: mostAMinute,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      message: { error: 'Too many questions at once. Wait a minute and ask again.' },
    }),
  );
  app.get('/api/places', (_request, response) => {
    response.json({ places: Object.keys(places) });
  });
  app.get('/api/elevation', async (request, response) => {
    const place = typeof request.query.place === 'string' ? request.query.place.trim() : '';
    if (!place || place.length > MOST_LETTERS)
      return void response.status(400).type('text').send(`Name a place, in at most ${MOST_LETTERS} letters.`);
    try {
      response.type('text').send(await heightsOf(place));
    } catch (error) {
      if (!(error instanceof TooBusy)) throw error;
      response.status(503).set('Retry-After', '5').type('text').send('Too much is asked for at once. Try again soon.');
    }
  });
  app.use('/api', (_request, response) => {
    response.status(404).json({ error: 'There is no such address.' });
  });
  app.use('/assets', express.static(join(dist, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  // By its name too: what works offline keeps the page under it.
  const pageAnswer = (_request: Request, response: Response) => {
    response
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(template.replaceAll(NONCE_PLACEHOLDER, response.locals.nonce));
  };
  app.get('/index.html', pageAnswer);
  app.use(express.static(dist, { index: false, maxAge: 0 }));
  app.get('/{*any}', pageAnswer);
  // Four parameters make it the handler of errors. What went wrong stays here: no path and no trace leaves the machine.
  app.use((error: HttpError, _request: Request, response: Response, _next: NextFunction) => {
    const status = error.status && error.status >= 400 && error.status < 500 ? error.status : 500;
    if (status === 500) console.error(error);
    response
      .status(status)
      .type('text')
      .send(
        status === 404
          ? 'There is no such file.'
          : status === 500
            ? 'The server failed at this.'
            : 'That address cannot be read.',
      );
  });
  return app;
}
