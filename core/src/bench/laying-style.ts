import { coverage, WRAP_SHARE } from './facts.ts';
import type { Habits } from '../model/habits.ts';
import type { Job } from '../model/job.ts';
import type { Wrap } from '../pieces/wrap.ts';
import { trueOver100 } from '../surface/cone.ts';

/** Sine of the half-angle past which a wrap is laid in two halves (4°). */
export const TWO_HALVES_TAPER = Math.sin((4 * Math.PI) / 180);
/** mm. Largest seam step that passes unnoticed. */
export const SEAM_STEP_MM = 1;

/** How the film is laid. */
export type LayingStyle = 'centre out' | 'one end round' | 'two halves' | 'middle first';

/** How the film is laid, and why so: by My way, overruled by the taper, a handle, and by how far round it goes. */
export function layingStyle(
  job: Job,
  wrap: Wrap,
  laying: Habits['laying'] = 'as it suits',
): { readonly style: LayingStyle; readonly because: string } {
  const round = Math.round(100 * coverage(wrap.pieces));
  if (!wrap.template.closed) return { style: 'centre out', because: 'It lies on a face.' };
  if (coverage(wrap.pieces) < WRAP_SHARE)
    return { style: 'centre out', because: `Its film goes ${round} % of the way round: it is laid as a decal.` };
  const wrapped = `Its film goes ${round} % of the way round: it is laid as a wrap`;
  if (job.blank.handleWidthMm > 0) return { style: 'two halves', because: `${wrapped}, and a handle stands between its ends.` }; // prettier-ignore
  if (Math.abs(wrap.size.taper) > TWO_HALVES_TAPER) {
    const degrees = Math.round((180 / Math.PI) * Math.asin(Math.abs(wrap.size.taper)));
    return { style: 'two halves', because: `${wrapped}, and a taper of ${degrees}° would carry one end off the line.` };
  }
  const own = { 'as it suits': null, 'one end round': null, 'centre out': 'middle first', 'two halves': 'two halves' } as const; // prettier-ignore
  const style = own[laying];
  return style
    ? { style, because: `${wrapped}, and My way says how.` }
    : { style: 'one end round', because: `${wrapped}.` };
}

/**
 * How true the top edge must be held so that the ends step by at most a millimetre.
 *
 * @returns mm off the line per 100 mm of edge
 * @source `seamStep`, turned about the rim edge, over the ends that the wrap has: beside a handle they do not meet
 */
export function holdTrueOver100(wrap: Wrap): number {
  return trueOver100(wrap.template.cone, SEAM_STEP_MM, -wrap.template.region.left[0]);
}
