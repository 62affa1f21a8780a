import { refitMask } from '../../artwork/mask.ts';
import type { Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { about, placedMask } from './placed-mask.ts';

/** A mask that ends too near its design: gel, grit or paint gets past its edge. */
export const judgeMaskMargin: Judge = (context) => {
  const mask = placedMask(context);
  if (!mask || mask.item.type !== 'motif') return [];
  const { wrap } = context;
  const side = { length: wrap.size.side, radiusAt: (slant: number) => wrap.surface.radiusAt(slant) };
  const opened = wrap.placed
    .filter((p) => mask.item.acts.cutAway.includes(p.item.id))
    .map((p) => ({
      itemId: p.item.id,
      copies: p.copies,
      widthMm: p.box.maxX - p.box.minX,
      slants: [p.slant + p.box.minY, p.slant + p.box.maxY] as const,
    }));
  if (opened.length === 0 || !mask.slants) return [];
  const radius = side.radiusAt(mask.slant);
  const half = (mask.box.maxX - mask.box.minX) / 2;
  const beside =
    mask.item.repeat.mode === 'joined'
      ? Infinity
      : Math.min(
          ...opened.flatMap((p) =>
            p.copies.map((azimuth) => half - Math.abs(azimuth - mask.azimuth) * radius - p.widthMm / 2),
          ),
        );
  // A mask that ends with the band, or at the rim edge where it is aligned, has all the margin there is.
  const below =
    mask.slants[1] > side.length - 0.05 ? Infinity : mask.slants[1] - Math.max(...opened.map((p) => p.slants[1]));
  const above = mask.slants[0] < 0.05 ? Infinity : Math.min(...opened.map((p) => p.slants[0])) - mask.slants[0];
  const margin = Math.min(beside, below, above);
  if (margin >= context.limits.maskMargin - 0.05) return [];
  const { widthMm, heightMm, placement, repeat } = refitMask(mask.item, opened, side, context.limits.maskMargin);
  return [
    {
      ...about(context, mask),
      id: `mask-margin:${mask.item.id}`,
      code: 'mask-margin',
      case: margin < 0 ? 'open' : 'narrow',
      severity: margin < 0 ? 'fails' : 'look',
      numbers: { margin, least: context.limits.maskMargin },
      fixes: [{ do: 'refit-mask', itemId: mask.item.id, widthMm, heightMm: heightMm ?? 0, placement, repeat }],
    },
  ];
};

/** In words. */
export const sayMaskMargin: Sayings = {
  'mask-margin': ({ finding, mm }) => [
    finding.case === 'open' ? 'The design reaches past its mask' : `Only ${mm('margin')} of mask round the design`,
    `Gel, grit or paint gets past an edge; ${mm('least')} keeps the rest of the blank clean. Cover what lies beyond with tape as well.`,
  ],
};
