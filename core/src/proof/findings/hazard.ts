import { KINDS_OF_BLANK } from '../../measure/kinds/kinds.ts';
import type { Finding, Judge, ProofContext } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { LAST_WORD } from '../told.ts';

/** Combinations of materials and steps that can hurt someone: calm words, and who has the last one. */
const HAZARDS: readonly { readonly case: string; readonly when: (context: ProofContext) => boolean }[] = [
  { case: 'stripper', when: ({ job }) => job.process === 'strip' },
  { case: 'etching', when: ({ job }) => job.process === 'etch' },
  { case: 'blasting', when: ({ job }) => job.process === 'blast' },
  { case: 'painting', when: ({ job }) => job.process === 'paint' },
  { case: 'glass-worked', when: ({ job }) => job.blank.surface === 'glass' && ['etch', 'blast'].includes(job.process) },
  { case: 'film-inside', when: ({ job }) => job.process === 'decal' && job.blank.inside !== null },
  { case: 'heat-latex', when: ({ job }) => job.warm && job.blank.surface === 'latex' },
  { case: 'alcohol-heat', when: ({ job, materials }) => job.warm && materials.surfaces[job.blank.surface].alcohol },
  { case: 'latex', when: ({ job }) => job.blank.surface === 'latex' },
  {
    case: 'helium',
    when: ({ job }) => KINDS_OF_BLANK[job.blank.kind].blownUp === true && job.blank.balloon.gas === 'helium',
  },
  {
    case: 'foil-microwave',
    when: ({ job, wrap }) =>
      job.process === 'decal' &&
      ['glass', 'glazed ceramic', 'plastic'].includes(job.blank.surface) &&
      wrap.pieces.some((p) => job.films.some((f) => f.id === p.film && f.finish === 'metallised')),
  },
];

/** Cautions for this job. They do not keep it from being cut. */
export const judgeHazards: Judge = (context) =>
  context.wrap.pieces.length === 0
    ? []
    : HAZARDS.filter((hazard) => hazard.when(context)).map((hazard): Finding => ({
        id: `hazard:${hazard.case}`,
        code: 'hazard',
        case: hazard.case,
        // Fire near rubber is the one that is simply not done.
        severity: hazard.case === 'heat-latex' ? 'fails' : 'fine',
        place: null,
        itemIds: [],
        numbers: {},
        names: {},
        fixes: hazard.case === 'heat-latex' ? [{ do: 'lay-cold' }] : [],
      }));

/** In words. */
export const sayHazard: Sayings = {
  'hazard/stripper': () => [
    'Stripper burns skin and eyes',
    `Gloves, goggles, fresh air, children and animals away; waste as your local rules say. ${LAST_WORD}`,
  ],
  'hazard/etching': () => [
    'Etching cream burns skin and eyes',
    `Gloves, goggles, fresh air, water at hand, children away; rinse it off as its label says. ${LAST_WORD}`,
  ],
  'hazard/blasting': () => [
    'Blasting dust harms lungs and eyes',
    `A closed cabinet, or respirator and goggles; grit without silica; with someone trained at hand. ${LAST_WORD}`,
  ],
  'hazard/painting': () => [
    'Mind the paint’s vapour',
    `Spray outdoors or with moving air, away from flames; brush paints by their label. ${LAST_WORD}`,
  ],
  'hazard/glass-worked': () => [
    'Use whole, plain glass',
    `Not cracked or chipped glass, and none that has to hold pressure: worked glass is weaker. ${LAST_WORD}`,
  ],
  'hazard/heat-latex': () => [
    'Heat bursts a balloon',
    'Lay the film cold. Pieces of a burst balloon choke small children.',
  ],
  'hazard/alcohol-heat': () => [
    'Let the alcohol dry before you warm the film',
    `It burns. Three minutes in moving air, then the heat tool; metal gets hot fast. ${LAST_WORD}`,
  ],
  'hazard/latex': () => [
    'Latex and small children',
    `Some people are allergic to latex, and burst pieces choke: pick them up. ${LAST_WORD}`,
  ],
  'hazard/film-inside': () => [
    'Film inside touches what is in it',
    `Vinyl is not made for contact with food or drink: only for things that hold neither. ${LAST_WORD}`,
  ],
  'hazard/helium': () => [
    'Never breathe helium',
    `It displaces air at once. Tie the bottle upright and open a window. ${LAST_WORD}`,
  ],
  'hazard/foil-microwave': () => [
    'Not for the microwave',
    'Metallised film sparks in it. Say so to whom you hand it: write it on the care card.',
  ],
};
