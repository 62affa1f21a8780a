import type { Stack } from '../../model/stack.ts';
import type { Box } from '../../plane/box.ts';
import { joinBoxes } from '../../plane/box.ts';
import { pathFromRing } from '../../plane/path.ts';
import type { Ring } from '../../polygon/polygon.ts';
import { MARK_MM, placeMarks } from './places.ts';

import type { CuttablePiece } from '../../pieces/cuttable.ts';

/** How a layer is lined up, and why. */
export interface LayerAim {
  readonly film: string;
  /** Things that have to find their place by themselves: a word moves as one on its tape, motifs do not. */
  readonly bodies: number;
  readonly marked: boolean;
  /** Whether the rule says so, not the person. */
  readonly byRule: boolean;
}

/** What marks are placed by, besides the pieces. */
export interface MarkContext {
  readonly stack: Stack;
  /** Films from the blank outwards. */
  readonly layers: readonly string[];
  /** How many bodies a film has in a part. */
  readonly bodies: (film: string, part: string) => number;
  /** Whether a film lies on, or right beside, film below it. */
  readonly meets: (film: string) => boolean;
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
 * @param pieces of all films and parts
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
    const films = layers.filter((film) => own.some((piece) => piece.film === film));
    const bodies = new Map(films.map((film) => [film, context.bodies(film, part)]));
    for (const [film, count] of bodies) most.set(film, Math.max(most.get(film) ?? 0, count));
    const wanted = markedFilms(films, stack, (film) => bodies.get(film)! > FEW_BODIES && context.meets(film));
    if (wanted.length < 2) continue;
    const boxes = wanted.map((film) => ({
      film,
      box: own
        .filter((piece) => piece.film === film)
        .map(({ flatBox }) => flatBox)
        .reduce(joinBoxes),
    }));
    const free: Ring[] = own.flatMap(({ flat }) => [flat.outer]);
    const edge = stack.lay === 'on the blank' ? context.rimEdge(part) : null;
    const outline = edge ? null : context.outline(part);
    const placed = placeMarks(boxes, outline ? [...free, outline] : free, edge ? { y: edge } : null);
    if (!placed) continue;
    for (const { film } of boxes) {
      marked.add(film);
      placed.at.forEach((at, i) => marks.push(markPiece(film, part, i, at)));
    }
  }
  const aims = layers.map((film): LayerAim => ({
    film,
    bodies: most.get(film) ?? 0,
    marked: marked.has(film),
    byRule: stack.marks[film] === undefined,
  }));
  return { aims, marks };
}

function markedFilms(films: readonly string[], { marks }: Stack, ruled: (film: string) => boolean): string[] {
  if (films.length < 2) return [];
  const wanted = films.filter((film) => (marks[film] ? marks[film] === 'marks' : ruled(film)));
  // Something lower has to carry the same marks, or there is nothing to line up with.
  const below = films.find((film) => marks[film] !== 'by hand');
  return wanted.length > 0 && below !== undefined && !wanted.includes(below)
    ? films.filter((f) => f === below || wanted.includes(f))
    : wanted;
}

function markPiece(film: string, part: string, i: number, [x, y]: readonly [number, number]): CuttablePiece {
  const ring = [x, y, x + MARK_MM, y, x + MARK_MM, y + MARK_MM, x, y + MARK_MM];
  const flatBox: Box = { minX: x, minY: y, maxX: x + MARK_MM, maxY: y + MARK_MM };
  return {
    id: `mark:${film}:${part}:${i}`,
    film,
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
