import { offcutsOf, yearsSince } from '../load/supply.ts';
import type { Finding, Judge, ProofContext } from './finding.ts';

const base = (
  context: ProofContext,
  code: 'film-short' | 'film-old',
  film: string,
): Omit<Finding, 'case' | 'severity' | 'numbers'> => ({
  id: `${code}:${film}`,
  code,
  place: null,
  itemIds: context.job.items.filter((item) => item.film === film).map(({ id }) => id),
  names: { film: context.job.films.find(({ id }) => id === film)?.name ?? film },
  fixes: [],
  goTo: 'cut',
});

/** Films of which there is less on the shelf than the plan takes. */
export const judgeFilmShort: Judge = (context) =>
  context.takings.films
    .filter(({ short }) => short > 0)
    .map(({ film, short }): Finding => {
      const strips = context.takings.strips.filter((one) => one.film === film && one.from.kind === 'unknown');
      const largest = strips.reduce((a, b) => (b.lengthMm * b.widthMm > a.lengthMm * a.widthMm ? b : a));
      return {
        ...base(context, 'film-short', film),
        case: 'short',
        severity: 'fails',
        numbers: { count: short, along: largest.lengthMm, across: largest.widthMm },
      };
    });

/** Film that is old, or a scrap that nobody knows the age of. */
export const judgeFilmOld: Judge = (context) => {
  const { supply, takings, limits } = context;
  const seen = new Map<string, Finding>();
  for (const { film, from } of takings.strips) {
    if (from.kind === 'unknown' || from.kind === 'rest' || seen.has(film)) continue;
    const offcut = offcutsOf(supply, film).find(({ id }) => id === from.id);
    const lot = supply.films.find(({ id }) => id === from.id);
    const years = yearsSince((offcut ?? lot)?.boughtOn ?? null, supply.today);
    // Of film that was bought one may not have noted the day; of a scrap nobody knows.
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
