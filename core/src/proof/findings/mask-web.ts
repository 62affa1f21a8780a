import { itemName } from '../finding-names.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { sentence } from '../told.ts';
import { thinnestOfItems, webLimit } from './thin-film.ts';

/** Webs of a mask so narrow that gel, grit or paint meets underneath them: nothing of them shows afterwards. */
export const judgeMaskWeb: Judge = (context) => {
  const limit = webLimit(context.job.process, context.limits);
  if (limit === 0) return [];
  return thinnestOfItems(context, () => limit).map(({ itemId, piece, width, count, thicken }): Finding => ({
    id: `mask-web:${itemId}`,
    code: 'mask-web',
    case: 'narrow',
    severity: 'look',
    place: { azimuths: piece.azimuths, slants: piece.slants },
    itemIds: [itemId],
    numbers: { width, least: limit, creep: limit / 2, count },
    names: { item: itemName(context, itemId), process: context.job.process },
    fixes: [thicken],
  }));
};

/** In words. */
export const sayMaskWeb: Sayings = {
  'mask-web/narrow': ({ names, mm }) => [
    `${sentence(names['item'])} has webs of ${mm('width')}`,
    `${{ strip: 'Stripper', etch: 'Etching cream', blast: 'Grit', paint: 'Paint' }[names['process'] ?? ''] ?? 'It'} works in about ${mm('creep')} from either side: a web under ${mm('least')} leaves nothing between.`,
  ],
};
