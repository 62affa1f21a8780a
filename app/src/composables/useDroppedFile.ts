import { describeReadProblem, readDocument } from '@mivet/core';
import { useEventListener } from '@vueuse/core';
import { ref, type Ref } from 'vue';
import { useIncoming } from '../stores/incoming.ts';
import { useLibrary } from '../stores/library.ts';
import { useSettings } from '../stores/settings.ts';

/** Bytes. Nothing that Mivet takes is larger. */
const LARGEST = 60_000_000;

/** Takes in a Mivet file: says what it was and where it went. */
export async function takeIn(file: File): Promise<string> {
  const library = useLibrary();
  if (file.size > LARGEST) return `${file.name} is too large to be a Mivet file. Nothing was changed.`;
  if (/\.(png|jpe?g|webp)$/i.test(file.name) || /^image\/(png|jpeg|webp)$/.test(file.type))
    return useIncoming().bringInPicture(file, file.name);
  const text = await file.text();
  if (/\.(svg|dxf)$/i.test(file.name) || file.type === 'image/svg+xml') return useIncoming().bringIn(file.name, text);
  if (/\.csv$/i.test(file.name)) return takeInTable(file.name, text);
  const result = readDocument(text);
  if (!result.ok) return `${file.name}: ${describeReadProblem(result.problem)} Nothing was changed.`;
  const { document } = result;
  if (document.format === 'mivet-backup') {
    await library.bringIn(document.projects, document.shelf);
    return `Backup of ${document.writtenAt.slice(0, 10)}: ${count(document.projects.length, 'project')} and ${count(document.shelf.length, 'blank')} are back. Others were left as they were.`;
  }
  if (document.format === 'mivet-blank') {
    await library.keepShelf([document]);
    return `“${document.blank.name}” is on the shelf.`;
  }
  // A project that is here already comes in beside it, never over it.
  const here = library.projects.some((p) => p.id === document.id);
  const project = here ? { ...document, id: crypto.randomUUID(), name: `${document.name} (from file)` } : document;
  await library.addProject(project);
  return `“${project.name}” is among your projects.`;
}

/** Most lines of a table that are spoken of one by one. */
const MOST_SAID = 4;

async function takeInTable(name: string, text: string): Promise<string> {
  const { readBlanksCsv } = await import('@mivet/core/tables');
  const { shelf, leftOut } = readBlanksCsv(
    text,
    useSettings().unit,
    () => crypto.randomUUID(),
    new Date().toISOString(),
  );
  if (shelf.length > 0) await useLibrary().keepShelf(shelf);
  const said = leftOut.slice(0, MOST_SAID).map(({ line, why }) => `Line ${line}: ${why}`);
  const more = leftOut.length > MOST_SAID ? [`${leftOut.length - MOST_SAID} more lines were left out.`] : [];
  const taken =
    shelf.length > 0 ? `${name}: ${count(shelf.length, 'blank')} on the shelf.` : `${name}: nothing was taken in.`;
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
