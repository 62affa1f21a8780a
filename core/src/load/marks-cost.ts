import { filmOfLayer, layerOf } from '../layers/layer.ts';
import type { Project } from '../model/project.ts';
import type { Supply } from '../model/stock.ts';
import type { CuttablePiece } from '../pieces/cuttable.ts';
import type { Wrap } from '../pieces/wrap.ts';
import { boxHeight, boxWidth } from '../plane/box.ts';
import { lineUp, type Support } from '../stack/registration/line-up.ts';
import type { MarksCost } from '../stack/report.ts';
import type { FilmBlock } from './blocks.ts';
import { blocksOf } from './blocks.ts';
import type { JobSheet } from './job-sheet.ts';
import type { LoadPlan } from './load.ts';
import { planLoads } from './load.ts';

/** Parts up to which what marks cost is taken from a plan; with more, from the boxes that they grow. */
const PLANNED_PARTS = 12;

/** A job that is planned. */
export interface PlannedJob {
  readonly wrap: Wrap;
  /** Everything that is cut, with its marks. */
  readonly cut: readonly CuttablePiece[];
  readonly sheet: JobSheet;
}

/**
 * What marks cost, by plans of the same pieces with and without them.
 *
 * @param project for its films, its stack and how it was laid
 * @param job as it is planned, with the marks that it has
 * @param supply what film there is
 * @param support which pieces lie on film below, when that is known already
 */
export function marksCost(
  { films, stack, laid }: Pick<Project, 'films' | 'stack' | 'laid'>,
  { wrap, cut, sheet: { plan } }: PlannedJob,
  supply: Supply,
  support?: Support,
): MarksCost {
  const [marks, pieces] = [cut.filter(({ mark }) => mark), cut.filter(({ mark }) => !mark)];
  const marked = new Set(marks.map(layerOf));
  // Where there are many parts, what one of them costs stands for all.
  const parts = new Set(pieces.map(({ part }) => part));
  const many = parts.size > PLANNED_PARTS;
  const [first] = parts;
  const some = many ? pieces.filter(({ part }) => part === first) : pieces;
  const without = once(() =>
    marks.length > 0 ? planLoads(blocksOf(pieces, films, supply), plan.board, supply) : plan,
  );
  // What marks on every layer would cost, for those that have none.
  const requested = once(() => {
    const everywhere = Object.fromEntries(wrap.layers.map((layer) => [layer, 'marks' as const]));
    return lineUp({ stack: { ...stack, marks: everywhere } }, wrap, some, support).marks;
  });
  // Like is compared with like: a plan that was watched or touched is no measure for one that was not.
  const untouched = laid.length === 0;
  const planned = (film: string, blocks: readonly FilmBlock[], at: LoadPlan | null): number =>
    stripArea(at ?? planLoads(blocks, plan.board, supply), film);
  return {
    loads: () => plan.loads.length - without().loads.length,
    of: (layer) => {
      const film = filmOfLayer(layer);
      // The plan knows a film as a whole; of one that stands twice, each layer is planned by itself.
      const standsOnce = wrap.layers.filter((one) => filmOfLayer(one) === film).length === 1;
      const asPlanned = untouched && standsOnce;
      if (wrap.layers.length < 2) return 0;
      const has = marked.has(layer);
      const own = has ? marks.filter(({ part }) => !many || part === first) : requested();
      const blocks = (list: readonly CuttablePiece[]): FilmBlock[] =>
        blocksOf(
          list.filter((piece) => layerOf(piece) === layer),
          films,
          supply,
        );
      const [full, bare] = [blocks([...some, ...own]), blocks(some)];
      if (many) return parts.size * (boxArea(full) - boxArea(bare));
      const more =
        planned(film, full, asPlanned && has ? plan : null) - planned(film, bare, asPlanned ? without() : null);
      return Number.isNaN(more) ? null : more;
    },
  };
}

/** NaN when the film is too large for the board: what is not laid costs nothing, and says nothing. */
const stripArea = ({ loads, tooLarge }: LoadPlan, film: string): number =>
  tooLarge.some((large) => large.film === film)
    ? NaN
    : loads
        .flatMap(({ strips }) => strips.filter((strip) => strip.film === film))
        .reduce((sum, { used }) => sum + used.along * used.across, 0);

const boxArea = (blocks: readonly FilmBlock[]): number =>
  blocks.reduce((sum, { box }) => sum + boxWidth(box) * boxHeight(box), 0);

/** Works a thing out when it is first asked for. */
function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}
