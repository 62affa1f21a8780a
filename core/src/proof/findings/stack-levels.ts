import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { nameOf } from './stack-finding.ts';

/** Film that has to lie both under and over another: one layer of each cannot be both. */
export const judgeStackLevels: Judge = (context) =>
  context.wrap.drawn.order.twice.map(([film, other]): Finding => ({
    id: `stack-levels:${[film, other].sort().join('+')}`,
    code: 'stack-levels',
    case: 'twice',
    severity: 'fails',
    place: null,
    itemIds: [],
    numbers: {},
    names: { film: nameOf(context, film), other: nameOf(context, other) },
    fixes: [],
  }));

/** In words. */
export const sayStackLevels: Sayings = {
  'stack-levels/twice': ({ names }) => [
    `${names['film']} would have to lie both under and over ${names['other']}`,
    'One layer of each cannot be both. Use another film for what lies on top, or move it so that the two do not meet.',
  ],
};
