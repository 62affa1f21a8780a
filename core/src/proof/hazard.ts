import { isWipedWithAlcohol } from '../material/surface-care.ts';
import type { Finding, Judge, ProofContext } from './finding.ts';

/** Combinations of materials and steps that can hurt someone: calm words, and who has the last one. */
const HAZARDS: readonly { readonly case: string; readonly when: (context: ProofContext) => boolean }[] = [
  { case: 'stripper', when: ({ job }) => job.process === 'strip' },
  { case: 'etching', when: ({ job }) => job.process === 'etch' },
  { case: 'blasting', when: ({ job }) => job.process === 'blast' },
  { case: 'painting', when: ({ job }) => job.process === 'paint' },
  { case: 'glass-worked', when: ({ job }) => job.blank.surface === 'glass' && ['etch', 'blast'].includes(job.process) },
  { case: 'film-inside', when: ({ job }) => job.process === 'decal' && job.blank.inside !== null },
  { case: 'heat-latex', when: ({ job }) => job.warm && job.blank.surface === 'latex' },
  { case: 'alcohol-heat', when: ({ job }) => job.warm && isWipedWithAlcohol(job.blank.surface) },
  { case: 'latex', when: ({ job }) => job.blank.surface === 'latex' },
  { case: 'helium', when: ({ job }) => job.blank.kind === 'balloon' && job.blank.balloon.gas === 'helium' },
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
