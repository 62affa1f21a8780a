import { formatThickness } from '../../measure/length.ts';
import type { Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { finding, nameOf } from './stack-finding.ts';

/** Where more films lie on each other than hold well. */
export const judgeStackThick: Judge = (context) => {
  const { deepest } = context.stack;
  if (!deepest || deepest.layers.length <= context.limits.stackDeep) return [];
  const { wrap, job } = context;
  const azimuth = deepest.x / wrap.meanRadius;
  const round = 4 / wrap.meanRadius;
  return [
    finding('stack-thick', '', {
      case: 'deep',
      place: { azimuths: [azimuth - round, azimuth + round], slants: [-deepest.y - 4, -deepest.y + 4] },
      numbers: { films: deepest.layers.length, thickness: deepest.thicknessMm, most: context.limits.stackDeep },
      names: { films: deepest.layers.map((layer) => nameOf(context, layer)).join(', ') },
      fixes: job.stack.build === 'inlay' ? [] : [{ do: 'build-stack', build: 'inlay' }],
    }),
  ];
};

/** In words. */
export const sayStackThick: Sayings = {
  'stack-thick/deep': ({ finding, names, whole, unit }) => [
    `${whole('films')} films lie on each other: ${names['films']}`,
    `That is ${formatThickness(finding.numbers['thickness'] ?? NaN, unit)}; past ${whole('most')} films an edge catches and lifts in the wash. Knock each film out of those below it, or leave one out there.`,
  ],
};
