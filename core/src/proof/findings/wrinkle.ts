import { gaussianOf } from '../../flat/curvature.ts';
import { seenOf, type SeenPiece } from '../../film/of-piece.ts';
import { filmGive } from '../../material/materials.ts';
import type { Looked, WayToLay } from '../../model/looked.ts';
import { asKept } from '../../pieces/item-slits.ts';
import { giveOfPiece, mostNeeded, neededOf } from '../../pieces/give.ts';
import type { PieceSlits } from '../../pieces/slits.ts';
import type { Piece } from '../../pieces/pieces.ts';
import { hasInnerCorner } from '../../polygon/inscribed.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Judge, ProofContext } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { sentence } from '../told.ts';

/** How much more a sharp inner corner asks than the body that is calculated with: half as much again on stars, less on crosses. */
const CORNER_MORE = 1.5;

/**
 * Pieces that ask more of the film than it gives where the side curves both ways; the worst of each item. Those that are
 * just within it but have sharp inner corners are named too: the forecast does not see a corner. Where a piece was laid by
 * computation, what that showed counts in place of the forecast.
 */
export const judgeWrinkle: Judge = (context) => {
  const gaussianAt = gaussianOf(context.job, context.wrap);
  if (!gaussianAt) return [];
  const worst = new Map<string, { piece: Piece; needed: number; asked: number; limit: number }>();
  const slit: Finding[] = [];
  const closer = new Map<string, SeenPiece>();
  for (const piece of context.wrap.pieces) {
    const look = seenOf(context.job, context.wrap, context.materials, context.limits.tentPresses, context.looked, piece)?.look; // prettier-ignore
    // What lies however it is laid, as was forecast, is not worth a word.
    if (look && liesAnyhow(context, look) && CORNER_MORE * shareNeeded(context, piece, gaussianAt) <= 1) continue;
    if (look) {
      const [id, before] = [piece.itemIds[0]!, closer.get(piece.itemIds[0]!)];
      if (!before || tallest(look) > tallest(before.look)) closer.set(id, { piece, look });
      continue;
    }
    if (piece.slits) {
      slit.push(slitFinding(context, piece, piece.slits));
      continue;
    }
    const limit = giveOfPiece(context.job, piece, context.materials);
    if (CORNER_MORE * mostNeeded(piece, gaussianAt) <= limit) continue;
    const needed = neededOf(piece, gaussianAt);
    if (CORNER_MORE * needed <= limit) continue;
    const asked = needed * (hasInnerCorner(piece.flat) ? CORNER_MORE : 1);
    const id = piece.itemIds[0]!;
    const before = worst.get(id);
    if (asked > limit && asked / limit > (before ? before.asked / before.limit : 0))
      worst.set(id, { piece, needed, asked, limit });
  }
  const broad = [...worst].map(([itemId, { piece, needed, asked, limit }]): Finding => {
    const joined = context.job.items.find((item) => item.id === itemId)?.repeat.mode === 'joined';
    const broad = needed > limit;
    return {
      id: `wrinkle:${itemId}`,
      code: 'wrinkle',
      case: broad ? 'broad' : 'corner',
      severity: broad && (100 * needed) / limit > context.limits.giveFails ? 'fails' : 'look',
      place: { azimuths: piece.azimuths, slants: piece.slants },
      itemIds: [itemId],
      numbers: {
        needed: needed * 100,
        limit: limit * 100,
        surface: 100 * context.materials.surfaces[context.job.blank.surface].give,
      },
      names: { item: itemName(context, itemId) },
      fixes: [
        // Need grows as the square of the size.
        ...(joined
          ? []
          : [{ do: 'scale-item', itemId, factor: Math.max(0.05, Math.sqrt(limit / asked) * 0.99) } as const]),
        ...(giveWarm(context, piece) >= asked ? [{ do: 'lay-warm' } as const] : []),
      ],
    };
  });
  const seen = [...closer].map(([itemId, one]) => closerFinding(context, itemId, one));
  return [...broad, ...slit, ...seen];
};

/** Share of the slits that has to find room between the openings. */
const ENOUGH = 0.6;

/** A mask whose edge is slit so that it follows the blank. */
const slitFinding = (context: ProofContext, piece: Piece, slits: PieceSlits): Finding => ({
  id: `wrinkle:slits:${piece.id}`,
  code: 'wrinkle',
  case: slits.needed === null ? 'slit by hand' : 'slit',
  severity: slits.needed !== null && slits.count >= ENOUGH * slits.wanted ? 'fine' : 'look',
  place: { azimuths: piece.azimuths, slants: piece.slants },
  itemIds: [...piece.itemIds],
  numbers: { count: slits.count, wanted: slits.wanted, short: slits.short, lap: slits.lap, ...(slits.needed === null ? {} : { needed: 100 * slits.needed }) }, // prettier-ignore
  names: { item: itemName(context, piece.itemIds[0]!) },
  fixes: [],
});

/** Whether it lies in every order that was tried, as it comes. */
const liesAnyhow = ({ limits }: ProofContext, { orders }: Looked): boolean =>
  orders.every(({ tallestMm, pulled }) => pulled === 0 && tallestMm <= limits.tentPresses);

/** What a piece asks for by the forecast, as a share of what its film gives. */
const shareNeeded = ({ job, materials }: ProofContext, piece: Piece, gaussianAt: (slant: number) => number): number =>
  neededOf(piece, gaussianAt) / giveOfPiece(job, piece, materials);

const tallest = ({ orders }: Looked): number => orders[0]!.tallestMm;

/** Times the height that presses flat from which a tent is sure to crease. */
const CREASES = 2;
/** Sizes are offered a little under what just lies. */
const UNDER = 0.99;

/** What laying an item's worst piece by computation showed. */
function closerFinding(context: ProofContext, itemId: string, { piece, look }: SeenPiece): Finding {
  const { limits, job, wrap } = context;
  const [best, last] = [look.orders[0]!, look.orders.at(-1)!];
  const item = job.items.find((one) => one.id === itemId);
  const lies = best.tallestMm <= limits.tentPresses;
  const kept = look.slits && item && asKept(look.slits, item, wrap.frames, piece);
  const scales = look.largest !== null && item?.repeat.mode !== 'joined';
  return {
    id: `wrinkle:${itemId}`,
    code: 'wrinkle',
    case: !lies
      ? 'tents'
      : best.pulled > 0
        ? 'lies pulled'
        : last.tallestMm > limits.tentPresses
          ? 'lies one way'
          : 'lies',
    severity: lies ? 'fine' : best.tallestMm > CREASES * limits.tentPresses ? 'fails' : 'look',
    place: { azimuths: piece.azimuths, slants: piece.slants },
    itemIds: [itemId],
    numbers: {
      tallest: best.tallestMm,
      otherwise: last.tallestMm,
      pulled: 100 * best.pulled,
      tents: best.tents,
      presses: limits.tentPresses,
      ...(look.slits ? { count: look.slits.count, depth: look.slits.depthMm } : {}),
    },
    names: { item: itemName(context, itemId), way: WAYS_SAID[best.way], wayId: best.way, other: WAYS_SAID[last.way] },
    fixes: lies
      ? []
      : [
          ...(kept ? [{ do: 'slit-item', itemId, ...kept, depthMm: look.slits!.depthMm } as const] : []),
          ...(scales ? [{ do: 'scale-item', itemId, factor: UNDER * look.largest! } as const] : []),
          ...(giveWarm(context, piece) > giveOfPiece(job, piece, context.materials) ? [{ do: 'lay-warm' } as const] : []), // prettier-ignore
        ],
  };
}

/** Ways to lay, in a sentence. */
export const WAYS_SAID: Readonly<Record<WayToLay, string>> = {
  'centre out': 'from its middle outwards',
  'one end': 'from one end',
  'middle line first': 'along its middle line first',
  'two halves': 'in two halves, from a line down its middle',
};

/** What its film would give laid warm, as a fraction; nothing where it is warm already, or must not be. */
function giveWarm({ job, materials }: ProofContext, { film }: Piece): number {
  if (job.warm || job.blank.surface === 'latex') return 0;
  const { stretch, squeeze } = filmGive(
    materials,
    job.films.find((f) => f.id === film)?.finish ?? 'gloss permanent',
    true,
  );
  return stretch + squeeze + materials.surfaces[job.blank.surface].give;
}

/** What the surface itself gives, where it does. */
const rubber = ({ numbers }: Finding): string =>
  (numbers['surface'] ?? 0) > 0 ? `, ${numbers['surface']} % of it by the rubber under it` : '';

/** In words. */
export const sayWrinkle: Sayings = {
  'wrinkle/slit': ({ finding, names, mm, whole }) => [
    `${sentence(names['item'])} is slit ${whole('count')} times at its edge`,
    `So its film follows a blank that curves both ways; each slit is ${mm('lap')} wide at the edge and closes as it is laid.${finding.severity === 'fine' ? '' : ` ${whole('wanted')} were wanted, and what it opens leaves no room for more: only your hands can judge whether it lies.`}`,
  ],
  'wrinkle/slit by hand': ({ names, mm, whole }) => [
    `${sentence(names['item'])} is slit ${whole('count')} times at its edge`,
    `Each slit is ${mm('lap')} wide at the edge and closes as it is laid. Whether it lies now only a closer look tells.`,
  ],
  'wrinkle/tents': ({ finding, names, mm, percent, whole }) => [
    `${sentence(names['item'])} tents where it lies`,
    `Laid by computation ${names['way']}${finding.numbers['pulled'] ? `, pulled by ${percent('pulled')} all the way` : ''}, it stands off in ${whole('tents') === '1' ? 'one place' : `${whole('tents')} places`}, by ${mm('tallest')} at the tallest; up to ${mm('presses')} goes down under a thumb. This took the place of the forecast.${finding.numbers['count'] ? ` ${whole('count')} slits, ${mm('depth')} deep, make it lie.` : ''}`,
  ],
  'wrinkle/lies pulled': ({ names, mm, percent }) => [
    `${sentence(names['item'])} lies flat if it is pulled as it is laid`,
    `Laid by computation ${names['way']}, pulled by ${percent('pulled')} all the way; ${names['other']} it would tent by ${mm('otherwise')}. This took the place of the forecast.`,
  ],
  'wrinkle/lies one way': ({ names, mm }) => [
    `${sentence(names['item'])} lies flat, laid ${names['way']}`,
    `Laid by computation; ${names['other']} it would tent by ${mm('otherwise')}. This took the place of the forecast.`,
  ],
  'wrinkle/lies': ({ names }) => [
    `${sentence(names['item'])} lies flat, whichever way it is laid`,
    'Laid by computation, which took the place of the forecast.',
  ],
  'wrinkle/broad': ({ finding, names, percent }) => [
    `${sentence(names['item'])} is too broad to lie flat here`,
    `Where it lies the blank curves both ways: its film has to give ${percent('needed')}, it takes ${percent('limit')} laid with care${rubber(finding)}. Sharp inner corners ask for more.`,
  ],
  'wrinkle/corner': ({ names, percent }) => [
    `${sentence(names['item'])} may lift at its inner corners`,
    `Its film has to give ${percent('needed')} of the ${percent('limit')} that it takes, but at a sharp inner corner up to half as much again. Round those corners, slit the film there, or make it smaller.`,
  ],
};
