import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { preloadsOf } from './preloads.ts';

/** Place in index.html that gets the nonce of the response; the page hands it to the style elements that Radix adds. */
const NONCE_MARK = '__CSP_NONCE__';

/** Says what went wrong by its number only: no path and no stack leaves the machine. */
const failed: ErrorRequestHandler = (error: { status?: number }, _request, response, next) => {
  if (response.headersSent) return next(error);
  const status = error.status !== undefined && error.status >= 400 && error.status < 600 ? error.status : 500;
  response
    .status(status)
    .type('text')
    .send(
      status === 404 ? 'Not found.\n' : status < 500 ? 'This request cannot be read.\n' : 'Something went wrong.\n',
    );
};

/** The folder of the site that a build is made for, as `/` or `/climbing/zevrin/`: the page says it. */
export function baseOf(dist: string): string {
  const page = readFileSync(join(dist, 'index.html'), 'utf8');
  return /(?:src|href)="(\/[^"]*?)assets\//.exec(page)?.[1] ?? '/';
}

/**
 * Serves the built app from `dist`: strict content security policy with a nonce per page, compression, and cache
 * headers (hashed assets for a year, the page never). Every path of the app gets the page, so that deep links survive a
 * reload; a file that is not there is not found.
 */
export function createApp(dist: string): Express {
  const page = readFileSync(join(dist, 'index.html'), 'utf8');
  const base = baseOf(dist);
  const preloads = preloadsOf(dist, base);
  const app = express();
  app.disable('x-powered-by');
  app.use(compression());
  // For what looks whether it is alive.
  app.get('/healthz', (_request, response) => void response.type('text').send('ok\n'));
  const inside = express.Router();
  app.use((_request, response, next) => {
    const nonce = randomBytes(16).toString('base64');
    response.locals.nonce = nonce;
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'", `'nonce-${nonce}'`],
          fontSrc: ["'self'"],
          imgSrc: ["'self'", 'data:'],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
      // The demo runs on plain http on the person's own machine.
      strictTransportSecurity: false,
      referrerPolicy: { policy: 'no-referrer' },
    })(_request, response, next);
  });
  const sendPage: RequestHandler = (request, response) => {
    response.setHeader('Cache-Control', 'no-store');
    const html = page.replaceAll(NONCE_MARK, String(response.locals.nonce));
    response.type('html').send(html.replace('</head>', () => `${preloads(request.path)}</head>`));
  };
  // Never as the file, whose nonce is not filled in.
  inside.get('/index.html', sendPage);
  inside.use('/assets', express.static(join(dist, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  inside.use(
    express.static(dist, {
      index: false,
      maxAge: '1h',
      setHeaders: (response, path) => {
        // The worker that keeps the app for use without a network: asked for anew, so that a new version is seen.
        if (path.endsWith('sw.js')) response.setHeader('Cache-Control', 'no-cache');
      },
    }),
  );
  // Addresses of the app have no dot; what has one is a file, and was not found.
  inside.get('/{*path}', (request, response, next) =>
    request.path.includes('.') ? next() : void sendPage(request, response, next),
  );
  app.use(base, inside);
  if (base !== '/') app.get('/', (_request, response) => response.redirect(base));
  app.use((_request, response) => void response.status(404).type('text').send('Not found.\n'));
  app.use(failed);
  return app;
}
