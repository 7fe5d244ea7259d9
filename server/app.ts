import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { extname, join } from 'node:path';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import { Hosts, onlyFor } from './hosts';

/** Where Angular begins in the first page: it puts the nonce that it finds there on its styles. */
const rootElement = '<kt-root>';
/** The one script that stands in the first page itself (scripts/first-line.mjs). */
const scriptInPage = '<script data-list=';

/** A new nonce for each answer; the first page is sent with it. */
const freshNonce: RequestHandler = (_request, response, next) => {
  response.locals['nonce'] = randomBytes(16).toString('base64');
  next();
};
const nonceOf = (response: object): string =>
  String('locals' in response && (response.locals as Record<string, unknown>)['nonce']);

/** The security headers: nothing from elsewhere, since every script, style, font and picture ships with the application. */
const headers = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      // WebAssembly is for the MP3 encoder, which ships with the application.
      scriptSrc: ["'self'", "'wasm-unsafe-eval'", (_request, response) => `'nonce-${nonceOf(response)}'`],
      // Angular, Material and the text editor make style elements by script.
      styleSrc: ["'self'", (_request, response) => `'nonce-${nonceOf(response)}'`],
      imgSrc: ["'self'", 'data:', 'blob:'],
      connectSrc: ["'self'", 'data:'],
      // Silence and a picture nobody sees: they keep the screen on, and give a page the keys of a headset.
      mediaSrc: ["'self'", 'blob:', 'data:'],
      objectSrc: ["'none'"],
      baseUri: ["'self'"],
      formAction: ["'none'"],
      frameAncestors: ["'none'"],
    },
  },
  // Served over plain http on this machine: a browser told to use https would find nothing.
  strictTransportSecurity: false,
});

/** The first page, with the nonce of its answer in it. */
const firstPageOf =
  (folder: string): RequestHandler =>
  (request, response) => {
    const file = join(folder, 'index.html');
    const isPage = extname(request.path) === '' || request.path === '/index.html';
    if (isPage && existsSync(file)) {
      const nonce = nonceOf(response);
      const page = readFileSync(file, 'utf8')
        .replace(rootElement, `<kt-root ngCspNonce="${nonce}">`)
        .replace(scriptInPage, `<script nonce="${nonce}" data-list=`);
      response.set('Cache-Control', 'no-cache').type('html').send(page);
    } else response.status(404).type('text').send('Not found');
  };

/** Nothing is ever sent to this server: other methods, and bodies, are turned away unread. */
const readingOnly: RequestHandler = (request, response, next) => {
  const sends =
    Number(request.headers['content-length'] ?? 0) > 0 || request.headers['transfer-encoding'] !== undefined;
  if (request.method !== 'GET' && request.method !== 'HEAD')
    response
      .status(405)
      .set({ Allow: 'GET, HEAD', Connection: 'close' })
      .type('text')
      .send('Only GET and HEAD are allowed');
  else if (sends) response.status(413).set('Connection', 'close').type('text').send('This server accepts no data here');
  else next();
};

const noHttps =
  'This server has no https address. Start it with HOST=0.0.0.0 npm start, and open the https address that it prints.';
const unreadable = 'This address cannot be read';

/** An address that nobody can read goes no further: what sends files would answer it in words of its own. */
const readableOnly: RequestHandler = (request, response, next) => {
  try {
    decodeURIComponent(request.path);
  } catch {
    response.status(400).type('text').send(unreadable);
    return;
  }
  next();
};

/** What goes wrong is said without traces or paths. */
const plainErrors: ErrorRequestHandler = (error: unknown, _request, response, next) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const status = typeof error === 'object' && error !== null && 'status' in error ? Number(error.status) : 500;
  const known = status >= 400 && status < 500;
  response
    .status(known ? status : 500)
    .type('text')
    .send(status === 404 ? 'Not found' : known ? unreadable : 'Something went wrong');
};

export interface AppOptions {
  /** The names under which it may be asked for; this machine's own where none are given. */
  readonly hosts?: Hosts;
  /** The certificate that devices may come to trust. */
  readonly authority?: string;
  /** Where it is served by https, too. */
  readonly securePort?: () => number | null;
}

/**
 * The server of the built application: its files, and the first page for every address inside it. A missing file is
 * not found, never the first page.
 * @example createApp('/…/dist/app/browser').listen(4173, '127.0.0.1')
 */
export function createApp(folder: string, options: AppOptions = {}): Express {
  const { hosts = new Hosts(), authority, securePort = () => null } = options;
  const app = express();
  app.disable('x-powered-by');
  app.use(onlyFor(hosts));
  app.use(freshNonce);
  app.use(headers);
  app.use(readingOnly);
  app.use(readableOnly);
  app.use(compression());
  if (authority !== undefined)
    app.get('/authority.crt', (_request, response) => {
      response.type('application/x-x509-ca-cert').set('Cache-Control', 'no-cache').send(authority);
    });
  // One press from where a browser wants https for something; only to this server, and to a path of it.
  app.get('/secure', (request, response) => {
    const port = securePort();
    const to = typeof request.query['to'] === 'string' ? request.query['to'] : '/';
    const path = /^\/(?![/\\])[\w/-]*$/.test(to) ? to : '/';
    if (port === null) response.status(404).type('text').send(noHttps);
    else response.redirect(302, `https://${request.hostname}:${port}${path}`);
  });
  const firstPage = firstPageOf(folder);
  app.get('/index.html', firstPage);
  app.use(
    // What the build has compressed is sent as it lies there; the rest is compressed on its way.
    expressStaticGzip(folder, {
      index: false,
      serveStatic: {
        redirect: false,
        dotfiles: 'ignore',
        setHeaders: (response, path) => {
          // Names of built files carry a hash of what is in them.
          const hashed = /-[A-Z0-9]{8}\.[a-z0-9]+(\.gz)?$/.test(path);
          response.setHeader('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
        },
      },
    }),
  );
  app.get('/{*path}', firstPage);
  app.use(plainErrors);
  return app;
}
