import type { Blank, ReadingName } from '../../model/blank.ts';
import type { SpheroidData } from '../../solid/spheroid.ts';
import { balloonHalfLength } from '../../surface/spheroid.ts';
import type { ReadingDoubt } from '../doubts.ts';
import { doubtGirth, doubtSpreads } from '../doubts.ts';
import { summariseReading } from '../reading.ts';
import type { BlankSizeResult, GirthSum } from '../size.ts';
import { faceOf, fails, girthSum, missing } from '../sizing.ts';

/** Girth, or for want of it what was read across; a balloon's second reading runs over its skin from neck to crown. */
export function sizeSpheroid(blank: Blank, balloon: boolean): BlankSizeResult<SpheroidData> {
  const across = summariseReading(blank.readings.across)?.mean;
  const sum: GirthSum | null =
    girthSum(blank, blank.readings.girth) ??
    (!balloon && across !== undefined
      ? { read: across, takenOffForTape: 0, takenOffForWall: 0, fromFitCheck: 0, surface: Math.PI * across }
      : null);
  if (!sum) return missing('girth');
  const radius = sum.surface / (2 * Math.PI);
  const over = summariseReading(blank.readings.overCrown)?.mean;
  if (balloon && over === undefined) return missing('overCrown');
  const halfLength = balloon ? balloonHalfLength(radius, over!) : radius;
  if (halfLength === null) return fails({ code: 'balloon-too-short', overMm: over!, leastMm: 2 * radius });
  return {
    ok: true,
    size: {
      ...faceOf(blank.kind, sum, Math.PI * radius),
      data: { radius, halfLength },
    },
  };
}

/** What looks wrong among the readings of a ball or balloon: each by itself, and those of a ball against each other. */
export function doubtSpheroid(blank: Blank, balloon: boolean, names: readonly ReadingName[]): ReadingDoubt[] {
  const doubts = doubtSpreads(blank, names);
  const mean = (name: ReadingName): number | null => summariseReading(blank.readings[name])?.mean ?? null;
  const girth = mean('girth');
  if (girth === null) return doubts;
  const across = balloon ? null : mean('across');
  const doubt = doubtGirth('girth', girth, across === null ? null : across * Math.PI, null);
  if (doubt) doubts.push(doubt);
  const expected = girth / Math.PI;
  if (across !== null && Math.abs(across - expected) > 1.5)
    doubts.push({
      code: 'across-and-girth-disagree',
      reading: 'across',
      severity: 'look',
      value: across,
      expected,
      instead: null,
    });
  return doubts;
}
