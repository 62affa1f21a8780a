import { filmOfLayer, layerOf } from '../../layers/layer.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { count } from '../told.ts';
import { finding, nameOf } from './stack-finding.ts';

/** Film that lies both under and over another: it stands twice, or, where each film is to stand once, cannot be built. */
export const judgeStackLevels: Judge = (context) => {
  const { drawn, layers, pieces } = context.wrap;
  const once = drawn.order.twice.map(([film, other]): Finding =>
    finding('stack-levels', [film, other].sort().join('+'), {
      case: 'once',
      severity: 'fails',
      numbers: {},
      names: { film: nameOf(context, film), other: nameOf(context, other) },
      fixes: [{ do: 'stand-twice' }],
    }),
  );
  const films = [...new Set(layers.map(filmOfLayer))];
  const twice = films.flatMap((film): Finding[] => {
    const own = layers.filter((layer) => filmOfLayer(layer) === film);
    if (own.length < 2) return [];
    const upper = pieces.filter((piece) => !piece.spare && piece.film === film && layerOf(piece) !== own[0]);
    return [
      finding('stack-levels', film, {
        case: 'twice',
        severity: 'fine',
        itemIds: [...new Set(upper.flatMap(({ itemIds }) => itemIds))],
        numbers: { times: own.length, count: upper.length },
        names: { film: context.job.films.find(({ id }) => id === film)?.name ?? film },
        fixes: [],
      }),
    ];
  });
  return [...once, ...twice];
};

/** In words. */
export const sayStackLevels: Sayings = {
  'stack-levels/once': ({ names }) => [
    `${names['film']} would have to lie both under and over ${names['other']}`,
    'One layer of each cannot be both. Let the film stand twice, use another film for what lies on top, or move it so that the two do not meet.',
  ],
  'stack-levels/twice': ({ finding, names, whole }) => [
    `${names['film']} stands ${whole('times') === '2' ? 'twice' : `${whole('times')} times`} in the stack`,
    `It lies under another film and over it: ${count(finding.numbers['count'], 'piece is', 'pieces are')} cut, weeded and taped as an upper layer of its own.`,
  ],
};
