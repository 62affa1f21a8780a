import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeServer } from './serve.ts';

const folder = mkdtempSync(join(tmpdir(), 'mivet-serve-'));
let server: Server;
let base = '';

beforeAll(async () => {
  mkdirSync(join(folder, 'app/assets'), { recursive: true });
  writeFileSync(join(folder, 'app/index.html'), '<!doctype html><title>Mivet</title>');
  writeFileSync(join(folder, 'app/assets/a.js'), 'export {}');
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

  it('tells whether it was started for the demo', async () => {
    expect(await (await fetch(`${base}/api/config`)).json()).toEqual({ demo: true });
    expect((await fetch(`${base}/api/other`)).status).toBe(404);
    expect((await fetch(`${base}/api/config`, { method: 'POST' })).status).toBe(404);
  });

  it('gives nothing from outside its folder', async () => {
    for (const path of [
      '/../secret.txt',
      '/%2e%2e/secret.txt',
      '/assets/..%2f..%2f..%2fsecret.txt',
      '/assets/nothing.js',
      '/missing.css',
    ]) {
      const response = await fetch(base + path);
      expect(response.status === 404 || response.status === 403 || !(await response.text()).includes('not yours')).toBe(
        true,
      );
    }
    expect((await fetch(`${base}/missing.css`)).status).toBe(404);
  });

  it('says that the app is not built instead of serving nothing', () => {
    expect(() => makeServer({ folder: join(folder, 'nowhere'), demo: false })).toThrow(/not built/);
  });
});
