import { isByItself } from '../../artwork/by-itself.ts';
import type { PlacedItem } from '../../layout/place.ts';
import { groupsOfCopy } from '../../layout/place.ts';
import { nearFront } from '../../numeric/angle.ts';
import { EPSILON } from '../../numeric/tolerances.ts';
import type { Piece } from '../../pieces/pieces.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Judge, ProofContext } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { count, sentence } from '../told.ts';

/** Pieces that the seam cuts, by the item they belong to; bands that close say that they do. */
export const judgeSeamCut: Judge = (context) => {
  const { job, wrap } = context;
  // Bands and gores are judged by what they cut themselves; beside a handle only panels meet.
  if (wrap.seams.length === 0 || wrap.template.flattening.parts > 1) return [];
  // What ends at a handle is judged there.
  const handle = job.blank.handleWidthMm > 0;
  const first = wrap.frames[0]!.part;
  const last = wrap.frames.at(-1)!.part;
  const meets = (p: Piece): boolean =>
    !handle || !((p.part === first && p.cutAt === 'left') || (p.part === last && p.cutAt === 'right'));
  return wrap.placed.flatMap((placed): Finding[] => {
    if (isByItself(placed.item)) return [];
    const pieces = wrap.pieces.filter((p) => p.cutAt !== null && meets(p) && p.itemIds.includes(placed.item.id));
    const joined = placed.item.repeat.mode === 'joined';
    const around = 2 * Math.PI * wrap.surface.radiusAt(placed.slant);
    const copies = placed.copies.length;
    const width = joined ? around / copies : broadest(placed) * wrap.surface.radiusAt(placed.slant);
    // A piece that goes over the seam lies over itself, whether the seam cuts it, is led round it, or a mask trims it.
    const over = joined || placed.filmOf !== null ? 0 : width * copies - around - job.seam.lapMm;
    const tooLong = over > SEEN_MM;
    if (pieces.length === 0 && !tooLong) return [];
    const left = pieces.filter((p) => p.cutAt !== 'right').length;
    const right = pieces.filter((p) => p.cutAt !== 'left').length;
    const count = Math.max(left, right);
    const pitch = around / copies;
    const base = {
      id: `seam-cut:${placed.item.id}`,
      code: 'seam-cut' as const,
      place: {
        azimuths: [Math.PI - 0.1, Math.PI + 0.1] as const,
        slants:
          pieces.length === 0
            ? (placed.slants ?? ([0, wrap.size.side] as const))
            : ([Math.min(...pieces.map((p) => p.slants[0])), Math.max(...pieces.map((p) => p.slants[1]))] as const),
      },
      itemIds: [placed.item.id],
      numbers: { count, lap: job.seam.lapMm, copies, pitch, width, around, over },
      names: { item: itemName(context, placed.item.id) },
    };
    if (tooLong) {
      // As long as the way round, and no shorter: a bare strip shows as much as a lap.
      const factor = (around + job.seam.lapMm) / (width * copies);
      const may = Math.max(LEAST_MISS_MM, 2 * Math.max(wrap.errors.gapRim, wrap.errors.gapBase));
      const exact = { do: 'scale-item', itemId: placed.item.id, factor, exact: true } as const;
      return over > may
        ? [{ ...base, case: 'too-long', severity: 'fails', fixes: [exact] }]
        : [{ ...base, case: 'a-little-long', severity: 'fine', fixes: [exact] }];
    }
    if (job.seam.lapMm > 0) return [{ ...base, case: 'lapped', severity: 'fine', fixes: [] }];
    const lap = { do: 'lap-seam', mm: 1 } as const;
    if (joined) return [{ ...base, case: 'closes', severity: 'look', fixes: [lap] }];
    const chosen = job.seam.atSeam.filter((choice) => choice.itemId === placed.item.id);
    const open = wrap.cuts.filter(
      (cut) => cut.itemId === placed.item.id && !chosen.some((choice) => choice.copy === cut.copy),
    );
    if (open.length === 0 && chosen.length > 0) return [{ ...base, case: 'split', severity: 'fine', fixes: [] }];
    if (job.seam.way === 'wandering') return [{ ...base, case: 'no-way', severity: 'look', fixes: [lap] }];
    const turn = wrap.seams.length === 1 && !handle ? turnToClear(context, placed) : null;
    const wander = { do: 'wander-seam' } as const;
    return [
      {
        ...base,
        case: 'cut',
        severity: 'look',
        fixes: [
          ...(turn === null ? [] : [{ do: 'turn-item', itemId: placed.item.id, byDeg: turn } as const]),
          wander,
          lap,
        ],
      },
    ];
  });
};

/** mm. More of a lap than this is seen in the numbers; and what the ends may miss by however well it was measured. */
const [SEEN_MM, LEAST_MISS_MM] = [0.05, 0.3];
/** Levels at which the length of a copy is taken. */
const LEVELS = 40;

/** rad. The most that a copy goes round at any one height: what is turned up the side may be longer than that. */
function broadest(placed: PlacedItem): number {
  const [top, foot] = placed.slants ?? [0, 0];
  let most = 0;
  placed.copies.forEach((_, copy) => {
    const low = new Float64Array(LEVELS).fill(Infinity);
    const high = new Float64Array(LEVELS).fill(-Infinity);
    for (const ring of groupsOfCopy(placed, copy).flat())
      for (let i = 0, n = ring.length; i < n; i += 2) {
        const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
        const level = (v: number): number => Math.min(LEVELS - 1, Math.max(0, Math.floor(((v - top) / Math.max(EPSILON, foot - top)) * LEVELS))); // prettier-ignore
        const [from, to] = [level(Math.min(ay, by)), level(Math.max(ay, by))];
        for (let k = from; k <= to; k++) {
          // Where the edge passes the middle of this level, kept to its ends.
          const y = top + ((k + 0.5) / LEVELS) * (foot - top);
          const t = Math.abs(by - ay) < EPSILON ? 0 : Math.min(1, Math.max(0, (y - ay) / (by - ay)));
          for (const x of Math.abs(by - ay) < EPSILON ? [ax, bx] : [ax + t * (bx - ax)]) {
            if (x < low[k]!) low[k] = x;
            if (x > high[k]!) high[k] = x;
          }
        }
      }
    for (let k = 0; k < LEVELS; k++) most = Math.max(most, high[k]! - low[k]!);
  });
  return most;
}

/** mm. Film moved off the seam ends up this far from it. */
const CLEAR_OF_SEAM_MM = 2;

/** Smallest turn in degrees that takes every copy off the seam; null when the copies leave no room for it. */
export function turnToClear({ wrap }: ProofContext, placed: PlacedItem): number | null {
  const spans = placed.groups.map((rings) => azimuthRange(rings));
  const clear = CLEAR_OF_SEAM_MM / wrap.surface.radiusAt(placed.slant);
  let best: number | null = null;
  // Every way of clearing the seam puts one side of some outline exactly at the clearance: only those turns are tried.
  const candidates = spans.flatMap(([low, high]) => [
    wrapTurn(Math.PI + clear - low),
    wrapTurn(Math.PI - clear - high),
  ]);
  for (const turn of candidates) {
    const free = spans.every(([low, high]) => {
      const k = Math.floor((low + turn - Math.PI) / (2 * Math.PI));
      const seam = Math.PI + 2 * Math.PI * k;
      return low + turn >= seam + clear - EPSILON && high + turn <= seam + 2 * Math.PI - clear + EPSILON;
    });
    if (free && (best === null || Math.abs(turn) < Math.abs(best))) best = turn;
  }
  return best === null ? null : (best * 180) / Math.PI;
}

const wrapTurn = (angle: number): number => nearFront(angle);

function azimuthRange(rings: readonly Float64Array[]): [number, number] {
  let low = Infinity;
  let high = -Infinity;
  for (const ring of rings)
    for (let i = 0; i < ring.length; i += 2) {
      low = Math.min(low, ring[i]!);
      high = Math.max(high, ring[i]!);
    }
  return [low, high];
}

/** In words. */
export const saySeamCut: Sayings = {
  'seam-cut/closes': ({ finding, names, mm, whole }) => [
    `${sentence(names['item'])} runs round and closes`,
    `${whole('copies')} times ${mm('pitch')}; the last meets the first. ${count(finding.numbers['count'], 'piece is', 'pieces are')} cut at the back: butt the ends, or let them lap.`,
  ],
  'seam-cut/lapped': ({ names, mm }) => [
    `${sentence(names['item'])} laps by ${mm('lap')} at the seam`,
    'It is cut at the back, and the lap covers the cut.',
  ],
  'seam-cut/cut': ({ finding, names }) => [
    `The seam cuts ${names['item']}`,
    `${count(finding.numbers['count'], 'piece is', 'pieces are')} cut in two at the back, where the ends of the wrap meet.`,
  ],
  'seam-cut/too-long': ({ finding, names, mm, whole }) => [
    `${sentence(names['item'])} is ${mm('over')} longer than the way round`,
    `${finding.numbers['copies'] === 1 ? `It needs ${mm('width')}` : `It needs ${mm('width')} for each of ${whole('copies')}`}, the way round is ${mm('around')}. It would lie over itself.`,
  ],
  'seam-cut/a-little-long': ({ names, mm }) => [
    `${sentence(names['item'])} laps by ${mm('over')} at the seam`,
    'That is within what your readings may miss by: it may as well meet.',
  ],
  'seam-cut/no-way': ({ finding, names }) => [
    `No seam gets past ${names['item']}`,
    `Everywhere round, film is in the way; the one that cuts least goes through ${count(finding.numbers['count'], 'piece', 'pieces')}. Deal with each in the seam window, or make room.`,
  ],
  'seam-cut/split': ({ names }) => [
    `${sentence(names['item'])} is split at the seam as you chose`,
    'Each part laps a little, or is left off and laid as a spare.',
  ],
};
