import { formatSize, type Units } from '../measure/length.ts';
import type { Film } from '../model/film.ts';
import type { StockTape, Supply } from '../model/stock.ts';
import type { JobSheet } from '../load/job-sheet.ts';

/** Something that there is not enough of. */
export interface ToBuy {
  readonly what: string;
  /** How much of it is wanted, in words. */
  readonly says: string;
}

/** A kind of blank: how many there are, and how many the job takes. */
export interface BlankCount {
  readonly name: string;
  /** null when they are not counted. */
  readonly have: number | null;
  readonly need: number;
}

/**
 * What has to be bought before a job can be made. What nobody counts is not missing: an empty shelf says nothing.
 *
 * @param tape rolls that there are
 * @param tapeMm2 that the job takes
 */
export function shoppingList(
  { plan, usage }: JobSheet,
  films: readonly Film[],
  supply: Supply,
  blanks: readonly BlankCount[],
  tape: { readonly rolls: readonly StockTape[]; readonly mm2: number },
  unit: Units,
): ToBuy[] {
  const nameOf = (id: string): string => films.find((film) => film.id === id)?.name ?? id;
  const strips = plan.loads.flatMap((load) => load.strips);
  const counted = supply.films.length + supply.offcuts.length > 0;
  const film = [...new Set(strips.map((strip) => strip.film))].flatMap((id): ToBuy[] => {
    const own = strips.filter((strip) => strip.film === id);
    const known = supply.films.some((lot) => lot.film.id === id) || supply.offcuts.some((lot) => lot.film.id === id);
    const short = usage.films.find((use) => use.film === id)?.short ?? 0;
    if (!counted || (known && short === 0)) return [];
    const missing = known ? own.slice(-short) : own;
    const sizes = missing.map(({ used }) => formatSize(used.along, used.across, unit));
    return [{ what: nameOf(id), says: `${known ? 'short by' : 'none in stock:'} ${sizes.join(' and ')}` }];
  });
  const left = tape.rolls.reduce((sum, { widthMm, lengthMm }) => sum + widthMm * lengthMm, 0);
  const tapes: ToBuy[] =
    tape.rolls.length > 0 && left < tape.mm2
      ? [{ what: 'Transfer tape', says: `${Math.ceil((tape.mm2 - left) / 100)} cm² more` }]
      : [];
  const things = blanks.flatMap(({ name, have, need }): ToBuy[] =>
    have !== null && have < need ? [{ what: name, says: `${need - have} more` }] : [],
  );
  return [...things, ...film, ...tapes];
}
