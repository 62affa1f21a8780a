import { textOutlines } from '../../artwork/text.ts';
import type { Box } from '../../plane/box.ts';
import { boxOfRings, isEmptyBox } from '../../plane/box.ts';
import type { Ring } from '../../polygon/polygon.ts';
import { FontProblem, readFont } from './read.ts';

/** What a font has to show before it is kept. */
export interface FontShown {
  /** What the file calls itself. */
  readonly name: string;
  readonly joined: boolean;
  /** Letters and figures that names are written with and that it lacks. */
  readonly lacks: readonly string[];
  /** A few words in it, mm, and the box round them. */
  readonly rings: readonly Ring[];
  readonly box: Box;
}

const EVERYDAY = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789';
const SHOWN = 'Heron 27';

/**
 * Reads a font file and sets a few words in it.
 *
 * @param bytes TTF, OTF or WOFF
 * @throws FontProblem when it cannot be read, or none of the words can be set in it
 */
export function fontSample(bytes: Uint8Array): FontShown {
  const face = readFont([bytes]);
  const lacks = face.layout(EVERYDAY).missing;
  const rings = textOutlines(SHOWN, face, 10).glyphs.flat();
  const box = boxOfRings(rings);
  if (isEmptyBox(box)) throw new FontProblem('This font has no letters that can be cut as outlines.');
  return { name: face.name, joined: face.joined, lacks, rings, box };
}
