import type { Solid } from '../../solid/solid.ts';
import type { SpheroidData } from '../../solid/spheroid.ts';
import { spheroidSolid } from '../../solid/spheroid.ts';
import type { BlankSize } from '../size.ts';
import { reportFace } from './face.ts';
import type { KindOfBlank } from './kind.ts';
import { doubtSpheroid, sizeSpheroid } from './spheroid.ts';

const solid = (data: SpheroidData): Solid =>
  spheroidSolid({ ...data, topper: 'cap', inGores: true, shrinkOf: () => 0 });
const [asked, welcome] = [['girth'], ['across']] as const;

/** An ornament: its girth, or for want of it what was read across. */
export const ball: KindOfBlank = {
  label: 'Ball',
  like: 'ornament',
  icon: 'M12 5A8 8 0 1 0 12.01 5M10 5V2.5H14V5',
  reads: 'One reading',
  round: false,
  usual: { surface: 'glass', colour: '#DCEBEC' },
  typical: solid({ radius: 40, halfLength: 40 }),
  asked,
  instead: { girth: 'across' },
  welcome,
  size: (blank) => sizeSpheroid(blank, false),
  solid: ({ data }: BlankSize<SpheroidData>) => solid(data),
  told: ({ rim }, mm) => [`${mm(rim.surface)} round`, 'ball'],
  facts: ({ data }: BlankSize<SpheroidData>, mm) => [['Across', mm(2 * data.radius)]],
  errors: (blank) => reportFace(blank, asked),
  doubts: (blank) => doubtSpheroid(blank, false, [...asked, ...welcome]),
};
