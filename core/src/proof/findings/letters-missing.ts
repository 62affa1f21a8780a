import { itemName } from '../finding-names.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { sentence } from '../told.ts';

/** Letters that the chosen font cannot draw: they would be missing on the cup. */
export const judgeLettersMissing: Judge = (context) =>
  context.wrap.placed.flatMap((placed): Finding[] =>
    placed.missingLetters.length === 0
      ? []
      : [
          {
            id: `letters-missing:${placed.item.id}`,
            code: 'letters-missing',
            case: 'missing',
            severity: 'fails',
            place: null,
            itemIds: [placed.item.id],
            numbers: { count: placed.missingLetters.length },
            names: { item: itemName(context, placed.item.id), letters: placed.missingLetters.join(' ') },
            fixes: [],
          },
        ],
  );

/** In words. */
export const sayLettersMissing: Sayings = {
  'letters-missing/missing': ({ names }) => [
    `The font lacks ${names['letters']}`,
    `${sentence(names['item'])} would be cut without it. Choose another font or other letters.`,
  ],
};
