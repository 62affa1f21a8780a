import type { Finding, Judge } from './finding.ts';

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
