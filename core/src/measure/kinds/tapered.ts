import { coneSolid } from '../../solid/cone.ts';
import { bandOf, doubtCone, reportCone, sizeCone } from './cone.ts';
import type { KindOfBlank } from './kind.ts';

const [asked, welcome] = [
  ['girthRim', 'girthBase', 'side'],
  ['upright', 'acrossRim'],
] as const;

/** A cup or tumbler that is wider at one end: a girth at either, and the side. */
export const tapered: KindOfBlank = {
  label: 'Tapered',
  like: 'cup or tumbler, either end wider',
  icon: 'M4.5 4L8 20H16L19.5 4M4.5 4A7.5 1.8 0 0 0 19.5 4A7.5 1.8 0 0 0 4.5 4',
  reads: 'Three readings',
  round: true,
  usual: { surface: 'bare steel', colour: '#C6CBCE' },
  typical: coneSolid({ girthRim: 260, girthBase: 210, side: 130 }),
  asked,
  instead: { side: 'upright' },
  welcome,
  size: (blank) => sizeCone(blank, false),
  solid: (size) => coneSolid(bandOf(size)),
  told: ({ rim, base, side }, mm, bare) => [`${bare(rim.surface)} and ${mm(base.surface)} round`, `${mm(side)} down`],
  errors: (blank, size) => reportCone(blank, size, false),
  doubts: (blank) => doubtCone(blank, false, [...asked, ...welcome]),
};
