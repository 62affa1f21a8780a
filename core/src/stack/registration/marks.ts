import { ownEntry } from '../../model/own-entry.ts';
import { filmOfLayer, layerOf, levelOfLayer } from '../../layers/layer.ts';
import type { Stack } from '../../model/stack.ts';
import type { Box } from '../../plane/box.ts';
import { joinBoxes } from '../../plane/box.ts';
import { pathFromRing } from '../../plane/path.ts';
import type { Ring } from '../../polygon/polygon.ts';
import { MARK_MM, placeMarks } from './places.ts';

import type { CuttablePiece } from '../../pieces/cuttable.ts';

/** How a layer is lined up, and why. */
export interface LayerAim {
  readonly layer: string;
  /** Things that have to find their place by themselves: a word moves as one on its tape, motifs do not. */
  readonly bodies: number;
  readonly marked: boolean;
  /** Whether the rule says so, not the person. */
  readonly byRule: boolean;
}

/** What marks are placed by, besides the pieces. */
export interface MarkContext {
  readonly stack: Stack;
  /** From the blank outwards. */
  readonly layers: readonly string[];
  /** How many bodies a layer has in a part. */
  readonly bodies: (layer: string, part: string) => number;
  /** Whether a layer lies on, or right beside, film below it. */
  readonly meets: (layer: string) => boolean;
  /** Outline of a part that goes round the blank, mm; null where marks may lie beside the pieces. */
  readonly outline: (part: string) => Ring | null;
  /** Height of the rim edge on the flat of a part, null beyond its ends, for ticks when layers are laid on the blank. */
  readonly rimEdge: (part: string) => ((x: number) => number | null) | null;
}

/**
 * Registration marks for the layers of every part: at the same two places in each, so that they lie on each other.
 *
 * By the rule, layers of more than three bodies that meet film below are marked, and the lowest layer with them; one layer
 * alone never is.
 *
 * @param pieces of all layers and parts
 * @returns how each layer is lined up, and the marks as pieces to cut
 */
export function registrationMarks(
  pieces: readonly CuttablePiece[],
  context: MarkContext,
): { aims: LayerAim[]; marks: CuttablePiece[] } {
  const { stack, layers } = context;
  const parts = [...new Set(pieces.map(({ part }) => part))];
  const most = new Map<string, number>();
  const marks: CuttablePiece[] = [];
  const marked = new Set<string>();
  for (const part of parts) {
    const own = pieces.filter((piece) => piece.part === part);
    const there = layers.filter((layer) => own.some((piece) => layerOf(piece) === layer));
    const bodies = new Map(there.map((layer) => [layer, context.bodies(layer, part)]));
    for (const [layer, count] of bodies) most.set(layer, Math.max(most.get(layer) ?? 0, count));
    const wanted = markedLayers(there, stack, (layer) => bodies.get(layer)! > FEW_BODIES && context.meets(layer));
    if (wanted.length < 2) continue;
    const boxes = wanted.map((layer) => ({
      layer,
      box: own
        .filter((piece) => layerOf(piece) === layer)
        .map(({ flatBox }) => flatBox)
        .reduce(joinBoxes),
    }));
    const free: Ring[] = own.flatMap(({ flat }) => [flat.outer]);
    const edge = stack.lay === 'on the blank' ? context.rimEdge(part) : null;
    const outline = edge ? null : context.outline(part);
    const placed = placeMarks(boxes, outline ? [...free, outline] : free, edge ? { y: edge } : null);
    if (!placed) continue;
    for (const { layer } of boxes) {
      marked.add(layer);
      placed.at.forEach((at, i) => marks.push(markPiece(layer, part, i, at)));
    }
  }
  const aims = layers.map((layer): LayerAim => ({
    layer,
    bodies: most.get(layer) ?? 0,
    marked: marked.has(layer),
    byRule: ownEntry(stack.marks, layer) === undefined,
  }));
  return { aims, marks };
}

function markedLayers(layers: readonly string[], { marks }: Stack, ruled: (layer: string) => boolean): string[] {
  if (layers.length < 2) return [];
  const wanted = layers.filter((layer) => (ownEntry(marks, layer) ? ownEntry(marks, layer) === 'marks' : ruled(layer)));
  // Something lower has to carry the same marks, or there is nothing to line up with.
  const below = layers.find((layer) => ownEntry(marks, layer) !== 'by hand');
  return wanted.length > 0 && below !== undefined && !wanted.includes(below)
    ? layers.filter((one) => one === below || wanted.includes(one))
    : wanted;
}

function markPiece(layer: string, part: string, i: number, [x, y]: readonly [number, number]): CuttablePiece {
  const ring = [x, y, x + MARK_MM, y, x + MARK_MM, y + MARK_MM, x, y + MARK_MM];
  const flatBox: Box = { minX: x, minY: y, maxX: x + MARK_MM, maxY: y + MARK_MM };
  return {
    id: `mark:${layer}:${part}:${i}`,
    film: filmOfLayer(layer),
    level: levelOfLayer(layer),
    part,
    paths: [pathFromRing(ring)],
    flatBox,
    flat: { outer: Float64Array.from(ring), holes: [] },
    areaMm2: MARK_MM ** 2,
    mark: true,
  };
}

/** Layers of so few things are as quickly lined up by hand, one by one. */
export const FEW_BODIES = 3;
