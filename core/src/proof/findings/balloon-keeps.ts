import { balloonAtHandOver } from '../../measure/balloon.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';

/** A balloon that will not last until the hand-over, or will shrink under its film by more than film takes. */
export const judgeBalloonKeeps: Judge = ({ job, wrap }) => {
  const { blank } = job;
  if (blank.kind !== 'balloon') return [];
  const then = balloonAtHandOver(wrap.size.rim.surface, blank.balloon);
  const { squeeze } = wrap.template.flattening.give;
  const base = { code: 'balloon-keeps', place: null, itemIds: [], fixes: [] } as const;
  const findings: Finding[] = [];
  if (then.lateHours > 0)
    findings.push({
      ...base,
      id: 'balloon-keeps:late',
      case: 'late',
      severity: 'look',
      numbers: { hours: blank.balloon.hours, keeps: then.keepsHours },
      names: { gas: blank.balloon.gas },
    });
  if (then.shrink > squeeze)
    findings.push({
      ...base,
      id: 'balloon-keeps:shrinks',
      case: 'shrinks',
      severity: 'look',
      numbers: { shrink: then.shrink * 100, squeeze: squeeze * 100, girth: then.girth },
      names: { gas: blank.balloon.gas },
    });
  return findings;
};

/** In words. */
export const sayBalloonKeeps: Sayings = {
  'balloon-keeps/late': ({ names, whole }) => [
    `${names['gas'] === 'helium' ? 'Helium' : 'An air-filled balloon'} keeps about ${whole('keeps')} hours`,
    `The hand-over is ${whole('hours')} hours after laying. ${names['gas'] === 'helium' ? 'Fill and lay it later, or use air on a stick.' : 'Fill and lay it later.'}`,
  ],
  'balloon-keeps/shrinks': ({ mm, percent }) => [
    `It shrinks ${percent('shrink')} before the hand-over`,
    `Film takes ${percent('squeeze')} of being pushed together, then it lifts in fine wrinkles. At the hand-over the balloon is about ${mm('girth')} round. Lay it later, or use smaller pieces.`,
  ],
};
