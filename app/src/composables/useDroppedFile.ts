import { describeReadProblem, readDocument, STARTING_FILMS, type OwnFont, type Project } from '@mivet/core';
import { useEventListener } from '@vueuse/core';
import { ref, type Ref } from 'vue';
import { bytesOfBase64 } from '../data/base64.ts';
import { LONGEST_MS, useIncoming } from '../stores/incoming.ts';
import { useLibrary } from '../stores/library.ts';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';
import { askCore } from '../workers/core-client.ts';

/** Bytes. Nothing that Mivet takes is larger. */
const LARGEST = 60_000_000;

const FONT_FILE = /\.(ttf|otf|woff2?)$/i;

/** Takes in a Mivet file: says what it was and where it went. */
export async function takeIn(file: File): Promise<string> {
  const library = useLibrary();
  if (file.size > LARGEST) return `${file.name} is too large to be a Mivet file. Nothing was changed.`;
  if (/\.(png|jpe?g|webp)$/i.test(file.name) || /^image\/(png|jpeg|webp)$/.test(file.type))
    return useIncoming().bringInPicture(file, file.name);
  if (FONT_FILE.test(file.name)) return useIncoming().bringInFont(file);
  const text = await file.text();
  if (/\.(svg|dxf)$/i.test(file.name) || file.type === 'image/svg+xml') return useIncoming().bringIn(file.name, text);
  if (/\.csv$/i.test(file.name)) return takeInTable(file.name, text);
  const result = readDocument(text);
  if (!result.ok) return `${file.name}: ${describeReadProblem(result.problem)} Nothing was changed.`;
  const { document } = result;
  if (document.format === 'mivet-backup') {
    const { projects, shelf, motifs, stock } = document;
    const fonts = await soundFonts(document.fonts);
    // Limits that were changed since stay as they are; those that were not are as they were in the backup.
    const settings = useSettings();
    settings.limits = { ...document.limits, ...settings.limits };
    await library.bringIn(await Promise.all(projects.map(withSoundFonts)), { shelf, fonts, motifs, stock });
    const back = [
      count(projects.length, 'project'),
      count(shelf.length, 'blank'),
      ...(fonts.length > 0 ? [count(fonts.length, 'font')] : []),
      ...(motifs.length > 0 ? [count(motifs.length, 'motif')] : []),
      ...(stock.length > 0 ? [count(stock.length, 'thing') + ' in stock'] : []),
    ];
    const lost = document.fonts.length - fonts.length;
    const words = `Backup of ${document.writtenAt.slice(0, 10)}: ${listed.format(back)} are back. Others were left as they were.`;
    return lost > 0 ? `${words} ${count(lost, 'font')} could not be read and was left out.` : words;
  }
  if (document.format === 'mivet-blank') {
    await library.keepShelf([document]);
    return `“${document.blank.name}” is on the shelf.`;
  }
  if (document.format === 'mivet-stock') {
    await useStock().keep([document.thing]);
    return 'It is in your stock.';
  }
  if (document.format === 'mivet-motif') {
    await library.keepMotif(document);
    return `“${document.name}” is among your motifs.`;
  }
  if (document.format === 'mivet-font') {
    if ((await soundFonts([document])).length === 0)
      return `${file.name}: the font in it cannot be read. Nothing was changed.`;
    await library.keepFonts([document]);
    return `The font “${document.name}” is kept.`;
  }
  // A project that is here already comes in beside it, never over it.
  const here = library.projects.some((p) => p.id === document.id);
  const project = here ? { ...document, id: crypto.randomUUID(), name: `${document.name} (from file)` } : document;
  await library.addProject(await withSoundFonts(project));
  return `“${project.name}” is among your projects.`;
}

const listed = new Intl.ListFormat('en-GB');

/** Those fonts that can be read in good time; a damaged one could hold up every project that is set in it. */
async function soundFonts(fonts: readonly OwnFont[]): Promise<OwnFont[]> {
  const sound: OwnFont[] = [];
  for (const font of fonts)
    await askCore('font', { bytes: bytesOfBase64(font.data) }, { limitMs: LONGEST_MS }).then(
      () => sound.push(font),
      () => undefined,
    );
  return sound;
}

async function withSoundFonts(project: Project): Promise<Project> {
  return project.carried
    ? { ...project, carried: { ...project.carried, fonts: await soundFonts(project.carried.fonts) } }
    : project;
}

/** Most lines of a table that are spoken of one by one. */
const MOST_SAID = 4;

async function takeInTable(name: string, text: string): Promise<string> {
  const { isStockCsv, readBlanksCsv, readStockCsv } = await import('@mivet/core/tables');
  if (isStockCsv(text)) {
    const stock = useStock();
    await stock.load();
    const films = [...STARTING_FILMS, ...stock.supply.films.map(({ film }) => film)];
    const read = readStockCsv(text, useSettings().unit, () => crypto.randomUUID(), films);
    if (read.things.length > 0) await stock.keep(read.things);
    return takenWords(name, read.things.length, 'thing', 'in stock', read.leftOut);
  }
  const { shelf, leftOut } = readBlanksCsv(
    text,
    useSettings().unit,
    () => crypto.randomUUID(),
    new Date().toISOString(),
  );
  if (shelf.length > 0) await useLibrary().keepShelf(shelf);
  return takenWords(name, shelf.length, 'blank', 'on the shelf', leftOut);
}

function takenWords(
  name: string,
  many: number,
  what: string,
  where: string,
  leftOut: readonly { readonly line: number; readonly why: string }[],
): string {
  const said = leftOut.slice(0, MOST_SAID).map(({ line, why }) => `Line ${line}: ${why}`);
  const more = leftOut.length > MOST_SAID ? [`${leftOut.length - MOST_SAID} more lines were left out.`] : [];
  const taken = many > 0 ? `${name}: ${count(many, what)} ${where}.` : `${name}: nothing was taken in.`;
  return [taken, ...said, ...more].join(' ');
}

const count = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;

/** Lets files be dropped anywhere on the page. */
export function useDroppedFile(): { message: Ref<string | null>; dismiss: () => void } {
  const message = ref<string | null>(null);
  useEventListener('dragover', (event: DragEvent) => {
    if (event.dataTransfer?.types.includes('Files')) event.preventDefault();
  });
  useEventListener('drop', async (event: DragEvent) => {
    const file = event.dataTransfer?.files[0];
    if (!file) return;
    event.preventDefault();
    message.value = await takeIn(file).catch(() => `${file.name} could not be read. Nothing was changed.`);
  });
  return { message, dismiss: () => (message.value = null) };
}
