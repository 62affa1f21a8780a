import type { Finding, Judge } from './finding.ts';
import { itemName } from './finding.ts';

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
