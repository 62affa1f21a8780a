import { filmOfLayer, layerOf } from '../layers/layer.ts';
import type { Film } from '../model/film.ts';
import type { Piece } from '../pieces/pieces.ts';
import type { Wrap } from '../pieces/wrap.ts';
import { ringsOf } from '../polygon/polygon.ts';
import { deepestOf, type Layer, sectionOf, tellingHeight } from './depth.ts';
import type { LinedUp } from './registration/line-up.ts';
import { FEW_BODIES } from './registration/marks.ts';
import type { LayerReport, MarksCost, StackReport } from './report.ts';
import { NO_LAYERS } from './report.ts';

/** All film of a job as it lies on the side, layer by layer from the blank outwards. */
export const layersOnSide = ({ pieces, layers }: Pick<Wrap, 'pieces' | 'layers'>, films: readonly Film[]): Layer[] =>
  layers.map((layer) => ({
    layer,
    thicknessMm: films.find(({ id }) => id === filmOfLayer(layer))?.thicknessMm ?? 0,
    rings: pieces.filter((p) => layerOf(p) === layer && !p.spare).flatMap(({ unrolled }) => ringsOf(unrolled)),
  }));

/**
 * How the films of a job lie on each other, and what lining them up costs by the plan.
 *
 * @param films of the job
 * @param wrap of the job
 * @param lined how its layers are lined up
 * @param cost what marks cost by the plan
 */
export function reportStack(
  films: readonly Film[],
  wrap: Wrap,
  { aims, support }: LinedUp,
  cost: MarksCost,
): StackReport {
  if (wrap.layers.length === 0) return NO_LAYERS;
  const layers = layersOnSide(wrap, films);
  const deepest = deepestOf(layers);
  const sectionY = deepest && deepest.layers.length > 1 ? deepest.y : tellingHeight(layers);
  // A word is held when one of its letters is; of all else every piece by itself.
  const words = new Set(wrap.placed.filter(({ item }) => item.type === 'text').map(({ item }) => item.id));
  const thing = ({ id, itemIds }: Piece): string => itemIds.find((one) => words.has(one)) ?? id;
  return {
    deepest,
    section: deepest ? sectionOf(layers, sectionY) : [],
    sectionY,
    marksLoads: cost.loads(),
    layers: aims.map((aim, i): LayerReport => {
      const pieces = wrap.pieces.filter((p) => layerOf(p) === aim.layer && !p.spare);
      const onFilm = support.get(aim.layer) ?? [];
      const held = new Set(pieces.filter((_, k) => onFilm[k]).map(thing));
      const meets = onFilm.some(Boolean);
      const alone = pieces.filter((piece) => !held.has(thing(piece))).length;
      return {
        ...aim,
        pieces: pieces.length,
        marksMm2: aim.marked || (meets && aim.bodies > FEW_BODIES) ? cost.of(aim.layer) : null,
        meets,
        unsupported: i === 0 ? 0 : Math.min(alone, aim.bodies),
      };
    }),
  };
}
