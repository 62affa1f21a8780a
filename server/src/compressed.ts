import { readdirSync, statSync } from 'node:fs';
import { extname, join, relative, sep } from 'node:path';
import type { RequestHandler } from 'express';

/** What the build leaves beside a file that it compressed. */
export const COMPRESSED = '.br';

/**
 * Gives files as they were compressed when they were built, to whoever takes that: the request goes on with the compressed file's
 * address. Which files there are is looked up once.
 *
 * @param folder with the built app
 */
export function preferCompressed(folder: string): RequestHandler {
  const there = new Set(
    readdirSync(folder, { recursive: true, encoding: 'utf8' })
      .filter((name) => name.endsWith(COMPRESSED) && statSync(join(folder, name)).isFile())
      .map((name) => `/${relative('.', name).split(sep).join('/')}`),
  );
  return (request, response, next) => {
    const { path } = request;
    if ((request.method !== 'GET' && request.method !== 'HEAD') || !there.has(path + COMPRESSED)) {
      next();
      return;
    }
    response.vary('Accept-Encoding');
    if (request.acceptsEncodings('br', 'identity') === 'br') {
      request.url = request.url.replace(path, path + COMPRESSED);
      response.set('Content-Encoding', 'br').type(extname(path));
    }
    next();
  };
}
