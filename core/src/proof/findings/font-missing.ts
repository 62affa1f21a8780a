import { FONT_CHOICES } from '../../artwork/font.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';

/** Words whose own font is not on this device: they would be cut in other letters than those that were chosen. */
export const judgeFontMissing: Judge = (context) =>
  context.wrap.placed.flatMap(({ item, fontMissing }): Finding[] =>
    !fontMissing
      ? []
      : [
          {
            id: `font-missing:${item.id}`,
            code: 'font-missing',
            case: 'missing',
            severity: 'fails',
            place: null,
            itemIds: [item.id],
            numbers: {},
            names: { item: itemName(context, item.id) },
            fixes: FONT_CHOICES.map(({ id }) => ({ do: 'set-font', itemId: item.id, font: id })),
          },
        ],
  );

/** In words. */
export const sayFontMissing: Sayings = {
  'font-missing/missing': ({ names }) => [
    `The letters of ${names['item']} are not here`,
    'They were set in a font of your own that this device does not have; others stand in. Bring the font file in again, or choose another font.',
  ],
};
