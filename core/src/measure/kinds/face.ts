import type { Blank, ReadingName } from '../../model/blank.ts';
import type { ReadingDoubt } from '../doubts.ts';
import { clampTo, doubtSpreads, FACE_RANGE_MM } from '../doubts.ts';
import type { ErrorReport } from '../error-report.ts';
import { summariseReading } from '../reading.ts';

/** A face has no seam: what may miss is its edge, by half of what the reading across may. */
export function reportFace(blank: Blank, names: readonly ReadingName[]): ErrorReport {
  const sigmas = names.map((name) => summariseReading(blank.readings[name])?.sigma ?? 0);
  const most = Math.max(...sigmas);
  const weakest = names[sigmas.indexOf(most)]!;
  return { gapRim: most / 2, gapBase: most / 2, driftFront: most / 2, driftBack: 0, weakest, weakestStation: null };
}

/** What looks wrong among the readings of a face: takes that disagree, and lengths that no lid, tag or box has. */
export function doubtFace(
  blank: Blank,
  lengths: readonly ReadingName[],
  names: readonly ReadingName[],
): ReadingDoubt[] {
  const [least, most] = FACE_RANGE_MM;
  return [
    ...doubtSpreads(blank, names),
    ...lengths.flatMap((name): ReadingDoubt[] => {
      const value = summariseReading(blank.readings[name])?.mean;
      if (value === undefined || (value >= least && value <= most)) return [];
      return [
        {
          code: 'face-range',
          reading: name,
          severity: 'fails',
          value,
          expected: clampTo(value, FACE_RANGE_MM),
          instead: [25.4, 10].map((f) => value * f).find((v) => v >= 30 && v <= 300) ?? null,
        },
      ];
    }),
  ];
}
