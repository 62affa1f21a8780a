import { BOARDS } from '../sheet/board.ts';
import type { Finding, Judge } from './finding.ts';

/** Films whose pieces do not fit the board either way round. */
export const judgeLoadFit: Judge = ({ job, plan }) =>
  plan.tooLarge.map((large): Finding => {
    const fits = BOARDS.find(
      (b) =>
        Math.max(b.widthMm, b.lengthMm) - 2 * b.marginMm >= large.longMm &&
        Math.min(b.widthMm, b.lengthMm) - 2 * b.marginMm >= large.shortMm,
    );
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
      fixes: fits ? [{ do: 'choose-board', boardId: fits.id }] : [],
    };
  });
