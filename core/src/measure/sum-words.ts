/** Digits in which a sum is shown, and how many of them a millimetre and an inch have. */
const SHOWN = {
  mm: { per: 1, digits: 1, name: 'mm' },
  in: { per: 25.4, digits: 3, name: 'in' },
} as const;

/**
 * A sum line by line, so that it adds up in the digits that are shown: inches in thousandths, since sixteenths would hide
 * what a tape's thickness takes off.
 *
 * @param terms what is added, mm; negative takes off
 * @param unit that it is shown in
 * @returns the terms with their signs but for the first, and what they come to
 */
export function sumTexts(
  terms: readonly number[],
  unit: 'mm' | 'in',
): { readonly terms: readonly string[]; readonly total: string } {
  const { per, digits, name } = SHOWN[unit];
  const scale = 10 ** digits / per;
  const exact = terms.map((mm) => mm * scale);
  const total = Math.round(exact.reduce((sum, v) => sum + v, 0));
  const shown = exact.map((v) => Math.round(v));
  // What rounding leaves over goes to the terms that it takes least from the truth.
  for (let off = total - shown.reduce((sum, v) => sum + v, 0); off !== 0; off -= Math.sign(off)) {
    const step = Math.sign(off);
    const least = shown.reduce((best, v, i) => (strayOf(i, v) < strayOf(best, shown[best]!) ? i : best), 0);
    function strayOf(i: number, v: number): number {
      return Math.abs(v + step - exact[i]!);
    }
    shown[least]! += step;
  }
  const text = (v: number): string => `${(Math.abs(v) / 10 ** digits).toFixed(digits)} ${name}`;
  return {
    terms: shown.map((v, i) => `${v < 0 ? '−' : i > 0 ? '+' : ''}${text(v)}`),
    total: `${total < 0 ? '−' : ''}${text(total)}`,
  };
}
