import { FEW_BODIES } from '../../stack/registration/marks.ts';
import type { Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { finding, nameOf, withLowest } from './stack-finding.ts';

/** Layers that are lined up by hand though much of them has nothing below to line up with. */
export const judgeStackUnsupported: Judge = (context) =>
  context.stack.layers
    .filter(({ marked, unsupported, bodies }) => !marked && unsupported > FEW_BODIES && bodies > FEW_BODIES)
    .map(({ layer, unsupported, marksMm2, meets }) =>
      finding('stack-unsupported', layer, {
        // A layer of which nothing meets the others need not fit to them.
        case: meets ? 'loose' : 'apart',
        severity: meets ? 'look' : 'fine',
        numbers: { count: unsupported, ...(marksMm2 === null ? {} : { cost: marksMm2 / 100 }) },
        names: { film: nameOf(context, layer) },
        fixes: meets ? [{ do: 'mark-layers', films: withLowest(context, layer), how: 'marks' }] : [],
      }),
    );

/** In words. */
export const sayStackUnsupported: Sayings = {
  'stack-unsupported/loose': ({ names, whole, area }) => [
    `${whole('count')} things of ${names['film']} have nothing below to line up with`,
    `Each finds its place by eye alone. Marks beside it and the lowest film would line all of them up at once; here they cost ${area('cost', 'cm²')} of ${names['film']}.`,
  ],
  'stack-unsupported/apart': ({ names }) => [
    `${names['film']} lies by itself, beside the other films`,
    'Nothing below holds it or lines it up; the template does.',
  ],
};
