import { type Film, type Place, radiusOnSide, type ShapeViewModel } from '@mivet/core';
import type { DrawnZones } from '../../composables/useZones.ts';
import type { ShownTrial } from '../../stores/view.ts';
import type { BlankArt, PaintedPiece } from './blank-art.ts';
import type { BlankShape } from './solid-shape.ts';
import { strainColour } from './strain-colour.ts';

/** What both pictures of a blank show on its side. */
export interface ShownOnSide {
  readonly films: readonly Film[];
  readonly zones: DrawnZones;
  readonly selection: ReadonlySet<string>;
  readonly highlighted: Place | null;
  readonly trial?: ShownTrial | null;
}

/** Steps in which a curved edge down the side is painted. */
const STEPS = 24;

/** Lays points of the template where they come to lie: pairs of mm round at the mean radius, mm up. */
function carry(ring: Float64Array, meanRadius: number, lay: NonNullable<ShownTrial['layAt']>): Float64Array {
  const laid = new Float64Array(ring.length);
  for (let i = 0; i < ring.length; i += 2) {
    const [azimuth, slant] = [ring[i]! / meanRadius, -ring[i + 1]!];
    const at = lay(azimuth, slant) ?? { azimuth, slant };
    laid[i] = at.azimuth * meanRadius;
    laid[i + 1] = -at.slant;
  }
  return laid;
}

/**
 * Gathers what is painted on the side of a blank, as plain data.
 *
 * @param viewModel the side as it was worked out
 * @param shown what is shown on it
 * @param shape of the solid
 */
export function artOf(viewModel: ShapeViewModel, { trial, ...shown }: ShownOnSide, shape: BlankShape): BlankArt {
  const { meanRadius, size, template } = viewModel;
  const { zones } = shown;
  const { map, give } = template.flattening;
  const colours = new Map(shown.films.map((film) => [film.id, film.colour]));
  const lay = trial?.layAt ?? null;
  const pieces = viewModel.pieces.map((piece): PaintedPiece => ({
    rings: lay ? piece.rings.map((ring) => carry(ring, meanRadius, lay)) : piece.rings,
    colour: colours.get(piece.film) ?? '#888888',
    selected: piece.itemIds.some((id) => shown.selection.has(id)),
    stiff: trial?.stiff.has(piece.id) ?? false,
  }));
  const down = Array.from({ length: STEPS + 1 }, (_, i) => (size.side * i) / STEPS);
  const ends = [template.region.left, template.region.right].map(([top, foot]) =>
    down.flatMap((slant, i) => {
      const at = lay?.(top + ((foot - top) * i) / STEPS, slant);
      return at ? [[at.azimuth, at.slant] as const] : [];
    }),
  );
  const rings =
    zones.strain && map
      ? map.samples.slice(1).map((b, i) => {
          const a = map.samples[i]!;
          return { from: a.at, to: b.at, ...strainColour((a.strain + b.strain) / 2 + map.pull, give) };
        })
      : [];
  return {
    meanRadius,
    side: size.side,
    pieces,
    carried: lay !== null,
    ends: lay ? ends : [],
    strain: map && rings.length > 0 ? { by: map.by, rings: rings.reverse(), girthRim: template.cone.girthRim } : null,
    zones: { rim: zones.rim, base: zones.base },
    handle:
      zones.handle > 0
        ? down.map((slant) => (zones.handleWidth / 2 + zones.handle) / radiusOnSide(viewModel, slant))
        : [],
    seam: !lay && zones.seam && zones.handleWidth === 0,
    glance: zones.glance ?? [],
    highlighted: shown.highlighted,
    colour: shape.colour,
    shine: shape.shine,
    above: shape.above,
    below: shape.below,
  };
}
