import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { FontBook, FontFace, Project } from '@mivet/core';
import { FontProblem, readFont } from '@mivet/core/fonts';

const require = createRequire(import.meta.url);

/** Bytes of a font file that ships with Mivet. */
export const fontFile = (name: string): Uint8Array =>
  new Uint8Array(readFileSync(require.resolve(`@fontsource/${name}`)));

const subsets = (family: string, weight: number): Uint8Array[] =>
  ['latin', 'latin-ext'].map((subset) => fontFile(`${family}/files/${family}-${subset}-${weight}-normal.woff`));

/** Loads the shipped fonts and those that a project's file carries. */
export function loadFonts({ carried }: Pick<Project, 'carried'>): FontBook {
  const own = (carried?.fonts ?? []).flatMap(({ id, data }): [string, FontFace][] => {
    try {
      return [[id, readFont([new Uint8Array(Buffer.from(data, 'base64'))])]];
    } catch (problem) {
      // What cannot be read is found missing, which is then said.
      if (problem instanceof FontProblem) return [];
      throw problem;
    }
  });
  return {
    ...Object.fromEntries(own),
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
