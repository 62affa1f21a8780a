import type { Units } from '@mivet/core';
import { range } from 'd3-array';

/** How a measuring tape is divided, mm. */
export interface TapeSteps {
  readonly small: number;
  readonly middle: number;
  /** Every one of these has its number. */
  readonly big: number;
  /** Length of what is counted. */
  readonly per: number;
}

/** One stroke of a measuring tape. */
export interface TapeTick {
  readonly mm: number;
  readonly size: 'small' | 'middle' | 'big';
  /** What is written at it; only at big ones. */
  readonly text: string;
}

const INCH = 25.4;

/**
 * How finely a tape is divided so that its strokes stand apart.
 *
 * @param scale px that a millimetre has
 */
export function tapeSteps(units: Units, scale: number): TapeSteps {
  if (units !== 'mm') return { small: INCH / 8, middle: INCH / 2, big: INCH, per: INCH };
  const small = scale > 1.5 ? 1 : scale > 0.6 ? 2 : 5;
  return { small, middle: 5 * small, big: scale > 0.6 ? 20 : 50, per: 1 };
}

/** Strokes of a tape between two places, mm from its nought; the places themselves count. */
export function tapeTicks(from: number, to: number, { small, middle, big, per }: TapeSteps): TapeTick[] {
  const falls = (mm: number, on: number): boolean => Math.abs(mm / on - Math.round(mm / on)) < 1e-6;
  return range(Math.ceil(from / small - 1e-6), Math.floor(to / small + 1e-6) + 1).map((i) => {
    const mm = i * small;
    const size = falls(mm, big) ? 'big' : falls(mm, middle) ? 'middle' : 'small';
    return { mm, size, text: size === 'big' ? String(Math.round(Math.abs(mm) / per)) : '' };
  });
}
