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
import { askCore } from './core-client.ts';

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
