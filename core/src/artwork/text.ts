import { flattenPath } from '../plane/flatten.ts';
import { mapPath } from '../plane/path.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { FontFace } from './font.ts';

/** Room between the baselines of two lines, as a share of the cap height. */
const LINE_PITCH = 1.75;

/** Text as outlines, in its own plane: x along the line, y up, mm. */
export interface TextOutlines {
  /** Rings of each glyph, baseline of the first line at y = 0; a glyph's rings belong together (non-zero fill). */
  readonly glyphs: readonly (readonly Ring[])[];
  /** Letters that the font does not have. */
  readonly missing: readonly string[];
}

/**
 * Turns text into outlines with kerning.
 *
 * @param text one or more lines, separated by line breaks; lines are centred on each other
 * @param face the font
 * @param capHeight height of a flat capital, mm, > 0
 * @param letterGap extra room between letters, mm
 * @returns outlines in mm, centred on x = 0 by their advance widths
 */
export function textOutlines(text: string, face: FontFace, capHeight: number, letterGap = 0): TextOutlines {
  const scale = capHeight / face.capHeight;
  const glyphs: Ring[][] = [];
  const missing = new Set<string>();
  text.split(/\r?\n/).forEach((line, row) => {
    const run = face.layout(line);
    run.missing.forEach((letter) => missing.add(letter));
    const gaps = Math.max(0, run.glyphs.length - 1);
    const left = -(run.width * scale + gaps * letterGap) / 2;
    run.glyphs.forEach((glyph, index) => {
      const dx = left + glyph.at * scale + index * letterGap;
      const dy = -row * LINE_PITCH * capHeight;
      const rings = glyph.outlines
        .map((outline) => flattenPath(mapPath(outline, (p) => ({ x: p.x * scale + dx, y: p.y * scale + dy }), scale)))
        .filter((ring) => ring.length >= 6);
      if (rings.length > 0) glyphs.push(rings);
    });
  });
  return { glyphs, missing: [...missing] };
}
