import type { Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';

/** Readings so unsure that an edge may stray from its line: the rim edge of a wrap, or the edge of a face. */
export const judgeReadingWeak: Judge = ({ wrap, limits }) => {
  const { driftFront, driftBack, weakest, weakestStation } = wrap.errors;
  const drift = Math.max(driftFront, driftBack);
  if (drift <= limits.edgeDrift || wrap.pieces.length === 0) return [];
  return [
    {
      id: 'reading-weak',
      code: 'reading-weak',
      case: wrap.template.closed ? (driftBack > driftFront ? 'back' : 'front') : 'face',
      severity: 'look',
      place: null,
      itemIds: [],
      numbers: { drift, allowed: limits.edgeDrift, ...(weakestStation === null ? {} : { station: weakestStation }) },
      names: { reading: weakest },
      fixes: [],
      goTo: 'measure',
    },
  ];
};

/** In words. */
export const sayReadingWeak: Sayings = {
  'reading-weak': ({ finding, mm, reading }) => [
    finding.case === 'face'
      ? `The edge may be off by ±${mm('drift')}`
      : `The rim edge may stray by ±${mm('drift')}${finding.case === 'back' ? ' at the back' : ''}`,
    `It follows from what your readings may be off by; ±${mm('allowed')} goes unnoticed. Take ${reading('the weakest reading')} once more, with a better tool.`,
  ],
};
