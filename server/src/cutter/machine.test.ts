import type { CutterState, SentLoad } from '@mivet/core/cutter';
import { totalsOf, USUAL_PACE, wayOfHead } from '@mivet/core/cutter';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CutterMachine, type Act, type CutterMemory } from './machine.ts';

/** A square of 40 mm at 10, 10, on film from 3 to 93 and 3 to 63. */
const load = (id: string, change: Partial<SentLoad> = {}): SentLoad => ({
  id,
  title: 'Wave',
  projectId: 'p',
  number: 1,
  board: { label: 'Board', widthMm: 290, lengthMm: 295 },
  strips: [{ name: 'Shallows', colour: '#6FB1BF', from: 3, to: 93, low: 3, high: 63 }],
  hpgl: ['IN;SP1;PU400,400;PD2000,400,2000,2000,400,2000,400,400;PU0,0;SP0;'],
  ...change,
});
const ROUND_S = totalsOf(
  wayOfHead([{ pen: 1, points: Float64Array.from([10, 10, 50, 10, 50, 50, 10, 50, 10, 10]) }], USUAL_PACE),
).seconds;

interface Bench {
  machine: CutterMachine;
  /** Switches it off and on again with what it kept. */
  fall: () => void;
  /** Loads whose pen movements are kept. */
  kept: () => string[];
  now: (id: string) => CutterState['loads'][number];
}
function bench(): Bench {
  let kept: CutterMemory | null = null;
  let tick = 0;
  const world = {
    keep: (memory: CutterMemory) => (kept = JSON.parse(JSON.stringify(memory)) as CutterMemory),
    tell: () => undefined,
    now: () => new Date(1e12 + 1000 * tick++).toISOString(),
  };
  const it: Bench = {
    machine: new CutterMachine(world, null, 1),
    fall: () => (it.machine = new CutterMachine(world, kept, 1)),
    kept: () => Object.keys(kept?.sent ?? {}).sort(),
    now: (id) => it.machine.state.loads.find((l) => l.id === id)!,
  };
  return it;
}

describe('the simulated cutter', () => {
  it('takes a load through: waiting, loaded, cutting, corner test, once more, done', async () => {
    const b = bench();
    await b.machine.send(load('a'));
    expect(b.now('a')).toMatchObject({ state: 'waiting', totalMm: 160, totalS: expect.closeTo(ROUND_S, 9) });
    expect(b.machine.act('a', { do: 'start', pass: 1 })).toMatchObject({ ok: false });
    b.machine.act('a', { do: 'load', filmOnBoard: true });
    b.machine.act('a', { do: 'start', pass: 1 });
    b.machine.pass(ROUND_S / 2);
    expect(b.now('a').state).toBe('cutting');
    b.machine.pass(ROUND_S);
    expect(b.now('a')).toMatchObject({ state: 'corner test', doneMm: 160 });
    expect(b.machine.state.bladeMm).toBeCloseTo(160, 9);
    b.machine.act('a', { do: 'cut again', pass: 1 });
    expect(b.now('a')).toMatchObject({ state: 'loaded', pass: 2, doneMm: 0 });
    // Another browser that still sees the first pass cuts nothing.
    expect(b.machine.act('a', { do: 'start', pass: 1 }).ok).toBe(false);
    b.machine.act('a', { do: 'start', pass: 2 });
    b.machine.pass(ROUND_S);
    b.machine.act('a', { do: 'came off clean' });
    expect(b.now('a').state).toBe('done');
    expect(b.machine.act('a', { do: 'start', pass: 2 })).toMatchObject({ ok: false, why: expect.stringMatching(/cut and taken out/) }); // prettier-ignore
    expect(b.machine.state.bladeMm).toBeCloseTo(320, 9);
  });

  it('refuses what does not fit and says why', async () => {
    const b = bench();
    const why = (id: string): unknown => b.now(id).why;
    await b.machine.send(load('wide', { strips: [{ ...load('').strips[0]!, high: 43 }] }));
    expect(why('wide')).toEqual({ code: 'wider-than-film', strip: 'Shallows', reach: 7, film: 40 });
    await b.machine.send(load('long', { board: { label: 'Short', widthMm: 110, lengthMm: 45 } }));
    expect(why('long')).toEqual({ code: 'longer-than-load', reach: 50, most: 45 });
    await b.machine.send(load('broad', { board: { label: 'Broad', widthMm: 600, lengthMm: 900 } }));
    expect(why('broad')).toEqual({ code: 'too-wide', width: 600, most: 330 });
    await b.machine.send(load('odd', { hpgl: ['IN;XX1;'] }));
    expect(why('odd')).toMatchObject({ code: 'unreadable' });
    await b.machine.send(load('bare'));
    b.machine.act('bare', { do: 'load', filmOnBoard: false });
    expect(b.now('bare')).toMatchObject({ state: 'refused', why: { code: 'empty-board' } });
    b.machine.act('bare', { do: 'load', filmOnBoard: true });
    expect(b.now('bare').state).toBe('loaded');
    for (const id of ['wide', 'long', 'broad', 'odd'])
      expect(b.machine.act(id, { do: 'load', filmOnBoard: true }).ok).toBe(false);
  });

  it('does not cut with a worn blade', async () => {
    const b = bench();
    b.machine.workFaster(10_000);
    let n = 0;
    // 25 times round, 4 m a load.
    const hpgl = [`PU400,400;PD${'2000,400,2000,2000,400,2000,400,400,'.repeat(25).slice(0, -1)};`];
    while (b.machine.state.bladeMm < b.machine.state.bladeLastsMm) {
      const id = `l${n++}`;
      await b.machine.send(load(id, { hpgl }));
      b.machine.act(id, { do: 'load', filmOnBoard: true });
      b.machine.act(id, { do: 'start', pass: 1 });
      b.machine.pass(10);
      b.machine.act(id, { do: 'came off clean' });
    }
    expect(n).toBe(100);
    expect(b.machine.state.loads.length).toBeLessThanOrEqual(30);
    await b.machine.send(load('next'));
    b.machine.act('next', { do: 'load', filmOnBoard: true });
    b.machine.act('next', { do: 'start', pass: 1 });
    expect(b.now('next')).toMatchObject({ state: 'loaded', why: { code: 'worn-blade', most: 400 } });
    b.machine.newBlade();
    b.machine.act('next', { do: 'start', pass: 1 });
    expect(b.now('next')).toMatchObject({ state: 'cutting', why: null });
  });

  it('keeps the pen movements of what may still be cut, and no others', async () => {
    const b = bench();
    await b.machine.send(load('waits'));
    await b.machine.send(load('odd', { hpgl: ['IN;XX1;'] }));
    await b.machine.send(load('bare'));
    b.machine.act('bare', { do: 'load', filmOnBoard: false });
    await b.machine.send(load('cut'));
    expect(b.kept()).toEqual(['bare', 'cut', 'waits']);
    b.machine.act('cut', { do: 'load', filmOnBoard: true });
    b.machine.act('cut', { do: 'start', pass: 1 });
    b.machine.pass(2 * ROUND_S);
    expect(b.kept()).toEqual(['bare', 'cut', 'waits']);
    b.machine.act('cut', { do: 'came off clean' });
    b.machine.act('waits', { do: 'take out' });
    expect(b.kept()).toEqual(['bare']);
  });

  it('reads a long load in turns with all else, once, however often it is sent meanwhile', async () => {
    const b = bench();
    // A million places, 1 mm apart to and fro.
    const hpgl = [`PU400,400;PD${'440,400,400,400,'.repeat(500_000).slice(0, -1)};`, ...Array.from({ length: 40 }, () => `PU400,400;PD${'440,400,400,400,'.repeat(10_000).slice(0, -1)};`)]; // prettier-ignore
    const strips = hpgl.map(() => load('').strips[0]!);
    let turns = 0;
    let reading = true;
    const count = (): void => {
      turns++;
      if (reading) setImmediate(count);
    };
    setImmediate(count);
    const first = b.machine.send(load('long', { hpgl, strips }));
    expect(await b.machine.send(load('long', { hpgl, strips }))).toEqual({ ok: true });
    expect(b.machine.state.loads).toEqual([]);
    expect(await first).toEqual({ ok: true });
    reading = false;
    expect(turns).toBeGreaterThan(20);
    expect(b.machine.state.loads).toHaveLength(1);
    expect(b.now('long').totalMm).toBeCloseTo(1_000_000 + 40 * 20_000, 3);
  });

  it('stops where it was when the power goes, and goes on from there without cutting anything twice', async () => {
    const b = bench();
    await b.machine.send(load('a'));
    await b.machine.send(load('b'));
    b.machine.act('a', { do: 'load', filmOnBoard: true });
    b.machine.act('a', { do: 'start', pass: 1 });
    b.machine.pass(ROUND_S * 0.4);
    const { doneMm } = b.now('a');
    b.fall();
    expect(b.now('a')).toMatchObject({ state: 'stopped', doneMm, why: { code: 'switched-off', share: expect.closeTo(0.4, 6) } }); // prettier-ignore
    expect(b.now('b').state).toBe('waiting');
    expect(b.machine.act('b', { do: 'load', filmOnBoard: true })).toMatchObject({ ok: false, why: expect.stringMatching(/Another load/) }); // prettier-ignore
    b.machine.act('a', { do: 'start', pass: 1 });
    b.machine.pass(ROUND_S);
    expect(b.now('a').state).toBe('corner test');
    expect(b.machine.state.bladeMm).toBeCloseTo(160, 6);
  });

  it('whatever is pressed by whomever, and whenever the power goes: one load in it, nothing lost, nothing cut twice', async () => {
    const act = fc.oneof(
      fc.record({ do: fc.constant('load' as const), filmOnBoard: fc.boolean() }),
      fc.record({ do: fc.constant('start' as const), pass: fc.constantFrom(1, 2) }),
      fc.record({ do: fc.constantFrom('stop' as const, 'came off clean' as const, 'take out' as const) }),
      fc.record({ do: fc.constant('cut again' as const), pass: fc.constantFrom(1, 2) }),
    );
    const step = fc.oneof(
      fc.record({ id: fc.constantFrom('a', 'b', 'c'), act }),
      fc.constantFrom('fall' as const, 'send' as const),
      fc.double({ min: 0, max: 3, noNaN: true }),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 60 }), async (steps) => {
        const b = bench();
        for (const id of ['a', 'b', 'c']) await b.machine.send(load(id));
        let told = b.machine.state;
        for (const one of steps) {
          if (one === 'fall') b.fall();
          else if (one === 'send') for (const id of ['a', 'b', 'c']) await b.machine.send(load(id));
          else if (typeof one === 'number') b.machine.pass(one);
          else b.machine.act(one.id, one.act as Act);
          const { loads, bladeMm, turn } = b.machine.state;
          // Whoever has two states knows which is the later, also of two servers.
          expect(turn).toBeGreaterThanOrEqual(told.turn);
          if (loads.map((l) => l.state + l.pass).join() !== told.loads.map((l) => l.state + l.pass).join())
            expect(turn).toBeGreaterThan(told.turn);
          told = b.machine.state;
          expect(loads.map(({ id }) => id).sort()).toEqual(['a', 'b', 'c']);
          expect(loads.filter((l) => ['loaded', 'cutting', 'stopped', 'corner test'].includes(l.state)).length).toBeLessThanOrEqual(1); // prettier-ignore
          // Every pass before the one that it is on was cut whole, once.
          const cut = loads.reduce((sum, l) => sum + 160 * (l.pass - 1) + l.doneMm, 0);
          expect(bladeMm).toBeCloseTo(cut, 6);
        }
      }),
    );
  });
});
