/** What a length that is no plain number is measured by, in units of the drawing. */
export interface Measure {
  readonly width: number;
  readonly height: number;
  readonly fontSize: number;
}

/** CSS pixels of one unit. */
const PER_UNIT = new Map<string, number>([
  ['', 1],
  ['px', 1],
  ['pt', 96 / 72],
  ['pc', 16],
  ['mm', 96 / 25.4],
  ['cm', 960 / 25.4],
  ['q', 24 / 25.4],
  ['in', 96],
]);
const LENGTH = /^([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*([a-z]*|%)$/i;

/** Millimetres of a CSS pixel. */
export const MM_PER_PX = 25.4 / 96;

/**
 * A length in units of the drawing; undefined for what is none.
 *
 * @param along what per cent are of: the width, the height, or the diagonal over √2
 */
export function readLength(text: string, measure: Measure, along: 'x' | 'y' | 'both'): number | undefined {
  if (/^calc\(/i.test(text.trim())) return calculated(text, measure, along);
  const match = LENGTH.exec(text.trim());
  if (!match) return undefined;
  const value = Number(match[1]);
  const unit = match[2]!.toLowerCase();
  const { width, height, fontSize } = measure;
  const whole = along === 'x' ? width : along === 'y' ? height : Math.hypot(width, height) / Math.SQRT2;
  const per =
    unit === '%'
      ? whole / 100
      : unit === 'em'
        ? fontSize
        : unit === 'rem'
          ? 16
          : unit === 'ex' || unit === 'ch'
            ? fontSize / 2
            : PER_UNIT.get(unit);
  return per === undefined || !Number.isFinite(value) ? undefined : value * per;
}

/** A list of lengths, parted by commas or blanks; undefined when one of them is none. */
export function readLengths(text: string, measure: Measure, along: 'x' | 'y' | 'both'): number[] | undefined {
  const out: number[] = [];
  for (const one of text.trim().split(/[\s,]+/)) {
    const value = readLength(one, measure, along);
    if (value === undefined) return undefined;
    out.push(value);
  }
  return out;
}

/** A sum, as a style may give it in place of a length; undefined when it makes no sense. */
function calculated(text: string, measure: Measure, along: 'x' | 'y' | 'both'): number | undefined {
  const words = text.match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?(?:[a-z]+|%)?|calc|[-+*/()]/gi) ?? [];
  if (words.join('').length !== text.replace(/\s/g, '').length || words.length > 200) return undefined;
  let at = 0;
  const value = (): number => {
    const word = words[at++];
    if (word === undefined) return NaN;
    if (/^calc$/i.test(word)) return value();
    if (word === '(') {
      const inside = sum();
      return words[at++] === ')' ? inside : NaN;
    }
    return readLength(word, measure, along) ?? NaN;
  };
  const product = (): number => {
    let out = value();
    while (words[at] === '*' || words[at] === '/') out = words[at++] === '*' ? out * value() : out / value();
    return out;
  };
  const sum = (): number => {
    let out = product();
    for (;;) {
      const word = words[at];
      // A sign that stands close to its number is the number's own: "3px +2px" is a sum all the same.
      if (word === '+' || word === '-') {
        at += 1;
        out = word === '+' ? out + product() : out - product();
      } else if (word !== undefined && /^[-+]\S/.test(word)) out += product();
      else return out;
    }
  };
  const total = sum();
  return at === words.length && Number.isFinite(total) ? total : undefined;
}
