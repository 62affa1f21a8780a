import { zonesOfBlank } from '../../measure/zones.ts';
import type { Piece } from '../../pieces/pieces.ts';
import { boxesTouch, boxOfCoordinates } from '../../plane/box.ts';
import { subtractRings } from '../../polygon/boolean.ts';
import type { Polygon } from '../../polygon/polygon.ts';
import { reverseRing, ringsOf } from '../../polygon/polygon.ts';
import { thinPlaces } from '../../polygon/thin.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { about, placedMask } from './placed-mask.ts';

/** Openings narrower than the limit count from this many squares of it on: every point of a star runs out to nothing. */
const LEAST_SQUARES = 1;
/** mm. The last digit that is shown. */
const SHOWN_MM = 0.1;

/** One opening of a mask, on the flat and on the side, without the islands in it. */
interface Opening {
  readonly piece: Piece;
  readonly flat: readonly Polygon[];
  /** mm from the rim edge to its top. */
  readonly top: number;
}

/** Openings of the mask among some pieces: its counters, without film that stays in them. */
function openingsOf(pieces: readonly Piece[], maskId: string): Opening[] {
  return pieces
    .filter((piece) => !piece.spare && piece.itemIds.includes(maskId))
    .flatMap((piece) => {
      const islands = pieces.filter((other) => other !== piece && other.part === piece.part && !other.spare);
      return piece.flat.holes.map((hole, i): Opening => {
        const box = boxOfCoordinates(hole);
        const inside = islands.filter((island) => boxesTouch(island.flatBox, box)).flatMap(({ flat }) => ringsOf(flat));
        const outer = reverseRing(hole);
        const flat = inside.length === 0 ? [{ outer, holes: [] }] : subtractRings([outer], inside);
        return { piece, flat, top: -boxOfCoordinates(piece.unrolled.holes[i] ?? piece.unrolled.outer).maxY };
      });
    });
}

/** What a mask opens: too narrow for what has to work in it, or where lips touch. */
export const judgeMaskOpening: Judge = (context) => {
  const mask = placedMask(context);
  if (!mask || context.job.process === 'decal') return [];
  const { wrap, limits, job } = context;
  const openings = openingsOf(wrap.pieces, mask.item.id);
  const names = { ...about(context, mask).names, process: job.process };
  const found: Finding[] = [];
  const least = limits.thinOpening;
  const thin = openings.flatMap(({ piece, flat }) => {
    const place = flat.flatMap((one) => thinPlaces(one, least, LEAST_SQUARES)).sort((a, b) => a.width - b.width)[0];
    return place ? [{ piece, width: place.width }] : [];
  });
  const worst = thin.sort((a, b) => a.width - b.width)[0];
  if (worst)
    found.push({
      ...about(context, mask),
      id: `mask-opening:thin:${mask.item.id}`,
      code: 'mask-opening',
      case: 'thin',
      severity: 'look',
      itemIds: mask.item.acts.cutAway.length > 0 ? mask.item.acts.cutAway : [mask.item.id],
      numbers: { width: worst.width, least, count: thin.length },
      names,
      fixes: [],
    });
  const zone = zonesOfBlank(job.blank, wrap.size).rim;
  const top = Math.min(...openings.map((one) => one.top));
  if (wrap.template.closed && top < zone - SHOWN_MM / 2) {
    const [only, ...others] = mask.item.acts.cutAway;
    found.push({
      ...about(context, mask),
      id: `mask-opening:rim:${mask.item.id}`,
      code: 'mask-opening',
      case: 'rim',
      severity: 'look',
      itemIds: mask.item.acts.cutAway,
      numbers: { room: top, need: zone - top, clearance: job.blank.rimClearanceMm },
      names,
      fixes: only !== undefined && others.length === 0 ? [{ do: 'move-item', itemId: only, downMm: zone - top }] : [],
    });
  }
  return found;
};

/** In words. */
export const sayMaskOpening: Sayings = {
  'mask-opening/thin': ({ names, mm, whole }) => [
    `The mask opens only ${mm('width')}`,
    `${{ strip: 'Gel', etch: 'Cream', blast: 'Grit', paint: 'A brush' }[names['process'] ?? ''] ?? 'What works there'} hardly gets into less than ${mm('least')}${whole('count') === '1' ? '' : `; ${whole('count')} openings have such a place`}. Make the design bolder or larger.`,
  ],
  'mask-opening/rim': ({ names, mm }) => [
    `The mask opens ${mm('room')} from the rim edge`,
    `${{ paint: 'Paint is not made for lips', etch: 'Etched glass is rough to the lip', blast: 'Blasted glass is rough to the lip', strip: 'A stripped edge is sharp to the lip' }[names['process'] ?? ''] ?? 'Lips touch there'}: keep ${mm('clearance')} from the drinking edge, and move it down by ${mm('need')}.`,
  ],
};
