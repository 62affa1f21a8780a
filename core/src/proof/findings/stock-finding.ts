import type { Finding, ProofContext } from '../finding.ts';

export const base = (
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
