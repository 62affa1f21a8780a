import type { Path } from '../plane/path.ts';

/** One placed glyph of a line of text, in font units. */
export interface PlacedGlyph {
  /** Outlines relative to the glyph's own origin, y up, font units. */
  readonly outlines: readonly Path[];
  /** Where the origin sits along the line, kerning included, font units. */
  readonly at: number;
  readonly advance: number;
  /** The letters that this glyph stands for. */
  readonly text: string;
}

/** A font as the core needs it; `io/font` makes one from a file's bytes. */
export interface FontFace {
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
export type FontId = (typeof FONT_CHOICES)[number]['id'];

/** Gives the face of a shipped font; the caller has loaded it. */
export type FontBook = { readonly [id in FontId]: FontFace };
