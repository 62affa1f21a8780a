import { layerName } from '../../layers/layer.ts';
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

/** What a layer is called. */
export const nameOf = ({ job, wrap }: Pick<ProofContext, 'job' | 'wrap'>, layer: string): string =>
  layerName(layer, wrap.layers, (film) => job.films.find(({ id }) => id === film)?.name ?? film);

export const withLowest = ({ stack }: ProofContext, layer: string): string[] => {
  const [lowest] = stack.layers;
  return lowest && lowest.layer !== layer ? [lowest.layer, layer] : [layer];
};
