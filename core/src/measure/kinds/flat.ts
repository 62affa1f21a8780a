import type { Blank } from '../../model/blank.ts';
import type { PlaneData } from '../../solid/face.ts';
import { planeSolid } from '../../solid/face.ts';
import { summariseReading } from '../reading.ts';
import type { BlankSize, BlankSizeResult } from '../size.ts';
import { faceOf, missing, plainSum } from '../sizing.ts';
import { doubtFace, reportFace } from './face.ts';
import type { KindOfBlank } from './kind.ts';

function sizeFlat(blank: Blank): BlankSizeResult<PlaneData> {
  const width = summariseReading(blank.readings.width)?.mean;
  if (width === undefined) return missing('width');
  const height = summariseReading(blank.readings.height)?.mean;
  if (height === undefined) return missing('height');
  return { ok: true, size: { ...faceOf(blank.kind, plainSum(width), height), data: { width, height } } };
}

const asked = ['width', 'height'] as const;

/** The side of a box, a tag: what film may cover of it. */
export const flat: KindOfBlank = {
  label: 'Flat side',
  like: 'box, tag',
  icon: 'M4 6H20V18H4Z',
  reads: 'Two readings',
  round: false,
  usual: { surface: 'painted', colour: '#E4D9C4' },
  typical: planeSolid({ width: 120, height: 80 }),
  asked,
  welcome: [],
  size: sizeFlat,
  solid: ({ data }: BlankSize<PlaneData>) => planeSolid(data),
  told: ({ data: { width, height } }: BlankSize<PlaneData>, mm) => [`${mm(width)} wide`, `${mm(height)} high`],
  errors: (blank) => reportFace(blank, asked),
  doubts: (blank) => doubtFace(blank, asked, asked),
};
