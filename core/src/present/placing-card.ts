import { figuresOf } from '../bench/facts.ts';
import { rimLineOf } from '../measure/zones.ts';
import { partTitle } from '../cut/part-labels.ts';
import type { Blank } from '../model/blank.ts';
import type { Wrap } from '../pieces/wrap.ts';
import { ringsOf } from '../polygon/polygon.ts';
import { ringsData } from './rings-data.ts';

/** One figure on the card. */
export interface PlacedOnCard {
  readonly number: number;
  readonly name: string;
  readonly shapes: readonly { readonly film: string; readonly data: string }[];
  /** Its middle across and its top, mm on the card. */
  readonly x: number;
  readonly top: number;
  readonly middle: number;
  /** mm from the drinking edge down to its top, and round from the front to its middle, to the right positive. */
  readonly belowMm: number;
  readonly roundMm: number;
}

/** The side with the figures that are laid one by one, each with where it goes; mm, y down, the front at x = 0. */
export interface PlacingCard {
  readonly halfMm: number;
  /** From the drinking edge, above the band, to its foot. */
  readonly fromMm: number;
  readonly toMm: number;
  readonly figures: readonly PlacedOnCard[];
}

/**
 * The card by which figures are laid one by one: the side unrolled, looked at from outside.
 *
 * @returns null where nothing is laid by itself
 */
export function placingCard(blank: Blank, wrap: Wrap): PlacingCard | null {
  const figures = figuresOf(wrap.pieces);
  if (figures.length === 0) return null;
  const { meanRadius, surface, template } = wrap;
  const rimLine = rimLineOf(blank, wrap.size);
  const halfMm = template.closed ? Math.PI * meanRadius : template.rimLength / 2;
  return {
    halfMm,
    fromMm: -rimLine,
    toMm: surface.slantLength,
    figures: figures.map(({ part, azimuth, top, middle }, i): PlacedOnCard => {
      const own = wrap.pieces.filter((piece) => piece.byItself && piece.part === part);
      // Brought by whole turns to where the figure is told to be.
      const turn = (piece: (typeof own)[number]): number =>
        2 * Math.PI * Math.round((azimuth - (piece.azimuths[0] + piece.azimuths[1]) / 2) / (2 * Math.PI)) * meanRadius;
      return {
        number: i + 1,
        name: partTitle(part),
        shapes: own.map((piece) => ({
          film: piece.film,
          data: ringsData(ringsOf(piece.unrolled).map((ring) => ring.map((v, k) => (k % 2 ? v : v + turn(piece))))),
        })),
        x: azimuth * meanRadius,
        top,
        middle,
        belowMm: top + rimLine,
        roundMm: azimuth * surface.radiusAt(middle),
      };
    }),
  };
}
