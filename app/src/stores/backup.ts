import { emptyBackup, type Backup } from '@mivet/core';
import { useSettings } from './settings.ts';
import { dataUrlOf } from '../data/data-url.ts';
import { readCopies, readLibrary, readPhotos, readProjects } from '../data/records.ts';

/** Everything of a person's in this browser: what cannot be read goes along as it is. */
export async function gatherBackup(writtenAt: string): Promise<Backup> {
  const [projects, shelf, fonts, motifs, stock, entries, copies, pictures] = await Promise.all([
    readProjects(),
    readLibrary('shelf'),
    readLibrary('fonts'),
    readLibrary('motifs'),
    readLibrary('stock'),
    readLibrary('entries'),
    readCopies(),
    readPhotos(),
  ]);
  const { limits, own } = useSettings();
  return {
    ...emptyBackup(writtenAt),
    projects: projects.kept,
    shelf: shelf.kept,
    fonts: fonts.kept,
    motifs: motifs.kept,
    stock: stock.kept,
    entries: entries.kept,
    copies: copies.kept,
    limits,
    settings: own,
    photos: pictures.map(({ id, projectId, at, ...picture }) => ({ id, projectId, at, data: dataUrlOf(picture) })),
    unreadable: [projects, shelf, fonts, motifs, stock, entries, copies].flatMap(({ unreadable }) => unreadable),
  };
}

const listed = new Intl.ListFormat('en-GB');
const count = (n: number, one: string, many = `${one}s`): string[] => (n > 0 ? [`${n} ${n === 1 ? one : many}`] : []);

/** What is in a backup, in words: `11 projects, 9 blanks and 40 kept copies`. */
export function describeBackup({
  projects,
  shelf,
  fonts,
  motifs,
  stock,
  entries,
  copies,
  photos,
  unreadable,
}: Backup): string {
  const parts = [
    ...count(projects.length, 'project'),
    ...count(shelf.length, 'blank'),
    ...count(fonts.length, 'font'),
    ...count(motifs.length, 'motif'),
    ...count(stock.length, 'thing in stock', 'things in stock'),
    ...count(entries.length, 'entry in the logbook', 'entries in the logbook'),
    ...count(copies.length, 'kept copy', 'kept copies'),
    ...count(photos.length, 'photograph'),
    ...count(unreadable.length, 'record that cannot be read', 'records that cannot be read'),
  ];
  return parts.length > 0 ? listed.format(parts) : 'nothing but your settings';
}
