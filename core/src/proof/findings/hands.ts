import type { ArtworkItem } from '../../model/item.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { sentence } from '../told.ts';

/** Words that read backwards, and pairs for either hand that come out alike. */
export const judgeHands: Judge = (context) => [...mirroredWords(context), ...alikePair(context)];

const mirroredWords: Judge = (context) =>
  context.wrap.placed.flatMap(({ item, slants }): Finding[] => {
    const backwards =
      item.mirrored || (item.repeat.alternate === true && item.repeat.mode !== 'joined' && comesTwice(item));
    if (item.type !== 'text' || !backwards || (!slants && !item.acts.shapesOnly)) return [];
    return [
      {
        id: `hands:mirrored:${item.id}`,
        code: 'hands',
        case: item.mirrored ? 'mirrored' : 'every-other',
        severity: 'look',
        place: null,
        itemIds: [item.id],
        numbers: {},
        names: { item: itemName(context, item.id) },
        fixes: [{ do: 'read-forwards', itemId: item.id }],
      },
    ];
  });

const comesTwice = ({ repeat, placement }: ArtworkItem): boolean =>
  repeat.mode === 'once' ? placement.facing === 'faces' : repeat.count > 1;

const BY_HAND = new Set(['drinker', 'room', 'faces']);

const alikePair: Judge = ({ job }) => {
  const { names, blank } = job;
  if (!names || names.itemId !== null || blank.handleWidthMm === 0 || names.rows.length < 2) return [];
  const hands = names.rows.map((row) => row.hand ?? job.hand);
  const base = { code: 'hands' as const, severity: 'look' as const, place: null, numbers: {}, names: {} };
  const oneHand = new Set(hands).size === 1 && names.rows.length === 2;
  if (oneHand) {
    const other = hands[0] === 'right' ? 'left' : 'right';
    const row = names.rows[1]!;
    return [
      {
        ...base,
        id: 'hands:pair',
        case: 'same-hand',
        itemIds: [],
        names: { hand: hands[0]! },
        fixes: [{ do: 'set-hand', rowId: row.id, hand: other, name: row.name }],
      },
    ];
  }
  if (new Set(hands).size < 2 || job.items.some((item) => BY_HAND.has(item.placement.facing))) return [];
  return [{ ...base, id: 'hands:pair', case: 'nothing-faces', itemIds: [], fixes: [] }];
};

/** In words. */
export const sayHands: Sayings = {
  'hands/mirrored': ({ names }) => [
    `${sentence(names['item'])} reads backwards`,
    'It is mirrored. That is right only where one looks at it through glass, from the other side.',
  ],
  'hands/every-other': ({ names }) => [
    `Every other ${names['item']} reads backwards`,
    'Its copies alternate mirrored. Motifs may; words do not.',
  ],
  'hands/same-hand': ({ names }) => [
    `Both of the pair are for the ${names['hand']} hand`,
    'A pair has one for either hand, so that its faces look the same way when both are lifted.',
  ],
  'hands/nothing-faces': () => [
    'Both of the pair come out alike',
    'Nothing on it faces the drinker or the room, so the hand makes no difference. Turn something to face one, or make it simply two.',
  ],
};
