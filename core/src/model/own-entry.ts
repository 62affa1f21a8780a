/**
 * What a table that is keyed by people's words holds for one of them; undefined where it holds nothing. A film that somebody
 * called “constructor” finds nothing that every object has.
 */
export const ownEntry = <T>(table: { readonly [key: string]: T }, key: string): T | undefined =>
  Object.hasOwn(table, key) ? table[key] : undefined;
