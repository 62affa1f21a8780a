import type { Piece } from '../wrap/pieces.ts';
import type { Finding, Judge } from './finding.ts';
import { itemName } from './finding.ts';

/** Fewest pieces of a film that make a pattern with a spacing of its own. */
const FEWEST = 6;

/**
 * Pieces of one film that lie much closer across a seam than the pattern otherwise has them: seen only once the ends
 * have met. Gaps are those of the boxes round the pieces, on the side.
 */
export const judgeSeamNeighbours: Judge = (context) => {
  const { wrap } = context;
  const share = context.limits.neighbourShare / 100;
  const turn = 2 * Math.PI * wrap.meanRadius;
  const findings: Finding[] = [];
  if (!wrap.template.closed || wrap.seams.length === 0) return findings;
  for (const film of new Set(wrap.pieces.map((p) => p.film))) {
    const pieces = wrap.pieces.filter((p) => p.film === film && !p.spare && p.cutAt === null);
    if (pieces.length < FEWEST) continue;
    const boxes = pieces.map((p) => ({
      left: p.azimuths[0] * wrap.meanRadius,
      right: p.azimuths[1] * wrap.meanRadius,
      top: p.slants[0],
      foot: p.slants[1],
    }));
    const gap = (a: number, b: number, shift: number): number => {
      const [p, q] = [boxes[a]!, boxes[b]!];
      const across = Math.max(q.left + shift - p.right, p.left - q.right - shift, 0);
      return Math.hypot(across, Math.max(q.top - p.foot, p.top - q.foot, 0));
    };
    const nearest = nearestGaps(boxes, gap);
    const typical = [...nearest].sort((a, b) => a - b)[Math.floor(nearest.length / 2)]!;
    const limit = share * typical;
    const byLeft = boxes.map((_, i) => i).sort((i, k) => boxes[i]!.left - boxes[k]!.left);
    let closest: { a: Piece; b: Piece; mm: number } | null = null;
    for (let i = 0; i < pieces.length; i++)
      for (const k of byLeft) {
        // Past this one they only lie further round.
        if (boxes[k]!.left + turn - boxes[i]!.right >= limit) break;
        const mm = gap(i, k, turn);
        if (mm < limit && mm < (closest?.mm ?? Infinity)) closest = { a: pieces[i]!, b: pieces[k]!, mm };
      }
    if (closest === null) continue;
    const { a, b, mm } = closest as { a: Piece; b: Piece; mm: number };
    const item = context.job.items.find(({ id }) => id === b.itemIds[0]);
    const radius = wrap.surface.radiusAt((b.slants[0] + b.slants[1]) / 2);
    findings.push({
      id: `seam-neighbours:${film}`,
      code: 'seam-neighbours',
      case: 'pair',
      severity: 'look',
      place: {
        azimuths: [a.azimuths[0], b.azimuths[1] + 2 * Math.PI],
        slants: [Math.min(a.slants[0], b.slants[0]), Math.max(a.slants[1], b.slants[1])],
      },
      itemIds: [...new Set([...a.itemIds, ...b.itemIds])],
      numbers: { gap: mm, typical },
      names: {
        film: context.job.films.find((f) => f.id === film)?.name ?? film,
        item: itemName(context, b.itemIds[0] ?? ''),
      },
      fixes:
        item && item.repeat.mode === 'once'
          ? [
              {
                do: 'turn-item',
                itemId: item.id,
                byDeg: (((1.02 * share * typical - mm) / radius) * 180) / Math.PI,
              },
            ]
          : item?.repeat.mode === 'scattered'
            ? [{ do: 'arrange-anew', itemId: item.id }]
            : [],
    });
  }
  return findings;
};

/** From each box to the nearest other one: looked for outwards from its own place in the order of their left sides. */
function nearestGaps(
  boxes: readonly { readonly left: number; readonly right: number }[],
  gap: (a: number, b: number, shift: number) => number,
): number[] {
  const order = boxes.map((_, i) => i).sort((i, k) => boxes[i]!.left - boxes[k]!.left);
  const widest = Math.max(...boxes.map(({ left, right }) => right - left));
  const nearest = new Array<number>(boxes.length).fill(Infinity);
  order.forEach((at, place) => {
    let least = Infinity;
    for (const way of [1, -1])
      for (let k = place + way; k >= 0 && k < order.length; k += way) {
        const other = order[k]!;
        const across = way > 0 ? boxes[other]!.left - boxes[at]!.right : boxes[at]!.left - boxes[other]!.left - widest;
        if (across >= least) break;
        least = Math.min(least, gap(at, other, 0));
      }
    nearest[at] = least;
  });
  return nearest;
}
