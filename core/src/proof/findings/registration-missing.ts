import { FEW_BODIES } from '../../stack/registration/marks.ts';
import type { Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { finding, nameOf, withLowest } from './stack-finding.ts';

/** Layers of many things that meet others and have no marks. */
export const judgeRegistrationMissing: Judge = (context) =>
  context.stack.layers
    .filter(
      ({ marked, meets, bodies, unsupported }) => !marked && meets && bodies > FEW_BODIES && unsupported <= FEW_BODIES,
    )
    .map(({ layer, bodies, marksMm2 }) =>
      finding('registration-missing', layer, {
        case: 'by-hand',
        numbers: { count: bodies, cost: (marksMm2 ?? 0) / 100 },
        names: { film: nameOf(context, layer) },
        fixes: [{ do: 'mark-layers', films: withLowest(context, layer), how: 'marks' }],
      }),
    );

/** In words. */
export const sayRegistrationMissing: Sayings = {
  'registration-missing/by-hand': ({ names, whole, area }) => [
    `${whole('count')} things of ${names['film']} are lined up by hand`,
    `Two small squares cut beside each film line them up at once; here they cost ${area('cost', 'cm²')} of ${names['film']}.`,
  ],
};
