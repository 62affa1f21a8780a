import type { Blank, BoxFace, ReadingName } from '../../model/blank.ts';
import type { PlaneData } from '../../solid/face.ts';
import { planeSolid } from '../../solid/face.ts';
import { summariseReading } from '../reading.ts';
import type { BlankSize, BlankSizeResult } from '../size.ts';
import { faceOf, missing, plainSum } from '../sizing.ts';
import { doubtFace, reportFace } from './face.ts';
import type { KindOfBlank } from './kind.ts';

/** Faces of a box as it stands closed before one, with the readings that they are as wide and as high as. */
export const BOX_FACES: Readonly<Record<BoxFace, { readonly label: string; readonly of: readonly [ReadingName, ReadingName] }>> = {
  lid: { label: 'Lid', of: ['width', 'depth'] },
  front: { label: 'Front', of: ['width', 'height'] },
  back: { label: 'Back', of: ['width', 'height'] },
  left: { label: 'Left side', of: ['depth', 'height'] },
  right: { label: 'Right side', of: ['depth', 'height'] },
  base: { label: 'Base', of: ['width', 'depth'] },
}; // prettier-ignore

/** The face of a box that film goes on. */
export const faceOfBox = ({ face }: Pick<Blank, 'face'>): BoxFace => face ?? 'lid';

/**
 * Another face of the same box, as a blank of its own.
 *
 * @returns its id is the box's with the face behind it, its name the box's
 */
export const otherFace = (box: Blank, face: BoxFace): Blank => ({
  ...box,
  id: `${box.id}:${face}`,
  name: `${box.name}, ${BOX_FACES[face].label.toLowerCase()}`,
  face,
});

/** Other faces brought up to what was read of their box; other blanks stay as they are. */
export const facesFollow = (box: Blank, others: readonly Blank[]): readonly Blank[] =>
  others.map((one) => (one.face && one.id === `${box.id}:${one.face}` ? otherFace(box, one.face) : one));

function sizeBox(blank: Blank): BlankSizeResult<PlaneData> {
  const mean = (name: ReadingName): number | undefined => summariseReading(blank.readings[name])?.mean;
  const [across, down] = BOX_FACES[faceOfBox(blank)].of;
  const [width, height] = [mean(across), mean(down)];
  if (width === undefined) return missing(across);
  if (height === undefined) return missing(down);
  return { ok: true, size: { ...faceOf(blank.kind, plainSum(width), height), data: { width, height } } };
}

const asked = ['width', 'depth', 'height'] as const;

/** A box with named faces, measured once for all of them. */
export const box: KindOfBlank = {
  label: 'Box',
  like: 'box with a lid: each face by its name',
  icon: 'M4 9L12 5L20 9V17L12 21L4 17ZM4 9L12 13L20 9M12 13V21',
  reads: 'Three readings',
  round: false,
  usual: { surface: 'painted', colour: '#E4D9C4' },
  typical: planeSolid({ width: 160, height: 100 }),
  asked,
  welcome: [],
  size: sizeBox,
  solid: ({ data }: BlankSize<PlaneData>) => planeSolid(data),
  told: ({ data: { width, height } }: BlankSize<PlaneData>, mm) => [`${mm(width)} wide`, `${mm(height)} high`],
  errors: (blank) => reportFace(blank, BOX_FACES[faceOfBox(blank)].of),
  doubts: (blank) => doubtFace(blank, asked, asked),
};
