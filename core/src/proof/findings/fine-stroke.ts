import { itemName } from '../finding-names.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { sentence } from '../told.ts';
import { isCounted, thinnestOfItems } from './thin-film.ts';

/** Strokes that are finer than their film holds: they tear when it is weeded, or lift in the wash. The worst of each item. */
export const judgeFineStroke: Judge = (context) => {
  const { job, limits, materials } = context;
  const thinnest = thinnestOfItems(context, ({ finish }) => materials.films[finish].finestStrokeMm);
  return thinnest
    .filter(({ width }) => !isCounted(context, width))
    .map(({ itemId, piece, width, limit, count, thicken }): Finding => ({
      id: `fine-stroke:${itemId}`,
      code: 'fine-stroke',
      case: 'thin',
      severity: 100 * width < limits.strokeTears * limit ? 'fails' : 'look',
      place: { azimuths: piece.azimuths, slants: piece.slants },
      itemIds: [itemId],
      numbers: { width, finest: limit, count },
      names: {
        item: itemName(context, itemId),
        film: job.films.find((film) => film.id === piece.film)?.name ?? piece.film,
      },
      fixes: [thicken],
    }));
};

/** In words. */
export const sayFineStroke: Sayings = {
  'fine-stroke/thin': ({ names, mm }) => [
    `${sentence(names['item'])} has strokes of ${mm('width')}`,
    `${names['film']} holds from ${mm('finest')} on; finer, it tears when it is weeded and lifts in the wash.`,
  ],
};
