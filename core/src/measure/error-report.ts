import type { Blank, ReadingName } from '../model/blank.ts';
import { READINGS_ASKED } from './readings-asked.ts';
import type { BlankSize } from './size.ts';
import { sizeBlank } from './size.ts';
import type { BandSizes } from '../model/fit-check.ts';
import { predictFit, SEEN_SIGMA_MM, solveFit } from './fit-check.ts';
import { summariseReading } from './reading.ts';

/** What the reading errors do to the wrap, all 1 σ in mm. */
export interface ErrorReport {
  /** Gap (or overlap) at the seam, rim end. */
  readonly gapRim: number;
  /** Gap (or overlap) at the seam, base end. */
  readonly gapBase: number;
  /** How far the template's rim edge ends up above or below the band's rim line in front. */
  readonly driftFront: number;
  /** How far the rim edge climbs or sinks more at the back than in front. */
  readonly driftBack: number;
  /** The reading that contributes most to the seam; taking it again helps first. */
  readonly weakest: ReadingName;
  /** Of a profile: the height whose girth is the weakest, from 1; null when all are read alike. */
  readonly weakestStation: number | null;
}

/** mm by which a reading is moved to see what that does; far under any reading's error, far over rounding. */
const STEP_MM = 0.01;

/** What one would see on a wrap that was made for other sizes than the blank has, mm. */
interface Seen {
  readonly gapRim: number;
  readonly gapBase: number;
  readonly driftFront: number;
  readonly driftBack: number;
}

/**
 * Turns reading errors into a predicted seam gap and rim drift. After a paper fit check the gaps are as sure as the eye
 * that read them on the paper, whatever the tape did.
 *
 * @param blank readings with their goes
 * @param size the blank's sizes worked out from them
 * @returns four 1 σ figures in mm and the weakest reading
 * @source differences of the exact map: each reading is moved by a little, the template of the sizes that follow is laid
 *   on the blank as the paper fit check lays it, and what is seen per millimetre weighs by the reading's σ.
 *   Root-sum-square over the readings
 */
export function reportErrors(blank: Blank, size: BlankSize): ErrorReport {
  if (size.shape.form === 'profile') return reportProfile(blank, size);
  if (size.shape.form !== 'cone') return reportFace(blank);
  const truth = bandOf(size);
  const handle = blank.handleWidthMm;
  const names: ReadingName[] = [
    'girthRim',
    ...(blank.kind === 'straight' ? [] : ['girthBase' as const]),
    size.sideFrom,
  ];
  const parts = names.map((name) => {
    const moved = (by: number): Seen => seenOn(sizesMoved(blank, name, by) ?? truth, truth, handle);
    return { name, seen: slope(moved, summariseReading(blank.readings[name])?.sigma ?? 0) };
  });
  const weight = ({ seen }: (typeof parts)[number]): number => seen.gapRim ** 2 + seen.gapBase ** 2;
  const weakest = parts.reduce((a, b) => (weight(a) >= weight(b) ? a : b)).name;
  const total = (seen: readonly Seen[], key: keyof Seen): number => Math.hypot(...seen.map((part) => part[key]));
  if (size.fit === 'applied') {
    // What was seen on the paper is what is left, as well as it was seen.
    const [gapRim, gapBase, driftFront] = [SEEN_SIGMA_MM, SEEN_SIGMA_MM, SEEN_SIGMA_MM];
    const driftBack = total(afterFit(blank, truth), 'driftBack');
    return { gapRim, gapBase, driftFront, driftBack, weakest, weakestStation: null };
  }
  const seen = parts.map((part) => part.seen);
  return {
    gapRim: total(seen, 'gapRim'),
    gapBase: total(seen, 'gapBase'),
    driftFront: total(seen, 'driftFront'),
    driftBack: total(seen, 'driftBack'),
    weakest,
    weakestStation: null,
  };
}

/** What σ of something does, by the slope of what is seen when it is moved. */
function slope(moved: (by: number) => Seen, sigma: number): Seen {
  const [more, less] = [moved(STEP_MM), moved(-STEP_MM)];
  const of = (key: keyof Seen): number => ((more[key] - less[key]) / (2 * STEP_MM)) * sigma;
  return { gapRim: of('gapRim'), gapBase: of('gapBase'), driftFront: of('driftFront'), driftBack: of('driftBack') };
}

const bandOf = (size: BlankSize): BandSizes => ({
  girthRim: size.rim.surface,
  girthBase: size.base.surface,
  side: size.side,
});

/** Sizes that the readings alone would give, were one of them more by some millimetres; null when there is no such cup. */
function sizesMoved(blank: Blank, name: ReadingName, by: number): BandSizes | null {
  const reading = blank.readings[name];
  if (!reading) return null;
  const takes = reading.takes.map((take) => ({ ...take, mm: take.mm + by }));
  const sized = sizeBlank({
    ...blank,
    fitCheck: null,
    readings: { ...blank.readings, [name]: { ...reading, takes } },
  });
  return sized.ok ? bandOf(sized.size) : null;
}

function seenOn(paper: BandSizes, truth: BandSizes, handle: number): Seen {
  const { gapRimMm, gapBaseMm, standMm, standBackMm } = predictFit(paper, truth, handle);
  return { gapRim: gapRimMm, gapBase: gapBaseMm, driftFront: standMm, driftBack: standBackMm - standMm };
}

/** What is left after a fit check: each of the three things seen on the paper may be misread by the eye's σ. */
function afterFit(blank: Blank, truth: BandSizes): Seen[] {
  const { before, seen } = blank.fitCheck!;
  return (['gapRimMm', 'gapBaseMm', 'standMm'] as const).map((key) => {
    const moved = (by: number): Seen => {
      const misread = { ...seen, [key]: seen[key] + by };
      const solved = solveFit(before, misread, blank.kind === 'straight', blank.handleWidthMm);
      return seenOn(solved.ok ? solved.after : truth, truth, blank.handleWidthMm);
    };
    return slope(moved, SEEN_SIGMA_MM);
  });
}

/**
 * Ends of the band as sure as the girths that were read there, the side as sure as the two heights it lies between. Between
 * the ends, girths weigh in the strain, not in the seam's ends.
 */
function reportProfile(blank: Blank, size: BlankSize): ErrorReport {
  const read = blank.stations.filter(({ girth }) => girth.takes.length > 0);
  const sigmas = read.map(({ girth }) => summariseReading(girth)!.sigma);
  const downs = [read[0], read.at(-1)].map((station) => summariseReading(station?.down)?.sigma ?? 0);
  const seen = size.fit === 'applied' ? SEEN_SIGMA_MM : null;
  const uneven = Math.max(...sigmas) - Math.min(...sigmas) > 1e-6;
  return {
    gapRim: seen ?? sigmas[0]!,
    gapBase: seen ?? sigmas.at(-1)!,
    driftFront: seen ?? Math.hypot(downs[0]!, downs[1]!),
    driftBack: 0,
    weakest: sigmas[0]! >= sigmas.at(-1)! ? 'girthRim' : 'girthBase',
    weakestStation: uneven ? 1 + blank.stations.indexOf(read[sigmas.indexOf(Math.max(...sigmas))]!) : null,
  };
}

/** A face has no seam: what may miss is its edge, by half of what the reading across may. */
function reportFace(blank: Blank): ErrorReport {
  const names = READINGS_ASKED[blank.kind];
  const sigmas = names.map((name) => summariseReading(blank.readings[name])?.sigma ?? 0);
  const most = Math.max(...sigmas);
  const weakest = names[sigmas.indexOf(most)]!;
  return { gapRim: most / 2, gapBase: most / 2, driftFront: most / 2, driftBack: 0, weakest, weakestStation: null };
}
