import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';

/** Predicted gap or overlap at the seam, where film meets there at all. */
export const judgeSeamGap: Judge = ({ job, wrap, limits }) => {
  const meets = job.blank.handleWidthMm === 0 && wrap.pieces.some((piece) => piece.cutAt !== null);
  if (!meets) return [];
  const { gapRim, gapBase, weakest } = wrap.errors;
  const worst = Math.max(gapRim, gapBase);
  const covered = worst <= limits.seamGap || job.seam.lapMm >= 2 * worst;
  const finding: Finding = {
    id: 'seam-gap',
    code: 'seam-gap',
    case: worst <= limits.seamGap ? 'small' : covered ? 'lapped' : 'wide',
    severity: covered ? 'fine' : 'look',
    place: { azimuths: [Math.PI - 0.12, Math.PI + 0.12], slants: [0, wrap.size.side] },
    itemIds: [],
    numbers: { gapRim, gapBase, worst, lap: job.seam.lapMm },
    names: { reading: weakest, end: gapRim >= gapBase ? 'rim' : 'base' },
    // A lap of two sigma covers the gap in all but one wrap of forty.
    fixes: covered ? [] : [{ do: 'lap-seam', mm: Math.ceil(2 * worst * 2) / 2 }],
  };
  return [finding];
};

/** In words. */
export const saySeamGap: Sayings = {
  'seam-gap/small': ({ mm }) => [
    `Expect the seam within ±${mm('worst')}`,
    'Your readings are good enough for the ends to meet.',
  ],
  'seam-gap/lapped': ({ mm }) => [
    `The lap covers what the readings may miss`,
    `Expect the ends within ±${mm('worst')}; the lap is ${mm('lap')}.`,
  ],
  'seam-gap/wide': ({ names, mm, reading }) => [
    `Your seam may miss by ±${mm('worst')} at the ${names['end']}`,
    `Most of it comes from ${reading('one reading')}. Take that once more, or let the ends lap.`,
  ],
};
