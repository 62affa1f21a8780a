import type { Blank } from '../../model/blank.ts';
import type { DiskData } from '../../solid/face.ts';
import { diskSolid } from '../../solid/face.ts';
import { summariseReading } from '../reading.ts';
import type { BlankSize, BlankSizeResult } from '../size.ts';
import { faceOf, fails, missing, plainSum } from '../sizing.ts';
import { doubtFace, reportFace } from './face.ts';
import type { KindOfBlank } from './kind.ts';

function sizeLid(blank: Blank): BlankSizeResult<DiskData> {
  const across = summariseReading(blank.readings.across)?.mean;
  if (across === undefined) return missing('across');
  const hole = summariseReading(blank.readings.hole)?.mean ?? 0;
  const holeIn = summariseReading(blank.readings.holeIn)?.mean;
  const holeUp = hole > 0 && holeIn !== undefined ? across / 2 - holeIn - hole / 2 : 0;
  if (hole > 0 && (hole >= across - 2 || Math.abs(holeUp) + hole / 2 > across / 2 - 1))
    return fails({ code: 'hole-too-wide', holeMm: hole, acrossMm: across });
  return { ok: true, size: { ...faceOf(blank.kind, plainSum(across), across), data: { across, hole, holeUp } } };
}

const [asked, welcome] = [['across'], ['hole', 'holeIn']] as const;

/** A lid or coaster, with a straw hole or none. */
export const lid: KindOfBlank = {
  label: 'Lid',
  like: 'lid or coaster, with a straw hole or none',
  icon: 'M12 4A8 8 0 1 0 12.01 4M12 6.5A1.8 1.8 0 1 0 12.01 6.5',
  reads: 'One reading, three with a hole',
  round: false,
  usual: { surface: 'plastic', colour: '#E4E2DA' },
  typical: diskSolid({ across: 90, hole: 9, holeUp: 24 }),
  asked,
  welcome,
  size: sizeLid,
  solid: ({ data }: BlankSize<DiskData>) => diskSolid(data),
  told: ({ data: { across, hole } }: BlankSize<DiskData>, mm) => [
    `${mm(across)} across`,
    hole > 0 ? `hole ${mm(hole)}` : 'no hole',
  ],
  errors: (blank) => reportFace(blank, asked),
  doubts: (blank) => doubtFace(blank, asked, [...asked, ...welcome]),
};
