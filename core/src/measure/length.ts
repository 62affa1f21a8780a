/** Units that a crafter may type. */
export type LengthUnit = 'mm' | 'cm' | 'in';

/** Why a typed length was not taken. */
export type LengthProblem = 'empty' | 'not-a-length' | 'zero' | 'negative' | 'too-large';

/** A typed length understood, or why it was not. */
export type ParsedLength =
  | { readonly ok: true; readonly mm: number; readonly unit: LengthUnit }
  | { readonly ok: false; readonly code: LengthProblem };

const MM_PER: Record<LengthUnit, number> = { mm: 1, cm: 10, in: 25.4 };

/** mm. Nothing that Mivet measures is longer than ten metres. */
const LONGEST_MM = 10_000;

const VULGAR = /([\u00BC-\u00BE\u2150-\u215E])/g;
const NUMBER = /^(?:(\d+(?:[.,]\d+)?)|(?:(\d+)[\s-]+)?(\d+)\/(\d+))$/;

/**
 * Reads a length as people type it: `10 3/8`, `10-3/8 in`, `10⅜"`, `10.375 in`, `26.4 cm`, `26,4cm`, `264`.
 * A fraction without a unit is inches, since millimetres are not written as fractions.
 *
 * @param typed what stands in the field
 * @param bare unit of a plain number without one
 * @returns millimetres (> 0) and the unit that was meant, or the problem
 */
export function parseLength(typed: string, bare: LengthUnit): ParsedLength {
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
  const unitMatch = /\s*(mm|millimet(?:er|re)s?|cm|centimet(?:er|re)s?|in|inch|inches|")\.?$/.exec(text);
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
  const unit: LengthUnit = unitWord
    ? unitWord.startsWith('m')
      ? 'mm'
      : unitWord.startsWith('c')
        ? 'cm'
        : 'in'
    : decimal === undefined
      ? 'in'
      : bare;
  const mm = number * MM_PER[unit];
  return mm > LONGEST_MM ? { ok: false, code: 'too-large' } : { ok: true, mm, unit };
}

/**
 * Writes a length for the screen: millimetres to a tenth, or inches as a fraction to 1/16. Under 1/8 in, what is no whole
 * sixteenth is written to a thousandth, since a fraction would round a tape's thickness away.
 *
 * @param mm length in mm
 * @param unit what the person works in
 * @returns number and unit, for instance `276.0 mm` or `10 7/8 in`
 */
export function formatLength(mm: number, unit: 'mm' | 'in'): string {
  if (!Number.isFinite(mm)) return '–';
  if (unit === 'mm') return `${(Math.round(mm * 10) / 10).toFixed(1)} mm`;
  const exact = (Math.abs(mm) / 25.4) * 16;
  const sixteenths = Math.round(exact);
  if (exact > 0.004 && exact < 2 && Math.abs(exact - sixteenths) > 0.01)
    return `${mm < 0 ? '−' : ''}${(Math.abs(mm) / 25.4).toFixed(3)} in`;
  const sign = mm < 0 && sixteenths > 0 ? '−' : '';
  const whole = Math.floor(sixteenths / 16);
  let top = sixteenths % 16;
  let bottom = 16;
  while (top > 0 && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  if (top === 0) return `${sign}${whole} in`;
  return whole === 0 ? `${sign}${top}/${bottom} in` : `${sign}${whole} ${top}/${bottom} in`;
}

/** Length over which it is told how true an edge is held: as a ruler lies at hand. */
export const TRUE_OVER = { mm: { mm: 100, words: '100 mm' }, in: { mm: 4 * 25.4, words: '4 in' } } as const;

/** mm in a foot: what blades and rolls are told in where a person works in inches. */
export const MM_PER_FOOT = 304.8;

/** A long way as a blade goes it: metres, or feet. */
export const formatFar = (mm: number, unit: 'mm' | 'in', digits = 0): string =>
  unit === 'mm' ? `${(mm / 1000).toFixed(digits)} m` : `${(mm / MM_PER_FOOT).toFixed(digits)} ft`;
