import 'fake-indexeddb/auto';
import type { CutterLoad, CutterState, SentLoad } from '@mivet/core';
import { createPinia, disposePinia, getActivePinia, setActivePinia, type Pinia } from 'pinia';
import { nextTick } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { eventually } from '../../test/until.ts';
import { onFullDisk } from '../../test/full-disk.ts';
import { dropSend, readSends } from '../data/outbox.ts';
import { useCutter } from './cutter.ts';

const load = (id: string, state: CutterLoad['state'], number = 1): CutterLoad => ({
  id,
  title: 'Wave',
  projectId: 'p',
  number,
  board: { label: 'Board', widthMm: 290, lengthMm: 295 },
  strips: [],
  state,
  why: null,
  pass: 1,
  doneS: 0,
  totalS: 10,
  doneMm: 0,
  totalMm: 100,
  sentAt: '',
  changedAt: '',
});
let turn = 0;
/** A state of the cutter that is later than those before it. */
const state = (...loads: CutterLoad[]): CutterState => ({ turn: ++turn, machine: { widthMm: 330, longestMm: 7500 }, bladeMm: 0, bladeLastsMm: 1, faster: 1, loads }); // prettier-ignore
const sent = (number: number): Omit<SentLoad, 'id'> => ({ title: 'Wave', projectId: 'p', number, board: load('', 'waiting').board, strips: [], hpgl: ['PD'] }); // prettier-ignore

/** The line that the page listens on. */
class FakeLine {
  static CLOSED = 2;
  static open: FakeLine[] = [];
  readyState = 1;
  onerror: (() => void) | null = null;
  readonly heard = new Map<string, (event: { data: string }) => void>();
  constructor() {
    FakeLine.open.push(this);
  }
  addEventListener(event: string, act: (event: { data: string }) => void): void {
    this.heard.set(event, act);
  }
  close(): void {
    FakeLine.open = FakeLine.open.filter((line) => line !== this);
  }
  say(event: string, data: unknown): void {
    this.heard.get(event)?.({ data: JSON.stringify(data) });
  }
}
const asked: { path: string; body: { id?: string } }[] = [];
let answer: () => Response | Error = () => Response.json(state());

beforeEach(async () => {
  setActivePinia(createPinia());
  for (const { load: left } of await readSends()) await dropSend(left.id);
  asked.length = 0;
  FakeLine.open = [];
  vi.stubGlobal('EventSource', FakeLine);
  vi.stubGlobal('fetch', async (path: string, options?: { body?: string }) => {
    if (options?.body === undefined) return Response.json([]);
    asked.push({ path, body: JSON.parse(options.body) as { id?: string } });
    const given = answer();
    if (given instanceof Error) throw given;
    return given;
  });
});
afterEach(() => {
  disposePinia(getActivePinia() as Pinia);
  vi.unstubAllGlobals();
});

describe('the cutter as the page knows it', () => {
  it('is what was heard last, on one line however many listen', () => {
    const cutter = useCutter();
    cutter.listen();
    cutter.listen();
    expect(FakeLine.open).toHaveLength(1);
    expect(cutter.link).toBe('trying');
    const [line] = FakeLine.open;
    line!.say('state', state(load('a', 'waiting', 2), load('b', 'cutting')));
    expect([cutter.link, cutter.inside?.id, cutter.shown?.id]).toEqual(['live', 'b', 'b']);
    line!.say('head', { id: 'b', x: 1, y: 2, down: true, doneS: 3, doneMm: 40 });
    expect(cutter.head?.doneMm).toBe(40);
    line!.onerror!();
    expect(cutter.link).toBe('lost');
    line!.say('state', state(load('b', 'corner test')));
    expect([cutter.link, cutter.inside?.state, cutter.head]).toEqual(['live', 'corner test', null]);
    cutter.hangUp();
    expect(FakeLine.open).toHaveLength(1);
    cutter.hangUp();
    expect(FakeLine.open).toHaveLength(0);
  });

  it('is not what an answer says that came after later news, unless nothing is heard', async () => {
    const cutter = useCutter();
    cutter.listen();
    const [line] = FakeLine.open;
    line!.say('state', state(load('a', 'cutting')));
    const [stopped, goesOn] = [state(load('a', 'stopped')), state(load('a', 'cutting'))];
    answer = () => {
      line!.say('state', goesOn);
      return Response.json(stopped);
    };
    expect(await cutter.act(load('a', 'cutting'), { do: 'stop' })).toBe(true);
    expect(cutter.inside?.state).toBe('cutting');
    // Refused, and told how it stood: later than what was heard, then older.
    const loaded = state(load('a', 'loaded'));
    answer = () => Response.json({ message: 'No.', state: loaded }, { status: 409 });
    await cutter.act(load('a', 'cutting'), { do: 'stop' });
    expect(cutter.inside?.state).toBe('loaded');
    answer = () => Response.json({ message: 'No.', state: stopped }, { status: 409 });
    await cutter.act(load('a', 'loaded'), { do: 'stop' });
    expect(cutter.inside?.state).toBe('loaded');
    // Begun anew, while the line is down: the answer is all that is known.
    line!.onerror!();
    answer = () => Response.json({ ...state(), turn: 1 });
    await cutter.newBlade();
    expect(cutter.inside).toBeNull();
  });

  it('is not listened to by a page that nobody looks at: a browser has few lines to share', async () => {
    let seen = 'visible';
    Object.defineProperty(document, 'visibilityState', { configurable: true, get: () => seen });
    const show = async (now: string): Promise<void> => {
      seen = now;
      document.dispatchEvent(new Event('visibilitychange'));
      await nextTick();
    };
    const cutter = useCutter();
    cutter.listen();
    FakeLine.open[0]!.say('state', state(load('a', 'cutting')));
    await show('hidden');
    expect([FakeLine.open.length, cutter.link, cutter.inside?.state]).toEqual([0, 'off', 'cutting']);
    await show('visible');
    expect([FakeLine.open.length, cutter.link]).toEqual([1, 'trying']);
    FakeLine.open[0]!.say('state', state(load('a', 'stopped')));
    expect([cutter.link, cutter.inside?.state]).toEqual(['live', 'stopped']);
    // Left while it is hidden, and opened behind another: no line until it is seen.
    await show('hidden');
    cutter.hangUp();
    await show('visible');
    expect(FakeLine.open).toHaveLength(0);
    await show('hidden');
    cutter.listen();
    expect(FakeLine.open).toHaveLength(0);
    await show('visible');
    expect(FakeLine.open).toHaveLength(1);
    cutter.hangUp();
    expect(FakeLine.open).toHaveLength(0);
    Reflect.deleteProperty(document, 'visibilityState');
  });

  it('is not sent again what is on its way, and is sent again with the same name what may have got lost', async () => {
    const cutter = useCutter();
    cutter.listen();
    FakeLine.open[0]!.say('state', state(load('a', 'waiting', 1), load('c', 'done', 2)));
    await cutter.send([sent(1), sent(2)]);
    // The first waits already; the second was cut before and may be cut once more.
    expect(asked.map(({ path }) => path)).toEqual(['/api/cutter/loads']);
    expect(cutter.said).toContain('were not sent again');
    asked.length = 0;
    let falls = 2;
    answer = () => (falls-- > 0 ? new Error('no line') : Response.json(state(load('d', 'waiting', 3))));
    await cutter.send([sent(3)]);
    expect(asked).toHaveLength(3);
    expect(new Set(asked.map(({ body }) => body.id)).size).toBe(1);
    expect(cutter.shown?.number).toBe(3);
  });

  it('keeps what cannot be sent through a reload, and sends it once, in order, when the cutter is heard again', async () => {
    const cutter = useCutter();
    answer = () => new Error('no line');
    await cutter.send([sent(4), sent(5)]);
    expect(cutter.outbox.map(({ load: { number } }) => number)).toEqual([4, 5]);
    expect(cutter.said).toBeNull();
    // The same once more is there already.
    await cutter.send([sent(5)]);
    expect(cutter.outbox).toHaveLength(2);
    setActivePinia(createPinia());
    const later = useCutter();
    asked.length = 0;
    answer = () => Response.json({ message: 'bad gateway' }, { status: 502 });
    await later.sendWaiting();
    expect(later.outbox.map(({ load: { number } }) => number)).toEqual([4, 5]);
    await later.takeBack(later.outbox[0]!.load.id);
    await later.send([sent(6)]);
    asked.length = 0;
    answer = () => Response.json(state());
    later.listen();
    FakeLine.open.at(-1)!.say('state', state());
    await eventually(() => expect(later.outbox).toEqual([]));
    expect(asked.map(({ body }) => (body as SentLoad).number)).toEqual([5, 6]);
    // What the cutter refuses is said, and does not wait for ever.
    answer = () => new Error('no line');
    await later.send([sent(7)]);
    answer = () => Response.json({ message: 'Too long for it.' }, { status: 422 });
    await later.sendWaiting();
    expect([later.outbox.length, later.said]).toEqual([0, '“Wave”, load 7, was not taken: Too long for it.']);
  });

  it('sends what waits in the order in which it was given, in one moment or with the clock set back', async () => {
    const cutter = useCutter();
    answer = () => new Error('no line');
    vi.useFakeTimers({ toFake: ['Date'], now: Date.UTC(2026, 4, 4, 12) });
    await cutter.send([1, 2, 3, 4, 5, 6].map(sent));
    vi.setSystemTime(Date.UTC(2026, 4, 4, 11));
    await cutter.send([sent(7)]);
    vi.useRealTimers();
    setActivePinia(createPinia());
    const later = useCutter();
    asked.length = 0;
    answer = () => Response.json(state());
    await later.sendWaiting();
    expect(asked.map(({ body }) => (body as SentLoad).number)).toEqual([1, 2, 3, 4, 5, 6, 7]);
  });

  it('loses nothing that waits where there is no room to keep it, and keeps it when there is', async () => {
    const cutter = useCutter();
    answer = () => new Error('no line');
    await cutter.send([sent(1)]);
    await onFullDisk(async () => {
      await cutter.send([sent(2)]);
      await cutter.sendWaiting();
      expect(cutter.outbox.map(({ load: { number } }) => number)).toEqual([1, 2]);
      expect(cutter.onlyHere.map(({ load: { number } }) => number)).toEqual([2]);
    });
    await cutter.sendWaiting();
    expect([cutter.outbox.length, cutter.onlyHere.length]).toEqual([2, 0]);
    // One that waits here only, and is not wanted after all, is gone.
    await onFullDisk(async () => {
      await cutter.send([sent(3)]);
      await cutter.takeBack(cutter.outbox[2]!.load.id);
    });
    setActivePinia(createPinia());
    const later = useCutter();
    asked.length = 0;
    answer = () => Response.json(state());
    await later.sendWaiting();
    expect(asked.map(({ body }) => (body as SentLoad).number)).toEqual([1, 2]);
    expect(later.outbox).toEqual([]);
  });

  it('does not send what is taken back while another goes', async () => {
    const cutter = useCutter();
    answer = () => new Error('no line');
    await cutter.send([sent(1), sent(2), sent(3)]);
    const second = cutter.outbox[1]!.load.id;
    asked.length = 0;
    answer = () => {
      void cutter.takeBack(second);
      return Response.json(state());
    };
    await cutter.sendWaiting();
    expect(asked.map(({ body }) => (body as SentLoad).number)).toEqual([1, 3]);
    expect(cutter.outbox).toEqual([]);
  });

  it('says what it answered instead, and shows how it truly stands', async () => {
    const cutter = useCutter();
    answer = () => Response.json({ message: 'It is being cut. Stop it first.', state: state(load('a', 'cutting')) }, { status: 409 }); // prettier-ignore
    expect(await cutter.act(load('a', 'loaded'), { do: 'take out' })).toBe(false);
    expect([cutter.said, cutter.inside?.state]).toEqual(['It is being cut. Stop it first.', 'cutting']);
    answer = () => new Error('no line');
    await cutter.newBlade();
    expect(cutter.said).toContain('cannot be reached');
  });
});
