import { girthsOf } from '../../surface/section.ts';
import type { NoSize } from '../size.ts';

import type { Blank, ReadingName } from '../../model/blank.ts';
import type { BandSizes } from '../../model/fit-check.ts';
import type { ReadingDoubt } from '../doubts.ts';
import { doubtGirth, doubtSpreads, SIDE_RANGE_MM, sideRange } from '../doubts.ts';
import type { ErrorReport } from '../error-report.ts';
import { predictFit, SEEN_SIGMA_MM, solveFit } from '../fit-check.ts';
import { summariseReading } from '../reading.ts';
import type { BlankSize, BlankSizeResult } from '../size.ts';
import { fails, fitted, girthSum, handleProblem, missing } from '../sizing.ts';

/** rad. Half-angle past which nothing is flattened: such a thing is a plate, not a cup. */
export const STEEPEST_FLATTENED = Math.PI / 3;

/** @source side from upright height: s = √(h² + ((C₁ − C₂)/2π)²) */
export function sizeCone(blank: Blank, straight: boolean): BlankSizeResult {
  const rimRead = girthSum(blank, blank.readings.girthRim);
  if (!rimRead) return missing('girthRim');
  const baseRead = straight ? rimRead : girthSum(blank, blank.readings.girthBase);
  if (!baseRead) return missing('girthBase');
  const along = summariseReading(blank.readings.side);
  const up = summariseReading(blank.readings.upright);
  if (!along && !up) return missing('side');
  const sideRead = along ? along.mean : Math.hypot(up!.mean, (rimRead.surface - baseRead.surface) / (2 * Math.PI));

  const read = { girthRim: rimRead.surface, girthBase: baseRead.surface, side: sideRead };
  const { fit, sizes } = fitted(blank, read);
  const { girthRim, girthBase, side } = sizes;
  const stepIn = (girthRim - girthBase) / (2 * Math.PI);
  if (!(side > Math.abs(stepIn))) return fails({ code: 'side-too-short', sideMm: side, leastMm: Math.abs(stepIn) });
  return (
    steepProblem(stepIn / side) ??
    handleProblem(blank, Math.min(girthRim, girthBase)) ?? {
      ok: true,
      size: {
        kind: blank.kind,
        rim: { ...rimRead, fromFitCheck: girthRim - rimRead.surface, surface: girthRim },
        base: { ...baseRead, fromFitCheck: girthBase - baseRead.surface, surface: girthBase },
        side,
        upright: Math.sqrt(side * side - stepIn * stepIn),
        sideFrom: along ? 'side' : 'upright',
        sideFromFitCheck: side - sideRead,
        fit,
        taper: stepIn / side,
        data: {},
      },
    }
  );
}

export function steepProblem(taper: number): NoSize | null {
  const halfAngle = Math.asin(Math.min(1, Math.abs(taper)));
  return halfAngle > STEEPEST_FLATTENED ? fails({ code: 'too-steep', halfAngle, most: STEEPEST_FLATTENED }) : null;
}

/** mm by which a reading is moved to see what that does; far under any reading's error, far over rounding. */
export const STEP_MM = 0.01;

/** What one would see on a wrap that was made for other sizes than the blank has, mm. */
export interface Seen {
  readonly gapRim: number;
  readonly gapBase: number;
  readonly driftFront: number;
  readonly driftBack: number;
}

/** What σ of something does, by the slope of what is seen when it is moved. */
export function slope(moved: (by: number) => Seen, sigma: number): Seen {
  const [more, less] = [moved(STEP_MM), moved(-STEP_MM)];
  const of = (key: keyof Seen): number => ((more[key] - less[key]) / (2 * STEP_MM)) * sigma;
  return { gapRim: of('gapRim'), gapBase: of('gapBase'), driftFront: of('driftFront'), driftBack: of('driftBack') };
}

export const bandOf = (size: BlankSize): BandSizes => ({
  girthRim: size.rim.surface,
  girthBase: size.base.surface,
  side: size.side,
});

/** Sizes that the readings alone would give, were one of them more by some millimetres; null when there is no such cup. */
export function sizesMoved(blank: Blank, name: ReadingName, by: number, straight: boolean): BandSizes | null {
  const reading = blank.readings[name];
  if (!reading) return null;
  const takes = reading.takes.map((take) => ({ ...take, mm: take.mm + by }));
  const sized = sizeCone(
    {
      ...blank,
      fitCheck: null,
      readings: { ...blank.readings, [name]: { ...reading, takes } },
    },
    straight,
  );
  return sized.ok ? bandOf(sized.size) : null;
}

export function seenOn(paper: BandSizes, truth: BandSizes, handle: number): Seen {
  const { gapRimMm, gapBaseMm, standMm, standBackMm } = predictFit(paper, truth, handle);
  return { gapRim: gapRimMm, gapBase: gapBaseMm, driftFront: standMm, driftBack: standBackMm - standMm };
}

/** What is left after a fit check: each of the three things seen on the paper may be misread by the eye's σ. */
export function afterFit(blank: Blank, truth: BandSizes, straight: boolean): Seen[] {
  const { before, seen } = blank.fitCheck!;
  return (['gapRimMm', 'gapBaseMm', 'standMm'] as const).map((key) => {
    const moved = (by: number): Seen => {
      const misread = { ...seen, [key]: seen[key] + by };
      const solved = solveFit(before, misread, straight, blank.handleWidthMm);
      return seenOn(solved.ok ? solved.after : truth, truth, blank.handleWidthMm);
    };
    return slope(moved, SEEN_SIGMA_MM);
  });
}

/** Share of the girth by which width and depth may miss it: few things are true ellipses. */
const SECTION_MISFIT = 0.04;

/** Sine of the steepest half-angle that is still taken for a cup (45°). */
export const STEEPEST_TAPER = Math.SQRT1_2;

/**
 * Turns reading errors into a predicted seam gap and rim drift. After a paper fit check the gaps are as sure as the eye
 * that read them on the paper, whatever the tape did.
 *
 * @param blank readings with their goes
 * @param size the blank's sizes worked out from them
 * @param straight whether one girth stands for both ends
 * @returns four 1 σ figures in mm and the weakest reading
 * @source differences of the exact map: each reading is moved by a little, the template of the sizes that follow is laid
 *   on the blank as the paper fit check lays it, and what is seen per millimetre weighs by the reading's σ.
 *   Root-sum-square over the readings
 */
export function reportCone(blank: Blank, size: BlankSize, straight: boolean): ErrorReport {
  const truth = bandOf(size);
  const handle = blank.handleWidthMm;
  const names: ReadingName[] = ['girthRim', ...(straight ? [] : ['girthBase' as const]), size.sideFrom];
  const parts = names.map((name) => {
    const moved = (by: number): Seen => seenOn(sizesMoved(blank, name, by, straight) ?? truth, truth, handle);
    return { name, seen: slope(moved, summariseReading(blank.readings[name])?.sigma ?? 0) };
  });
  const weight = ({ seen }: (typeof parts)[number]): number => seen.gapRim ** 2 + seen.gapBase ** 2;
  const weakest = parts.reduce((a, b) => (weight(a) >= weight(b) ? a : b)).name;
  const total = (seen: readonly Seen[], key: keyof Seen): number => Math.hypot(...seen.map((part) => part[key]));
  if (size.fit === 'applied') {
    // What was seen on the paper is what is left, as well as it was seen.
    const [gapRim, gapBase, driftFront] = [SEEN_SIGMA_MM, SEEN_SIGMA_MM, SEEN_SIGMA_MM];
    const driftBack = total(afterFit(blank, truth, straight), 'driftBack');
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

/** What looks wrong among the readings of a cup. */
export function doubtCone(blank: Blank, straight: boolean, names: readonly ReadingName[]): ReadingDoubt[] {
  const doubts: ReadingDoubt[] = [];
  const mean = (name: ReadingName): number | null => summariseReading(blank.readings[name])?.mean ?? null;
  const rim = mean('girthRim');
  const base = straight ? null : mean('girthBase');
  const length = mean('side') ?? mean('upright');
  for (const name of ['girthRim', 'girthBase'] as const) {
    const girth = name === 'girthRim' ? rim : base;
    if (girth === null) continue;
    const other = name === 'girthRim' ? base : rim;
    const doubt = doubtGirth(name, girth, other, length);
    if (doubt) doubts.push(doubt);
  }
  for (const name of ['side', 'upright'] as const) {
    const value = mean(name);
    if (value === null) continue;
    if (value < SIDE_RANGE_MM[0] || value > SIDE_RANGE_MM[1]) doubts.push(sideRange(name, value));
  }
  doubts.push(...doubtSpreads(blank, names));
  if (doubts.some((d) => d.severity === 'fails')) return doubts;

  const sized = sizeCone(blank, straight);
  const side = mean('side');
  const upright = mean('upright');
  if (sized.ok) {
    const { size } = sized;
    if (Math.abs(size.taper) > STEEPEST_TAPER)
      doubts.push({
        code: 'too-strong-taper',
        reading: 'side',
        severity: 'fails',
        value: Math.asin(size.taper),
        expected: Math.PI / 4,
        instead: null,
      });
    if (side !== null && upright !== null) {
      const derived = Math.sqrt(side * side - (size.taper * size.side) ** 2);
      if (upright > side + 1)
        doubts.push({
          code: 'height-over-side',
          reading: 'upright',
          severity: 'look',
          value: upright,
          expected: derived,
          instead: derived,
        });
      else if (Math.abs(derived - upright) > 2)
        doubts.push({
          code: 'side-and-height-disagree',
          reading: 'side',
          severity: 'look',
          value: upright,
          expected: derived,
          instead: null,
        });
    }
    const across = mean('acrossRim');
    const expected = size.rim.surface / Math.PI;
    if (across !== null && !blank.section && Math.abs(across - expected) > 1.5)
      doubts.push({
        code: 'across-and-girth-disagree',
        reading: 'acrossRim',
        severity: 'look',
        value: across,
        expected,
        instead: null,
      });
    const section = straight ? blank.section : undefined;
    if (section) {
      const girth = size.rim.surface;
      const [least, most] = girthsOf(section);
      const nearest = Math.max(least, Math.min(most, girth));
      if (Math.abs(girth - nearest) > SECTION_MISFIT * girth)
        doubts.push({
          code: 'section-and-girth-disagree',
          reading: 'girthRim',
          severity: 'look',
          value: girth,
          expected: nearest,
          instead: null,
        });
    }
  } else if (sized.problem.code === 'side-too-short') {
    doubts.push({
      code: 'too-strong-taper',
      reading: 'side',
      severity: 'fails',
      value: Math.PI / 2,
      expected: Math.PI / 4,
      instead: null,
    });
  }
  return doubts;
}
