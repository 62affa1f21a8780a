import type { Blank } from '../model/blank.ts';
import type { Reading, ReadingTool } from '../model/reading.ts';
/** mm, 1 σ of one go, by how it was taken. Starting values; a cloth tape stretches and sags, a caliper does not. */
export const SIGMA_MM: Record<ReadingTool, number> = { tape: 0.7, strip: 0.5, ruler: 0.5, caliper: 0.1, photo: 1.5 };

/** mm. Usual thickness of a cloth tape and of a paper strip. */
export const USUAL_THICKNESS_MM: Record<ReadingTool, number> = {
  tape: 0.4,
  strip: 0.1,
  ruler: 0,
  caliper: 0,
  photo: 0,
};

/** What several goes at one reading add up to. */
export interface ReadingSummary {
  /** Mean as read, mm. */
  readonly mean: number;
  /** Largest minus smallest, mm. */
  readonly spread: number;
  /** 1 σ of the mean, mm. */
  readonly sigma: number;
  readonly count: number;
}

/**
 * Mean, spread and error of a reading; null while nothing was read.
 *
 * The error of the mean is the tool's σ/√n, or the goes' own scatter if that is worse.
 */
export function summariseReading(reading: Reading | undefined): ReadingSummary | null {
  const values = reading?.takes.map((t) => t.mm) ?? [];
  if (!reading || values.length === 0) return null;
  const n = values.length;
  const mean = values.reduce((a, b) => a + b, 0) / n;
  const spread = Math.max(...values) - Math.min(...values);
  const scatter = n > 1 ? Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (n - 1)) : 0;
  return { mean, spread, sigma: Math.max(SIGMA_MM[reading.how], scatter) / Math.sqrt(n), count: n };
}

/**
 * Girth of the bare surface from a tape or strip lying on it.
 *
 * @param read mean as read, mm
 * @param thickness of the tape or strip, mm; below zero when it lay on the inside
 * @returns girth in mm
 * @source a tape of thickness t on a radius r reads at its own middle: 2π(r + t/2) = 2πr + πt
 */
export function girthUnderTape(read: number, thickness: number): number {
  return read - Math.PI * thickness;
}

/**
 * Thickness by which film makes the way round longer: its own on the outside, less than nothing on the inside, where it
 * lies nearer to the axis than the wall.
 */
export const layThickness = ({ inside }: Pick<Blank, 'inside'>, thicknessMm: number): number =>
  inside ? -thicknessMm : thicknessMm;
