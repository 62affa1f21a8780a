import * as fontkit from 'fontkit';
import type { FontFace, PlacedGlyph } from '../../artwork/font.ts';
import { boxOfCoordinates } from '../../plane/box.ts';
import { flattenPath } from '../../plane/flatten.ts';
import type { Path, Segment } from '../../plane/path.ts';
import { reversePath } from '../../plane/path.ts';
import type { Point } from '../../plane/point.ts';
import { fontFileProblem, unpackedFont } from './container.ts';
import { unionRings } from '../../polygon/boolean.ts';
import { ringArea, ringsOf } from '../../polygon/polygon.ts';

/** A font file that is no font, or one that Mivet cannot use. */
export class FontProblem extends Error {}

/** Height of a capital as a share of the em, where neither an H nor a table tells. */
const USUAL_CAP = 0.7;

/**
 * Makes a face from the bytes of one or more font files of the same family (script subsets); a letter is taken from
 * the first file that has it.
 *
 * @param files TTF, OTF or WOFF bytes, at least one
 * @returns a face whose units are those of the first file
 * @throws FontProblem when a file cannot be read
 */
export function readFont(files: readonly Uint8Array[]): FontFace {
  if (files.length === 0) throw new FontProblem('No font file was given.');
  for (const bytes of files) {
    const why = fontFileProblem(bytes);
    if (why !== null) throw new FontProblem(`This file is not a font that can be read: ${why}.`);
  }
  try {
    return faceOfFonts(files.map((bytes) => fontkit.create(unpackedFont(bytes))));
  } catch (cause) {
    // Tables are read when they are first asked for: whatever is damaged shows while the face is being made.
    if (cause instanceof FontProblem) throw cause;
    throw new FontProblem('This file is not a font that can be read.', { cause });
  }
}

function faceOfFonts(fonts: readonly fontkit.Font[]): FontFace {
  const main = fonts[0]!;
  // A collection of fonts has no letters itself; a damaged head has no scale.
  if (typeof main.layout !== 'function' || !(main.unitsPerEm > 0))
    throw new FontProblem('This file is not a single font that can be read.');
  const outlinesOf = new Map<string, Drawn>();

  function layout(line: string): ReturnType<FontFace['layout']> {
    const glyphs: PlacedGlyph[] = [];
    const missing: string[] = [];
    let at = 0;
    for (const run of splitByFont(line)) {
      if (run.font < 0) {
        missing.push(...run.text);
        continue;
      }
      const font = fonts[run.font]!;
      const scale = main.unitsPerEm / font.unitsPerEm;
      try {
        const laid = laidOut(font, run, scale, at);
        glyphs.push(...laid.glyphs);
        at = laid.end;
      } catch {
        // A damaged table: its letters are as good as not there.
        missing.push(...run.text);
      }
    }
    return { glyphs, width: at, missing };
  }

  /** One run of letters from one file; throws when the file is damaged there. */
  function laidOut(font: fontkit.Font, run: { text: string; font: number }, scale: number, from: number) {
    const { glyphs, positions } = font.layout(run.text);
    let at = from;
    const placed = glyphs.map((glyph, i): PlacedGlyph => {
      const position = positions[i]!;
      const key = `${run.font}:${glyph.id}:${position.yOffset}`;
      let outlines = outlinesOf.get(key);
      if (!outlines) {
        outlines = asFilm(readOutlines(glyph.path.commands, scale, position.yOffset * scale));
        outlinesOf.set(key, outlines);
      }
      const advance = position.xAdvance * scale;
      const origin = at + position.xOffset * scale;
      if (!Number.isFinite(advance) || !Number.isFinite(origin)) throw new FontProblem('A letter has no width.');
      at += advance;
      return { ...outlines, at: origin, advance, text: String.fromCodePoint(...glyph.codePoints) };
    });
    return { glyphs: placed, end: at };
  }

  /** Neighbouring letters that come from the same file; file -1 for letters that none has. */
  function splitByFont(line: string): { text: string; font: number }[] {
    const runs: { text: string; font: number }[] = [];
    for (const letter of line.normalize('NFC')) {
      const last = runs.at(-1);
      const font =
        last && last.font >= 0 && /\s/.test(letter)
          ? last.font
          : fonts.findIndex((f) => f.hasGlyphForCodePoint(letter.codePointAt(0)!));
      if (last && last.font === font) last.text += letter;
      else runs.push({ text: letter, font });
    }
    return runs;
  }

  return {
    name: typeof main.familyName === 'string' ? main.familyName.slice(0, 80) : '',
    unitsPerEm: main.unitsPerEm,
    capHeight: measuredCap(layout) ?? (main.capHeight > 0 ? main.capHeight : USUAL_CAP * main.unitsPerEm),
    joined: lettersTouch(layout),
    layout,
  };
}

/** Height of the H as drawn; tables often disagree with the drawing, and a cap height on screen must be a cap height on film. */
function measuredCap(layout: FontFace['layout']): number | null {
  const outlines = layout('H').glyphs[0]?.outlines ?? [];
  const height = Math.max(...outlines.map((o) => boxOfCoordinates(flattenPath(o, 1)).maxY));
  return Number.isFinite(height) && height > 0 ? height : null;
}

/** Whether two small letters, side by side, become one piece. */
function lettersTouch(layout: FontFace['layout']): boolean {
  const rings = layout('nu').glyphs.flatMap(({ outlines, at }) =>
    outlines.map((path) => flattenPath(path, 2).map((value, i) => (i % 2 ? value : value + at))),
  );
  return rings.length > 1 && unionRings(rings).length === 1;
}

type Drawn = Pick<PlacedGlyph, 'outlines' | 'clean'>;

/** Turns outlines so that film is to their left, where nothing in them overlaps; the others are left as they were drawn. */
function asFilm(outlines: readonly Path[]): Drawn {
  const rings = outlines.map((path) => flattenPath(path, 2));
  const drawn = rings.reduce((sum, ring) => sum + ringArea(ring), 0);
  const film = unionRings(rings).flatMap(ringsOf);
  const covered = film.reduce((sum, ring) => sum + ringArea(ring), 0);
  const clean = film.length === rings.length && Math.abs(Math.abs(drawn) - covered) <= 1e-4 * covered;
  return { clean, outlines: clean && drawn < 0 ? outlines.map(reversePath) : outlines };
}

function readOutlines(
  commands: readonly { command: string; args: readonly number[] }[],
  scale: number,
  lift: number,
): Path[] {
  const paths: Path[] = [];
  let start: Point | null = null;
  let from: Point = { x: 0, y: 0 };
  let segments: Segment[] = [];
  const finish = (): void => {
    if (start && segments.length > 1) paths.push({ start, segments, closed: true });
    start = null;
    segments = [];
  };
  for (const { command, args } of commands) {
    if (!args.every(Number.isFinite)) throw new FontProblem('An outline is damaged.');
    const p = (i: number): Point => ({ x: args[2 * i]! * scale, y: args[2 * i + 1]! * scale + lift });
    if (command === 'moveTo') {
      finish();
      start = from = p(0);
    } else if (command === 'lineTo') {
      segments.push({ kind: 'line', to: p(0) });
      from = p(0);
    } else if (command === 'quadraticCurveTo') {
      const c = p(0);
      const to = p(1);
      const third = (a: Point): Point => ({ x: a.x + (2 / 3) * (c.x - a.x), y: a.y + (2 / 3) * (c.y - a.y) });
      segments.push({ kind: 'cubic', c1: third(from), c2: third(to), to });
      from = to;
    } else if (command === 'bezierCurveTo') {
      segments.push({ kind: 'cubic', c1: p(0), c2: p(1), to: p(2) });
      from = p(2);
    } else finish();
  }
  finish();
  return paths;
}
