import type { SilhouetteResult } from './silhouette.ts';

/** Why a photograph shows no outline, and how to take a better one. */
export function describePhotoProblem(code: Extract<SilhouetteResult, { ok: false }>['code']): string {
  switch (code) {
    case 'nothing-stands-out':
      return 'Nothing stands out from its background. Put the blank before a plain sheet of another colour and take it again.';
    case 'cut-off':
      return 'The blank touches the edge of the picture. Step back so that there is background all round it.';
    case 'too-small':
      return 'The blank is too small in the picture to be read. Come nearer, or send the picture in full size.';
    case 'sides-differ':
      return 'Its two sides are not alike, so that its middle cannot be found. Turn a handle or spout towards the camera or away from it, keep shadows and shine off its edges, and take it again.';
    case 'from-above':
      return 'The camera looked down on it, or its foot is round. Hold the camera level with the middle of the blank, further off, and take it again; a round foot is better read with a tape.';
  }
}
