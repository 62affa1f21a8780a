import { reportFace } from './face.ts';
import type { KindOfBlank } from './kind.ts';
import { doubtSpheroid, sizeSpheroid } from './spheroid.ts';

const asked = ['girth', 'overCrown'] as const;

/** A balloon, blown up: its girth, and over its skin from neck to crown. */
export const balloon: KindOfBlank = {
  label: 'Balloon',
  like: 'blown up',
  icon: 'M12 2.5C5 2.5 5 13 12 18C19 13 19 2.5 12 2.5M11 20L12 18L13 20Z',
  reads: 'Two readings',
  round: false,
  usual: { surface: 'latex', colour: '#E0623A' },
  typical: { form: 'ball', radius: 40, halfLength: 50, topper: 'neck' },
  asked,
  welcome: [],
  size: (blank) => sizeSpheroid(blank, true),
  errors: (blank) => reportFace(blank, asked),
  doubts: (blank) => doubtSpheroid(blank, true, asked),
};
