import { flattenPath } from '../plane/flatten.ts';
import { mapPath } from '../plane/path.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { SetLetter } from '../model/item.ts';
import { boxOfRings } from '../plane/box.ts';
import type { FontFace } from './font.ts';

/** How lines of text are set; what is left out is as text is first set. */
export interface TextSetting {
  /** Extra room between letters, mm. */
  readonly letterGap?: number;
  readonly align?: 'left' | 'middle' | 'right';
  /** From baseline to baseline, in heights of a capital. */
  readonly linePitch?: number;
  /** Extra room after single letters, mm. */
  readonly pairGaps?: readonly { readonly after: number; readonly mm: number }[];
  /** Single letters turned, raised or sized. */
  readonly letters?: readonly SetLetter[];
}

/** Text as outlines, in its own plane: x along the line, y up, mm. */
export interface TextOutlines {
  /** Rings of each glyph, baseline of the first line at y = 0; a glyph's rings belong together (non-zero fill). */
  readonly glyphs: readonly (readonly Ring[])[];
  /** Whether each glyph is film as it stands, with nothing in it overlapping. */
  readonly clean: boolean;
  /** The last letter of each glyph among all letters of the words, line breaks counted; glyph by glyph. */
  readonly lastLetters: readonly number[];
  /** Letters that the font does not have. */
  readonly missing: readonly string[];
}

/**
 * Turns text into outlines with kerning.
 *
 * @param text one or more lines, separated by line breaks; lines are centred on each other
 * @param face the font
 * @param capHeight height of a flat capital, mm, > 0
 * @param setting gaps, alignment and pitch of the lines
 * @returns outlines in mm; x = 0 is the middle of the lines, or their left or right ends, by their advance widths
 */
export function textOutlines(
  text: string,
  face: FontFace,
  capHeight: number,
  { letterGap = 0, align = 'middle', linePitch = 1.75, pairGaps = [], letters = [] }: TextSetting = {},
): TextOutlines {
  const scale = capHeight / face.capHeight;
  const glyphs: Ring[][] = [];
  const lastLetters: number[] = [];
  const missing = new Set<string>();
  let before = 0;
  let clean = true;
  text.split(/\r?\n/).forEach((line, row) => {
    const run = face.layout(line);
    run.missing.forEach((letter) => missing.add(letter));
    // Where each glyph begins among the letters of the words, for the gaps of single pairs.
    let letter = before;
    let pushed = 0;
    const lasts: number[] = [];
    const set = new Map<number, SetLetter>();
    const shifts = run.glyphs.map((glyph, index) => {
      const shift = pushed + index * letterGap;
      const first = letter;
      letter += [...glyph.text].length;
      lasts.push(letter - 1);
      // A glyph of several letters is set as the first of them that is.
      const own = letters.find(({ at }) => at >= first && at < letter);
      if (own) {
        set.set(index, own);
        const end = run.glyphs[index + 1]?.at ?? run.width;
        pushed += (own.size - 1) * (end - glyph.at) * scale;
      }
      pushed += pairGaps.reduce((sum, gap) => (gap.after === letter - 1 ? sum + gap.mm : sum), 0);
      return shift;
    });
    const width = run.width * scale + (shifts.at(-1) ?? 0) + lastGrowth(run, set.get(run.glyphs.length - 1)) * scale;
    const left = align === 'left' ? 0 : align === 'right' ? -width : -width / 2;
    run.glyphs.forEach((glyph, index) => {
      const dx = left + glyph.at * scale + shifts[index]!;
      const dy = -row * linePitch * capHeight;
      const own = set.get(index);
      const size = scale * (own?.size ?? 1);
      // Grown from where it begins on the line, then turned about its own middle and raised.
      const at = { x: dx + glyph.at * (scale - size), y: dy + (own?.raise ?? 0) * capHeight };
      const upright = glyph.outlines
        .map((outline) => flattenPath(mapPath(outline, (p) => ({ x: p.x * size + at.x, y: p.y * size + at.y }), size)))
        .filter((ring) => ring.length >= 6);
      const rings = own && own.turnDeg !== 0 ? turnedAboutMiddle(upright, own.turnDeg) : upright;
      clean &&= glyph.clean;
      if (rings.length > 0) {
        glyphs.push(rings);
        lastLetters.push(lasts[index]!);
      }
    });
    before += [...line].length + 1;
  });
  return { glyphs, clean, lastLetters, missing: [...missing] };
}

/** By how much a line is longer than where its last glyph begins would have it, in units of the font. */
function lastGrowth(run: ReturnType<FontFace['layout']>, own: SetLetter | undefined): number {
  const last = run.glyphs.at(-1);
  return own && last ? (own.size - 1) * (run.width - last.at) : 0;
}

function turnedAboutMiddle(rings: readonly Ring[], degrees: number): Ring[] {
  const box = boxOfRings(rings);
  const [x, y] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return rings.map((ring) =>
    ring.map((v, i) =>
      i % 2 ? y + sin * (ring[i - 1]! - x) + cos * (v - y) : x + cos * (v - x) - sin * (ring[i + 1]! - y),
    ),
  );
}
