import type { Dwell } from '../../bench/dwell.ts';
import type { Materials } from '../../material/materials.ts';
import type { Accepted, EntryWork, LogbookEntry } from '../../model/entry.ts';
import { SIGMA_MM } from '../../measure/reading.ts';
import type { FilmFinish } from '../../model/film.ts';
import type { ReadingTool } from '../../model/reading.ts';
import { nextRange, rateOf, robustMean, robustRidge, robustSpread, turningPoint, type Range } from './robust.ts';

/** Something that the logbook teaches: with how many entries it stands on, and where it is used. */
export interface Learnt extends Range {
  /** In words. */
  readonly what: string;
  /** Name under which it is accepted. */
  readonly key: string;
  readonly n: number;
  readonly unit: 'min' | 'min each' | 'min/m' | 'mm' | 'share' | 'uses' | '';
  /** Where it is used once it is accepted; empty where it is only told. */
  readonly usedAt: string;
  /** Value that stands without it. */
  readonly start: number | null;
}

/** What is accepted of something learnt: of a dwell the time at which one looks first, in quarters of an hour. */
export const acceptedOf = ({ key, value, low, n }: Learnt, at: string): Accepted => ({
  value: key.startsWith('dwell:') ? Math.max(QUARTER, QUARTER * Math.floor(low / QUARTER)) : value,
  n,
  at,
});
const QUARTER = 15;

/** Days of a film past which it counts as old. */
const OLD_DAYS = 730;
/** Spread of a starting pace as a share of it, and of single entries round a pace. */
const PACE = { leaning: 0.4, noise: 0.3, noiseN: 4 };
/** Of the logarithm of a dwell: an hour to begin with, give or take; coats of one colour vary by a third. */
const DWELL = { sd: 1.2, noise: 0.3, noiseN: 3 };
/** mm. How far ends stand apart, and how far things lie beside where they should. */
const GAP = { mean: 0, sd: 1, noise: 0.6, noiseN: 3 };
const PLACING = { mean: 1, sd: 1, noise: 0.7, noiseN: 3 };
/** Share of things that are spoilt, to begin with, and for how many things that counts. */
const SCRAP = { rate: 0.05, n: 20 };
/** Uses of a piece of transfer tape, to begin with. */
const TAPE_USES = { low: 2, medium: 3, strong: 3 } as const;

/**
 * Everything that a logbook teaches, each with its evidence: estimates lean on starting values, and wild entries count
 * little.
 *
 * @param entries in any order
 * @param materials what is taken without it
 */
export function learnFrom(entries: readonly LogbookEntry[], materials: Materials): Learnt[] {
  return [
    ...paces(entries, materials),
    ...dwells(entries),
    ...fits(entries),
    ...readingErrors(entries),
    ...filmLimits(entries, materials),
    ...latexGive(entries, materials),
    ...placing(entries),
    ...scrap(entries),
    ...oldFilm(entries),
    ...tapeUses(entries),
    ...cleanSettings(entries),
  ];
}

const groups = <T>(list: readonly T[], keyOf: (one: T) => string): Map<string, T[]> => {
  const map = new Map<string, T[]>();
  for (const one of list) map.set(keyOf(one), [...(map.get(keyOf(one)) ?? []), one]);
  return map;
};
const ranged = ({ value, low, high }: Range): Range => ({ value, low, high });

function paces(entries: readonly LogbookEntry[], { pace }: Materials): Learnt[] {
  const rows = (kind: EntryWork['kind']): EntryWork[] =>
    entries.flatMap(({ work }) => work.filter((one) => one.kind === kind && one.minutes > 0 && one.things > 0));
  const weeded = rows('weed');
  const laid = rows('lay');
  const cut = rows('cut');
  const weeding = weeded.length > 0 ? robustRidge(weeded.map(({ minutes, pieces, cutM }) => ({ x: [1, pieces, cutM], y: minutes })), [pace.weedOnce, pace.weedPiece, pace.weedMetre], PACE.leaning, PACE) : []; // prettier-ignore
  const names = [
    ['weed:once', 'Weeding, to begin a film', 'min', pace.weedOnce],
    ['weed:piece', 'Weeding, each piece or counter', 'min each', pace.weedPiece],
    ['weed:metre', 'Weeding, each metre of cut', 'min/m', pace.weedMetre],
  ] as const;
  return [
    ...weeding.map((range, i): Learnt => {
      const [key, what, unit, start] = names[i]!;
      return { what, key: `pace:${key}`, n: weeded.length, ...range, unit, usedAt: 'Bench, Calendar', start };
    }),
    ...(laid.length > 0
      ? robustRidge(laid.map(({ minutes, things }) => ({ x: [things], y: minutes })), [pace.layEach], PACE.leaning, PACE).map((range): Learnt => ({ what: 'Laying a wrap', key: 'pace:lay:each', n: laid.length, ...range, unit: 'min each', usedAt: 'Bench, Calendar', start: pace.layEach })) // prettier-ignore
      : []),
    ...(cut.length > 0
      ? robustRidge(cut.map(({ minutes, cutM }) => ({ x: [1, cutM], y: minutes })), [pace.cutOnce, pace.cutMetre], PACE.leaning, PACE).map((range, i): Learnt => ({ what: i === 0 ? 'Cutting, to begin a job' : 'Cutting, each metre', key: i === 0 ? 'pace:cut:once' : 'pace:cut:metre', n: cut.length, ...range, unit: i === 0 ? 'min' : 'min/m', usedAt: '', start: i === 0 ? pace.cutOnce : pace.cutMetre })) // prettier-ignore
      : []),
  ];
}

/** Minutes in which a coat let go: between the last check that found it fast and the one that found it loose. */
export function dwellOf({ dwell }: LogbookEntry): number | null {
  const sorted = [...dwell].sort((a, b) => a.minutes - b.minutes);
  const loose = sorted.find(({ lifted }) => lifted);
  if (!loose) return null;
  const fast = sorted.filter(({ lifted, minutes }) => !lifted && minutes < loose.minutes).at(-1);
  return fast ? (fast.minutes + loose.minutes) / 2 : loose.minutes;
}

/** Dwells that the logbook holds, to forecast the next one from; by colour of the coat. */
export const dwellsOfBook = (entries: readonly LogbookEntry[]): Dwell[] =>
  entries.flatMap((entry) => {
    const minutes = entry.process === 'strip' ? dwellOf(entry) : null;
    return minutes === null ? [] : [{ colour: entry.blank.colour.toLowerCase(), minutes }];
  });

function dwells(entries: readonly LogbookEntry[]): Learnt[] {
  const stripped = entries.filter((entry) => entry.process === 'strip' && dwellOf(entry) !== null);
  return [...groups(stripped, ({ blank }) => blank.colour.toLowerCase())].map(([colour, own]): Learnt => {
    const prior = { mean: Math.log(60), ...DWELL };
    const logs = own.map((entry) => Math.log(dwellOf(entry)!));
    const next = nextRange(robustMean(logs, prior), logs.length, prior);
    return { what: `Dwell of stripper on ${colour}`, key: `dwell:${colour}`, n: own.length, value: Math.exp(next.value), low: Math.exp(next.low), high: Math.exp(next.high), unit: 'min', usedAt: 'Bench: first check', start: 60 }; // prettier-ignore
  });
}

function fits(entries: readonly LogbookEntry[]): Learnt[] {
  const measured = entries.filter(({ seamGapMm }) => seamGapMm !== null);
  return [...groups(measured, ({ blank }) => `${blank.name} (${blank.kind})`)].map(([name, own]): Learnt => ({
    what: `Ends apart on ${name}`,
    key: `fit:${name}`,
    n: own.length,
    ...ranged(robustMean(own.map(({ seamGapMm }) => seamGapMm!), GAP)), // prettier-ignore
    unit: 'mm',
    usedAt: '',
    start: 0,
  }));
}

/** What a girth that was read off does, is seen at the seam: all of it stays open there, or laps. */
function readingErrors(entries: readonly LogbookEntry[]): Learnt[] {
  const measured = entries.flatMap(({ blank: { tool }, seamGapMm }) => (tool && seamGapMm !== null ? [{ tool, seamGapMm }] : [])); // prettier-ignore
  return [...groups(measured, ({ tool }) => tool)].map(([tool, own]): Learnt => {
    const start = SIGMA_MM[tool as ReadingTool];
    return { what: `A girth read with ${TOOLS[tool as ReadingTool]} is off by about`, key: `reading:${tool}`, n: own.length, ...robustSpread(own.map(({ seamGapMm }) => seamGapMm), { noise: start, noiseN: 3 }), unit: 'mm', usedAt: '', start }; // prettier-ignore
  });
}
const TOOLS: Readonly<Record<ReadingTool, string>> = { tape: 'a tape', strip: 'a strip of paper', ruler: 'a ruler', caliper: 'calipers', photo: 'a photograph' }; // prettier-ignore

function filmLimits(entries: readonly LogbookEntry[], { films }: Materials): Learnt[] {
  const pulls = entries.flatMap((entry) => entry.pulls).filter(({ share }) => share > 0);
  return [...groups(pulls, ({ finish }) => finish)].map(([finish, own]): Learnt => {
    const start = films[finish as FilmFinish].give.stretch;
    return {
      what: `${finish} lies flat up to a pull of`,
      key: `stretch:${finish}`,
      n: own.length,
      ...turningPoint(own.map(({ share, flat }) => ({ at: share, well: flat })), start, 2), // prettier-ignore
      unit: 'share',
      usedAt: 'Proof: pull of film',
      start,
    };
  });
}

function latexGive(entries: readonly LogbookEntry[], { surfaces }: Materials): Learnt[] {
  const grew = entries.flatMap(({ grewShare }) => (grewShare === null ? [] : [grewShare]));
  const start = surfaces.latex.give;
  if (grew.length === 0) return [];
  return [{ what: 'Give of latex', key: 'give:latex', n: grew.length, ...ranged(robustMean(grew, { mean: start, sd: start / 2, noise: start / 3, noiseN: 3 })), unit: 'share', usedAt: 'Proof: pull of film', start }]; // prettier-ignore
}

function placing(entries: readonly LogbookEntry[]): Learnt[] {
  const off = entries.flatMap(({ placingMm }) => (placingMm === null ? [] : [placingMm]));
  if (off.length === 0) return [];
  return [{ what: 'You place within', key: 'placing', n: off.length, ...ranged(robustMean(off, PLACING)), unit: 'mm', usedAt: '', start: PLACING.mean }]; // prettier-ignore
}

function scrap(entries: readonly LogbookEntry[]): Learnt[] {
  const made = entries.reduce((sum, { count, spoilt }) => sum + count + spoilt, 0);
  const spoilt = entries.reduce((sum, one) => sum + one.spoilt, 0);
  return made === 0
    ? []
    : [{ what: 'Spoilt on the way', key: 'scrap', n: made, ...rateOf(spoilt, made, SCRAP.rate, SCRAP.n), unit: 'share', usedAt: 'Cut: how many to make', start: SCRAP.rate }]; // prettier-ignore
}

/** Whether something of a thing went wrong with its film. */
const failed = ({ faults, spoilt }: LogbookEntry): boolean =>
  spoilt > 0 || faults.some(({ kind }) => kind === 'torn piece' || kind === 'lifted edge' || kind === 'lost piece');

function oldFilm(entries: readonly LogbookEntry[]): Learnt[] {
  const old = entries.filter(({ films }) => films.some(({ ageDays }) => ageDays !== null && ageDays > OLD_DAYS));
  if (old.length === 0) return [];
  return [{ what: 'Torn, lost or lifting with film over two years old', key: 'old-film', n: old.length, ...rateOf(old.filter(failed).length, old.length, SCRAP.rate, 5), unit: 'share', usedAt: '', start: SCRAP.rate }]; // prettier-ignore
}

function tapeUses(entries: readonly LogbookEntry[]): Learnt[] {
  const used = entries.flatMap(({ tape }) => (tape ? [tape] : []));
  return [...groups(used, ({ tack }) => tack)].map(([tack, own]): Learnt => {
    const start = TAPE_USES[tack as keyof typeof TAPE_USES];
    return { what: `${tack[0]!.toUpperCase()}${tack.slice(1)} tape holds for`, key: `tape:${tack}`, n: own.length, ...turningPoint(own.map(({ use, held }) => ({ at: use, well: held })), start, 2), unit: 'uses', usedAt: '', start }; // prettier-ignore
  });
}

function cleanSettings(entries: readonly LogbookEntry[]): Learnt[] {
  const tried = entries.flatMap(({ films }) => films.filter(({ clean, setting }) => clean !== null && setting !== ''));
  return [...groups(tried, ({ name, setting }) => `${name}: ${setting}`)]
    .filter(([, own]) => own.length > 1)
    .map(([name, own]): Learnt => ({ what: `Clean the first time, ${name}`, key: `setting:${name}`, n: own.length, ...rateOf(own.filter(({ clean }) => clean).length, own.length, 0.7, 3), unit: 'share', usedAt: '', start: null })); // prettier-ignore
}
