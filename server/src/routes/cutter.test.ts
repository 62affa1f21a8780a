import type { CutterState } from '@mivet/core/cutter';
import express from 'express';
import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { keepIn } from '../cutter/memory.ts';
import { cutterRoutes, type CutterRoutes } from './cutter.ts';

let folder = '';
let server: Server;
let cutter: CutterRoutes;
let base = '';

async function switchOn(): Promise<void> {
  cutter = cutterRoutes(keepIn(folder), 20);
  server = express().use('/api/cutter', cutter.router).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/cutter`;
}
async function switchOff(): Promise<void> {
  cutter.switchOff();
  server.closeAllConnections();
  await new Promise((done) => server.close(done));
}
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'mivet-cutter-'));
  await switchOn();
});
afterEach(switchOff);

const ID = '3f2b8c1e-5a4d-4f6b-9c7e-1d2a3b4c5d6e';
/** Round a square of 80 mm, again and again: 320 mm each time. */
const load = (times = 1, id = ID): object => ({
  id,
  title: 'Wave',
  projectId: 'p',
  number: 1,
  board: { label: 'Board', widthMm: 290, lengthMm: 295 },
  strips: [{ name: 'Shallows', colour: '#6FB1BF', from: 3, to: 103, low: 3, high: 103 }],
  hpgl: [`PU400,400;PD${'3600,400,3600,3600,400,3600,400,400,'.repeat(times).slice(0, -1)};`],
});
const post = async (
  path: string,
  body: unknown,
): Promise<{ status: number; body: CutterState & { message?: string } }> => {
  const response = await fetch(base + path, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }); // prettier-ignore
  return { status: response.status, body: (await response.json()) as CutterState };
};
const state = async (): Promise<CutterState> => (await (await fetch(base)).json()) as CutterState;
const first = async (): Promise<CutterState['loads'][number]> => (await state()).loads[0]!;
async function until(what: string): Promise<void> {
  for (let i = 0; (await first()).state !== what; i++) {
    if (i > 300) throw new Error(`never ${what}: ${JSON.stringify(await first())}`);
    await new Promise((go) => setTimeout(go, 50));
  }
}

/** Listens to the stream; hands over what was said so far. */
function listen(): { said: { event: string; data: unknown }[]; hangUp: () => void } {
  const said: { event: string; data: unknown }[] = [];
  let text = '';
  const call = request(`${base}/events`, (response) => {
    response.setEncoding('utf8');
    response.on('data', (chunk: string) => {
      text += chunk;
      const parts = text.split('\n\n');
      text = parts.pop()!;
      for (const part of parts) {
        const [, event, data] = /^event: (\w+)\ndata: (.*)$/s.exec(part) ?? [];
        if (event) said.push({ event, data: JSON.parse(data!) });
      }
    });
  });
  call.on('error', () => undefined);
  call.end();
  return { said, hangUp: () => call.destroy() };
}

describe('the cutter over the wire', () => {
  it('tells two browsers the same, sends the head along, and does not mind who comes and goes', async () => {
    const [one, two] = [listen(), listen()];
    await post('/loads', load(8));
    await post(`/loads/${ID}`, { do: 'load', filmOnBoard: true });
    const started = await Promise.all([
      post(`/loads/${ID}`, { do: 'start', pass: 1 }),
      post(`/loads/${ID}`, { do: 'start', pass: 1 }),
    ]);
    // Both press; one starts it, the other is told that it runs.
    expect(started.map(({ status }) => status).sort()).toEqual([200, 409]);
    expect(started.find(({ status }) => status === 409)!.body.message).toContain('being cut');
    await new Promise((go) => setTimeout(go, 400));
    two.hangUp();
    await until('corner test');
    const three = listen();
    await new Promise((go) => setTimeout(go, 200));
    expect(three.said[0]).toMatchObject({ event: 'state', data: { loads: [{ id: ID, state: 'corner test' }] } });
    const heads = one.said
      .filter(({ event }) => event === 'head')
      .map(({ data }) => (data as { doneMm: number }).doneMm);
    expect(heads.length).toBeGreaterThan(2);
    expect(heads).toEqual([...heads].sort((a, b) => a - b));
    expect(two.said.filter(({ event }) => event === 'head').length).toBeGreaterThan(0);
    // 8 times 320 mm, whoever looked.
    expect((await state()).bladeMm).toBeCloseTo(2560, 6);
    for (const { hangUp } of [one, three]) hangUp();
  });

  it('has its queue, its blade and its place again after it was killed in the middle', async () => {
    await post('/loads', load(40));
    await post('/loads', load(1, ID.replace('3f', '4f')));
    await post(`/loads/${ID}`, { do: 'load', filmOnBoard: true });
    await post(`/loads/${ID}`, { do: 'start', pass: 1 });
    await new Promise((go) => setTimeout(go, 500));
    await switchOff();
    await switchOn();
    const { loads, bladeMm } = await state();
    expect(loads.map((l) => l.state)).toEqual(['stopped', 'waiting']);
    expect(loads[0]!.why).toMatchObject({ code: 'switched-off' });
    expect(bladeMm).toBeGreaterThan(0);
    expect(bladeMm).toBeCloseTo(loads[0]!.doneMm, 6);
    expect(((await (await fetch(`${base}/loads/${ID}/strokes`)).json()) as number[][])[0]).toHaveLength(2 * 161);
    await post(`/loads/${ID}`, { do: 'start', pass: 1 });
    await until('corner test');
    // 40 times 320 mm in all, over both lives.
    expect((await state()).bladeMm).toBeCloseTo(12_800, 6);
  });

  it('stops when it is told to, and takes the same load only once', async () => {
    for (let i = 0; i < 3; i++) expect((await post('/loads', load(40))).status).toBe(200);
    expect((await state()).loads).toHaveLength(1);
    await post(`/loads/${ID}`, { do: 'load', filmOnBoard: true });
    await post(`/loads/${ID}`, { do: 'start', pass: 1 });
    await new Promise((go) => setTimeout(go, 250));
    await post(`/loads/${ID}`, { do: 'stop' });
    const { doneMm } = await first();
    await new Promise((go) => setTimeout(go, 300));
    expect(await first()).toMatchObject({ state: 'stopped', doneMm });
  });

  it('says what is wrong with what is sent, and listens to nobody from elsewhere', async () => {
    expect(await post('/loads', { ...load(), board: 3 })).toMatchObject({ status: 400, body: { message: expect.stringMatching(/at board/) } }); // prettier-ignore
    expect((await post(`/loads/${ID}`, { do: 'dance' })).status).toBe(400);
    expect(await post('/loads/nobody', { do: 'stop' })).toMatchObject({ status: 409, body: { message: expect.stringMatching(/does not know/) } }); // prettier-ignore
    expect((await post('/pace', { faster: -1 })).status).toBe(400);
    const broken = await fetch(`${base}/loads`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: '{',
    });
    expect(broken.status).toBe(400);
    const elsewhere = await new Promise<number>((done) => {
      request(base, { headers: { Origin: 'http://elsewhere.example' } }, (r) => done(r.statusCode!)).end();
    });
    expect(elsewhere).toBe(403);
    const renamed = await new Promise<number>((done) => {
      request(base, { headers: { Host: 'elsewhere.example' } }, (r) => done(r.statusCode!)).end();
    });
    expect(renamed).toBe(403);
  });

  it('puts a memory that it cannot read aside and begins anew', async () => {
    await post('/loads', load());
    await switchOff();
    writeFileSync(join(folder, 'cutter.json'), '{"state":');
    await switchOn();
    expect((await state()).loads).toEqual([]);
    expect(readdirSync(folder)).toContain('cutter.unreadable.json');
  });
});
