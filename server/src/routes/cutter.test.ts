import type { CutterState } from '@mivet/core/cutter';
import express from 'express';
import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { CutterMachine } from '../cutter/machine.ts';
import { FolderInUse, keepIn, type CutterKeeping } from '../cutter/memory.ts';
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
/** Waits until something is so, however slow the machine is. */
const soon = (so: () => boolean): Promise<unknown> => vi.waitUntil(so, { timeout: 100_000, interval: 20 });
async function until(what: string): Promise<void> {
  for (let i = 0; (await first()).state !== what; i++) {
    if (i > 2000) throw new Error(`never ${what}: ${JSON.stringify(await first())}`);
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
    await soon(() => two.said.some(({ event }) => event === 'head'));
    two.hangUp();
    await until('corner test');
    const three = listen();
    await soon(() => three.said.length > 0);
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
    await vi.waitUntil(async () => (await state()).bladeMm > 0, { timeout: 100_000, interval: 50 });
    await switchOff();
    await switchOn();
    const { loads, bladeMm } = await state();
    expect(loads.map((l) => l.state)).toEqual(['stopped', 'waiting']);
    expect(loads[0]!.why).toMatchObject({ code: 'switched-off' });
    expect(bladeMm).toBeGreaterThan(0);
    expect(bladeMm).toBeCloseTo(loads[0]!.doneMm, 6);
    expect(((await (await fetch(`${base}/loads/${ID}/strokes`)).json()) as number[][])[0]).toHaveLength(2 * 161);
    await post('/pace', { faster: 400 });
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
    expect(await post('/loads', { ...load(), board: 3 })).toMatchObject({ status: 400, body: { message: expect.stringMatching(/at “board”.*Nothing was changed/) } }); // prettier-ignore
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

  it('finds what was sent again without its list, and says that the list was lost', async () => {
    await post('/loads', load());
    await switchOff();
    writeFileSync(join(folder, 'cutter.json'), '{"state":');
    await switchOn();
    expect(await state()).toMatchObject({ loads: [{ id: ID, state: 'waiting', title: 'Wave' }], bladeMm: 0 });
    expect((await state()).lost).toEqual([expect.stringMatching(/list could not be read/)]);
    expect(readdirSync(folder)).toContain('cutter.unreadable.json');
    expect((await post('/lost-read', {})).body.lost).toEqual([]);
  });

  it('loses one load alone when its file is spoilt, and says which', async () => {
    const ids = [0, 1, 2].map((i) => ID.replace('3f', `${i}f`));
    for (const id of ids) await post('/loads', load(1, id));
    await switchOff();
    writeFileSync(join(folder, `load-${ids[1]}.json`), '');
    await switchOn();
    const { loads, lost } = await state();
    expect(Object.fromEntries(loads.map((l) => [l.id, l.state]))).toEqual({ [ids[0]!]: 'waiting', [ids[1]!]: 'refused', [ids[2]!]: 'waiting' }); // prettier-ignore
    expect(loads.find(({ id }) => id === ids[1])!.why).toEqual({ code: 'lost' });
    expect(lost).toEqual([expect.stringMatching(/“Wave” could not be read/)]);
  });

  it('writes no load file twice, and clears those of loads that are over', async () => {
    await post('/loads', load());
    const file = join(folder, `load-${ID}.json`);
    utimesSync(file, 1000, 1000);
    await switchOff();
    await switchOn();
    await post('/pace', { faster: 5 });
    // It has not been written to since.
    expect(statSync(file).mtimeMs).toBe(1_000_000);
    await post(`/loads/${ID}`, { do: 'take out' });
    expect(readdirSync(folder).filter((name) => name.startsWith('load-'))).toEqual([]);
  });
});

describe('the folder of the cutter', () => {
  it('is one server’s alone, until that is gone', async () => {
    const own = mkdtempSync(join(tmpdir(), 'mivet-lock-'));
    const other = spawn(process.execPath, ['-e', 'setInterval(() => {}, 1000)']);
    writeFileSync(join(own, 'cutter.lock'), String(other.pid));
    expect(() => keepIn(own)).toThrow(FolderInUse);
    const gone = new Promise((done) => other.once('exit', done));
    other.kill('SIGKILL');
    await gone;
    expect(() => keepIn(own)).not.toThrow();
    keepIn(own).leave();
    expect(readdirSync(own)).toEqual([]);
  });

  it('holds the whole old state or the whole new one, wherever a write is cut off', async () => {
    const own = mkdtempSync(join(tmpdir(), 'mivet-torn-'));
    const machine = (keeping: CutterKeeping): CutterMachine =>
      new CutterMachine({ keep: keeping.keep, tell: () => undefined, now: () => '2026-01-01' }, keeping.read(), 1);
    for (let i = 0; i < 20; i++)
      await machine(keepIn(own)).send(load(1, `load-${i}`) as Parameters<CutterMachine['send']>[0]);
    // A kill while a file is written leaves half of the one beside its place, and never touches the place itself.
    for (const name of readdirSync(own).filter((one) => one.endsWith('.json')))
      writeFileSync(join(own, `${name}.new`), readFileSync(join(own, name), 'utf8').slice(0, 40));
    const again = machine(keepIn(own));
    expect(again.state.loads.map(({ state: now }) => now)).toEqual(Array.from({ length: 20 }, () => 'waiting'));
    expect(again.state.lost).toEqual([]);
  });
});
