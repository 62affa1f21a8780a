import condensed from '@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff?url';
import condensedExt from '@fontsource/barlow-condensed/files/barlow-condensed-latin-ext-600-normal.woff?url';
import plain from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import script from '@fontsource/pacifico/files/pacifico-latin-400-normal.woff?url';
import scriptExt from '@fontsource/pacifico/files/pacifico-latin-ext-400-normal.woff?url';
import slab from '@fontsource/zilla-slab/files/zilla-slab-latin-600-normal.woff?url';
import slabExt from '@fontsource/zilla-slab/files/zilla-slab-latin-ext-600-normal.woff?url';
import type { ArtworkItem, FontBook, FontFace } from '@mivet/core';
import { FONT_CHOICES, ringsData } from '@mivet/core';
import { bytesOfBase64 } from '../data/base64.ts';
import type { FontSample, LentFont } from './protocol.ts';

async function bytesOf(url: string): Promise<Uint8Array> {
  const response = await fetch(url);
  if (!response.ok)
    throw new Error('A font that ships with Mivet could not be loaded. Reload the page; your work is saved.');
  return new Uint8Array(await response.arrayBuffer());
}

/** Reads fonts; loaded when words are first set. */
const reader = (): Promise<typeof import('@mivet/core/fonts')> => import('@mivet/core/fonts');

let book: Promise<FontBook> | null = null;

/** The shipped fonts, loaded once; each is read when words are first set in it. */
export function loadFonts(): Promise<FontBook> {
  book ??= Promise.all([
    reader(),
    ...[
      [condensed, condensedExt],
      [slab, slabExt],
      [script, scriptExt],
    ].map((urls) => Promise.all(urls.map(bytesOf))),
  ] as const).then(([{ readFont }, ...files]) => {
    const read = new Map<number, FontFace>();
    const face = (n: number): FontFace => {
      const have = read.get(n) ?? readFont(files[n]!);
      read.set(n, have);
      return have;
    };
    return {
      get condensed() {
        return face(0);
      },
      get slab() {
        return face(1);
      },
      get script() {
        return face(2);
      },
    };
  });
  // A failed load is forgotten, so that the next call tries again.
  book.catch(() => (book = null));
  return book;
}

const SHIPPED = new Set<string>(FONT_CHOICES.map(({ id }) => id));
const own = new Map<string, FontFace>();
/** Fonts that the database does not keep, in base64, by their ids. */
const lent = new Map<string, string>();

/** Takes fonts that are not kept, for as long as this thread lives. */
export function borrowFonts(fonts: readonly LentFont[]): void {
  for (const { id, data } of fonts) lent.set(id, data);
}

/** The shipped fonts, and those of the person's own that items are set in, as far as they are kept here. */
export async function fontsOf(items: readonly ArtworkItem[]): Promise<FontBook> {
  const shipped = await loadFonts();
  const wanted = new Set(items.flatMap((item) => (item.type === 'text' && !SHIPPED.has(item.font) ? [item.font] : [])));
  if (wanted.size === 0) return shipped;
  const [{ FontProblem, readFont }, { readKept }] = await Promise.all([reader(), import('../data/database.ts')]);
  for (const id of wanted) {
    if (own.has(id)) continue;
    // What cannot be had is judged as missing, where it is seen.
    const data = lent.get(id) ?? (await readKept('fonts', id).catch(() => null))?.data;
    try {
      if (data) own.set(id, readFont([bytesOfBase64(data)]));
    } catch (problem) {
      if (!(problem instanceof FontProblem)) throw problem;
    }
  }
  const brought = Object.fromEntries([...own].filter(([id]) => wanted.has(id)));
  // With what reads the shipped ones, and without reading them.
  return Object.defineProperties(brought, Object.getOwnPropertyDescriptors(shipped)) as unknown as FontBook;
}

/** What a font file has to show. */
export async function fontSample(bytes: Uint8Array): Promise<FontSample> {
  const { rings, ...sample } = (await reader()).fontSample(bytes);
  return { ...sample, data: ringsData(rings) };
}

/** Fonts that papers are set in. */
export async function paperFonts(): Promise<{ font: Uint8Array; boldFont: Uint8Array }> {
  const [font, boldFont] = await Promise.all([bytesOf(plain), bytesOf(bold)]);
  return { font, boldFont };
}
