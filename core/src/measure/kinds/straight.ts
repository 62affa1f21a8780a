import { coneSolid } from '../../solid/cone.ts';
import { bandOf, doubtCone, reportCone, sizeCone } from './cone.ts';
import type { KindOfBlank } from './kind.ts';

const [asked, welcome] = [['girthRim', 'side'], ['acrossRim']] as const;

/** A mug or can-shaped glass: one girth, and the side. */
export const straight: KindOfBlank = {
  label: 'Straight',
  like: 'mug, tumbler, can-shaped glass',
  icon: 'M6 4V20H18V4M6 4A6 1.6 0 0 0 18 4A6 1.6 0 0 0 6 4',
  reads: 'Two readings',
  round: true,
  usual: { surface: 'glazed ceramic', colour: '#F2F0EA' },
  typical: coneSolid({ girthRim: 260, girthBase: 260, side: 95 }),
  asked,
  instead: { side: 'upright' },
  oneGirth: true,
  welcome,
  size: (blank) => sizeCone(blank, true),
  solid: (size) => coneSolid(bandOf(size)),
  told: (size, mm) => [`${mm(size.rim.surface)} round`, `${mm(size.side)} high`],
  errors: (blank, size) => reportCone(blank, size, true),
  doubts: (blank) => doubtCone(blank, true, [...asked, ...welcome]),
};
