import { newBlank, NO_STOCK, type Project } from '@mivet/core';
import { describe, expect, it } from 'vitest';
import { demoProjects } from '../demo/demo.ts';
import { askCore, CallGivenUp } from './core-client.ts';
import type { CoreReply, CoreRequest } from './protocol.ts';
import { serveCore } from './serve-core.ts';

const [tumbler] = demoProjects('2026-05-04T10:00:00.000Z') as [Project];
const input = { project: tumbler, unit: 'mm' as const, limits: {}, supply: NO_STOCK };

/** Everything that is answered to some requests, sent at once. */
async function answersTo(...requests: CoreRequest[]): Promise<CoreReply[]> {
  const replies: CoreReply[] = [];
  const serve = serveCore((reply) => replies.push(reply));
  await Promise.all(requests.map(serve));
  return replies;
}

describe('the worker', () => {
  it('sends the shape ahead, once, and the rest without it; the caller has both in one', async () => {
    const replies = await answersTo({ id: 1, job: 'examine', input });
    expect(replies.map((reply) => Object.keys(reply).find((key) => key !== 'id'))).toEqual(['begun', 'part', 'ok']);
    const [, { part }, { output }] = replies as [unknown, { part: object }, { output: object }];
    expect(Object.keys(output).filter((key) => key in part)).toEqual([]);
    const parts: object[] = [];
    const whole = await askCore('examine', input, { onPart: (shape) => parts.push(shape) });
    expect(parts).toHaveLength(1);
    expect(whole).toEqual({ ...part, ...output });
  });

  it('sends no shape of what cannot be flattened', async () => {
    const project = { ...tumbler, blank: newBlank('b', 'straight', 'Mug') };
    const replies = await answersTo({ id: 1, job: 'examine', input: { ...input, project } });
    expect(replies).toMatchObject([{ begun: true }, { output: { ok: false, problem: { code: 'reading-missing' } } }]);
  });

  it('leaves a job off between two stages when it is given up, and works the next one through', async () => {
    const replies = await answersTo({ id: 1, job: 'examine', input }, { giveUp: 1 }, { id: 2, job: 'examine', input });
    expect(replies.filter((reply) => reply.id === 1)).toMatchObject([{ begun: true }, { ok: false, givenUp: true }]);
    expect(replies.at(-1)).toMatchObject({ id: 2, ok: true });
    const stop = new AbortController();
    const call = askCore('examine', input, { signal: stop.signal });
    stop.abort();
    await expect(call).rejects.toBeInstanceOf(CallGivenUp);
  });

  it('refuses a job that it does not know, and says what went wrong with one that it does', async () => {
    const unknown = { id: 1, job: 'bake', input: {} } as unknown as CoreRequest;
    expect(await answersTo(unknown)).toMatchObject([{}, { ok: false, message: 'The worker has no job called bake.' }]);
    const font: CoreRequest = { id: 2, job: 'font', input: { bytes: new Uint8Array([1, 2, 3]) } };
    expect((await answersTo(font)).at(-1)).toMatchObject({ ok: false, givenUp: false });
  });
});
