import { filmOfLayer, laidAs } from '../../layers/layer.ts';
import { BOARDS } from '../../load/boards.ts';
import type { LoadPlan } from '../../load/load.ts';
import type { Wrap } from '../../pieces/wrap.ts';
import type { Box } from '../../plane/box.ts';
import { boxHeight, boxWidth, EMPTY_BOX, joinBoxes } from '../../plane/box.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';

/** Films whose pieces do not fit the board either way round, each told by the largest of its parts. */
export const judgeLoadFit: Judge = ({ job, plan, wrap, stack }) =>
  largestOfEach(plan.tooLarge).map((large): Finding => {
    const fits = BOARDS.find(
      (b) =>
        Math.max(b.widthMm, b.lengthMm) - 2 * b.marginMm >= large.longMm &&
        Math.min(b.widthMm, b.lengthMm) - 2 * b.marginMm >= large.shortMm,
    );
    // A panel of a round wrap is about that much shorter, and no taller.
    const { board } = plan;
    const usable = [board.widthMm, board.lengthMm].map((v) => v - 2 * board.marginMm).sort((a, b) => a - b);
    const whole = wrap.template.closed && wrap.frames.length === 1 && job.seam.panels === 1;
    const panels = whole
      ? [2, 3, 4].find((n) => {
          const sides = [large.longMm / n, large.shortMm].sort((a, b) => a - b);
          return sides[0]! <= usable[0]! && sides[1]! <= usable[1]!;
        })
      : undefined;
    const marked = stack.layers.filter(({ marked }) => marked).map(({ layer }) => layer);
    const byHand = marked.some((layer) => filmOfLayer(layer) === large.film) && fitsBare(wrap, large.film, usable);
    return {
      id: `load-fit:${large.film}`,
      code: 'load-fit',
      case: byHand ? 'marks' : fits ? 'longer-board' : 'none',
      severity: 'fails',
      place: null,
      itemIds: job.items.filter((item) => item.film === large.film).map((item) => item.id),
      numbers: {
        long: large.longMm,
        short: large.shortMm,
        boardWidth: plan.board.widthMm,
        boardLength: plan.board.lengthMm,
        margin: plan.board.marginMm,
      },
      names: { film: job.films.find((f) => f.id === large.film)?.name ?? large.film, board: fits?.label ?? '' },
      fixes: [
        ...(byHand ? [{ do: 'mark-layers', films: marked, how: 'by hand' } as const] : []),
        ...(fits ? [{ do: 'choose-board', boardId: fits.id } as const] : []),
        ...(panels ? [{ do: 'split-panels', panels } as const] : []),
      ],
    };
  });

/** The largest of the parts that fit nowhere, film by film. */
function largestOfEach(tooLarge: LoadPlan['tooLarge']): LoadPlan['tooLarge'] {
  const worst = new Map<string, LoadPlan['tooLarge'][number]>();
  for (const one of tooLarge) if (one.longMm > (worst.get(one.film)?.longMm ?? 0)) worst.set(one.film, one);
  return [...worst.values()];
}

/** Whether a film would fit some board without what is cut beside its pieces; `usable` is short side, then long. */
function fitsBare({ pieces }: Wrap, film: string, usable: readonly number[]): boolean {
  const parts = new Map<string, Box>();
  for (const piece of pieces)
    if (piece.film === film && !piece.spare)
      parts.set(laidAs(piece), joinBoxes(parts.get(laidAs(piece)) ?? EMPTY_BOX, piece.flatBox));
  return [...parts.values()].every((box) => {
    const [short, long] = [boxWidth(box), boxHeight(box)].sort((a, b) => a - b);
    return short! <= usable[0]! && long! <= usable[1]!;
  });
}

/** In words. */
export const sayLoadFit: Sayings = {
  'load-fit/marks': ({ names, mm, size }) => [
    `${names['film']} does not fit the board with its marks`,
    `With marks it takes ${size('long', 'short')}; the board is ${size('boardWidth', 'boardLength')} and keeps ${mm('margin')} free all round. Without them it fits.`,
  ],
  'load-fit/longer-board': ({ names, mm, size }) => [
    `${names['film']} does not fit the board`,
    `Its pieces take ${size('long', 'short')}; the board is ${size('boardWidth', 'boardLength')} and keeps ${mm('margin')} free all round.`,
  ],
  'load-fit/none': ({ names, mm, size }) => [
    `${names['film']} fits no board`,
    `Its pieces take ${size('long', 'short')} in one; yours is ${size('boardWidth', 'boardLength')} and keeps ${mm('margin')} free all round. Use fewer pieces of this film, or a smaller design.`,
  ],
};
