import { layerOfGroup } from '../../layers/build-up.ts';
import { layerOf } from '../../layers/layer.ts';
import type { PlacedItem } from '../../layout/place.ts';
import type { Project } from '../../model/project.ts';
import { EPSILON } from '../../numeric/tolerances.ts';
import type { CuttablePiece } from '../../pieces/cuttable.ts';
import type { Piece } from '../../pieces/pieces.ts';
import type { Wrap } from '../../pieces/wrap.ts';
import { boxWidth } from '../../plane/box.ts';
import { flattenPath } from '../../plane/flatten.ts';
import type { Ring } from '../../polygon/polygon.ts';
import { supportedPieces } from '../support.ts';
import type { LayerAim, MarkContext } from './marks.ts';
import { registrationMarks } from './marks.ts';

/** Share of the way round from which a design is a wrap: its marks lie outside of the wrap's outline, and come off with it. */
const WRAP_SHARE = 0.6;

/**
 * How many things of a layer can move apart: a word or a motif moves as one on its tape; a drawing moves piece by piece, however
 * few items it came as, and so do tiles of a border that do not touch.
 */
function bodiesOf({ placed, pieces }: Wrap, layer: string): number {
  const asOne = ({ item }: PlacedItem): boolean => item.repeat.mode !== 'joined' && item.type !== 'art';
  const whole = new Map(placed.filter(asOne).map((one) => [one.item.id, one]));
  const own = pieces.filter((piece) => layerOf(piece) === layer && !piece.spare);
  const loose = own.filter(({ itemIds }) => !itemIds.some((id) => whole.has(id))).length;
  const held = new Set(own.flatMap(({ itemIds }) => itemIds).filter((id) => whole.has(id)));
  return [...held].reduce((sum, id) => {
    const one = whole.get(id)!;
    const groups = one.groups.filter((rings, g) => rings.length > 0 && layerOfGroup(one, g) === layer).length;
    return sum + Math.min(groups, one.item.type === 'text' ? one.copies.length : Infinity);
  }, loose);
}

/** Which pieces of each layer lie on, or right beside, film below it. */
export type Support = ReadonlyMap<string, readonly boolean[]>;

function supportOf({ pieces, layers }: Wrap): Support {
  const own = (layer: string): Piece[] => pieces.filter((p) => layerOf(p) === layer && !p.spare);
  return new Map(
    layers.map((layer, i) => [
      layer,
      supportedPieces(
        own(layer).map(({ unrolled }) => unrolled),
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
  const bodies = new Map(wrap.layers.map((layer) => [layer, bodiesOf(wrap, layer)]));
  const context: MarkContext = {
    stack: project.stack,
    layers: wrap.layers,
    bodies: (layer) => bodies.get(layer) ?? 0,
    meets: (layer) => support.get(layer)?.some(Boolean) ?? false,
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
    return a.y + ((b.y - a.y) * (x - a.x)) / Math.max(EPSILON, b.x - a.x);
  };
}
