import type { Piece } from '../wrap/pieces.ts';
import type { Finding, Judge } from './finding.ts';
import { itemName } from './finding.ts';

/** Share of the pattern's own spacing under which two pieces across the seam look like a pair. */
const PAIR_SHARE = 0.5;
/** Fewest pieces of a film that make a pattern with a spacing of its own. */
const FEWEST = 6;

/**
 * Pieces of one film that lie much closer across a seam than the pattern otherwise has them: seen only once the ends
 * have met. Gaps are those of the boxes round the pieces, on the side.
 */
export const judgeSeamNeighbours: Judge = (context) => {
  const { wrap } = context;
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
    const nearest = pieces.map((_, a) =>
      pieces.reduce((least, _other, b) => (a === b ? least : Math.min(least, gap(a, b, 0))), Infinity),
    );
    const typical = [...nearest].sort((a, b) => a - b)[Math.floor(nearest.length / 2)]!;
    let closest: { a: Piece; b: Piece; mm: number } | null = null;
    pieces.forEach((a, i) => {
      pieces.forEach((b, k) => {
        const mm = gap(i, k, turn);
        if (mm < PAIR_SHARE * typical && mm < (closest?.mm ?? Infinity)) closest = { a, b, mm };
      });
    });
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
                byDeg: (((1.02 * PAIR_SHARE * typical - mm) / radius) * 180) / Math.PI,
              },
            ]
          : item?.repeat.mode === 'scattered'
            ? [{ do: 'arrange-anew', itemId: item.id }]
            : [],
    });
  }
  return findings;
};
