/** A record of a DXF: what it is, and its values by group code, each code as often as it comes. */
export interface DxfRecord {
  readonly type: string;
  readonly groups: readonly (readonly [code: number, value: string])[];
}

/** Records that are read at most. */
const MOST_RECORDS = 2_000_000;

/**
 * Takes a DXF apart into its records: pairs of lines, a code and a value, of which code 0 begins the next record. Each pair
 * is looked at once, so that whatever the file leaves out or repeats, it comes to an end.
 *
 * @returns null when it is no DXF of text lines
 */
export function readGroups(text: string): DxfRecord[] | null {
  const records: { type: string; groups: [number, string][] }[] = [];
  let at = 0;
  const line = (): string | null => {
    if (at > text.length) return null;
    let end = text.indexOf('\n', at);
    if (end < 0) end = text.length;
    const found = text.slice(at, text[end - 1] === '\r' ? end - 1 : end);
    at = end + 1;
    return found;
  };
  for (;;) {
    const head = line();
    if (head === null) break;
    const value = line();
    if (value === null) break;
    const code = head.trim() === '' ? NaN : Number(head);
    if (!Number.isInteger(code) || code < -10 || code > 1071) return null;
    if (code === 0) {
      if (records.length >= MOST_RECORDS) break;
      records.push({ type: value.trim().toUpperCase(), groups: [] });
    } else if (code === 999) continue;
    else records.at(-1)?.groups.push([code, value]);
  }
  return records.some(({ type }) => type === 'SECTION') ? records : null;
}

/** First value of a code, as a number; what is missing or no number is `otherwise`. */
export function numberOf({ groups }: DxfRecord, code: number, otherwise = 0): number {
  const found = groups.find((group) => group[0] === code);
  const value = found ? Number(found[1]) : NaN;
  return Number.isFinite(value) ? value : otherwise;
}

/** Every value of a code, in order. */
export const numbersOf = ({ groups }: DxfRecord, code: number): number[] =>
  groups.filter((group) => group[0] === code).map((group) => Number(group[1]));

/** First value of a code, as text. */
export const textOf = ({ groups }: DxfRecord, code: number): string | undefined =>
  groups.find((group) => group[0] === code)?.[1].trim();
