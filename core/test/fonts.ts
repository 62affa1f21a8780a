import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { FontFace, ShippedFontId } from '../src/artwork/font.ts';
import { readFont } from '../src/io/font/read.ts';

/** Bytes of a shipped font file. */
export const fontFile = (name: string): Uint8Array =>
  readFileSync(fileURLToPath(import.meta.resolve(`@fontsource/${name}`)));

/** The shipped fonts, as the app and the command line load them. */
export const testFonts: Readonly<Record<ShippedFontId, FontFace>> = {
  condensed: readFont([fontFile('barlow-condensed/files/barlow-condensed-latin-600-normal.woff')]),
  slab: readFont([fontFile('zilla-slab/files/zilla-slab-latin-600-normal.woff')]),
  script: readFont([fontFile('pacifico/files/pacifico-latin-400-normal.woff')]),
};
