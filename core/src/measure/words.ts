import type { ReadingName } from '../model/blank.ts';
import type { BandSizes } from '../model/fit-check.ts';
import type { ReadingDoubt } from './doubts.ts';
import type { FitResult } from './fit-check.ts';
import type { LengthProblem, Units } from './length.ts';
import { formatLength } from './length.ts';
import type { BlankProblem } from './size.ts';

/** What each reading is called on screen and on paper. */
export const READING_LABEL: Record<ReadingName, string> = {
  girthRim: 'Round the rim end of the band',
  girthBase: 'Round the base end of the band',
  side: 'Down the side of the band',
  upright: 'Straight up, band height',
  acrossRim: 'Across the rim end',
  girth: 'Girth at the widest place',
  overCrown: 'Over the skin, neck to crown',
  across: 'Straight across',
  hole: 'Across the straw hole',
  holeIn: 'From the edge in to the hole',
  width: 'Width, left to right',
  height: 'Height, top to bottom',
  depth: 'Depth, front to back',
};

/** The same in the middle of a sentence. */
export const READING_IN_SENTENCE: Record<ReadingName, string> = {
  girthRim: 'the rim reading',
  girthBase: 'the base reading',
  side: 'the side reading',
  upright: 'the upright height',
  acrossRim: 'the reading across',
  girth: 'the widest girth',
  overCrown: 'the length over the skin',
  across: 'the reading across',
  hole: 'the hole',
  holeIn: 'the distance to the hole',
  width: 'the width',
  height: 'the height',
  depth: 'the depth',
};

/** Why a typed length was not taken, and what to type instead. */
export function describeLengthProblem(code: LengthProblem, typed: string): string {
  const shown = typed.trim().slice(0, 24);
  switch (code) {
    case 'empty':
      return 'Nothing typed yet. The last good reading is kept.';
    case 'not-a-length':
      return `“${shown}” is not a length. Type a number, for instance 264, 26.4 cm or 10 3/8.`;
    case 'zero':
      return 'A reading of nothing cannot be right. Type what the tape shows.';
    case 'negative':
      return 'A length is never below zero. Type it without the minus.';
    case 'too-large':
      return `“${shown}” is over ten metres. Check the unit: 264 is read in the unit set above, 26.4 cm says its own.`;
  }
}

/** What stands in the way of flattening, and what to do. */
export function describeBlankProblem(problem: BlankProblem, unit: Units): string {
  switch (problem.code) {
    case 'reading-missing':
      return `Still to read: ${READING_LABEL[problem.reading].toLowerCase()}.`;
    case 'side-too-short':
      return `A side of ${formatLength(problem.sideMm, unit)} is too short for girths that differ this much: it would have to be well over ${formatLength(problem.leastMm, unit)}. Measure the side and both girths again.`;
    case 'too-steep':
      return `The side leans ${degrees(problem.halfAngle)}° from upright; up to ${degrees(problem.most)}° can be flattened. Measure the side along the wall, and both girths again. If it does lean so far, choose a curved side and read it at three heights.`;
    case 'handle-too-wide':
      return `A handle of ${formatLength(problem.handleMm, unit)} leaves no room on a girth of ${formatLength(problem.girthMm, unit)}. Measure the handle where it meets the side.`;
    case 'stations-few':
      return problem.have === 0
        ? 'Still to read: the girth at two heights or more; three or more show a curve.'
        : 'Still to read: the girth at one more height.';
    case 'station-order':
      return `Height ${problem.station} does not lie below the one before it. Heights go down from the rim end; measure it again or take it out.`;
    case 'station-size':
      return `${formatLength(problem.girthMm, unit)} round at height ${problem.station} is no girth of a bowl, bottle or pot. Measure it again.`;
    case 'station-steep':
      return `From height ${problem.station - 1} to height ${problem.station} the girth changes faster than the side is long. Measure both again, or read another height between them.`;
    case 'hole-too-wide':
      return `A hole of ${formatLength(problem.holeMm, unit)} does not fit within ${formatLength(problem.acrossMm, unit)} across, or lies past the edge. Measure the hole and its distance from the edge again.`;
    case 'balloon-too-short':
      return `${formatLength(problem.overMm, unit)} over the skin is too short for this girth: it would have to be well over ${formatLength(problem.leastMm, unit)}. Lay the tape from the neck over the side to the crown.`;
  }
}

/** Degrees to a tenth. */
const degrees = (angle: number): number => Math.round((angle * 1800) / Math.PI) / 10;

/** A doubt about the readings: what is odd, and what was perhaps meant. */
export function describeDoubt(
  doubt: Pick<ReadingDoubt, 'code' | 'reading' | 'value' | 'expected' | 'instead'>,
  unit: Units,
): { title: string; why: string } {
  const mm = (v: number): string => formatLength(v, unit);
  switch (doubt.code) {
    case 'diameter-for-girth':
      return {
        title: 'This looks like the distance across, not round',
        why: `${mm(doubt.value)} across is ${mm(doubt.instead ?? 0)} round. Lay the tape round, or take that figure.`,
      };
    case 'unit-slip':
      return {
        title: 'This looks like another unit',
        why:
          doubt.instead === null
            ? `${mm(doubt.value)} fits no cup.`
            : `${mm(doubt.value)} fits no cup, ${mm(doubt.instead)} would. Type the unit with the number.`,
      };
    case 'girth-range':
      return {
        title: 'No cup is this big or this small',
        why: `${mm(doubt.value)} round. Mivet takes ${mm(60)} to ${mm(1500)}; measure again.`,
      };
    case 'side-range':
      return {
        title: 'No band is this high or this low',
        why: `${mm(doubt.value)}. Mivet takes ${mm(8)} to ${mm(900)}; measure again.`,
      };
    case 'too-strong-taper':
      return {
        title: 'The taper is too strong to be a cup',
        why: 'The two girths differ more than this side can span at 45°. Measure the side along the wall, and both girths again.',
      };
    case 'height-over-side':
      return {
        title: 'The height is longer than the side',
        why: `A side cannot be shorter than its height. These readings give ${mm(doubt.expected)} upright; measure both again.`,
      };
    case 'side-and-height-disagree':
      return {
        title: 'Side and height do not agree',
        why: `The side reading gives ${mm(doubt.expected)} upright, but ${mm(doubt.value)} was read. Measure the side again.`,
      };
    case 'across-and-girth-disagree':
      return {
        title: 'Across and round do not agree',
        why: `The girth gives ${mm(doubt.expected)} across, but ${mm(doubt.value)} was read. Measure the girth again.`,
      };
    case 'section-and-girth-disagree':
      return {
        title: 'Width and depth do not agree with the girth',
        why: `They would be ${mm(doubt.expected)} round, but ${mm(doubt.value)} was read. Measure all three again; the template goes by the girth.`,
      };
    case 'face-range':
      return {
        title: 'No face is this big or this small',
        why: `${mm(doubt.value)}${doubt.instead === null ? '' : `; perhaps ${mm(doubt.instead)} was meant`}. Type the unit with the number, or measure again.`,
      };
    case 'takes-disagree':
      return {
        title: 'Your readings here are far apart',
        why: `They differ by ${mm(doubt.value)}; ${mm(doubt.expected)} is usual. Read it once more and take out the odd one.`,
      };
  }
}

/** mm. Less than this is the same size to a person with a tape. */
const SAME_TO_A_TAPE_MM = 0.05;

/**
 * What a paper fit check says about the readings, a sentence for each size that it changes.
 *
 * @param before sizes that the readings gave, mm
 * @param after sizes that explain what was seen, mm
 * @param straight whether rim and base are one girth
 */
export function describeFit(before: BandSizes, after: BandSizes, straight: boolean, unit: Units): string[] {
  const sentence = (what: string, from: number, to: number): string[] => {
    const more = to - from;
    if (Math.abs(more) < SAME_TO_A_TAPE_MM) return [];
    return [`${what} is ${formatLength(Math.abs(more), unit)} ${more > 0 ? 'more' : 'less'} than the reading said.`];
  };
  return [
    ...sentence(straight ? 'The way round' : 'The way round at the rim', before.girthRim, after.girthRim),
    ...(straight ? [] : sentence('The way round at the base', before.girthBase, after.girthBase)),
    ...sentence('The way down the side', before.side, after.side),
  ];
}

/** Why what was seen on the paper cannot be put right by a correction, and what to do. */
export function describeFitProblem(code: Extract<FitResult, { ok: false }>['code']): string {
  return code === 'too-much'
    ? 'That is more than a correction should mend. Check the printer’s ruler on the sheet, then take the readings again.'
    : 'No cup explains these three together. Look at the paper once more: base edge on the base line, middle mark in front.';
}
