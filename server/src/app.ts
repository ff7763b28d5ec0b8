import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';
import compression from 'compression';
import expressStaticGzip from 'express-static-gzip';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { counterRoutes } from './counter';
import { preloader } from './preload';
import { LOOPBACK, type Mode } from './settings';

/** What the app is served from. */
export interface AppSettings {
  readonly mode: Mode;
  readonly host: string;
  /** Folder of the built app. */
  readonly staticDir: string;
  /** File of the demo's tickets. */
  readonly demoFile: string;
}

const NONCE_MARK = '__NONCE__';
const MODE_MARK = '__MODE__';
/** Hosts that stand for every address of the machine. */
const ANY_ADDRESS = ['0.0.0.0', '::'];

/** The name part of a Host header, without its port. */
const hostName = (header: string | undefined): string => (header ?? '').replace(/:\d+$/, '').toLowerCase();

/**
 * Only the names that the bench knows itself by are answered, so that another site cannot reach it by pointing a name
 * of its own here. On loopback `localhost` is sent to the one address that the browser's store belongs to.
 */
function checkHost(host: string) {
  const allowed = new Set([host.toLowerCase(), `[${host.toLowerCase()}]`, LOOPBACK, 'localhost', '[::1]']);
  // On all addresses any of them is answered; a name, which another site may point here, is not.
  const isAddress = (name: string): boolean => isIP(name.replace(/^\[|\]$/g, '')) !== 0;
  return function checkHostHeader(req: Request, res: Response, next: NextFunction): void {
    const name = hostName(req.headers.host);
    if (!allowed.has(name) && !(ANY_ADDRESS.includes(host) && isAddress(name))) {
      res.status(421).type('text/plain').send(`This bench does not answer to “${name}”.\n`);
      return;
    }
    if (host === LOOPBACK && name !== LOOPBACK && (req.method === 'GET' || req.method === 'HEAD')) {
      const port = /:\d+$/.exec(req.headers.host ?? '')?.[0] ?? '';
      res.redirect(308, `http://${LOOPBACK}${port}${req.originalUrl}`);
      return;
    }
    next();
  };
}

/** Content security: everything from here, styles also by nonce (a dialog part injects one), pictures also as blobs. */
function security() {
  return helmet({
    strictTransportSecurity: false,
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        'default-src': ["'self'"],
        'script-src': ["'self'"],
        'style-src': ["'self'", (_req, res) => `'nonce-${(res as Response).locals.nonce}'`],
        'img-src': ["'self'", 'blob:', 'data:'],
        'worker-src': ["'self'"],
        'object-src': ["'none'"],
        'base-uri': ["'none'"],
        'form-action': ["'none'"],
        'frame-ancestors': ["'none'"],
      },
    },
  });
}

/**
 * The Express app: the built interface, the demo's data, health. Nothing is written and no data leaves the browser.
 *
 * @throws Error where the app has not been built
 */
export function createApp(settings: AppSettings): Express {
  const indexFile = join(settings.staticDir, 'index.html');
  if (!existsSync(indexFile)) throw new Error('The app is not built yet. Run: npm run build');
  const page = readFileSync(indexFile, 'utf8').replaceAll(MODE_MARK, settings.mode);
  const preload = preloader(settings.staticDir);
  const app = express();
  app.disable('x-powered-by');
  app.use(function giveNonce(_req, res, next) {
    res.locals.nonce = randomBytes(16).toString('base64');
    next();
  });
  app.use(security());
  app.use(checkHost(settings.host));
  app.use(compression());

  app.get('/health', function health(_req, res) {
    res.set('Cache-Control', 'no-store').json({ ok: true, mode: settings.mode });
  });
  app.get('/demo/wrackline.json', function demoData(_req, res) {
    if (settings.mode !== 'demo') res.status(404).type('text/plain').send('The demo is started with: npm run demo\n');
    else res.sendFile(settings.demoFile, { headers: { 'Cache-Control': 'no-cache' } });
  });
  // A supplier that is made up, for the demo alone.
  if (settings.mode === 'demo') app.use('/counter', counterRoutes());
  // Built files carry their content in their name, so they never change.
  // They were compressed when they were built, so that no request waits for it.
  app.use(
    '/assets',
    expressStaticGzip(join(settings.staticDir, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic: { immutable: true, maxAge: '365d', fallthrough: false },
    }),
  );
  // Its raw file knows neither mode nor nonce.
  app.get('/index.html', function oneAddress(_req, res) {
    res.redirect(308, '/');
  });
  // What keeps the app for later keeps it for this mode: with another it is another version.
  const worker = join(settings.staticDir, 'sw.js');
  const keeping = existsSync(worker) ? readFileSync(worker, 'utf8').replaceAll(MODE_MARK, settings.mode) : undefined;
  app.get('/sw.js', function serviceWorker(_req, res, next) {
    if (keeping === undefined) return next();
    res.set('Cache-Control', 'no-cache').type('text/javascript').send(keeping);
  });
  app.use(express.static(settings.staticDir, { index: false, maxAge: '1h' }));

  app.use(function servePage(req, res, next) {
    const wantsPage = req.method === 'GET' || req.method === 'HEAD';
    if (!wantsPage || /\.[a-z0-9]+$/i.test(req.path)) return next();
    res
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(page.replaceAll(NONCE_MARK, String(res.locals.nonce)).replace('</head>', `${preload(req.path)}</head>`));
  });
  app.use(function notFound(_req, res) {
    res.status(404).type('text/plain').send('There is nothing here.\n');
  });
  app.use(function sayError(
    error: { status?: number; message?: string },
    _req: Request,
    res: Response,
    _next: NextFunction,
  ) {
    const status = error.status ?? 500;
    res
      .status(status)
      .type('text/plain')
      .send(status < 500 ? 'There is nothing here.\n' : 'The server stumbled; its window says why.\n');
    if (status >= 500) console.error(error);
  });
  return app;
}
