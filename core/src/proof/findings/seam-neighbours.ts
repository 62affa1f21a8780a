import type { Piece } from '../../pieces/pieces.ts';
import { touchingBunches } from '../../plane/box.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Judge, ProofContext } from '../finding.ts';
import type { Sayings } from '../told.ts';

/** Fewest pieces of a film that make a pattern with a spacing of its own. */
const FEWEST = 6;

/** mm. Pieces that come so close lie on each other, or make one thing between them. */
const TOGETHER_MM = 0.05;

interface Body {
  readonly pieces: readonly Piece[];
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly foot: number;
}

/**
 * Things that lie much closer across a seam than the pattern otherwise has them: seen only once the ends have met. A thing
 * is all that lies on each other, of whatever films; the pattern is that of all films together, and of each by itself. Gaps
 * are those of the boxes round them, on the side.
 */
export const judgeSeamNeighbours: Judge = (context) => {
  const { wrap } = context;
  if (!wrap.template.closed || wrap.seams.length === 0) return [];
  const pieces = wrap.pieces.filter((p) => !p.spare && !p.byItself && p.cutAt === null);
  const films = [...new Set(pieces.map(({ film }) => film))];
  const all = films.length > 1 ? closestAcross(context, bodiesOf(pieces, wrap.meanRadius)) : null;
  const findings = all ? [findingOf(context, all, null)] : [];
  const told = new Set(all ? [...all.a.pieces, ...all.b.pieces] : []);
  for (const film of films) {
    const own = pieces.filter((p) => p.film === film).map((p) => boxBody([p], wrap.meanRadius));
    const pair = closestAcross(context, own);
    // The same two are not told twice.
    if (pair && !(told.has(pair.a.pieces[0]!) && told.has(pair.b.pieces[0]!)))
      findings.push(findingOf(context, pair, film));
  }
  return findings;
};

interface Pair {
  readonly a: Body;
  readonly b: Body;
  readonly mm: number;
  readonly typical: number;
}

const boxBody = (pieces: readonly Piece[], radius: number): Body => ({
  pieces,
  left: Math.min(...pieces.map((p) => p.azimuths[0])) * radius,
  right: Math.max(...pieces.map((p) => p.azimuths[1])) * radius,
  top: Math.min(...pieces.map((p) => p.slants[0])),
  foot: Math.max(...pieces.map((p) => p.slants[1])),
});

/** What lies on each other, as one; by the boxes round the pieces. */
function bodiesOf(pieces: readonly Piece[], radius: number): Body[] {
  const boxes = pieces.map((piece) => boxBody([piece], radius));
  const bunches = touchingBunches(
    boxes.map(({ left, right, top, foot }) => ({
      minX: left,
      maxX: right + TOGETHER_MM,
      minY: top,
      maxY: foot + TOGETHER_MM,
    })),
  );
  return bunches.map((bunch) =>
    boxBody(
      bunch.map((i) => pieces[i]!),
      radius,
    ),
  );
}

/** The two that come closest across the seam, when that is much closer than things otherwise lie. */
function closestAcross({ wrap, limits }: ProofContext, bodies: readonly Body[]): Pair | null {
  if (bodies.length < FEWEST) return null;
  const turn = 2 * Math.PI * wrap.meanRadius;
  const gap = (a: number, b: number, shift: number): number => {
    const [p, q] = [bodies[a]!, bodies[b]!];
    const across = Math.max(q.left + shift - p.right, p.left - q.right - shift, 0);
    return Math.hypot(across, Math.max(q.top - p.foot, p.top - q.foot, 0));
  };
  const nearest = nearestGaps(bodies, gap);
  const typical = [...nearest].sort((a, b) => a - b)[Math.floor(nearest.length / 2)]!;
  const limit = (limits.neighbourShare / 100) * typical;
  const byLeft = bodies.map((_, i) => i).sort((i, k) => bodies[i]!.left - bodies[k]!.left);
  let closest: Pair | null = null;
  for (let i = 0; i < bodies.length; i++)
    for (const k of byLeft) {
      // Past this one they only lie further round.
      if (bodies[k]!.left + turn - bodies[i]!.right >= limit) break;
      const mm = gap(i, k, turn);
      if (mm < limit && mm < (closest?.mm ?? Infinity)) closest = { a: bodies[i]!, b: bodies[k]!, mm, typical };
    }
  return closest;
}

function findingOf(context: ProofContext, { a, b, mm, typical }: Pair, film: string | null): Finding {
  const { job, wrap, limits } = context;
  const itemIds = [...new Set([...a.pieces, ...b.pieces].flatMap((p) => p.itemIds))];
  const items = new Set(b.pieces.flatMap((p) => p.itemIds));
  const item = items.size === 1 ? job.items.find(({ id }) => items.has(id)) : undefined;
  const [top, foot] = [Math.min(a.top, b.top), Math.max(a.foot, b.foot)];
  const radius = wrap.surface.radiusAt((b.top + b.foot) / 2);
  const turnDeg = ((((1.02 * limits.neighbourShare) / 100) * typical - mm) / radius) * (180 / Math.PI);
  return {
    id: `seam-neighbours:${film ?? 'all'}`,
    code: 'seam-neighbours',
    case: film === null ? 'things' : 'pair',
    severity: 'look',
    place: {
      azimuths: [a.left / wrap.meanRadius, b.right / wrap.meanRadius + 2 * Math.PI],
      slants: [top, foot],
    },
    itemIds,
    numbers: { gap: mm, typical },
    names: {
      film: job.films.find((f) => f.id === film)?.name ?? film ?? '',
      item: itemName(context, [...items][0] ?? ''),
    },
    fixes:
      item?.repeat.mode === 'once'
        ? [{ do: 'turn-item', itemId: item.id, byDeg: turnDeg }]
        : item?.repeat.mode === 'scattered'
          ? [{ do: 'arrange-anew', itemId: item.id }]
          : [],
  };
}

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

/** In words. */
export const saySeamNeighbours: Sayings = {
  'seam-neighbours': ({ finding, names, mm }) => [
    finding.case === 'things'
      ? 'Two things nearly touch across the seam'
      : `Two pieces in ${names['film']} nearly touch across the seam`,
    `They come within ${mm('gap')} once the ends meet; elsewhere the pattern keeps ${mm('typical')}.${finding.fixes.length === 0 ? ' Only your eye can judge whether it shows.' : ''}`,
  ],
};
