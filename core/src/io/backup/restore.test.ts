import { describe, expect, it } from 'vitest';
import { newBlank, newProject, newShelfBlank, stockDocument } from '../../document/new-project.ts';
import { emptyBackup } from '../../document/read-backup.ts';
import type { Backup } from '../../model/project.ts';
import { chosenOf, compareBackup, recordKey, WHOLE_BACKUP, type RestoreChoice, type Take } from './restore.ts';

const [EARLY, LATE] = ['2026-03-01T08:00:00.000Z', '2026-05-01T08:00:00.000Z'];
const project = (id: string, name: string, changedAt: string) => ({
  ...newProject(id, name, newBlank(`${id}-b`, 'straight', 'Mug'), null, EARLY),
  changedAt,
});
const blank = (id: string, changedAt: string) => ({ ...newShelfBlank(newBlank(id, 'straight', id), EARLY), changedAt });
const tape = (id: string, uses: number, at: string) =>
  stockDocument({ kind: 'tape', id, name: 'Clear tape', tack: 'clear medium', widthMm: 100, lengthMm: 9000, boughtLengthMm: 10_000, price: null, uses, lowAt: null, notes: '' }, at); // prettier-ignore
const photo = (id: string, projectId: string) => ({ id, projectId, at: EARLY, data: 'data:image/png;base64,AA==' });

const backup: Backup = {
  ...emptyBackup(LATE),
  projects: [
    project('new', 'Oars', EARLY),
    project('same', 'Sculls', EARLY),
    project('older', 'Old lanes', EARLY),
    project('later', 'New lanes', LATE),
  ],
  shelf: [blank('mug', EARLY)],
  stock: [tape('t', 1, EARLY)],
  copies: ['new', 'older', 'gone'].map((id) => ({ at: EARLY, document: project(id, id, EARLY) })),
  photos: [photo('of-new', 'new'), photo('of-later', 'later')],
  unreadable: [
    { store: 'copies', id: 'x', name: 'x', why: 'newer', raw: {} },
    { store: 'stock', id: 'y', name: 'y', why: 'newer', raw: {} },
  ],
};
const here = {
  ...emptyBackup(LATE),
  projects: [project('same', 'Sculls', EARLY), project('older', 'Lanes', LATE), project('later', 'Lanes', EARLY)],
  shelf: [blank('mug', LATE)],
  stock: [tape('t', 5, LATE)],
};
const standings = compareBackup(backup, here);
const chosen = (choice: Partial<RestoreChoice> = {}): Backup =>
  chosenOf(backup, standings, { ...WHOLE_BACKUP, ...choice }, () => 'fresh');
const ids = ({ projects }: Backup): string[] => projects.map(({ id }) => id);
const decided = (id: string, take: Take): ReadonlyMap<string, Take> =>
  new Map([[recordKey({ kind: 'projects', id }), take]]);

describe('a backup beside what is here', () => {
  it('is told record by record', () => {
    expect(standings.map(({ id, standing }) => `${id} ${standing}`)).toEqual(['new new', 'same same', 'older differs', 'later differs', 'mug differs', 't differs']); // prettier-ignore
    expect(standings[2]).toMatchObject({ name: 'Old lanes', changedThere: EARLY, changedHere: LATE });
    expect(standings[0]!.changedHere).toBeNull();
    expect(standings[5]!.name).toBe('Clear tape');
  });

  it('brings back what was changed last, what is in the backup, what is here, or both', () => {
    expect(ids(chosen())).toEqual(['new', 'later']);
    expect(chosen().stock).toEqual([]);
    expect(ids(chosen({ clashes: 'backup' }))).toEqual(['new', 'older', 'later']);
    expect(chosen({ clashes: 'backup' }).stock).toEqual(backup.stock);
    expect(ids(chosen({ clashes: 'here' }))).toEqual(['new']);
    const both = chosen({ clashes: 'both' });
    expect(ids(both)).toEqual(['new', 'fresh', 'fresh']);
    expect(both.projects[1]!.name).toBe('Old lanes (from backup)');
    expect(both.shelf[0]!.blank).toMatchObject({ id: 'fresh', name: 'mug (from backup)' });
    // A second piece of the same tape would be counted twice: of stock the one changed last stands.
    expect(both.stock).toEqual([]);
  });

  it('goes by what was decided of one record before what was decided of all', () => {
    expect(ids(chosen({ clashes: 'here', single: decided('older', 'backup') }))).toEqual(['new', 'older']);
    expect(ids(chosen({ clashes: 'backup', single: decided('later', 'here') }))).toEqual(['new', 'older']);
  });

  it('leaves a project out with its copies and photographs, and a whole kind with all that is of it', () => {
    const without = chosen({ kinds: new Set(['projects']), single: decided('new', 'none') });
    expect(ids(without)).toEqual(['later']);
    expect(without.copies.map(({ document }) => document.id)).toEqual(['older', 'gone']);
    expect(without.photos.map(({ id }) => id)).toEqual(['of-later']);
    expect(without.shelf).toEqual([]);
    expect(without.unreadable.map(({ id }) => id)).toEqual(['x']);
    const stockOnly = chosen({ kinds: new Set(['stock']), clashes: 'backup' });
    expect(stockOnly).toMatchObject({ projects: [], copies: [], photos: [], stock: backup.stock });
    expect(stockOnly.unreadable.map(({ id }) => id)).toEqual(['y']);
  });

  it('brings nothing changed into an empty place: all of it comes', () => {
    const all = chosenOf(backup, compareBackup(backup, emptyBackup(LATE)), WHOLE_BACKUP, () => 'fresh');
    expect(all).toEqual(backup);
  });
});
