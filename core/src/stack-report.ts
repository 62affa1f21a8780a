import type { Film } from './artwork/film.ts';
import type { CuttablePiece, JobSheet } from './cut/job-sheet.ts';
import { blocksOf } from './cut/job-sheet.ts';
import type { LayerAim, MarkContext } from './cut/marks.ts';
import { registrationMarks } from './cut/marks.ts';
import type { Project } from './document/project.ts';
import { boxHeight, boxWidth } from './plane/box.ts';
import { flattenPath } from './plane/flatten.ts';
import type { Ring } from './polygon/polygon.ts';
import { ringsOf } from './polygon/polygon.ts';
import type { FilmBlock, LoadPlan } from './sheet/load.ts';
import { planLoads } from './sheet/load.ts';
import type { Supply } from './sheet/stock.ts';
import { deepestOf, sectionOf, tellingHeight, type Layer } from './stack/depth.ts';
import type { LayerReport, StackReport } from './stack/report.ts';
import { NO_LAYERS } from './stack/report.ts';
import { supportedPieces } from './stack/support.ts';
import { filmOfGroup } from './wrap/build-stack.ts';
import type { Wrap } from './wrap/derive.ts';
import type { Piece } from './wrap/pieces.ts';

/** Share of the way round from which a design is a wrap: its marks lie outside of the wrap's outline, and come off with it. */
const WRAP_SHARE = 0.6;

/** All film of a job as it lies on the side, layer by layer from the blank outwards. */
export const layersOnSide = ({ pieces, layers }: Pick<Wrap, 'pieces' | 'layers'>, films: readonly Film[]): Layer[] =>
  layers.map((film) => ({
    film,
    thicknessMm: films.find(({ id }) => id === film)?.thicknessMm ?? 0,
    rings: pieces.filter((p) => p.film === film && !p.spare).flatMap(({ unrolled }) => ringsOf(unrolled)),
  }));

/** How many things of a film have to find their place by themselves: a word moves as one on its tape, motifs do not. */
function bodiesOf({ placed }: Wrap, film: string): number {
  return placed.reduce((sum, one) => {
    const groups = one.groups.filter((rings, g) => rings.length > 0 && filmOfGroup(one, g) === film).length;
    const most = one.item.repeat.mode === 'joined' ? 1 : one.item.type === 'text' ? one.copies.length : Infinity;
    return sum + Math.min(groups, most);
  }, 0);
}

/** Which pieces of each film lie on, or right beside, film below it. */
type Support = ReadonlyMap<string, readonly boolean[]>;

function supportOf({ pieces, layers }: Wrap): Support {
  const own = (film: string): Piece[] => pieces.filter((p) => p.film === film && !p.spare);
  return new Map(
    layers.map((film, i) => [
      film,
      supportedPieces(
        own(film).map(({ unrolled }) => unrolled),
        layers.slice(0, i).flatMap((below) => own(below).map(({ unrolled }) => unrolled)),
      ),
    ]),
  );
}

/** How the layers of a job are lined up: the marks, and what they follow from. */
export interface LinedUp {
  readonly aims: readonly LayerAim[];
  readonly marks: readonly CuttablePiece[];
  readonly support: Support;
}

/**
 * Registration marks of a job, to be cut beside its pieces.
 *
 * @param project for its stack
 * @param wrap of the job
 * @param cut everything that is cut
 */
export function lineUp(
  project: Pick<Project, 'stack'>,
  wrap: Wrap,
  cut: readonly CuttablePiece[],
  support: Support = supportOf(wrap),
): LinedUp {
  const bodies = new Map(wrap.layers.map((film) => [film, bodiesOf(wrap, film)]));
  const context: MarkContext = {
    stack: project.stack,
    layers: wrap.layers,
    bodies: (film) => bodies.get(film) ?? 0,
    meets: (film) => support.get(film)?.some(Boolean) ?? false,
    outline: (part) => wrapOutline(wrap, cut, part),
    rimEdge: (part) => rimEdge(wrap, part),
  };
  return { ...registrationMarks(cut, context), support };
}

/** Outline of a part of a wrap that goes round; null for what is only a part of the side, or lies on a face. */
function wrapOutline(wrap: Wrap, cut: readonly CuttablePiece[], part: string): Ring | null {
  const index = wrap.frames.findIndex((frame) => frame.part === part);
  const panel = wrap.panels[index];
  if (!wrap.template.closed || !panel) return null;
  const own = cut.filter((piece) => piece.part === part);
  const wide =
    Math.max(...own.map(({ flatBox }) => flatBox.maxX)) - Math.min(...own.map(({ flatBox }) => flatBox.minX));
  return wide > WRAP_SHARE * boxWidth(panel.bounds) ? flattenPath(panel.outlines[0]!, 0.1) : null;
}

/** Height of the rim edge on the flat of the whole band, where marks are laid on the blank. */
function rimEdge({ frames, surface, template }: Wrap, part: string): ((x: number) => number | null) | null {
  if (!template.closed || !frames.some((frame) => frame.part === part && frame.asBand)) return null;
  const points = Array.from({ length: 181 }, (_, i) => surface.forward(((i - 90) / 90) * Math.PI, 0));
  return (x) => {
    const next = points.findIndex((p) => p.x >= x);
    if (next <= 0) return null;
    const [a, b] = [points[next - 1]!, points[next]!];
    return a.y + ((b.y - a.y) * (x - a.x)) / Math.max(1e-9, b.x - a.x);
  };
}

/** Parts up to which what marks cost is taken from a plan; with more, from the boxes that they grow. */
const PLANNED_PARTS = 12;

/**
 * How the films of a job lie on each other, and what lining them up costs by the plan.
 *
 * @param wrap of the job
 * @param cut everything that is cut, without marks
 * @param lined how layers are lined up
 * @param sheet as it is planned, with the marks
 * @param supply what film there is
 */
export function reportStack(
  project: Pick<Project, 'films' | 'stack' | 'laid'>,
  wrap: Wrap,
  cut: readonly CuttablePiece[],
  lined: LinedUp,
  sheet: JobSheet,
  supply: Supply,
): StackReport {
  if (wrap.layers.length === 0) return NO_LAYERS;
  const { films, stack } = project;
  const { aims, marks, support } = lined;
  const { plan } = sheet;
  const layers = layersOnSide(wrap, films);
  const deepest = deepestOf(layers);
  const sectionY = deepest && deepest.films.length > 1 ? deepest.y : tellingHeight(layers);
  // What marks on every layer would cost, for those that have none.
  const everywhere = Object.fromEntries(wrap.layers.map((film) => [film, 'marks' as const]));
  // Where there are many parts, what one of them costs stands for all.
  const parts = new Set(cut.map(({ part }) => part));
  const many = parts.size > PLANNED_PARTS;
  const [first] = parts;
  const some = many ? cut.filter(({ part }) => part === first) : cut;
  const wished =
    wrap.layers.length < 2 ? [] : lineUp({ stack: { ...stack, marks: everywhere } }, wrap, some, support).marks;
  const without = marks.length > 0 ? planLoads(blocksOf(cut, films, supply), plan.board, supply) : plan;
  const marksMm2 = (film: string, marked: boolean): number => {
    if (wrap.layers.length < 2) return 0;
    const own = marked ? marks.filter(({ part }) => !many || part === first) : wished;
    const full = blocksOf(
      [...some, ...own].filter((piece) => piece.film === film),
      films,
      supply,
    );
    const bare = blocksOf(
      some.filter((piece) => piece.film === film),
      films,
      supply,
    );
    if (many) return parts.size * (boxArea(full) - boxArea(bare));
    // Like is compared with like: a plan that was watched or touched is no measure for one that was not.
    const planned = (blocks: readonly FilmBlock[], at: LoadPlan | null): number =>
      stripArea(at ?? planLoads(blocks, plan.board, supply), film);
    const untouched = project.laid.length === 0;
    return planned(full, untouched && marked ? plan : null) - planned(bare, untouched ? without : null);
  };
  // A word is held when one of its letters is; of all else every piece by itself.
  const words = new Set(wrap.placed.filter(({ item }) => item.type === 'text').map(({ item }) => item.id));
  const thing = ({ id, itemIds }: Piece): string => itemIds.find((one) => words.has(one)) ?? id;
  return {
    deepest,
    section: deepest ? sectionOf(layers, sectionY) : [],
    sectionY,
    marksLoads: plan.loads.length - without.loads.length,
    layers: aims.map((aim, i): LayerReport => {
      const pieces = wrap.pieces.filter((p) => p.film === aim.film && !p.spare);
      const onFilm = support.get(aim.film) ?? [];
      const held = new Set(pieces.filter((_, k) => onFilm[k]).map(thing));
      const alone = pieces.filter((piece) => !held.has(thing(piece))).length;
      return {
        ...aim,
        pieces: pieces.length,
        marksMm2: marksMm2(aim.film, aim.marked),
        meets: onFilm.some(Boolean),
        unsupported: i === 0 ? 0 : Math.min(alone, aim.bodies),
      };
    }),
  };
}

const stripArea = ({ loads }: LoadPlan, film: string): number =>
  loads
    .flatMap(({ strips }) => strips.filter((strip) => strip.film === film))
    .reduce((sum, { used }) => sum + used.along * used.across, 0);

const boxArea = (blocks: readonly FilmBlock[]): number =>
  blocks.reduce((sum, { box }) => sum + boxWidth(box) * boxHeight(box), 0);
