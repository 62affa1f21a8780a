import type { Finding, FindingCode, ProofContext } from '../finding.ts';

export const finding = (
  code: FindingCode,
  subject: string,
  rest: Pick<Finding, 'case' | 'numbers' | 'fixes'> & Partial<Finding>,
): Finding => ({
  id: subject ? `${code}:${subject}` : code,
  code,
  severity: 'look',
  place: null,
  itemIds: [],
  names: {},
  goTo: 'cut',
  ...rest,
});

export const nameOf = ({ job }: ProofContext, film: string): string =>
  job.films.find(({ id }) => id === film)?.name ?? film;

export const withLowest = ({ stack }: ProofContext, film: string): string[] => {
  const [lowest] = stack.layers;
  return lowest && lowest.film !== film ? [lowest.film, film] : [film];
};
