import condensed from '@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff?url';
import condensedExt from '@fontsource/barlow-condensed/files/barlow-condensed-latin-ext-600-normal.woff?url';
import plain from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import script from '@fontsource/pacifico/files/pacifico-latin-400-normal.woff?url';
import scriptExt from '@fontsource/pacifico/files/pacifico-latin-ext-400-normal.woff?url';
import slab from '@fontsource/zilla-slab/files/zilla-slab-latin-600-normal.woff?url';
import slabExt from '@fontsource/zilla-slab/files/zilla-slab-latin-ext-600-normal.woff?url';
import type { ArtworkItem, FontBook, FontFace } from '@mivet/core';
import { FONT_CHOICES, FontProblem, fontSample as sampleOf, readFont, ringsData } from '@mivet/core';
import { bytesOfBase64 } from '../data/base64.ts';
import { readKept } from '../data/database.ts';
import type { FontSample } from './protocol.ts';

async function bytesOf(url: string): Promise<Uint8Array> {
  const response = await fetch(url);
  if (!response.ok)
    throw new Error('A font that ships with Mivet could not be loaded. Reload the page; your work is saved.');
  return new Uint8Array(await response.arrayBuffer());
}

let book: Promise<FontBook> | null = null;

/** The shipped fonts, loaded once. */
export function loadFonts(): Promise<FontBook> {
  book ??= Promise.all(
    [
      [condensed, condensedExt],
      [slab, slabExt],
      [script, scriptExt],
    ].map(async (urls) => readFont(await Promise.all(urls.map(bytesOf)))),
  ).then(([c, s, j]) => ({ condensed: c!, slab: s!, script: j! }));
  // A failed load is forgotten, so that the next call tries again.
  book.catch(() => (book = null));
  return book;
}

const SHIPPED = new Set<string>(FONT_CHOICES.map(({ id }) => id));
const own = new Map<string, FontFace>();

/** The shipped fonts, and those of the person's own that items are set in, as far as they are kept here. */
export async function fontsOf(items: readonly ArtworkItem[]): Promise<FontBook> {
  const shipped = await loadFonts();
  const wanted = new Set(items.flatMap((item) => (item.type === 'text' && !SHIPPED.has(item.font) ? [item.font] : [])));
  if (wanted.size === 0) return shipped;
  for (const id of wanted) {
    if (own.has(id)) continue;
    // What cannot be had is judged as missing, where it is seen.
    const kept = await readKept('fonts', id).catch(() => null);
    try {
      if (kept) own.set(id, readFont([bytesOfBase64(kept.data)]));
    } catch (problem) {
      if (!(problem instanceof FontProblem)) throw problem;
    }
  }
  return { ...Object.fromEntries([...own].filter(([id]) => wanted.has(id))), ...shipped };
}

/** What a font file has to show. */
export function fontSample(bytes: Uint8Array): FontSample {
  const { rings, ...sample } = sampleOf(bytes);
  return { ...sample, data: ringsData(rings) };
}

/** Fonts that papers are set in. */
export async function paperFonts(): Promise<{ font: Uint8Array; boldFont: Uint8Array }> {
  const [font, boldFont] = await Promise.all([bytesOf(plain), bytesOf(bold)]);
  return { font, boldFont };
}
