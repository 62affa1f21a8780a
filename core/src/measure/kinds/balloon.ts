import type { Solid } from '../../solid/solid.ts';
import type { SpheroidData } from '../../solid/spheroid.ts';
import { spheroidSolid } from '../../solid/spheroid.ts';
import { balloonAtHandOver } from '../balloon.ts';
import type { BlankSize } from '../size.ts';
import { reportFace } from './face.ts';
import type { KindOfBlank } from './kind.ts';
import { doubtSpheroid, sizeSpheroid } from './spheroid.ts';

const solid = (data: SpheroidData): Solid =>
  spheroidSolid({
    ...data,
    topper: 'neck',
    // Gores from pole to pole would lie over its neck.
    inGores: false,
    shrinkOf: ({ balloon: plan }) => balloonAtHandOver(1, plan).shrink,
  });
const asked = ['girth', 'overCrown'] as const;

/** A balloon, blown up: its girth, and over its skin from neck to crown. */
export const balloon: KindOfBlank = {
  label: 'Balloon',
  like: 'blown up',
  icon: 'M12 2.5C5 2.5 5 13 12 18C19 13 19 2.5 12 2.5M11 20L12 18L13 20Z',
  reads: 'Two readings',
  round: false,
  usual: { surface: 'latex', colour: '#E0623A' },
  typical: solid({ radius: 40, halfLength: 50 }),
  asked,
  blownUp: true,
  welcome: [],
  size: (blank) => sizeSpheroid(blank, true),
  solid: ({ data }: BlankSize<SpheroidData>) => solid(data),
  told: ({ rim, data }: BlankSize<SpheroidData>, mm) => [`${mm(rim.surface)} round`, `${mm(2 * data.halfLength)} long`],
  facts: ({ data }: BlankSize<SpheroidData>, mm) => [
    ['Across', mm(2 * data.radius)],
    ['From neck to crown, straight', mm(2 * data.halfLength)],
  ],
  errors: (blank) => reportFace(blank, asked),
  doubts: (blank) => doubtSpheroid(blank, true, asked),
};
