/** Whether two documents say the same, whatever the order of their fields; a field that is undefined is not there, and −0 is 0: a file knows neither. */
export function sameValue(a: unknown, b: unknown): boolean {
  if (a === b || Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) || Array.isArray(b))
    return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((one, i) => sameValue(one, b[i]));
  const [left, right] = [a, b].map((one) => Object.entries(one).filter(([, value]) => value !== undefined));
  const other = new Map(right);
  return (
    left!.length === right!.length && left!.every(([key, value]) => other.has(key) && sameValue(value, other.get(key)))
  );
}
