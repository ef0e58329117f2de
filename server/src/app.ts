import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { elevationGrid, places } from './elevation.ts';

/** Stands in the built page wherever the one-time token of the response goes. */
const NONCE_PLACEHOLDER = '__HOSKET_NONCE__';

const MOST_LETTERS = 80;

type HttpError = Error & { status?: number };

/** The application with its security headers; `dist` is the folder of the built web app. Throws when it has not been built. */
export function createApp(dist: string): Express {
  const page = join(dist, 'index.html');
  if (!existsSync(page)) throw new Error(`The web application is not built: ${page} is missing. Run "npm run build".`);
  const template = readFileSync(page, 'utf8');
  const app = express();
  app.disable('x-powered-by');
  app.use(compression());
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
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.get('/api/places', (_request, response) => {
    response.json({ places: Object.keys(places) });
  });
  app.get('/api/elevation', (request, response) => {
    const place = typeof request.query.place === 'string' ? request.query.place.trim() : '';
    if (!place || place.length > MOST_LETTERS)
      return void response.status(400).type('text').send(`Name a place, in at most ${MOST_LETTERS} letters.`);
    response.type('text').send(elevationGrid(place));
  });
  app.use('/api', (_request, response) => {
    response.status(404).json({ error: 'There is no such address.' });
  });
  app.use('/assets', express.static(join(dist, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(dist, { index: false, maxAge: 0 }));
  app.get('/{*any}', (_request, response) => {
    response
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(template.replaceAll(NONCE_PLACEHOLDER, response.locals.nonce));
  });
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
