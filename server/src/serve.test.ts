import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeServer } from './serve.ts';

const folder = mkdtempSync(join(tmpdir(), 'mivet-serve-'));
const LONG = 'export const long = 1;';
let server: Server;
let base = '';

beforeAll(async () => {
  mkdirSync(join(folder, 'app/assets'), { recursive: true });
  writeFileSync(join(folder, 'app/index.html'), '<!doctype html><title>Mivet</title>');
  writeFileSync(join(folder, 'app/assets/a.js'), 'export {}');
  writeFileSync(join(folder, 'app/assets/b.js'), LONG);
  // Told apart by what they say: which of the two is given is seen.
  writeFileSync(join(folder, 'app/assets/b.js.br'), brotliCompressSync('small'));
  writeFileSync(join(folder, 'secret.txt'), 'not yours');
  server = makeServer({ folder: join(folder, 'app'), demo: true }).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => server.close());

describe('makeServer', () => {
  it('serves the app at every view, with a strict policy', async () => {
    for (const path of ['/', '/shelf', '/project/x/artwork']) {
      const response = await fetch(base + path);
      expect(response.status).toBe(200);
      expect(await response.text()).toContain('<title>Mivet</title>');
      const policy = response.headers.get('content-security-policy')!;
      expect(policy).toContain("default-src 'none'");
      expect(policy).toContain("script-src 'self'");
      expect(policy).not.toContain('unsafe-eval');
      expect(response.headers.get('x-content-type-options')).toBe('nosniff');
      expect(response.headers.get('x-powered-by')).toBeNull();
    }
  });

  it('gives what was compressed to those who take it, and what it was to all others', async () => {
    const get = (path: string, takes: string, method = 'GET'): Promise<Response> => fetch(base + path, { method, headers: { 'Accept-Encoding': takes } }); // prettier-ignore
    const small = await get('/assets/b.js?x=/assets/b.js', 'gzip, br');
    expect(small.headers.get('content-encoding')).toBe('br');
    expect(small.headers.get('content-type')).toMatch(/javascript/);
    expect(small.headers.get('cache-control')).toContain('immutable');
    expect(small.headers.get('vary')).toContain('Accept-Encoding');
    expect(await small.text()).toBe('small');
    for (const takes of ['gzip', 'identity', 'br;q=0']) {
      const whole = await get('/assets/b.js', takes);
      expect([whole.headers.get('content-encoding'), await whole.text()], takes).toEqual([null, LONG]);
    }
    expect((await get('/assets/b.js', 'br', 'HEAD')).headers.get('content-encoding')).toBe('br');
    expect((await get('/assets/b.js', 'br', 'POST')).status).toBe(405);
    expect((await get('/assets/a.js', 'br')).headers.get('content-encoding')).toBeNull();
    // The page of every view, once there is one.
    expect((await get('/shelf', 'br')).headers.get('content-encoding')).toBeNull();
    writeFileSync(join(folder, 'app/index.html.br'), brotliCompressSync('<title>Small</title>'));
    expect(await (await get('/shelf', 'br')).text()).toContain('Small');
    expect(await (await get('/shelf', 'gzip')).text()).toContain('Mivet');
    rmSync(join(folder, 'app/index.html.br'));
  });

  it('tells whether it was started for the demo', async () => {
    expect(await (await fetch(`${base}/api/config`)).json()).toEqual({ demo: true });
    expect((await fetch(`${base}/api/other`)).status).toBe(404);
    expect((await fetch(`${base}/api/config`, { method: 'POST' })).status).toBe(404);
  });

  /** What is answered to a path as it is written: `fetch` would tidy it up before it is sent. */
  const asWritten = (path: string, at = server): Promise<{ status: number; body: string }> =>
    new Promise((resolve, reject) => {
      const { port } = at.address() as AddressInfo;
      request({ host: '127.0.0.1', port, path }, (response) => {
        let body = '';
        response.on('data', (chunk) => (body += String(chunk)));
        response.on('end', () => resolve({ status: response.statusCode ?? 0, body }));
      })
        .on('error', reject)
        .end();
    });

  it('gives nothing from outside its folder, however the way there is written', async () => {
    const ways = ['..', '%2e%2e', '%2E.', '..%2f..', '..%5c..'].flatMap((up) => [
      `/${up}/secret.txt`,
      `/assets/${up}/${up}/secret.txt`,
      `/assets/${up}%2f${up}%2fsecret.txt`,
    ]);
    for (const path of ways) {
      const { status, body } = await asWritten(path);
      expect(body, path).not.toContain('not yours');
      expect([400, 403, 404], `${path}: ${status}`).toContain(status);
    }
    // The same file is given where it does lie within the folder: it can be read, and the paths are sent as they are.
    writeFileSync(join(folder, 'index.html'), '');
    const wider = makeServer({ folder, demo: false }).listen(0, '127.0.0.1');
    await new Promise((done) => wider.once('listening', done));
    expect((await asWritten('/app/../secret.txt', wider)).body).toBe('not yours');
    wider.close();
  });

  it('has no view at the address of a file that is not there', async () => {
    for (const path of ['/assets/nothing.js', '/missing.css']) expect((await asWritten(path)).status).toBe(404);
  });

  it('says what went wrong in words, and nothing of the machine that it runs on', async () => {
    for (const [path, status] of [
      ['/assets/none.js', 404],
      ['/%E0%A4%A', 400],
      ['/assets/%00', 400],
      ['/nothing.png', 404],
    ] as const) {
      const response = await fetch(base + path);
      const body = await response.text();
      expect([path, response.status]).toEqual([path, status]);
      expect(body).not.toMatch(/\/|\\|at \w+ \(|Error|node/);
    }
  });

  it('says that the app is not built instead of serving nothing', () => {
    expect(() => makeServer({ folder: join(folder, 'nowhere'), demo: false })).toThrow(/not built/);
  });
});
