import { EPSILON } from '../numeric/tolerances.ts';

/** Units that a crafter may type; a mil is a thousandth of an inch. */
export type LengthUnit = 'mm' | 'cm' | 'in' | 'mil';

/** How a person works: in millimetres, in inches with fractions as a tape has them, or in inches with decimals. */
export type Units = 'mm' | 'in' | 'in-decimal';

/** Why a typed length was not taken. */
export type LengthProblem = 'empty' | 'not-a-length' | 'zero' | 'negative' | 'too-large';

/** A typed length understood, or why it was not. */
export type ParsedLength =
  | { readonly ok: true; readonly mm: number; readonly unit: LengthUnit }
  | { readonly ok: false; readonly code: LengthProblem };

const MM_PER: Record<LengthUnit, number> = { mm: 1, cm: 10, in: 25.4, mil: 0.0254 };

/** mm. Nothing that Mivet measures is longer than ten metres. */
const LONGEST_MM = 10_000;

const VULGAR = /([\u00BC-\u00BE\u2150-\u215E])/g;
const NUMBER = /^(?:(\d+(?:[.,]\d+)?)|(?:(\d+)[\s-]+)?(\d+)\/(\d+))$/;

/**
 * Reads a length as people type it: `10 3/8`, `10-3/8 in`, `10⅜"`, `10.375 in`, `26.4 cm`, `26,4cm`, `264`.
 * A fraction without a unit is inches, since millimetres are not written as fractions.
 *
 * @param typed what stands in the field
 * @param bare unit of a plain number without one, or how the person works
 * @returns millimetres (> 0) and the unit that was meant, or the problem
 */
export function parseLength(typed: string, bare: LengthUnit | Units): ParsedLength {
  const text = typed
    .replace(VULGAR, ' $1')
    // Inch marks first: normalising would take a double prime apart.
    .replace(/[\u2033\u201C\u201D]|\u2032\u2032|''/g, '"')
    .normalize('NFKC')
    .replace(/\u2044/g, '/')
    .replace(/[\u2212\u2013]/g, '-')
    .trim()
    .toLowerCase();
  if (text === '') return { ok: false, code: 'empty' };
  const unitMatch = /\s*(mm|millimet(?:er|re)s?|cm|centimet(?:er|re)s?|in|inch|inches|mils?|thou|")\.?$/.exec(text);
  const unitWord = unitMatch?.[1];
  const body = unitMatch ? text.slice(0, unitMatch.index).trim() : text;
  const negative = body.startsWith('-');
  const match = NUMBER.exec(negative ? body.slice(1).trim() : body);
  if (!match) return { ok: false, code: 'not-a-length' };
  const [, decimal, whole, top, bottom] = match;
  // No tape shows nine eighths past the ten: a typing error, and which one cannot be told.
  if (whole !== undefined && Number(top) >= Number(bottom)) return { ok: false, code: 'not-a-length' };
  const number =
    decimal === undefined ? Number(whole ?? 0) + Number(top) / Number(bottom) : Number(decimal.replace(',', '.'));
  if (!Number.isFinite(number)) return { ok: false, code: 'not-a-length' };
  if (number === 0) return { ok: false, code: 'zero' };
  if (negative) return { ok: false, code: 'negative' };
  const usual = decimal === undefined || bare === 'in-decimal' ? 'in' : bare;
  const unit = unitWord === undefined ? usual : unitOf(unitWord);
  const mm = number * MM_PER[unit];
  return mm > LONGEST_MM ? { ok: false, code: 'too-large' } : { ok: true, mm, unit };
}

const unitOf = (word: string): LengthUnit =>
  /^(mil|mils|thou)$/.test(word) ? 'mil' : word.startsWith('m') ? 'mm' : word.startsWith('c') ? 'cm' : 'in';

/**
 * How finely lengths are written: parts of a unit, and how many mm the unit has. What reads tape is written in sixteenths by
 * itself, since fractions are reduced; a sixty-fourth (0.4 mm) is as fine as a rule shows.
 */
export const WRITTEN_IN = {
  mm: { perUnit: 10, mm: 1 },
  in: { perUnit: 64, mm: 25.4 },
  'in-decimal': { perUnit: 100, mm: 25.4 },
} as const satisfies Record<Units, { perUnit: number; mm: number }>;

/** in. Below this, inches are written in mils: as film and tape are sold, and as no rule shows. */
const LEAST_ON_A_RULE = 1 / WRITTEN_IN.in.perUnit;

/**
 * Writes a length for the screen: millimetres to a tenth, inches as the simplest fraction to 1/64 or as decimals to 0.01.
 * What is thinner than a sixty-fourth of an inch is written in mils.
 *
 * @param mm length in mm
 * @param units how the person works
 * @returns number and unit, for instance `276.0 mm`, `10 7/8 in`, `10.87 in` or `2.8 mil`
 */
export function formatLength(mm: number, units: Units): string {
  if (!Number.isFinite(mm)) return '–';
  const inches = Math.abs(mm) / 25.4;
  // What is a sixty-fourth but for rounding is one.
  if (units !== 'mm' && inches > EPSILON && inches < LEAST_ON_A_RULE - EPSILON) {
    const mils = inches * 1000;
    return `${mm < 0 ? '−' : ''}${mils.toFixed(mils < 9.95 ? 1 : 0).replace(/\.0$/, '')} mil`;
  }
  const { perUnit, mm: perMm } = WRITTEN_IN[units];
  return formatParts(Math.round((mm / perMm) * perUnit), units);
}

/** Writes a whole number of the parts that lengths are written in. */
export function formatParts(parts: number, units: Units): string {
  const sign = parts < 0 ? '−' : '';
  const many = Math.abs(parts);
  const { perUnit } = WRITTEN_IN[units];
  if (units === 'mm') return `${parts < 0 ? '-' : ''}${(many / perUnit).toFixed(1)} mm`;
  if (units === 'in-decimal') return `${sign}${(many / perUnit).toFixed(2)} in`;
  const whole = Math.floor(many / perUnit);
  let top = many % perUnit;
  let bottom: number = perUnit;
  while (top > 0 && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  if (top === 0) return `${sign}${whole} in`;
  return `${sign}${whole === 0 ? '' : `${whole} `}${top}/${bottom} in`;
}

/**
 * Writes a reading as it was typed, where that means the same in the units of now; in these units where it does not: a bare
 * `251` that was typed in millimetres is no 251 inches.
 *
 * @param take what was typed, and the length in mm that it was taken for
 */
export function formatTyped(take: { readonly typed: string; readonly mm: number }, units: Units): string {
  const read = parseLength(take.typed, units);
  if (!read.ok) return read.code === 'zero' && take.mm === 0 ? take.typed : formatLength(take.mm, units);
  const metric = read.unit === 'mm' || read.unit === 'cm';
  const same = metric === (units === 'mm') && Math.abs(read.mm - take.mm) <= EPSILON * Math.max(1, take.mm);
  return same ? take.typed : formatLength(take.mm, units);
}

/** Writes a length (mm) without a nought behind its point: `46 mm`, `1 13/16 in`. */
export const formatShort = (mm: number, units: Units): string => formatLength(mm, units).replace(/\.0(?= )/, '');

/** Without its unit, where the same one follows. */
const bare = (text: string): string => text.replace(/ (mm|in)$/, '');

/** Writes two sides, mm: `46 × 206 mm`. */
export const formatSize = (a: number, b: number, units: Units): string =>
  `${bare(formatShort(a, units))} × ${formatShort(b, units)}`;

/** Writes from where to where something lies, mm: `from 55 to 91 mm`. */
export const formatRange = (from: number, to: number, units: Units): string =>
  `from ${bare(formatShort(from, units))} to ${formatShort(to, units)}`;

/**
 * Writes how thick film or a stack of it is: hundredths of a millimetre, or mils.
 *
 * @param mm thickness in mm
 */
export const formatThickness = (mm: number, units: Units): string =>
  units === 'mm' ? `${mm.toFixed(2)} mm` : `${((1000 * mm) / 25.4).toFixed(1)} mil`;

/**
 * Writes an area of film: square centimetres, or square inches to a tenth; what is less than one in mm² or hundredths.
 *
 * @param mm2 area in mm²
 */
export function formatArea(mm2: number, units: Units): string {
  if (units === 'mm') return mm2 < 100 ? `${mm2.toFixed(0)} mm²` : `${(mm2 / 100).toFixed(0)} cm²`;
  const inches = mm2 / 645.16;
  return `${inches.toFixed(inches < 1 ? 2 : 1)} in²`;
}

/** Length over which it is told how true an edge is held: as a ruler lies at hand. */
export const trueOver = (units: Units): { readonly mm: number; readonly words: string } =>
  units === 'mm' ? { mm: 100, words: '100 mm' } : { mm: 4 * 25.4, words: '4 in' };

/** mm in a foot: what blades and rolls are told in where a person works in inches. */
export const MM_PER_FOOT = 304.8;

/** A long way as a blade goes it: metres, or feet. */
export const formatFar = (mm: number, unit: Units, digits = 0): string =>
  unit === 'mm' ? `${(mm / 1000).toFixed(digits)} m` : `${(mm / MM_PER_FOOT).toFixed(digits)} ft`;
