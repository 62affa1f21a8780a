import { EPSILON } from '../../numeric/tolerances.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { count, sentence } from '../told.ts';
import { nameOf } from './stack-finding.ts';

/** Shares of a thing that lies on film below within which it lies neither on it nor beside it, and mm² of it at least. */
const [ACROSS_FROM, ACROSS_TO, ACROSS_MM2] = [0.03, 0.97, 2];

/** Things that lie across the edge of film below: half on it and half beside it, with a step under them. */
export const judgeStackOverlap: Judge = (context) => {
  const { job, wrap } = context;
  if (job.stack.build !== 'full') return [];
  const { films, overlaps, order } = wrap.drawn;
  const rank = new Map(wrap.layers.map((film, i) => [film, i]));
  const onFilm = new Map<string, { thing: number; film: string; mm2: number }>();
  for (const { lower, upper, areaMm2 } of overlaps.pairs) {
    const [a, b] = [films[lower]!.layer, films[upper]!.layer];
    if (a === b || order.twice.some((pair) => pair.includes(a) && pair.includes(b))) continue;
    const [thing, film] = rank.get(b)! > rank.get(a)! ? [upper, a] : [lower, b];
    const key = `${thing} ${film}`;
    onFilm.set(key, { thing, film, mm2: (onFilm.get(key)?.mm2 ?? 0) + areaMm2 });
  }
  const across = new Map<string, { itemId: string; film: string; count: number; share: number }>();
  for (const { thing, film, mm2 } of onFilm.values()) {
    const share = mm2 / Math.max(EPSILON, overlaps.areas[thing]!);
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

/** In words. */
export const sayStackOverlap: Sayings = {
  'stack-overlap/across': ({ finding, names }) => [
    `${sentence(names['item'])} lies across an edge of ${names['film']}`,
    `${count(finding.numbers['count'], 'piece lies', 'pieces lie')} half on that film and half beside it: over the step the film tents and dirt gets in. Move it wholly on or off, or knock the films out of each other.`,
  ],
};
