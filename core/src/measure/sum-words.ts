import { formatParts, type Units, WRITTEN_IN } from './length.ts';

/**
 * A sum line by line, so that it adds up in the digits that are shown: those that every length is written in.
 *
 * @param terms what is added, mm; negative takes off
 * @param units that it is shown in
 * @returns the terms with their signs but for the first, and what they come to
 */
export function sumTexts(
  terms: readonly number[],
  units: Units,
): { readonly terms: readonly string[]; readonly total: string } {
  const { perUnit, mm: perMm } = WRITTEN_IN[units];
  const exact = terms.map((mm) => (mm / perMm) * perUnit);
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
  return {
    terms: shown.map((v, i) => `${v < 0 ? '−' : i > 0 ? '+' : ''}${formatParts(Math.abs(v), units)}`),
    total: `${total < 0 ? '−' : ''}${formatParts(Math.abs(total), units)}`,
  };
}
