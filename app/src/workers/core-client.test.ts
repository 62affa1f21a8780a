import { expect, it, vi } from 'vitest';
import type { CoreReply, CoreRequest } from './protocol.ts';

/** A worker that the test answers for. */
class StandIn {
  static last: StandIn;
  onmessage: ((event: { data: CoreReply }) => void) | null = null;
  onerror: (() => void) | null = null;
  readonly asked: CoreRequest[] = [];
  constructor() {
    StandIn.last = this;
  }
  postMessage(request: CoreRequest): void {
    this.asked.push(request);
  }
  terminate(): void {
    this.onmessage = null;
  }
  answer(reply: unknown): Promise<void> {
    this.onmessage?.({ data: reply as CoreReply });
    return new Promise((done) => setTimeout(done));
  }
}
vi.stubGlobal('Worker', StandIn);
import { askCore, LEFT, lendFonts, watchApart } from './core-client.ts';

it('lets what can wait make room for what somebody waits for, and begins it anew afterwards', async () => {
  const told: string[] = [];
  const ask = (later: boolean, name: string): void =>
    void askCore('parts', { item: name } as never, { later }).then(() => told.push(name));
  ask(true, 'card 1');
  ask(true, 'card 2');
  const { asked } = StandIn.last;
  const first = asked[0] as { id: number };
  // One at a time.
  expect(asked).toMatchObject([{ input: { item: 'card 1' } }]);
  ask(false, 'project');
  expect(asked.slice(1)).toMatchObject([{ giveUp: first.id }, { input: { item: 'project' } }]);
  await StandIn.last.answer({ id: first.id, ok: false, givenUp: true, message: '' });
  expect(asked).toHaveLength(3);
  await StandIn.last.answer({ id: (asked[2] as { id: number }).id, ok: true, output: {} });
  expect(told).toEqual(['project']);
  for (const name of ['card 1', 'card 2']) {
    const call = asked.at(-1) as { id: number };
    expect(call).toMatchObject({ input: { item: name } });
    await StandIn.last.answer({ id: call.id, ok: true, output: {} });
  }
  expect(told).toEqual(['project', 'card 1', 'card 2']);
});

it('does not begin again what was given up itself', async () => {
  const given: string[] = [];
  const mine = new AbortController();
  void askCore('parts', { item: 'mine' } as never, { later: true, signal: mine.signal }).catch((problem: Error) => given.push(problem.constructor.name)); // prettier-ignore
  const { asked } = StandIn.last;
  const { id } = asked.at(-1) as { id: number };
  expect(asked.at(-1)).toMatchObject({ input: { item: 'mine' } });
  mine.abort();
  expect(asked.at(-1)).toEqual({ giveUp: id });
  const before = asked.length;
  await StandIn.last.answer({ id, ok: false, givenUp: true, message: '' });
  expect(given).toEqual(['CallGivenUp']);
  expect(asked).toHaveLength(before);
});

it('stops a job that takes too long, and only that: what waits beside it is asked of a new worker', async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  const settle = async (): Promise<void> => {
    for (let i = 0; i < 20; i++) await Promise.resolve();
  };
  const told: string[] = [];
  const ask = (name: string, options = {}): void =>
    void askCore('parts', { item: name } as never, options).then(
      () => told.push(name),
      (problem: Error) => told.push(`${name}: ${problem.constructor.name}`),
    );
  ask('heavy', { limitMs: 5000 });
  ask('light');
  const first = StandIn.last;
  const idOf = (name: string, worker = StandIn.last): number =>
    (worker.asked.find((r) => 'input' in r && (r.input as { item: unknown }).item === name) as { id: number }).id;
  // What waits in the queue costs it nothing; it counts from where the worker is at it.
  vi.advanceTimersByTime(60_000);
  await settle();
  expect(told).toEqual([]);
  first.onmessage?.({ data: { id: idOf('heavy'), begun: true } });
  // A device that sleeps finds what is due once when it wakes, however late it is: a second has been worked by then.
  vi.advanceTimersToNextTimer();
  await settle();
  expect(StandIn.last).toBe(first);
  vi.advanceTimersByTime(3999);
  await settle();
  expect(StandIn.last).toBe(first);
  vi.advanceTimersByTime(1);
  await settle();
  expect(told).toEqual(['heavy: TookTooLong']);
  expect(StandIn.last).not.toBe(first);
  StandIn.last.onmessage?.({ data: { id: idOf('light'), ok: true, output: {} as never } });
  await settle();
  expect(told).toEqual(['heavy: TookTooLong', 'light']);

  // One that was left is given a moment to notice, then ended.
  const left = new AbortController();
  ask('left', { signal: left.signal });
  const second = StandIn.last;
  left.abort(LEFT);
  expect(second.asked.at(-1)).toEqual({ giveUp: idOf('left') });
  vi.advanceTimersByTime(1000);
  await settle();
  expect(told.at(-1)).toBe('left: CallGivenUp');
  expect(StandIn.last).not.toBe(second);
  vi.useRealTimers();
});

it('lends fonts that are not kept to every worker, before it is asked for anything', () => {
  const running = StandIn.last;
  lendFonts([{ id: 'own-a', data: 'AAEAAA==', name: 'Quill' } as never]);
  const lend = [{ id: 'own-a', data: 'AAEAAA==' }];
  expect(running.asked.at(-1)).toEqual({ lend });
  const stop = watchApart('closer', {} as never, () => undefined, () => undefined); // prettier-ignore
  expect(StandIn.last).not.toBe(running);
  expect(StandIn.last.asked).toMatchObject([{ lend }, { job: 'closer' }]);
  stop();
  // One that takes the place of another has them too.
  running.onerror?.();
  void askCore('parts', { item: 'words' } as never).catch(() => undefined);
  expect(StandIn.last.asked).toMatchObject([{ lend }, { input: { item: 'words' } }]);
});
