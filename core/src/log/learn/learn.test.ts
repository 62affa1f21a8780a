import { describe, expect, it } from 'vitest';
import { STARTING_MATERIALS } from '../../material/materials.ts';
import type { EntryWork, LogbookEntry } from '../../model/entry.ts';
import { FORMAT_VERSION } from '../../model/format.ts';
import { seeded } from '../../numeric/seeded.ts';
import { materialsWith } from './apply.ts';
import { acceptedOf, dwellOf, learnFrom, type Learnt } from './learn.ts';
import { nextRange, rateOf, robustMean, robustRidge, t80, turningPoint } from './robust.ts';

/** An entry with nothing in it but what a test puts there. */
const entry = (change: Partial<LogbookEntry> = {}): LogbookEntry => ({ format: 'mivet-entry', version: FORMAT_VERSION, id: 'e', at: '2026-05-01T10:00:00.000Z', changedAt: '2026-05-01T10:00:00.000Z', title: 'Mug', projectId: null, count: 1, spoilt: 0, blank: { shelfId: null, name: 'Crew mug', kind: 'straight', surface: 'glazed ceramic', colour: '#203040', girthMm: 254, tool: 'tape' }, process: 'decal', films: [], tape: null, work: [], pulls: [], dwell: [], seamGapMm: null, placingMm: null, grewShare: null, faults: [], outcome: 'kept', price: null, cost: null, text: '', photos: [], reports: [], askOn: null, ...change }); // prettier-ignore
const learn = (entries: readonly LogbookEntry[]): Map<string, Learnt> => new Map(learnFrom(entries, STARTING_MATERIALS).map((one) => [one.key, one])); // prettier-ignore
const many = <T>(n: number, make: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => make(i));
/** Normal numbers, by Box and Muller. */
function normal(seed: number): () => number {
  const random = seeded(seed);
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}
const weeding = (minutes: number, pieces: number, cutM: number): LogbookEntry => entry({ work: [{ kind: 'weed', minutes, pieces, cutM, things: 1 } satisfies EntryWork] }); // prettier-ignore
/** Somebody who takes 2 min to begin a film, 0.4 for a piece, and 1 for a metre; give or take a fifth. */
function weeder(n: number, seed: number): LogbookEntry[] {
  const [random, noise] = [seeded(seed + 1), normal(seed)];
  return many(n, () => {
    const [pieces, cutM] = [Math.floor(5 + 60 * random()), 1 + 12 * random()];
    return weeding((2 + 0.4 * pieces + cutM) * (1 + 0.2 * noise()), pieces, cutM);
  });
}
const PACE = { noise: 0.3, noiseN: 4 };

describe('estimates that lean on what was thought before', () => {
  it('find where values lie, near the start with two of them, at their own middle with many', () => {
    const prior = { mean: 10, sd: 1, noise: 1, noiseN: 3 };
    expect(robustMean([], prior)).toMatchObject({ value: 10, low: 10 - t80(3), high: 10 + t80(3) });
    // Two at 14 weigh two, the start one, all with the spread of one: no further than two thirds of the way.
    const two = robustMean([14, 14], prior).value;
    expect(two).toBeGreaterThan(10);
    expect(two).toBeLessThan(10 + (2 / 3) * 4 + 0.5);
    const twenty = many(200, (i) => 14 + ((i % 5) - 2) / 4);
    expect(robustMean(twenty, prior).value).toBeCloseTo(14, 1);
    // Three wild ones among forty move it by less than a tenth of their distance's share.
    const forty = many(40, (i) => 14 + ((i % 5) - 2) / 4);
    expect(Math.abs(robustMean([...forty, 90, 90, 90], prior).value - robustMean(forty, prior).value)).toBeLessThan(
      0.25,
    );
  });

  it('hold their ranges: eight of ten, over four hundred made logs', () => {
    const prior = { mean: 0, sd: 2, noise: 1, noiseN: 3 };
    const noise = normal(7);
    let [held, next] = [0, 0];
    for (let round = 0; round < 400; round++) {
      const truth = 2 * noise();
      const values = many(8, () => truth + noise());
      const of = robustMean(values, prior);
      if (of.low <= truth && truth <= of.high) held++;
      const range = nextRange(of, values.length, prior);
      const one = truth + noise();
      if (range.low <= one && one <= range.high) next++;
    }
    // 320 ± 8 of 400, four spreads either way.
    expect(held).toBeGreaterThan(288);
    expect(held).toBeLessThan(360);
    expect(next).toBeGreaterThan(288);
    expect(next).toBeLessThan(360);
  });

  it('know the quantiles of Student that tables print', () => {
    // 0.9 quantiles: 3 degrees 1.638, 5: 1.476, 10: 1.372, 30: 1.310.
    for (const [dof, printed] of [[3, 1.638], [5, 1.476], [10, 1.372], [30, 1.31]] as const) expect(Math.abs(t80(dof) - printed)).toBeLessThan(0.011); // prettier-ignore
  });

  it('fit lines: without rows the start, of exact rows what they follow, however wild three of them', () => {
    expect(robustRidge([], [2, 3], 0.5, PACE).map(({ value }) => value)).toEqual([2, 3]);
    const exact = many(60, (i) => ({ x: [1, i], y: 4 + 5 * i }));
    const [a, b] = robustRidge(exact, [2, 3], 0.5, PACE);
    expect(b!.value).toBeCloseTo(5, 1);
    expect(a!.value).toBeGreaterThan(2.5);
    const wild = robustRidge([...exact, { x: [1, 5], y: 900 }, { x: [1, 9], y: 900 }, { x: [1, 30], y: 9000 }], [2, 3], 0.5, PACE); // prettier-ignore
    expect(Math.abs(wild[1]!.value - b!.value)).toBeLessThan(0.25);
  });

  it('know rates, and where well turns into wrong', () => {
    // One of twenty before, and nothing seen: 0.05; three of ten seen on top: 4 of 30.
    expect(rateOf(0, 0, 0.05, 20).value).toBeCloseTo(0.05, 12);
    expect(rateOf(3, 10, 0.05, 20).value).toBeCloseTo(4 / 30, 12);
    const seen = [1, 2, 3, 4].map((at) => ({ at, well: true })).concat([6, 7, 8].map((at) => ({ at, well: false })));
    expect(turningPoint(seen, 5, 2)).toEqual({ value: 5, low: 4, high: 6 });
    expect(turningPoint(seen.map(({ at, well }) => ({ at: at + 10, well })), 5, 2)).toEqual({ value: 15, low: 14, high: 16 }); // prettier-ignore
    // One that went wrong early is outvoted.
    expect(turningPoint([...seen, { at: 1.5, well: false }], 5, 2).value).toBe(5);
    // Two entries do not carry it far off.
    expect(turningPoint([{ at: 9, well: true }], 5, 2).value).toBe(5);
  });
});

describe('what the logbook teaches', () => {
  it('is nothing of an empty book', () => {
    expect(learnFrom([], STARTING_MATERIALS)).toEqual([]);
  });

  it('finds a weeder’s pace within its ranges, and three wild evenings do not spoil it', () => {
    const of = learn(weeder(80, 3));
    expect(of.get('pace:weed:piece')!.n).toBe(80);
    expect(of.get('pace:weed:piece')!.value).toBeCloseTo(0.4, 1);
    expect(Math.abs(of.get('pace:weed:piece')!.value - 0.4)).toBeLessThan(0.05);
    expect(Math.abs(of.get('pace:weed:metre')!.value - 1)).toBeLessThan(0.3);
    const wild = learn([...weeder(80, 3), ...many(3, () => weeding(600, 10, 2))]);
    expect(Math.abs(wild.get('pace:weed:piece')!.value - of.get('pace:weed:piece')!.value)).toBeLessThan(0.04);
    // Two entries of one who is twice as slow leave it nearer to the start than to her.
    const two = learn([weeding(2 * (0.5 + 0.25 * 20 + (2 / 3) * 3), 20, 3), weeding(2 * (0.5 + 0.25 * 30 + (2 / 3) * 4), 30, 4)]); // prettier-ignore
    expect(two.get('pace:weed:piece')!.value).toBeLessThan(0.25 * 1.5);
    expect(two.get('pace:weed:piece')!.value).toBeGreaterThan(0.25);
  });

  it('holds the ranges of a pace: eight of ten weeders lie in theirs', () => {
    let held = 0;
    const lots = normal(11);
    for (let round = 0; round < 120; round++) {
      const truth = 0.25 * Math.max(0.2, 1 + 0.4 * lots());
      const [random, noise] = [seeded(round + 900), normal(round + 500)];
      const own = many(15, () => {
        const [pieces, cutM] = [Math.floor(5 + 60 * random()), 1 + 12 * random()];
        return weeding((0.5 + truth * pieces + (2 / 3) * cutM) * (1 + 0.2 * noise()), pieces, cutM);
      });
      const { low, high } = learn(own).get('pace:weed:piece')!;
      if (low <= truth && truth <= high) held++;
    }
    // 96 ± 4.4 of 120; shown ranges may be a little wide, never narrow.
    expect(held).toBeGreaterThan(83);
  });

  it('tells how well a tape is read by how its seams meet: at its own spread with many, near the start with two', () => {
    const seam = (seamGapMm: number) => entry({ seamGapMm });
    const noise = normal(21);
    const many400 = learn(many(400, () => seam(1.2 * noise()))).get('reading:tape')!;
    expect(Math.abs(many400.value - 1.2)).toBeLessThan(0.15);
    const wild = learn([...many(60, (i) => seam((i % 7) - 3)), seam(40), seam(-40), seam(40)]).get('reading:tape')!;
    expect(Math.abs(wild.value - learn(many(60, (i) => seam((i % 7) - 3))).get('reading:tape')!.value)).toBeLessThan(0.4); // prettier-ignore
    // Twice 3 mm against three times 0.7: √((2·(3/0.6745)² + 3·0.49)/5).
    expect(learn([seam(3), seam(-3)]).get('reading:tape')!.value).toBeCloseTo(Math.sqrt((2 * (3 / 0.6745) ** 2 + 3 * 0.49) / 5), 9); // prettier-ignore
    let held = 0;
    for (let round = 0; round < 200; round++) {
      const one = normal(round + 40);
      const { low, high } = learn(many(20, () => seam(0.9 * one()))).get('reading:tape')!;
      if (low <= 0.9 && 0.9 <= high) held++;
    }
    // 160 ± 6 of 200; shown ranges may be a little wide, never narrow.
    expect(held).toBeGreaterThan(140);
  });

  it('reads a dwell between the check that found it fast and the one that found it loose, by colour', () => {
    const stripped = (colour: string, ...checks: [number, boolean][]): LogbookEntry => entry({ process: 'strip', blank: { ...entry().blank, colour }, dwell: checks.map(([minutes, lifted]) => ({ minutes, lifted })) }); // prettier-ignore
    expect(dwellOf(stripped('#112233', [60, false], [90, false], [110, true]))).toBe(100);
    expect(dwellOf(stripped('#112233', [45, true]))).toBe(45);
    expect(dwellOf(stripped('#112233', [60, false]))).toBeNull();
    const noise = normal(5);
    const all = many(30, () => stripped('#AA0000', [180 * Math.exp(0.1 * noise()), true]));
    const { value, low, high, n } = learn([...all, stripped('#000000', [300, true])]).get('dwell:#aa0000')!;
    expect(n).toBe(30);
    expect(Math.abs(value - 180)).toBeLessThan(15);
    // A tenth of spread: eight of ten within 1.28 of that, somewhat wider for what is not known.
    expect(low).toBeGreaterThan(180 * Math.exp(-0.1 * 1.2816 * 2.2));
    expect(high).toBeLessThan(180 * Math.exp(0.1 * 1.2816 * 2.2));
  });

  it('counts what was spoilt, how ends met, which tape and setting did their work, and what old film did', () => {
    const torn = [{ kind: 'torn piece' as const, round: 0, down: 0.5, film: null }];
    const film = (ageDays: number, clean = true) => ({ name: 'Ensign', finish: 'gloss permanent' as const, ageDays, setting: '70 g', clean, takenMm2: 0, laidMm2: 0 }); // prettier-ignore
    const of = learn([
      entry({ count: 8, spoilt: 2, seamGapMm: 0.6, films: [film(800)], faults: torn, tape: { tack: 'medium', use: 2, held: true } }), // prettier-ignore
      entry({ count: 10, seamGapMm: 0.6, films: [film(900)], faults: torn, tape: { tack: 'medium', use: 6, held: false }, placingMm: 0.5 }), // prettier-ignore
      entry({ pulls: [{ finish: 'gloss permanent', share: 0.03, flat: true }, { finish: 'gloss permanent', share: 0.028, flat: true }, { finish: 'gloss permanent', share: 0.026, flat: true }, { finish: 'gloss permanent', share: 0.032, flat: false }], grewShare: 0.05 }), // prettier-ignore
    ]);
    // 1 of 20 before; 2 of 21 seen.
    expect(of.get('scrap')!.value).toBeCloseTo(3 / 41, 12);
    // A quarter of five before; both of two seen.
    expect(of.get('old-film')!.value).toBeCloseTo((2 + 0.05 * 5) / 7, 12);
    expect(of.get('fit:Crew mug (straight)')!.value).toBeGreaterThan(0.2);
    expect(of.get('fit:Crew mug (straight)')!.value).toBeLessThan(0.6);
    expect(of.get('tape:medium')).toMatchObject({ value: 3, low: 2, high: 6 });
    expect(of.get('setting:Ensign: 70 g')!.value).toBeCloseTo((2 + 0.7 * 3) / 5, 12);
    expect(of.get('stretch:gloss permanent')!.value).toBeCloseTo(0.031, 9);
    expect(of.get('placing')!.n).toBe(1);
    expect(of.get('give:latex')!.value).toBeGreaterThan(0.04);
    expect(of.get('give:latex')!.value).toBeLessThan(0.05);
  });
});

describe('what was accepted', () => {
  const accept = (key: string, value: number): { [key: string]: { value: number; n: number; at: string } } => ({ [key]: { value, n: 9, at: '' } }); // prettier-ignore

  it('reaches every calculation as materials, each value at its place and nothing else', () => {
    expect(materialsWith(STARTING_MATERIALS, {})).toBe(STARTING_MATERIALS);
    const { pace, films, surfaces, waits } = STARTING_MATERIALS;
    for (const [key, name] of [['pace:weed:once', 'weedOnce'], ['pace:weed:piece', 'weedPiece'], ['pace:weed:metre', 'weedMetre'], ['pace:lay:each', 'layEach'], ['pace:cut:once', 'cutOnce'], ['pace:cut:metre', 'cutMetre']] as const) // prettier-ignore
      expect(materialsWith(STARTING_MATERIALS, accept(key, 9))).toEqual({ ...STARTING_MATERIALS, pace: { ...pace, [name]: 9 } }); // prettier-ignore
    expect(materialsWith(STARTING_MATERIALS, accept('stretch:glitter', 0.01)).films).toEqual({ ...films, glitter: { ...films.glitter, give: { ...films.glitter.give, stretch: 0.01 } } }); // prettier-ignore
    expect(materialsWith(STARTING_MATERIALS, accept('give:latex', 0.06)).surfaces).toEqual({ ...surfaces, latex: { ...surfaces.latex, give: 0.06 } }); // prettier-ignore
    expect(materialsWith(STARTING_MATERIALS, accept('dwell:#aa0000', 165)).waits).toEqual({ ...waits, stripOf: { '#aa0000': 165 } }); // prettier-ignore
    expect(materialsWith(STARTING_MATERIALS, accept('tape:medium', 5))).toEqual(STARTING_MATERIALS);
  });

  it('of a dwell is when one looks first: its early end, in quarters of an hour', () => {
    const dwell = { what: '', key: 'dwell:#000000', n: 3, value: 120, low: 101, high: 150, unit: 'min', usedAt: '', start: 60 } as const; // prettier-ignore
    expect(acceptedOf(dwell, 'now')).toEqual({ value: 90, n: 3, at: 'now' });
    expect(acceptedOf({ ...dwell, low: 4 }, 'now').value).toBe(15);
    expect(acceptedOf({ ...dwell, key: 'pace:weed:once' }, 'now').value).toBe(120);
  });
});
