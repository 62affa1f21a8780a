import {
  chosenOf,
  describeReadProblem,
  isResults,
  mergeRuns,
  readResults,
  readDocument,
  STARTING_FILMS,
  type Backup,
  type OwnFont,
  type Project,
  type Unreadable,
} from '@mivet/core';
import { describeBackup } from '../stores/backup.ts';
import { bytesOfBase64 } from '../data/base64.ts';
import { bytesOfDataUrl } from '../data/data-url.ts';
import { compareWithBackup, writePhoto } from '../data/records.ts';
import { textOf } from '../data/file-text.ts';
import { LONGEST_MS, useIncoming } from '../stores/incoming.ts';
import { useLogbook } from '../stores/logbook.ts';
import { useLibrary } from '../stores/library.ts';
import { useProject } from '../stores/project.ts';
import { useRestoring } from '../stores/restoring.ts';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';
import { useTold } from '../stores/told.ts';
import { askCore } from '../workers/core-client.ts';

/** Bytes. Nothing that Mivet takes is larger. */
const LARGEST = 1_500_000_000;

const FONT_FILE = /\.(ttf|otf|woff2?)$/i;

/** Takes in a Mivet file: says what it was and where it went. */
export async function takeIn(file: File): Promise<string> {
  const library = useLibrary();
  if (file.size > LARGEST) return `${file.name} is too large to be a Mivet file. Nothing was changed.`;
  if (/\.(png|jpe?g|webp)$/i.test(file.name) || /^image\/(png|jpeg|webp)$/.test(file.type))
    return useIncoming().bringInImage(file, file.name);
  if (FONT_FILE.test(file.name)) return useIncoming().bringInFont(file);
  if (await isBackup(file)) return takeInBackup(file);
  const text = await textOf(file);
  if (/\.(svg|dxf)$/i.test(file.name) || file.type === 'image/svg+xml') return useIncoming().bringIn(file.name, text);
  if (/\.csv$/i.test(file.name)) return takeInTable(file.name, text);
  const results = resultsIn(text);
  if (results !== null) return takeInResults(file.name, results);
  const result = readDocument(text);
  if (!result.ok) return `${file.name}: ${describeReadProblem(result.problem)} Nothing was changed.`;
  const { document } = result;
  const kept = (whether: boolean, words: string): string => (whether ? words : notTakenIn(file.name));
  // A backup is known by its beginning; one that is not is a file that somebody rearranged.
  if (document.format === 'mivet-backup') return takeInBackup(file);
  if (document.format === 'mivet-blank') {
    return kept(await library.keepShelf([document]), `“${document.blank.name}” is on the shelf.`);
  }
  if (document.format === 'mivet-stock') {
    return kept(await useStock().keep([document.thing]), 'It is in your stock.');
  }
  if (document.format === 'mivet-entry') {
    return kept(await useLogbook().keep([document]), `“${document.title}” is in your logbook.`);
  }
  if (document.format === 'mivet-motif') {
    return kept(await library.keepMotif(document), `“${document.name}” is among your motifs.`);
  }
  if (document.format === 'mivet-font') {
    if ((await soundFonts([document])).length === 0)
      return `${file.name}: the font in it cannot be read. Nothing was changed.`;
    return kept(await library.keepFonts([document]), `The font “${document.name}” is among your fonts.`);
  }
  // A project that is here already comes in beside it, never over it.
  const here = library.projects.some((p) => p.id === document.id);
  const project = here ? { ...document, id: crypto.randomUUID(), name: `${document.name} (from file)` } : document;
  await library.addProject(await withSoundFonts(project));
  return `“${project.name}” is among your projects.`;
}

/** Why it could not be kept is said by what keeps it. */
const notTakenIn = (name: string): string => `${name} was not taken in.`;

/** What calls itself the results of a run away from here; null when the file is something else. */
function resultsIn(text: string): unknown {
  if (!text.includes('"mivet-results"')) return null;
  try {
    const raw: unknown = JSON.parse(text);
    return isResults(raw) ? raw : null;
  } catch {
    return null;
  }
}

/** Brings what was done away from here back into its project: by step and time, nothing twice, nothing taken back. */
async function takeInResults(name: string, raw: unknown): Promise<string> {
  const results = readResults(raw);
  if (!results) return `${name}: these results are not whole, or from a newer Mivet. Nothing was changed.`;
  const { projectId, bench, photos } = results;
  const [library, open] = [useLibrary(), useProject()];
  if (!library.projects.some(({ id }) => id === projectId))
    return `${name} is of “${results.project}”, which is not in this browser. Nothing was changed.`;
  for (const { data, ...photo } of photos) await writePhoto({ ...photo, projectId, ...bytesOfDataUrl(data) });
  if (open.doc?.id === projectId) open.edit('Take in results', (p) => ({ ...p, bench: mergeRuns(p.bench, bench) }));
  else await library.changeBench(projectId, (run) => mergeRuns(run, bench));
  const ticks = count(bench.doneSteps?.length ?? 0, 'tick');
  return `“${results.project}”: ${[ticks, ...(photos.length > 0 ? [count(photos.length, 'photograph')] : [])].join(' and ')} taken in.`;
}

/** Whether a file is a backup: a ZIP, or a JSON file that says so at its beginning, as older versions wrote it. */
async function isBackup(file: File): Promise<boolean> {
  const start = new TextDecoder().decode(await file.slice(0, 400).arrayBuffer());
  return start.startsWith('PK') || /^\s*\{[^{}[\]]*"format"\s*:\s*"mivet-backup"/.test(start);
}

/** Brings a backup back: what of it cannot be read is named, and put back as it is. */
async function takeInBackup(file: File): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const read = await askCore('readBackup', { bytes });
  if (!read.ok) return `${file.name}: ${describeReadProblem(read.problem)} Nothing was changed.`;
  const { backup } = read;
  const fonts = await soundFonts(backup.fonts);
  const projects = await Promise.all(backup.projects.map(withSoundFonts));
  const carried = projects.flatMap((project) => project.carried?.fonts ?? []);
  const whole = {
    ...backup,
    projects: projects.map(({ carried: _, ...project }) => project),
    fonts: [...carried, ...fonts],
  };
  // What is being worked on is written first, so that it is compared, and stays as a copy beside what comes back.
  await useProject().flush();
  const standings = await compareWithBackup(whole);
  const choice = await useRestoring().ask(file.name, whole, standings);
  const of = `Backup of ${backup.writtenAt.slice(0, 10)}`;
  if (!choice) return `${of}: nothing was changed.`;
  const chosen = chosenOf(whole, standings, choice, () => crypto.randomUUID());
  await useProject().flush();
  await useLibrary().restore(chosen);
  await useStock().load(true);
  if (choice.settings) {
    const settings = useSettings();
    settings.limits = { ...settings.limits, ...backup.limits };
    settings.own = backup.settings;
  }
  const lost = backup.fonts.length - fonts.length;
  return [
    `${of}: ${describeBackup(chosen)} ${isOne(chosen) ? 'is' : 'are'} back. Others were left as they were.`,
    ...(lost > 0 ? [`${count(lost, 'font')} could not be read and was left out.`] : []),
    ...(chosen.unreadable.length > 0
      ? [`These cannot be read by this version and were put back as they are: ${namesOf(chosen.unreadable)}.`]
      : []),
  ].join(' ');
}

/** Most records that are called by their names. */
const MOST_NAMED = 5;
function namesOf(records: readonly Unreadable[]): string {
  const names = records.slice(0, MOST_NAMED).map(({ name }) => `“${name}”`);
  return [...names, ...(records.length > MOST_NAMED ? [`${records.length - MOST_NAMED} more`] : [])].join(', ');
}
const isOne = ({ projects, shelf, fonts, motifs, stock, copies, unreadable }: Backup): boolean =>
  [projects, shelf, fonts, motifs, stock, copies, unreadable].reduce((sum, { length }) => sum + length, 0) === 1;

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
  const { isLogbookCsv, isStockCsv, readBlanksCsv, readEntriesCsv, readStockCsv } = await import('@mivet/core/tables');
  if (isLogbookCsv(text)) {
    const { entries, leftOut } = readEntriesCsv(text, () => crypto.randomUUID(), new Date().toISOString());
    if (entries.length > 0 && !(await useLogbook().keep(entries))) return notTakenIn(name);
    return takenWords(name, entries.length, 'entry', 'in the logbook', leftOut);
  }
  if (isStockCsv(text)) {
    const stock = useStock();
    await stock.load();
    const films = [...STARTING_FILMS, ...stock.supply.films.map(({ film }) => film)];
    const read = readStockCsv(text, useSettings().unit, () => crypto.randomUUID(), films);
    if (read.things.length > 0 && !(await stock.keep(read.things))) return notTakenIn(name);
    return takenWords(name, read.things.length, 'thing', 'in stock', read.leftOut);
  }
  const { shelf, leftOut } = readBlanksCsv(
    text,
    useSettings().unit,
    () => crypto.randomUUID(),
    new Date().toISOString(),
  );
  if (shelf.length > 0 && !(await useLibrary().keepShelf(shelf))) return notTakenIn(name);
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

/** Takes in a Mivet file and tells what came of it, until that is closed. */
export async function tellOf(file: File): Promise<void> {
  const words = await takeIn(file).catch(() => `${file.name} could not be taken in. Nothing was changed.`);
  useTold().tell(words, true);
}
