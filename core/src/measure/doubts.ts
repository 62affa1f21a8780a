import type { Blank, ReadingName } from '../model/blank.ts';
import { SIGMA_MM, summariseReading } from './reading.ts';

/** Something about the readings that looks wrong. `instead` is the value that would make sense, mm. */
export interface ReadingDoubt {
  readonly code:
    | 'diameter-for-girth'
    | 'unit-slip'
    | 'girth-range'
    | 'side-range'
    | 'too-strong-taper'
    | 'height-over-side'
    | 'side-and-height-disagree'
    | 'across-and-girth-disagree'
    | 'section-and-girth-disagree'
    | 'face-range'
    | 'takes-disagree';
  readonly reading: ReadingName;
  readonly severity: 'fails' | 'look';
  readonly value: number;
  readonly expected: number;
  readonly instead: number | null;
}

/** mm. Nothing that film is wrapped round is thinner or thicker than this. */
export const GIRTH_RANGE_MM = [60, 1500] as const;

/** mm. Bands lower or higher than this are not cups. */
export const SIDE_RANGE_MM = [8, 900] as const;

/** mm. Faces smaller or larger than this are no lids, tags or box sides. */
export const FACE_RANGE_MM = [8, 2000] as const;

export function doubtGirth(
  name: ReadingName,
  girth: number,
  other: number | null,
  length: number | null,
): ReadingDoubt | null {
  const base = { reading: name, value: girth } as const;
  const expected = other ?? girth;
  // Read across instead of round: the two girths then differ by about π, more than any cup's taper does.
  if (other !== null && inRange(girth * Math.PI) && near(girth * Math.PI, other, 0.35) && girth < 0.5 * other)
    return { ...base, code: 'diameter-for-girth', severity: 'fails', expected, instead: girth * Math.PI };
  // One girth alone: a thing narrower than a third of its height across is no cup, but fits if it was read across.
  const slim = length !== null && girth / Math.PI < length / 3;
  if (
    other === null &&
    girth < 150 &&
    inRange(girth * Math.PI) &&
    (girth < GIRTH_RANGE_MM[0] || slim || length === null)
  )
    return {
      ...base,
      code: 'diameter-for-girth',
      severity: girth < GIRTH_RANGE_MM[0] ? 'fails' : 'look',
      expected,
      instead: girth * Math.PI,
    };
  // One girth may well be twice the other; beyond that a slip is likelier than a funnel.
  const alike = other === null || !inRange(other) || Math.max(girth, other) < 2.3 * Math.min(girth, other);
  if (inRange(girth) && alike) return null;
  for (const factor of [25.4, 1 / 25.4, 10, 0.1, 2.54, 1 / 2.54]) {
    const meant = girth * factor;
    if (other !== null && inRange(other) ? near(meant, other, 0.3) : !inRange(girth) && meant > 150 && meant < 600)
      return { ...base, code: 'unit-slip', severity: 'fails', expected, instead: meant };
  }
  if (inRange(girth)) return null;
  return { ...base, code: 'girth-range', severity: 'fails', expected: clampTo(girth, GIRTH_RANGE_MM), instead: null };
}

export function sideRange(name: ReadingName, value: number): ReadingDoubt {
  const meant = [25.4, 10, 1 / 25.4, 0.1].map((f) => value * f).find((v) => v >= 40 && v <= 300) ?? null;
  return {
    code: meant === null ? 'side-range' : 'unit-slip',
    reading: name,
    severity: 'fails',
    value,
    expected: clampTo(value, SIDE_RANGE_MM),
    instead: meant,
  };
}

/** Readings whose takes lie too far apart. */
export function doubtSpreads(blank: Blank, names: readonly ReadingName[]): ReadingDoubt[] {
  return names.flatMap((name): ReadingDoubt[] => {
    const reading = blank.readings[name];
    const summary = summariseReading(reading);
    if (!reading || !summary || summary.spread <= 3 * SIGMA_MM[reading.how]) return [];
    return [
      {
        code: 'takes-disagree',
        reading: name,
        severity: 'look',
        value: summary.spread,
        expected: 3 * SIGMA_MM[reading.how],
        instead: null,
      },
    ];
  });
}

export const inRange = (girth: number): boolean => girth >= GIRTH_RANGE_MM[0] && girth <= GIRTH_RANGE_MM[1];

export const near = (a: number, b: number, share: number): boolean => Math.abs(a - b) <= share * b;

export const clampTo = (v: number, [low, high]: readonly [number, number]): number => Math.min(high, Math.max(low, v));
