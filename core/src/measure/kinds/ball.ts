import { reportFace } from './face.ts';
import type { KindOfBlank } from './kind.ts';
import { doubtSpheroid, sizeSpheroid } from './spheroid.ts';

const [asked, welcome] = [['girth'], ['across']] as const;

/** An ornament: its girth, or for want of it what was read across. */
export const ball: KindOfBlank = {
  label: 'Ball',
  like: 'ornament',
  icon: 'M12 5A8 8 0 1 0 12.01 5M10 5V2.5H14V5',
  reads: 'One reading',
  round: false,
  usual: { surface: 'glass', colour: '#DCEBEC' },
  typical: { form: 'ball', radius: 40, halfLength: 40, topper: 'cap' },
  asked,
  welcome,
  size: (blank) => sizeSpheroid(blank, false),
  errors: (blank) => reportFace(blank, asked),
  doubts: (blank) => doubtSpheroid(blank, false, [...asked, ...welcome]),
};
