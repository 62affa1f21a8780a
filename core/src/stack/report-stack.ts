import type { Film } from '../model/film.ts';
import type { Project } from '../model/project.ts';
import { ringsOf } from '../polygon/polygon.ts';
import type { LinedUp } from './registration/line-up.ts';
import { marksCost, type PlannedJob } from '../load/marks-cost.ts';
import type { Supply } from '../model/stock.ts';
import { deepestOf, sectionOf, tellingHeight, type Layer } from './depth.ts';
import type { LayerReport, StackReport } from './report.ts';
import { NO_LAYERS } from './report.ts';
import { FEW_BODIES } from './registration/marks.ts';
import type { Wrap } from '../pieces/wrap.ts';
import type { Piece } from '../pieces/pieces.ts';

/** All film of a job as it lies on the side, layer by layer from the blank outwards. */
export const layersOnSide = ({ pieces, layers }: Pick<Wrap, 'pieces' | 'layers'>, films: readonly Film[]): Layer[] =>
  layers.map((film) => ({
    film,
    thicknessMm: films.find(({ id }) => id === film)?.thicknessMm ?? 0,
    rings: pieces.filter((p) => p.film === film && !p.spare).flatMap(({ unrolled }) => ringsOf(unrolled)),
  }));

/**
 * How the films of a job lie on each other, and what lining them up costs by the plan.
 *
 * @param job as it is planned
 * @param lined how its layers are lined up
 * @param supply what film there is
 */
export function reportStack(
  project: Pick<Project, 'films' | 'stack' | 'laid'>,
  job: PlannedJob,
  { aims, support }: LinedUp,
  supply: Supply,
): StackReport {
  const { wrap } = job;
  if (wrap.layers.length === 0) return NO_LAYERS;
  const layers = layersOnSide(wrap, project.films);
  const deepest = deepestOf(layers);
  const sectionY = deepest && deepest.films.length > 1 ? deepest.y : tellingHeight(layers);
  const cost = marksCost(project, job, supply, support);
  // A word is held when one of its letters is; of all else every piece by itself.
  const words = new Set(wrap.placed.filter(({ item }) => item.type === 'text').map(({ item }) => item.id));
  const thing = ({ id, itemIds }: Piece): string => itemIds.find((one) => words.has(one)) ?? id;
  return {
    deepest,
    section: deepest ? sectionOf(layers, sectionY) : [],
    sectionY,
    marksLoads: cost.loads(),
    layers: aims.map((aim, i): LayerReport => {
      const pieces = wrap.pieces.filter((p) => p.film === aim.film && !p.spare);
      const onFilm = support.get(aim.film) ?? [];
      const held = new Set(pieces.filter((_, k) => onFilm[k]).map(thing));
      const meets = onFilm.some(Boolean);
      const alone = pieces.filter((piece) => !held.has(thing(piece))).length;
      return {
        ...aim,
        pieces: pieces.length,
        marksMm2: aim.marked || (meets && aim.bodies > FEW_BODIES) ? cost.of(aim.film) : null,
        meets,
        unsupported: i === 0 ? 0 : Math.min(alone, aim.bodies),
      };
    }),
  };
}
