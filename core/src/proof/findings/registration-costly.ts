import type { Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { finding } from './stack-finding.ts';

/** Marks that cost more film than they are worth, or a load. */
export const judgeRegistrationCostly: Judge = (context) => {
  const marked = context.stack.layers.filter((layer) => layer.marked);
  const cost = marked.reduce((sum, { marksMm2 }) => sum + (marksMm2 ?? 0), 0) / 100;
  const { marksLoads } = context.stack;
  if (marked.length === 0 || (cost <= context.limits.marksCost && marksLoads <= 0)) return [];
  return [
    finding('registration-costly', '', {
      case: marksLoads > 0 ? 'loads' : 'film',
      numbers: { cost, most: context.limits.marksCost, loads: marksLoads },
      fixes: [{ do: 'mark-layers', films: marked.map(({ layer }) => layer), how: 'by hand' }],
    }),
  ];
};

/** In words. */
export const sayRegistrationCostly: Sayings = {
  'registration-costly/film': ({ area }) => [
    `Registration marks cost ${area('cost', 'cm²')} of film`,
    `More than the ${area('most', 'cm²')} that you allow. A layer of few pieces is as quickly lined up by hand.`,
  ],
  'registration-costly/loads': ({ area, whole }) => [
    `Registration marks cost ${whole('loads') === '1' ? 'a load' : `${whole('loads')} loads`} more`,
    `And ${area('cost', 'cm²')} of film. Lined up by hand, it fits on fewer boards.`,
  ],
};
