import type { PhotoAxis } from './axis.ts';

/** What the picture is taken by. */
export interface SilhouetteOptions {
  /** The axis as the person marked it, px; null to find it. */
  readonly axis: PhotoAxis | null;
  /** How far off the camera stood, as often as the thing is high, or as its widest girth is long; left out when not known. */
  readonly far?: { readonly by: 'girth' | 'height'; readonly times: number } | null;
}
