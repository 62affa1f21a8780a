import type { Film } from './artwork/film.ts';
import type { CuttablePiece } from './cut/job-sheet.ts';
import { blocksOf } from './cut/job-sheet.ts';
import type { LayerAim, MarkContext } from './cut/marks.ts';
import { registrationMarks } from './cut/marks.ts';
import type { Project } from './document/project.ts';
import { boxWidth } from './plane/box.ts';
import { flattenPath } from './plane/flatten.ts';
import type { Ring } from './polygon/polygon.ts';
import { ringsOf } from './polygon/polygon.ts';
import type { Board } from './sheet/board.ts';
import { planLoads } from './sheet/load.ts';
import type { Supply } from './sheet/stock.ts';
import { deepestOf, sectionOf, tellingHeight, type Layer } from './stack/depth.ts';
import type { LayerReport, StackReport } from './stack/report.ts';
import { NO_LAYERS } from './stack/report.ts';
import { supportedPieces } from './stack/support.ts';
import { filmOfGroup } from './wrap/build-stack.ts';
import type { Wrap } from './wrap/derive.ts';

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

/**
 * Registration marks of a job, to be cut beside its pieces.
 *
 * @param project for its stack
 * @param wrap of the job
 * @param cut everything that is cut
 */
export function marksOf(
  project: Pick<Project, 'stack'>,
  wrap: Wrap,
  cut: readonly CuttablePiece[],
): { aims: LayerAim[]; marks: CuttablePiece[] } {
  const bodies = new Map(wrap.layers.map((film) => [film, bodiesOf(wrap, film)]));
  const context: MarkContext = {
    stack: project.stack,
    layers: wrap.layers,
    bodies: (film) => bodies.get(film) ?? 0,
    meets: (film) => meets(wrap, film),
    outline: (part) => wrapOutline(wrap, cut, part),
    rimEdge: (part) => rimEdge(wrap, part),
  };
  return registrationMarks(cut, context);
}

/** Whether a film lies on, or right beside, film below it. */
function meets(wrap: Wrap, film: string): boolean {
  const below = new Set(wrap.layers.slice(0, wrap.layers.indexOf(film)));
  const under = wrap.pieces.filter((p) => below.has(p.film) && !p.spare).flatMap(({ unrolled }) => ringsOf(unrolled));
  const own = wrap.pieces.filter((p) => p.film === film && !p.spare).map(({ unrolled }) => unrolled);
  return under.length > 0 && supportedPieces(own, under).some(Boolean);
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
function rimEdge({ frames, surface, template }: Wrap, part: string): ((x: number) => number) | null {
  if (!template.closed || !frames.some((frame) => frame.part === part && frame.asBand)) return null;
  const points = Array.from({ length: 181 }, (_, i) => surface.forward(((i - 90) / 90) * Math.PI, 0));
  return (x) => {
    const next = points.findIndex((p) => p.x >= x);
    if (next <= 0) return next < 0 ? points.at(-1)!.y : points[0]!.y;
    const [a, b] = [points[next - 1]!, points[next]!];
    return a.y + ((b.y - a.y) * (x - a.x)) / Math.max(1e-9, b.x - a.x);
  };
}

/**
 * How the films of a job lie on each other, and what lining them up costs by the plan.
 *
 * @param wrap of the job
 * @param cut everything that is cut, without marks
 * @param marked how layers are lined up, and the marks
 * @param board what the cutter takes
 * @param supply what film there is
 */
export function reportStack(
  project: Pick<Project, 'films' | 'stack'>,
  wrap: Wrap,
  cut: readonly CuttablePiece[],
  { aims, marks }: { aims: readonly LayerAim[]; marks: readonly CuttablePiece[] },
  board: Board,
  supply: Supply,
): StackReport {
  if (wrap.layers.length === 0) return NO_LAYERS;
  const { films, stack } = project;
  const layers = layersOnSide(wrap, films);
  const deepest = deepestOf(layers);
  const sectionY = deepest && deepest.films.length > 1 ? deepest.y : tellingHeight(layers);
  // What marks on every layer would cost, for those that have none.
  const everywhere = Object.fromEntries(wrap.layers.map((film) => [film, 'marks' as const]));
  const wished =
    wrap.layers.length < 2 ? { marks: [] } : marksOf({ stack: { ...stack, marks: everywhere } }, wrap, cut);
  const areaOf = (film: string, more: readonly CuttablePiece[]): number => {
    const blocks = blocksOf(
      [...cut, ...more].filter((piece) => piece.film === film),
      films,
      supply,
    );
    return planLoads(blocks, board, supply)
      .loads.flatMap(({ strips }) => strips)
      .reduce((sum, { used }) => sum + used.along * used.across, 0);
  };
  const loadsWith = (more: readonly CuttablePiece[]): number =>
    planLoads(blocksOf([...cut, ...more], films, supply), board, supply).loads.length;
  return {
    deepest,
    section: deepest ? sectionOf(layers, sectionY) : [],
    sectionY,
    marksLoads: marks.length > 0 ? loadsWith(marks) - loadsWith([]) : 0,
    layers: aims.map((aim, i): LayerReport => {
      const pieces = wrap.pieces.filter((p) => p.film === aim.film && !p.spare);
      const below = layers.slice(0, i).flatMap(({ rings }) => rings);
      const own = aim.marked ? marks : wished.marks;
      const onFilm = i === 0 || below.length === 0 ? [] : supportedPieces(pieces.map(({ unrolled }) => unrolled), below); // prettier-ignore
      // A word is held when one of its letters is; of all else every piece by itself.
      const words = new Set(wrap.placed.filter(({ item }) => item.type === 'text').map(({ item }) => item.id));
      const thing = (id: string, itemIds: readonly string[]): string => itemIds.find((one) => words.has(one)) ?? id;
      const held = new Set(pieces.filter((_, k) => onFilm[k]).map(({ id, itemIds }) => thing(id, itemIds)));
      const alone = pieces.filter(({ id, itemIds }) => !held.has(thing(id, itemIds))).length;
      return {
        ...aim,
        pieces: pieces.length,
        marksMm2: wrap.layers.length < 2 ? 0 : areaOf(aim.film, own) - areaOf(aim.film, []),
        meets: onFilm.some(Boolean),
        unsupported: i === 0 ? 0 : Math.min(alone, aim.bodies),
      };
    }),
  };
}
