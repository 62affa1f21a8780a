import type { Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { about, placedMask, USUAL_BRIDGE_MM } from './placed-mask.ts';

/** Bridges that are too thin to hold. */
export const judgeBridges: Judge = (context) => {
  const mask = placedMask(context);
  const mm = mask?.item.acts.bridgeMm ?? 0;
  if (!mask || mm === 0 || mm >= context.limits.thinBridge) return [];
  return [
    {
      ...about(context, mask),
      id: `bridge-thin:${mask.item.id}`,
      code: 'bridge-thin',
      case: 'thin',
      severity: 'look',
      numbers: { width: mm, least: context.limits.thinBridge },
      fixes: [{ do: 'bridge-islands', itemId: mask.item.id, mm: Math.max(USUAL_BRIDGE_MM, context.limits.thinBridge) }],
    },
  ];
};

/** In words. */
export const sayBridgeThin: Sayings = {
  'bridge-thin/thin': ({ mm }) => [
    `Bridges of ${mm('width')} tear`,
    `From ${mm('least')} they hold while the mask is lifted from its backing.`,
  ],
};
