/** Whether a property says something. */
export const isSet = (value: string | undefined): value is string =>
  value !== undefined && value !== '' && value !== 'none';

/** Id of what a value refers to; null when it refers to nothing. */
export const idOf = (value: string | undefined): string | null =>
  /url\(\s*["']?#([^"')]+)/.exec(value ?? '')?.[1] ?? null;

/** A plain number, or a share in per cent. */
export function readShare(text: string | undefined, otherwise: number): number {
  if (text === undefined) return otherwise;
  const value = parseFloat(text) / (text.trim().endsWith('%') ? 100 : 1);
  return Number.isFinite(value) ? value : otherwise;
}
