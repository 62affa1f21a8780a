import type { Blank, ReadingName } from '../model/blank.ts';
import { READINGS_ASKED, READINGS_WELCOME } from './readings-asked.ts';
import { sizeBlank } from './size.ts';
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
/** Sine of the steepest half-angle that is still taken for a cup (45°). */
export const STEEPEST_TAPER = Math.SQRT1_2;

/**
 * Looks at the readings together and says which one looks wrong, and what may have been meant.
 *
 * @param blank readings as taken; missing ones are passed over
 * @returns doubts, the gravest first; empty when all agree
 */
export function doubtReadings(blank: Blank): ReadingDoubt[] {
  if (blank.kind !== 'straight' && blank.kind !== 'tapered') return doubtOthers(blank).sort(gravestFirst);
  const doubts: ReadingDoubt[] = [];
  const mean = (name: ReadingName): number | null => summariseReading(blank.readings[name])?.mean ?? null;
  const rim = mean('girthRim');
  const base = blank.kind === 'tapered' ? mean('girthBase') : null;
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
  doubts.push(...doubtSpreads(blank));
  if (doubts.some((d) => d.severity === 'fails')) return doubts.sort(gravestFirst);

  const sized = sizeBlank(blank);
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
    if (across !== null && Math.abs(across - expected) > 1.5)
      doubts.push({
        code: 'across-and-girth-disagree',
        reading: 'acrossRim',
        severity: 'look',
        value: across,
        expected,
        instead: null,
      });
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
  return doubts.sort(gravestFirst);
}

const gravestFirst = (a: ReadingDoubt, b: ReadingDoubt): number =>
  (a.severity === 'fails' ? 0 : 1) - (b.severity === 'fails' ? 0 : 1);

/** mm. Faces smaller or larger than this are no lids, tags or box sides. */
export const FACE_RANGE_MM = [8, 2000] as const;

/** Balls, balloons, lids and flat sides: each reading within reason, and the two of a ball against each other. */
function doubtOthers(blank: Blank): ReadingDoubt[] {
  const doubts = doubtSpreads(blank);
  const mean = (name: ReadingName): number | null => summariseReading(blank.readings[name])?.mean ?? null;
  const girth = mean('girth');
  const across = mean('across');
  if (girth !== null) {
    const doubt = doubtGirth('girth', girth, across === null ? null : across * Math.PI, null);
    if (doubt) doubts.push(doubt);
  }
  if (blank.kind === 'ball' && girth !== null && across !== null) {
    const expected = girth / Math.PI;
    if (Math.abs(across - expected) > 1.5)
      doubts.push({
        code: 'across-and-girth-disagree',
        reading: 'across',
        severity: 'look',
        value: across,
        expected,
        instead: null,
      });
  }
  const faces =
    blank.kind === 'lid' ? (['across'] as const) : blank.kind === 'flat' ? (['width', 'height'] as const) : [];
  for (const name of faces) {
    const value = mean(name);
    if (value === null || (value >= FACE_RANGE_MM[0] && value <= FACE_RANGE_MM[1])) continue;
    doubts.push({
      code: 'face-range',
      reading: name,
      severity: 'fails',
      value,
      expected: clampTo(value, FACE_RANGE_MM),
      instead: [25.4, 10].map((f) => value * f).find((v) => v >= 30 && v <= 300) ?? null,
    });
  }
  return doubts;
}

function doubtGirth(
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

function sideRange(name: ReadingName, value: number): ReadingDoubt {
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

function doubtSpreads(blank: Blank): ReadingDoubt[] {
  return [...READINGS_ASKED[blank.kind], ...READINGS_WELCOME[blank.kind]].flatMap((name): ReadingDoubt[] => {
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

const inRange = (girth: number): boolean => girth >= GIRTH_RANGE_MM[0] && girth <= GIRTH_RANGE_MM[1];
const near = (a: number, b: number, share: number): boolean => Math.abs(a - b) <= share * b;
const clampTo = (v: number, [low, high]: readonly [number, number]): number => Math.min(high, Math.max(low, v));
