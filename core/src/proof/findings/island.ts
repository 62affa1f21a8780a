import { islandsOfMask } from '../../layout/cut-outs.ts';
import type { Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { count } from '../told.ts';
import { about, placedMask, placeOf, USUAL_BRIDGE_MM } from './placed-mask.ts';

/** Islands of a mask that nothing holds when it is laid without tape. */
export const judgeIslands: Judge = (context) => {
  const mask = placedMask(context);
  if (!mask || mask.item.acts.bridgeMm > 0) return [];
  const { placed, meanRadius } = context.wrap;
  const islands = islandsOfMask(mask, placed, meanRadius).flat();
  if (islands.length === 0) return [];
  return [
    {
      ...about(context, mask),
      id: `island:${mask.item.id}`,
      code: 'island',
      case: 'loose',
      severity: 'look',
      place: placeOf(islands[0]!.outer, meanRadius),
      numbers: { count: islands.length },
      fixes: [{ do: 'bridge-islands', itemId: mask.item.id, mm: USUAL_BRIDGE_MM }],
    },
  ];
};

/** In words. */
export const sayIsland: Sayings = {
  'island/loose': ({ finding }) => [
    `${count(finding.numbers['count'], 'island lies', 'islands lie')} loose in the mask`,
    'Islands keep their places on transfer tape. Laid by hand they are lost: bridge them, and cut the bridges once the mask lies.',
  ],
};
