import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';

/** Place in index.html that gets the nonce of the response; the page hands it to the style elements that Radix adds. */
const NONCE_MARK = '__CSP_NONCE__';

/**
 * Serves the built app from `dist`: strict content security policy with a nonce per page, compression, and cache headers (hashed assets
 * for a year, the page never). Every path that is no file gets the page, so that deep links survive a reload.
 */
export function createApp(dist: string): Express {
  const page = readFileSync(join(dist, 'index.html'), 'utf8');
  const app = express();
  app.disable('x-powered-by');
  app.use(compression());
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
  app.use('/assets', express.static(join(dist, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(dist, { index: false, maxAge: '1h' }));
  app.get('/{*path}', (_request, response) => {
    response.setHeader('Cache-Control', 'no-store');
    response.type('html').send(page.replaceAll(NONCE_MARK, String(response.locals.nonce)));
  });
  return app;
}
