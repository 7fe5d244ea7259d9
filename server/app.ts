import { existsSync } from 'node:fs';
import { extname, join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';

/** Nothing from elsewhere: every script, style, font and picture ships with the application. */
const contentPolicy = [
  "default-src 'self'",
  // WebAssembly is for the MP3 encoder, which ships with the application.
  "script-src 'self' 'wasm-unsafe-eval'",
  // Angular and Material set styles from script.
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "connect-src 'self' data:",
  "object-src 'none'",
  "base-uri 'self'",
  "frame-ancestors 'none'",
].join('; ');

/**
 * The server of the built application: its files, and the first page for every address inside it. A missing file is
 * not found, never the first page.
 * @example createApp('dist/app/browser').listen(4173)
 */
export function createApp(folder: string): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(compression());
  app.use((_, response, next) => {
    response.set({
      'Content-Security-Policy': contentPolicy,
      'X-Content-Type-Options': 'nosniff',
      'Referrer-Policy': 'no-referrer',
    });
    next();
  });
  app.use(
    express.static(folder, {
      index: false,
      setHeaders: (response, path) => {
        // Names of built files carry a hash of what is in them.
        const hashed = /-[A-Z0-9]{8}\.[a-z0-9]+$/.test(path);
        response.setHeader('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
      },
    }),
  );
  app.get('/{*path}', (request, response) => {
    const first = join(folder, 'index.html');
    if (extname(request.path) !== '' || !existsSync(first)) response.status(404).type('text').send('Not found');
    else response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: folder });
  });
  return app;
}
