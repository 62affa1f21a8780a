import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { readFont, type FontBook } from '@mivet/core';

const require = createRequire(import.meta.url);

/** Bytes of a font file that ships with Mivet. */
export const fontFile = (name: string): Uint8Array =>
  new Uint8Array(readFileSync(require.resolve(`@fontsource/${name}`)));

const subsets = (family: string, weight: number): Uint8Array[] =>
  ['latin', 'latin-ext'].map((subset) => fontFile(`${family}/files/${family}-${subset}-${weight}-normal.woff`));

/** Loads the shipped fonts. */
export function loadFonts(): FontBook {
  return {
    condensed: readFont(subsets('barlow-condensed', 600)),
    slab: readFont(subsets('zilla-slab', 600)),
    script: readFont(subsets('pacifico', 400)),
  };
}

/** Fonts that papers are set in. */
export function paperFonts(): { font: Uint8Array; boldFont: Uint8Array } {
  const family = 'atkinson-hyperlegible-next';
  return {
    font: fontFile(`${family}/files/${family}-latin-400-normal.woff`),
    boldFont: fontFile(`${family}/files/${family}-latin-700-normal.woff`),
  };
}
