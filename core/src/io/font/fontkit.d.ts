/** The small part of fontkit that Mivet uses; its own types bring Node's along, which the core must not see. */
declare module 'fontkit' {
  export interface PathCommand {
    readonly command: 'moveTo' | 'lineTo' | 'quadraticCurveTo' | 'bezierCurveTo' | 'closePath';
    readonly args: readonly number[];
  }
  export interface Glyph {
    readonly id: number;
    readonly path: { readonly commands: readonly PathCommand[] };
    readonly codePoints: readonly number[];
  }
  export interface GlyphRun {
    readonly glyphs: readonly Glyph[];
    readonly positions: readonly { readonly xAdvance: number; readonly xOffset: number; readonly yOffset: number }[];
    readonly advanceWidth: number;
  }
  export interface Font {
    readonly unitsPerEm: number;
    readonly capHeight: number;
    readonly familyName: string;
    layout(text: string): GlyphRun;
    hasGlyphForCodePoint(codePoint: number): boolean;
  }
  export function create(bytes: Uint8Array): Font;
}
