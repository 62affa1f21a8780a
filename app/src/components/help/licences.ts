/** Something that ships with the program, as the table lists it. */
export interface ShippedPackage {
  readonly name: string;
  readonly version: string;
  readonly licence: string;
}

/** What the notices name in their headings: `## one 1.2.3 (MIT), two 4.5.6 (ISC)`. */
export const packagesOf = (notices: string): ShippedPackage[] =>
  [...notices.matchAll(/^## (.+)$/gm)]
    .flatMap(([, heading]) => [...heading!.matchAll(/([^\s,]\S*) (\d\S*) \(([^)]+)\)/g)])
    .map(([, name, version, licence]) => ({ name: name!, version: version!, licence: licence! }))
    .sort((a, b) => a.name.localeCompare(b.name));
