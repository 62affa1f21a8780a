/**
 * A name as file names and parts have it: small letters, digits and hyphens.
 *
 * @param instead when nothing of the name is left
 */
export const slug = (name: string, instead: string): string =>
  name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60) || instead;

/**
 * Slugs of several things, by id; of those that come to the same each further one is numbered.
 *
 * @param instead what a name without a letter is called
 */
export function slugsOf(
  things: readonly { readonly id: string; readonly name: string }[],
  instead: string,
): ReadonlyMap<string, string> {
  const slugs = new Map<string, string>();
  const taken = new Set<string>();
  for (const { id, name } of things) {
    const plain = slug(name, instead);
    let own = plain;
    for (let more = 2; taken.has(own); more++) own = `${plain}-${more}`;
    taken.add(own);
    slugs.set(id, own);
  }
  return slugs;
}
