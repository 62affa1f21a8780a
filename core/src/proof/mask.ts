import { maskPlate, refitMask } from '../artwork/mask.ts';
import { boxOfCoordinates } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { PlacedItem } from '../layout/place.ts';
import { islandsOfMask } from '../layout/cut-outs.ts';
import type { Finding, Judge, Place, ProofContext } from './finding.ts';
import { itemName } from './finding.ts';

/** mm. What bridges are made at first. */
const USUAL_BRIDGE_MM = 1.5;

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

/** A mask that ends too near its design: gel, grit or paint gets past its edge. */
export const judgeMaskMargin: Judge = (context) => {
  const mask = placedMask(context);
  if (!mask || mask.item.type !== 'motif') return [];
  const { wrap } = context;
  const side = { length: wrap.size.side, girth: 2 * Math.PI * wrap.meanRadius };
  const opened = wrap.placed
    .filter((p) => mask.item.acts.cutAway.includes(p.item.id))
    .map((p) => ({
      itemId: p.item.id,
      copies: p.copies,
      widthMm: p.box.maxX - p.box.minX,
      slants: [p.slant + p.box.minY, p.slant + p.box.maxY] as const,
    }));
  if (opened.length === 0 || !mask.slants) return [];
  const radius = wrap.meanRadius;
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

function placedMask({ job, wrap }: ProofContext): PlacedItem | null {
  const plate = maskPlate(job.items);
  return wrap.placed.find((p) => p.item.id === plate?.id) ?? null;
}

/** Where a ring of the working plane lies on the side. */
function placeOf(ring: Ring, radius: number): Place {
  const { minX, maxX, minY, maxY } = boxOfCoordinates(ring);
  return { azimuths: [minX / radius, maxX / radius], slants: [-maxY, -minY] };
}

const about = (context: ProofContext, mask: PlacedItem): Pick<Finding, 'place' | 'itemIds' | 'names'> => ({
  place: null,
  itemIds: [mask.item.id],
  names: { item: itemName(context, mask.item.id) },
});
