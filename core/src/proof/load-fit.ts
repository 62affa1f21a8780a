import { BOARDS } from '../sheet/board.ts';
import type { Finding, Judge } from './finding.ts';

/** Films whose pieces do not fit the board either way round. */
export const judgeLoadFit: Judge = ({ job, plan, wrap }) =>
  plan.tooLarge.map((large): Finding => {
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
    return {
      id: `load-fit:${large.film}`,
      code: 'load-fit',
      case: fits ? 'longer-board' : 'none',
      severity: 'fails',
      place: null,
      itemIds: job.items.filter((item) => item.film === large.film).map((item) => item.id),
      numbers: {
        long: large.longMm,
        short: large.shortMm,
        boardWidth: plan.board.widthMm,
        boardLength: plan.board.lengthMm,
      },
      names: { film: job.films.find((f) => f.id === large.film)?.name ?? large.film, board: fits?.label ?? '' },
      fixes: [
        ...(fits ? [{ do: 'choose-board', boardId: fits.id } as const] : []),
        ...(panels ? [{ do: 'split-panels', panels } as const] : []),
      ],
    };
  });
