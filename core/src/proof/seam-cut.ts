import type { Piece } from '../wrap/pieces.ts';
import type { PlacedItem } from '../wrap/place.ts';
import type { Finding, Judge, ProofContext } from './finding.ts';
import { itemName } from './finding.ts';

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
    const pieces = wrap.pieces.filter((p) => p.cutAt !== null && meets(p) && p.itemIds.includes(placed.item.id));
    if (pieces.length === 0) return [];
    const left = pieces.filter((p) => p.cutAt !== 'right').length;
    const right = pieces.filter((p) => p.cutAt !== 'left').length;
    const count = Math.max(left, right);
    const around = 2 * Math.PI * wrap.surface.radiusAt(placed.slant);
    const width = placed.box.maxX - placed.box.minX;
    const joined = placed.item.repeat.mode === 'joined';
    const tooLong = !joined && width * placed.copies.length > around;
    const pitch = around / placed.copies.length;
    const base = {
      id: `seam-cut:${placed.item.id}`,
      code: 'seam-cut' as const,
      place: {
        azimuths: [Math.PI - 0.1, Math.PI + 0.1] as const,
        slants: [Math.min(...pieces.map((p) => p.slants[0])), Math.max(...pieces.map((p) => p.slants[1]))] as const,
      },
      itemIds: [placed.item.id],
      numbers: { count, lap: job.seam.lapMm, copies: placed.copies.length, pitch, width, around },
      names: { item: itemName(context, placed.item.id) },
    };
    if (tooLong) {
      const factor = (around / placed.copies.length - 2) / width;
      return [
        { ...base, case: 'too-long', severity: 'fails', fixes: [{ do: 'scale-item', itemId: placed.item.id, factor }] },
      ];
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
      return low + turn >= seam + clear - 1e-9 && high + turn <= seam + 2 * Math.PI - clear + 1e-9;
    });
    if (free && (best === null || Math.abs(turn) < Math.abs(best))) best = turn;
  }
  return best === null ? null : (best * 180) / Math.PI;
}

const wrapTurn = (angle: number): number => angle - 2 * Math.PI * Math.round(angle / (2 * Math.PI));

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
