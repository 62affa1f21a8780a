import { isMask } from '../../artwork/mask.ts';
import type { Command } from '../../model/command.ts';
import type { ArtworkItem } from '../../model/item.ts';

/**
 * The fix by which things are cut and laid one by one: each follows a curve that a band or a sheet of them does not, and is
 * cut as it was drawn.
 *
 * @param items of the job
 * @param on ids of those that it would help
 * @param faces whether what comes once may be such a patch as well
 * @returns nothing where none of them is
 */
export function laySingly(items: readonly ArtworkItem[], on: ReadonlySet<string>, faces = false): Command[] {
  const fit = ({ repeat: { mode } }: ArtworkItem): boolean =>
    mode === 'spaced' || mode === 'scattered' || (faces && mode === 'once');
  const singly = items.filter((item) => on.has(item.id) && !item.byItself && !isMask(item) && fit(item));
  const several = singly.some(({ repeat }) => repeat.mode !== 'once') || singly.length > 1;
  return singly.length > 0 ? [{ do: 'lay-singly', itemIds: singly.map(({ id }) => id), several }] : [];
}
