import { shareRound } from '../../pieces/round.ts';
import { APART_MM } from '../../pieces/tape-sheets.ts';
import type { Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';

/** Film nearly all the way round on a blank whose template has not been checked on paper. */
export const judgeFitUnchecked: Judge = ({ job, wrap, limits }) => {
  if (!wrap.template.closed || wrap.size.fit === 'applied') return [];
  // Masks are aligned at the rim and come off again, but they too have to close.
  const apart = APART_MM / wrap.meanRadius;
  const share =
    100 *
    shareRound(
      wrap.pieces.filter((p) => !p.spare && !p.byItself),
      apart,
    );
  if (share < limits.fitShare || wrap.pieces.length === 0) return [];
  return [
    {
      id: 'fit-unchecked',
      code: 'fit-unchecked',
      case: wrap.size.fit === 'stale' ? 'stale' : 'never',
      severity: 'look',
      place: null,
      itemIds: [],
      numbers: { share, from: limits.fitShare },
      names: { blank: job.blank.name },
      fixes: [],
      goTo: 'flat',
    },
  ];
};

/** In words. */
export const sayFitUnchecked: Sayings = {
  'fit-unchecked': ({ finding, whole }) => [
    finding.case === 'never' ? 'Its fit was not tried on paper' : 'It was measured anew since its fit was tried',
    `Film goes ${whole('share')} % of the way round. Print the fit paper, wrap it and type in what you see: five minutes, before film is cut.`,
  ],
};
