import type { Command } from '../model/command.ts';
import type { Finding, Judge, ProofContext } from './finding.ts';
import { itemName } from './finding.ts';

/** Share of a thing that is hidden from which that is told, and from which it is as good as gone. */
const [SOME, GONE] = [0.02, 0.98];
/** Shares of a thing that lies on film below within which it lies neither on it nor beside it, and mm² of it at least. */
const [ACROSS_FROM, ACROSS_TO, ACROSS_MM2] = [0.03, 0.97, 2];

const nameOf = ({ job }: ProofContext, film: string): string => job.films.find(({ id }) => id === film)?.name ?? film;

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
    if (below.film === above.film || isTwice(below.film, above.film)) continue;
    if (rank.get(above.film)! > rank.get(below.film)!) add(asDrawn, below.itemId, above.film, areaMm2);
    else add(against, above.itemId, below.film, areaMm2);
  }
  const found = (hidden: typeof against, itemId: string, how: 'order' | 'covered', least: number): Finding[] => {
    const by = [...(hidden.get(itemId) ?? [])].sort((a, b) => b[1] - a[1])[0];
    if (!by) return [];
    const share = Math.min(1, by[1] / Math.max(1e-9, whole.get(itemId)!));
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

/** Things that lie across the edge of film below: half on it and half beside it, with a step under them. */
export const judgeStackOverlap: Judge = (context) => {
  const { job, wrap } = context;
  if (job.stack.build !== 'full') return [];
  const { films, overlaps, order } = wrap.drawn;
  const rank = new Map(wrap.layers.map((film, i) => [film, i]));
  const onFilm = new Map<string, { thing: number; film: string; mm2: number }>();
  for (const { lower, upper, areaMm2 } of overlaps.pairs) {
    const [a, b] = [films[lower]!.film, films[upper]!.film];
    if (a === b || order.twice.some((pair) => pair.includes(a) && pair.includes(b))) continue;
    const [thing, film] = rank.get(b)! > rank.get(a)! ? [upper, a] : [lower, b];
    const key = `${thing} ${film}`;
    onFilm.set(key, { thing, film, mm2: (onFilm.get(key)?.mm2 ?? 0) + areaMm2 });
  }
  const across = new Map<string, { itemId: string; film: string; count: number; share: number }>();
  for (const { thing, film, mm2 } of onFilm.values()) {
    const share = mm2 / Math.max(1e-9, overlaps.areas[thing]!);
    if (share < ACROSS_FROM || share > ACROSS_TO || mm2 < ACROSS_MM2) continue;
    const { itemId } = films[thing]!;
    const key = `${itemId} ${film}`;
    const before = across.get(key);
    // Told by the one that lies most evenly on both.
    const worse = !before || Math.abs(share - 0.5) < Math.abs(before.share - 0.5);
    across.set(key, { itemId, film, count: (before?.count ?? 0) + 1, share: worse ? share : before.share });
  }
  return [...across.values()].map(({ itemId, film, count, share }): Finding => ({
    id: `stack-overlap:${itemId}:${film}`,
    code: 'stack-overlap',
    case: 'across',
    severity: 'look',
    place: null,
    itemIds: [itemId],
    numbers: { count, share: 100 * share },
    names: { item: itemName(context, itemId), film: nameOf(context, film) },
    fixes: [{ do: 'build-stack', build: 'inlay' }],
  }));
};
