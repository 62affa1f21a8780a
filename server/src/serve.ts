import { existsSync } from 'node:fs';
import { join } from 'node:path';
import process from 'node:process';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { COMPRESSED, preferCompressed } from './compressed.ts';
import type { CutterRoutes } from './routes/cutter.ts';

/** What the server serves and how. */
export interface ServeOptions {
  /** Folder with the built app. */
  readonly folder: string;
  /** Whether a browser without projects is offered the demo. */
  readonly demo: boolean;
  /** The simulated cutter; left out, there is none. */
  readonly cutter?: CutterRoutes;
}

/**
 * The application: the built app's files, a small configuration and the simulated cutter, nothing else.
 *
 * @throws Error when the app has not been built
 */
export function makeServer({ folder, demo, cutter }: ServeOptions): Express {
  const page = join(folder, 'index.html');
  if (!existsSync(page)) throw new Error(`The app is not built: ${page} is missing. Run "npm run build" first.`);
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'"],
          // Component libraries set styles on elements; no style may come from elsewhere.
          styleSrc: ["'self'", "'unsafe-inline'"],
          fontSrc: ["'self'", 'data:'],
          imgSrc: ["'self'", 'data:', 'blob:'],
          connectSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: false,
      referrerPolicy: { policy: 'no-referrer' },
    }),
  );
  app.get('/api/config', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ demo });
  });
  if (cutter) app.use('/api/cutter', cutter.router);
  app.use('/api', (_request, response) => {
    response.status(404).json({ message: 'There is nothing at this address.' });
  });
  app.use(preferCompressed(folder));
  app.use(
    '/assets',
    express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', index: false, fallthrough: false }),
  );
  app.use(express.static(folder, { index: false, dotfiles: 'ignore', maxAge: 0 }));
  // Every other address is a view of the app.
  app.get('/{*view}', (request, response, next) => {
    if (/\.[a-z0-9]+$/i.test(request.path)) {
      next();
      return;
    }
    response.set('Cache-Control', 'no-cache').vary('Accept-Encoding');
    const small = existsSync(page + COMPRESSED) && request.acceptsEncodings('br', 'identity') === 'br';
    if (small)
      response
        .set('Content-Encoding', 'br')
        .type('html')
        .sendFile(page + COMPRESSED);
    else response.sendFile(page);
  });
  app.use((_request, response) => {
    response.status(404).type('text').send('There is nothing at this address.');
  });
  app.use(refusal);
  return app;
}

/** Says in words that something went wrong: what went wrong where inside is nobody's business. */
function refusal(
  problem: Error & { status?: number },
  _request: Request,
  response: Response,
  next: NextFunction,
): void {
  if (response.headersSent) {
    next(problem);
    return;
  }
  const status = problem.status && problem.status >= 400 && problem.status < 600 ? problem.status : 500;
  const words =
    status === 404
      ? 'There is nothing at this address.'
      : status < 500
        ? 'That could not be understood. Nothing was changed.'
        : 'Mivet could not answer. Your work is in the browser and is safe; try again.';
  if (status >= 500) process.stderr.write(`${problem.stack ?? problem.message}\n`);
  response.status(status).set('Cache-Control', 'no-store').type('text').send(words);
}
