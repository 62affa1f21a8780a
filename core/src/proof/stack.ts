import { FEW_BODIES } from '../stack/registration/marks.ts';
import type { Finding, FindingCode, Judge, ProofContext } from './finding.ts';

const finding = (
  code: FindingCode,
  subject: string,
  rest: Pick<Finding, 'case' | 'numbers' | 'fixes'> & Partial<Finding>,
): Finding => ({
  id: subject ? `${code}:${subject}` : code,
  code,
  severity: 'look',
  place: null,
  itemIds: [],
  names: {},
  goTo: 'cut',
  ...rest,
});

const nameOf = ({ job }: ProofContext, film: string): string => job.films.find(({ id }) => id === film)?.name ?? film;

/** Where more films lie on each other than hold well. */
export const judgeStackThick: Judge = (context) => {
  const { deepest } = context.stack;
  if (!deepest || deepest.films.length <= context.limits.stackDeep) return [];
  const { wrap, job } = context;
  const azimuth = deepest.x / wrap.meanRadius;
  const round = 4 / wrap.meanRadius;
  return [
    finding('stack-thick', '', {
      case: 'deep',
      place: { azimuths: [azimuth - round, azimuth + round], slants: [-deepest.y - 4, -deepest.y + 4] },
      numbers: { films: deepest.films.length, thickness: deepest.thicknessMm, most: context.limits.stackDeep },
      names: { films: deepest.films.map((film) => nameOf(context, film)).join(', ') },
      fixes: job.stack.build === 'inlay' ? [] : [{ do: 'build-stack', build: 'inlay' }],
    }),
  ];
};

/** Layers that are lined up by hand though much of them has nothing below to line up with. */
export const judgeStackUnsupported: Judge = (context) =>
  context.stack.layers
    .filter(({ marked, unsupported, bodies }) => !marked && unsupported > FEW_BODIES && bodies > FEW_BODIES)
    .map(({ film, unsupported, marksMm2, meets }) =>
      finding('stack-unsupported', film, {
        // A layer of which nothing meets the others need not fit to them.
        case: meets ? 'loose' : 'apart',
        severity: meets ? 'look' : 'fine',
        numbers: { count: unsupported, ...(marksMm2 === null ? {} : { cost: marksMm2 / 100 }) },
        names: { film: nameOf(context, film) },
        fixes: meets ? [{ do: 'mark-layers', films: withLowest(context, film), how: 'marks' }] : [],
      }),
    );

/** Layers of many things that meet others and have no marks. */
export const judgeRegistrationMissing: Judge = (context) =>
  context.stack.layers
    .filter(
      ({ marked, meets, bodies, unsupported }) => !marked && meets && bodies > FEW_BODIES && unsupported <= FEW_BODIES,
    )
    .map(({ film, bodies, marksMm2 }) =>
      finding('registration-missing', film, {
        case: 'by-hand',
        numbers: { count: bodies, cost: (marksMm2 ?? 0) / 100 },
        names: { film: nameOf(context, film) },
        fixes: [{ do: 'mark-layers', films: withLowest(context, film), how: 'marks' }],
      }),
    );

/** Marks that cost more film than they are worth, or a load. */
export const judgeRegistrationCostly: Judge = (context) => {
  const marked = context.stack.layers.filter((layer) => layer.marked);
  const cost = marked.reduce((sum, { marksMm2 }) => sum + (marksMm2 ?? 0), 0) / 100;
  const { marksLoads } = context.stack;
  if (marked.length === 0 || (cost <= context.limits.marksCost && marksLoads <= 0)) return [];
  return [
    finding('registration-costly', '', {
      case: marksLoads > 0 ? 'loads' : 'film',
      numbers: { cost, most: context.limits.marksCost, loads: marksLoads },
      fixes: [{ do: 'mark-layers', films: marked.map(({ film }) => film), how: 'by hand' }],
    }),
  ];
};

const withLowest = ({ stack }: ProofContext, film: string): string[] => {
  const [lowest] = stack.layers;
  return lowest && lowest.film !== film ? [lowest.film, film] : [film];
};
