import condensed from '@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff?url';
import condensedExt from '@fontsource/barlow-condensed/files/barlow-condensed-latin-ext-600-normal.woff?url';
import plain from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import script from '@fontsource/pacifico/files/pacifico-latin-400-normal.woff?url';
import scriptExt from '@fontsource/pacifico/files/pacifico-latin-ext-400-normal.woff?url';
import slab from '@fontsource/zilla-slab/files/zilla-slab-latin-600-normal.woff?url';
import slabExt from '@fontsource/zilla-slab/files/zilla-slab-latin-ext-600-normal.woff?url';
import { readFont, type FontBook } from '@mivet/core';

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

/** Fonts that papers are set in. */
export async function paperFonts(): Promise<{ font: Uint8Array; boldFont: Uint8Array }> {
  const [font, boldFont] = await Promise.all([bytesOf(plain), bytesOf(bold)]);
  return { font, boldFont };
}
