import { offcutsOf, yearsSince } from '../../load/supply.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { base } from './stock-finding.ts';

/** Film that is old, or a scrap of unknown age. */
export const judgeFilmOld: Judge = (context) => {
  const { supply, usage, limits } = context;
  const seen = new Map<string, Finding>();
  for (const { film, from } of usage.strips) {
    if (from.kind === 'unknown' || from.kind === 'rest' || seen.has(film)) continue;
    const offcut = offcutsOf(supply, film).find(({ id }) => id === from.id);
    const lot = supply.films.find(({ id }) => id === from.id);
    const years = yearsSince((offcut ?? lot)?.boughtOn ?? null, supply.today);
    // Of film that was bought one may not have noted the day; of a scrap the age is not known.
    const unknown = years === null && offcut !== undefined;
    if (!unknown && (years === null || years <= limits.filmOld)) continue;
    seen.set(film, {
      ...base(context, 'film-old', film),
      case: unknown ? 'unknown' : 'old',
      severity: 'look',
      numbers: unknown ? {} : { years: years!, most: limits.filmOld },
    });
  }
  return [...seen.values()];
};

/** In words. */
export const sayFilmOld: Sayings = {
  'film-old/old': ({ finding, names }) => [
    `${names['film']} was bought ${(finding.numbers['years'] ?? NaN).toFixed(1)} years ago`,
    `After about ${finding.numbers['most'] ?? NaN} years the adhesive dries, and film tears when it is weeded. Cut a small test first and pull it off.`,
  ],
  'film-old/unknown': ({ names }) => [
    `Nobody knows how old this ${names['film']} is`,
    'It comes from the box of scraps. Dry adhesive tears when it is weeded: cut a small test first and pull it off.',
  ],
};
