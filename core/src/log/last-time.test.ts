import { describe, expect, it } from 'vitest';
import { newBlank } from '../document/new-project.ts';
import type { LogbookEntry } from '../model/entry.ts';
import { FORMAT_VERSION } from '../model/format.ts';
import { lastTime, moreToBegin } from './last-time.ts';

const cup = newBlank('cup', 'tapered', 'Cup of the club');
const entry = (id: string, at: string, change: Partial<LogbookEntry> = {}): LogbookEntry => ({
  format: 'mivet-entry',
  version: FORMAT_VERSION,
  id,
  at,
  changedAt: at,
  title: id,
  projectId: null,
  count: 2,
  spoilt: 0,
  blank: { shelfId: null, name: cup.name, kind: 'tapered', surface: cup.surface, colour: cup.colour, girthMm: 280, tool: 'tape' }, // prettier-ignore
  process: 'decal',
  films: [],
  tape: null,
  work: [],
  pulls: [],
  dwell: [],
  seamGapMm: null,
  placingMm: null,
  grewShare: null,
  faults: [],
  outcome: 'kept',
  price: null,
  cost: null,
  text: '',
  photos: [],
  reports: [],
  askOn: null,
  ...change,
});

describe('what is known of a blank', () => {
  const fault = (kind: 'bubble' | 'crooked') => ({ kind, round: 0, down: 0.5, film: null });
  const book = [
    entry('c', '2026-06-03T10:00:00.000Z', { seamGapMm: 1, faults: [fault('crooked')] }),
    entry('b', '2026-05-02T10:00:00.000Z', { seamGapMm: 1, spoilt: 1, faults: [fault('bubble'), fault('bubble')] }),
    entry('other', '2026-05-01T10:00:00.000Z', { blank: { ...entry('x', '').blank, name: 'Another' }, seamGapMm: 9 }),
    entry('a', '2026-04-01T10:00:00.000Z', { seamGapMm: 1 }),
  ];

  it('is told from its own entries, the latest first', () => {
    const known = lastTime(book, cup, null)!;
    expect([known.latest.id, known.entries, known.made, known.spoilt]).toEqual(['c', 3, 7, 1]);
    expect(known.faults).toEqual([
      { kind: 'bubble', count: 2 },
      { kind: 'crooked', count: 1 },
    ]);
    // Three times 1 mm against none expected: most of it, and not all.
    expect(known.gap!.n).toBe(3);
    expect(known.gap!.mm).toBeGreaterThan(0.7);
    expect(known.gap!.mm).toBeLessThan(1);
    expect(lastTime(book, { ...cup, name: 'Never made' }, null)).toBeNull();
  });

  it('forgets gaps from before its sizes were put right', () => {
    const sizes = { girthRim: 280, girthBase: 200, side: 100 };
    const checked = { ...cup, fitCheck: { on: '2026-05-02T12:00:00.000Z', seen: { gapRimMm: 1, gapBaseMm: 1, standMm: 0 }, before: sizes, after: sizes, sigma: sizes } }; // prettier-ignore
    expect(lastTime(book, checked, null)!.gap!.n).toBe(1);
    expect(lastTime(book.slice(1), checked, null)!.gap).toBeNull();
  });

  it('goes by the shelf where both came from there, whatever they are called', () => {
    const own = entry('s', '2026-07-01T10:00:00.000Z', { blank: { ...entry('x', '').blank, shelfId: 'shelf-1', name: 'Old name' } }); // prettier-ignore
    expect(lastTime([own], cup, 'shelf-1')!.latest.id).toBe('s');
    expect(lastTime([own], cup, 'shelf-2')).toBeNull();
  });
});

describe('how many more have to be begun', () => {
  it('is enough eight times of ten', () => {
    // 0.95^10 = 0.599; with one more 0.599 · (1 + 10 · 0.05) = 0.898.
    expect(moreToBegin(10, 0.05)).toBe(1);
    expect(moreToBegin(1, 0.05)).toBe(0);
    // 0.8^4 = 0.410; one more 0.737; two more 0.737 + 0.410 · (0.2² · 4 · 5/2) = 0.901.
    expect(moreToBegin(4, 0.2)).toBe(2);
    expect(moreToBegin(3, 0.2)).toBe(1);
    expect(moreToBegin(12, 0)).toBe(0);
  });
});
