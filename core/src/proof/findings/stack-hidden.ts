import type { Command } from '../../model/command.ts';
import { EPSILON } from '../../numeric/tolerances.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { sentence } from '../told.ts';
import { nameOf } from './stack-finding.ts';

/** Share of a thing that is hidden from which that is told, and from which it is as good as gone. */
const [SOME, GONE] = [0.02, 0.98];

/** Things that lie under film that they were drawn over, or under film that covers all of them. */
export const judgeStackHidden: Judge = (context) => {
  const { layers, drawn } = context.wrap;
  const { films, overlaps, order } = drawn;
  const rank = new Map(layers.map((film, i) => [film, i]));
  const isTwice = (a: string, b: string): boolean => order.twice.some((pair) => pair.includes(a) && pair.includes(b));
  const whole = new Map<string, number>();
  films.forEach(({ itemId }, i) => whole.set(itemId, (whole.get(itemId) ?? 0) + overlaps.areas[i]!));
  /** mm² of each item that another film hides, against the picture or as it is drawn. */
  const against = new Map<string, Map<string, number>>();
  const asDrawn = new Map<string, Map<string, number>>();
  const add = (to: typeof against, itemId: string, film: string, mm2: number): void => {
    const own = to.get(itemId) ?? new Map<string, number>();
    own.set(film, (own.get(film) ?? 0) + mm2);
    to.set(itemId, own);
  };
  for (const { lower, upper, areaMm2 } of overlaps.pairs) {
    const [below, above] = [films[lower]!, films[upper]!];
    if (below.layer === above.layer || isTwice(below.layer, above.layer)) continue;
    if (rank.get(above.layer)! > rank.get(below.layer)!) add(asDrawn, below.itemId, above.layer, areaMm2);
    else add(against, above.itemId, below.layer, areaMm2);
  }
  const found = (hidden: typeof against, itemId: string, how: 'order' | 'covered', least: number): Finding[] => {
    const by = [...(hidden.get(itemId) ?? [])].sort((a, b) => b[1] - a[1])[0];
    if (!by) return [];
    const share = Math.min(1, by[1] / Math.max(EPSILON, whole.get(itemId)!));
    if (share < least) return [];
    const fix: Command = how === 'order' ? { do: 'order-films', films: [] } : { do: 'bring-up', itemId };
    const placed = context.wrap.placed.find((one) => one.item.id === itemId);
    return [
      {
        id: `stack-hidden:${how}:${itemId}`,
        code: 'stack-hidden',
        case: share >= GONE ? 'wholly' : 'partly',
        severity: how === 'order' && share > 0.5 ? 'fails' : 'look',
        place: placed?.slants
          ? {
              azimuths: [
                placed.azimuth + placed.box.minX / placed.radius,
                placed.azimuth + placed.box.maxX / placed.radius,
              ],
              slants: placed.slants,
            }
          : null,
        itemIds: [itemId],
        numbers: { share: 100 * share },
        names: { item: itemName(context, itemId), film: nameOf(context, by[0]), how },
        fixes: [fix],
      },
    ];
  };
  return [...whole.keys()].flatMap((itemId) => [
    ...found(against, itemId, 'order', SOME),
    ...found(asDrawn, itemId, 'covered', GONE),
  ]);
};

/** In words. */
export const sayStackHidden: Sayings = {
  'stack-hidden': ({ finding, names, whole }) => [
    finding.case === 'wholly'
      ? `${sentence(names['item'])} is hidden under ${names['film']}`
      : `${whole('share')} % of ${names['item']} is hidden under ${names['film']}`,
    names['how'] === 'order'
      ? 'It was drawn over that film, but the film stack lays it below.'
      : 'That film was drawn over it and covers it; it would be cut and never be seen. Move it, or take it out.',
  ],
};
