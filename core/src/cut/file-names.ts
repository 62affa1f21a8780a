import type { Film } from '../model/film.ts';
import { slugsOf } from '../pieces/slug.ts';

/** What of a strip its file is named by. */
export interface NamedStrip {
  readonly film: string;
  readonly parts: readonly { readonly part: string }[];
}

/** What is cut of several parts is named by its film alone. */
export const onlyPart = ({ parts }: Pick<NamedStrip, 'parts'>): string => (parts.length === 1 ? parts[0]!.part : '');

/** Name of the file of a whole load, without its ending. */
export const loadFileName = (number: number): string => `load-${number}`;

/**
 * Names of the cut files of some loads, strip by strip, without their endings. A film may lie in several strips of one load,
 * and two films may be called the same: each file has a name of its own, so that none is written over another.
 *
 * @param films of the project
 */
export function cutFileNames(
  loads: readonly { readonly number: number; readonly strips: readonly NamedStrip[] }[],
  films: readonly Pick<Film, 'id' | 'name'>[],
): string[] {
  const called = slugsOf(films, 'film');
  const names: string[] = [];
  for (const { number, strips } of loads)
    for (const strip of strips) {
      const part = onlyPart(strip);
      const plain = `cut-${number}-${called.get(strip.film) ?? strip.film}${part && `-${part}`}`;
      let name = plain;
      for (let more = 2; names.includes(name); more++) name = `${plain}-strip-${more}`;
      names.push(name);
    }
  return names;
}
