import type { FontId } from '../model/item.ts';
import type { Path } from '../plane/path.ts';

/** One placed glyph of a line of text, in font units. */
export interface PlacedGlyph {
  /** Outlines relative to the glyph's own origin, y up, font units. */
  readonly outlines: readonly Path[];
  /** Whether the outlines are film as they stand: outer ones counter-clockwise, holes clockwise, nothing overlapping. */
  readonly clean: boolean;
  /** Where the origin sits along the line, kerning included, font units. */
  readonly at: number;
  readonly advance: number;
  /** The letters that this glyph stands for. */
  readonly text: string;
}

/** A font as the core needs it; `io/font` makes one from a file's bytes. */
export interface FontFace {
  /** What the font calls itself. */
  readonly name: string;
  /** Whether its small letters touch, so that a word comes in one piece. */
  readonly joined: boolean;
  readonly unitsPerEm: number;
  /** Height of a flat capital, font units. */
  readonly capHeight: number;
  /** Lays out one line, with kerning and ligatures; letters that the font lacks are listed and left out. */
  layout(line: string): {
    readonly glyphs: readonly PlacedGlyph[];
    readonly width: number;
    readonly missing: readonly string[];
  };
}

/** The fonts that ship with Mivet, by what they look like. */
export const FONT_CHOICES = [
  { id: 'condensed', label: 'Narrow capitals', family: 'Barlow Condensed', joined: false },
  { id: 'slab', label: 'Slab', family: 'Zilla Slab', joined: false },
  { id: 'script', label: 'Joined script', family: 'Pacifico', joined: true },
] as const;

/** Id of a shipped font. */
export type ShippedFontId = (typeof FONT_CHOICES)[number]['id'];

/** Faces by font, loaded by the caller: the shipped ones always, those that were brought as far as they are there. */
export type FontBook = Readonly<Record<ShippedFontId, FontFace>> & { readonly [id: FontId]: FontFace | undefined };

/** The face that words are set in; `there` is false when their own font is missing and a shipped one stands in. */
export function faceOf(fonts: FontBook, id: FontId): { readonly face: FontFace; readonly there: boolean } {
  const own = Object.hasOwn(fonts, id) ? fonts[id] : undefined;
  return { face: own ?? fonts.condensed, there: own !== undefined };
}
