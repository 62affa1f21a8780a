import 'fake-indexeddb/auto';
import {
  emptyBackup,
  FORMAT_VERSION,
  newShelfBlank,
  type ShelfBlank,
  recordKey,
  WHOLE_BACKUP,
  type Backup,
  type OwnFont,
  type OwnMotif,
  type Project,
  type RestoreChoice,
} from '@mivet/core';
import { writeEntriesCsv, writeStockCsv } from '@mivet/core/tables';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { eventually } from '../../test/until.ts';
import { fontFile } from '../../../core/test/fonts.ts';
import { onFullDisk } from '../../test/full-disk.ts';
import { demoProjects } from '../demo/demo.ts';
import { demoEntries } from '../demo/demo-entries.ts';
import { demoShelf } from '../demo/demo-shelf.ts';
import { demoStock } from '../demo/demo-stock.ts';

import { base64Of } from '../data/base64.ts';
import * as database from '../data/database.ts';
import { readProjects } from '../data/records.ts';
import { useLibrary } from '../stores/library.ts';
import { useLogbook } from '../stores/logbook.ts';
import { useRestoring } from '../stores/restoring.ts';
import { takeIn } from './take-in.ts';

const at = '2026-05-04T10:00:00.000Z';
const SLAB = base64Of(fontFile('zilla-slab/files/zilla-slab-latin-600-normal.woff'));
const [tumbler, mug] = demoProjects(at) as [Project, Project];
const file = (content: unknown, name = 'file.json'): File =>
  new File([typeof content === 'string' ? content : JSON.stringify(content)], name);

beforeEach(async () => {
  await database.forgetEverything();
  localStorage.clear();
  setActivePinia(createPinia());
  await useLibrary().load();
});

/** Brings a backup in, and says what of it when that is asked. */
async function takeInBackup(dropped: File, choice: RestoreChoice | null): Promise<string> {
  const words = takeIn(dropped);
  await eventually(() => expect(useRestoring().asked).not.toBeNull());
  useRestoring().asked!.answer(choice);
  return words;
}

describe('files that are dropped on the page', () => {
  it('bring a project in, and beside its namesake a second time', async () => {
    expect(await takeIn(file(tumbler))).toBe('“Stroke seat’s tumbler” is among your projects.');
    expect(await takeIn(file(tumbler))).toBe('“Stroke seat’s tumbler (from file)” is among your projects.');
    const { projects } = useLibrary();
    expect(projects).toHaveLength(2);
    expect(new Set(projects.map((p) => p.id)).size).toBe(2);
    expect((await database.readProject('demo-tumbler'))?.document).toEqual(tumbler);
  });

  it('put a blank on the shelf as it was saved, once however often', async () => {
    const priced = demoShelf(at).map((entry) => ({ ...entry, price: 4.5 }));
    for (const entry of [...priced, ...priced]) expect(await takeIn(file(entry))).toContain('is on the shelf');
    expect(useLibrary().shelf).toHaveLength(12);
    expect(await database.readKept('shelf', 'demo-crew-mug')).toEqual(priced[0]);
  });

  it('put the lines of a table on the shelf and speak of those that are left out', async () => {
    const table = 'name,rim girth,side\nMug,258,92\nOdd,long,92\nGlass,21 cm,120\n';
    expect(await takeIn(file(table, 'Blanks.CSV'))).toMatch(
      /^Blanks\.CSV: 2 blanks on the shelf\. Line 3: rim girth: “long” is not a length/,
    );
    expect(useLibrary().shelf.map((b) => b.blank.name)).toEqual(['Mug', 'Glass']);
    expect(await takeIn(file('a,b\n1,2', 'other.csv'))).toContain('nothing was taken in');
  });

  it('are not said to be there where there is no room for them, and come in when there is', async () => {
    const shelf = demoShelf(at);
    const table = 'name,rim girth,side\nMug,258,92\n';
    const font = { format: 'mivet-font', version: FORMAT_VERSION, id: 'f', name: 'Slab', source: '', rights: 'own', keptAt: at, data: SLAB }; // prettier-ignore
    const motif: OwnMotif = { format: 'mivet-motif', version: FORMAT_VERSION, id: 'm', name: 'Otter', source: '', rights: 'own', widthMm: 1, heightMm: 1, colours: [{ colour: '#112233', pathData: 'M0 0H1V1Z' }], keptAt: at }; // prettier-ignore
    const [entry] = demoEntries(at, shelf);
    const [stock] = demoStock(at);
    const dropped: [File, string][] = [
      [file(shelf[0], 'cup.json'), 'is on the shelf'],
      [file(motif, 'otter.json'), 'is among your motifs'],
      [file(font, 'slab.json'), 'is among your fonts'],
      [file(entry, 'entry.json'), 'is in your logbook'],
      [file(stock, 'film.json'), 'in your stock'],
      [file(table, 'cups.csv'), '1 blank on the shelf'],
      [file(writeEntriesCsv([entry!]), 'book.csv'), '1 entry in the logbook'],
      [file(writeStockCsv([stock!.thing]), 'stock.csv'), '1 thing in stock'],
    ];
    await onFullDisk(async () => {
      for (const [given] of dropped) expect(await takeIn(given)).toBe(`${given.name} was not taken in.`);
    });
    const library = useLibrary();
    expect([library.shelf, library.motifs, library.fonts, useLogbook().entries].map((some) => some.length)).toEqual([0, 0, 0, 0]); // prettier-ignore
    for (const [given, words] of dropped) expect(await takeIn(given)).toContain(words);
  });

  it('bring a whole backup back over what has the same id, and leave the rest', async () => {
    await useLibrary().addProject({ ...mug, name: 'Changed since' });
    await useLibrary().addProject({ ...mug, id: 'other', name: 'Another' });
    const backup: Backup = {
      ...emptyBackup(at),
      projects: [tumbler, mug],
      shelf: [newShelfBlank(mug.blank, at)],
    };
    expect(await takeInBackup(file(backup), { ...WHOLE_BACKUP, clashes: 'backup' })).toBe(
      'Backup of 2026-05-04: 2 projects and 1 blank are back. Others were left as they were.',
    );
    // Asked and then not wanted: nothing of it is there.
    await useLibrary().removeProject(tumbler.id);
    expect(await takeInBackup(file(backup), null)).toBe('Backup of 2026-05-04: nothing was changed.');
    expect(useLibrary().projects.map(({ id }) => id)).not.toContain(tumbler.id);
    const beside = {
      ...WHOLE_BACKUP,
      single: new Map([[recordKey({ kind: 'projects', id: mug.id }), 'none' as const]]),
    };
    await takeInBackup(file(backup), beside);
    const names = useLibrary()
      .projects.map((p) => p.name)
      .sort();
    expect(names).toEqual(['Another', 'Crew mugs with names', 'Stroke seat’s tumbler']);
  });

  it('are refused in words when they are something else, and nothing changes', async () => {
    await useLibrary().addProject(mug);
    const cases: [File, RegExp][] = [
      [file('<svg/>', 'art.svg'), /^art\.svg is a drawing\. Open a project first/],
      [file('{"format":"mivet-project","version":99}'), /newer/],
      [file({ ...tumbler, items: 'none' }), /Nothing was changed\.$/],
      [file(''), /Nothing was changed\.$/],
    ];
    for (const [dropped, words] of cases) expect(await takeIn(dropped)).toMatch(words);
    const huge = file('x');
    Object.defineProperty(huge, 'size', { value: 1_600_000_000 });
    expect(await takeIn(huge)).toContain('too large');
    expect(useLibrary().projects.map((p) => p.id)).toEqual(['demo-mug']);
  });
});

describe('fonts and motifs of one’s own', () => {
  const about = { version: FORMAT_VERSION, source: 'a friend', rights: 'allowed', keptAt: at } as const;
  const font: OwnFont = { ...about, format: 'mivet-font', id: 'own-1', name: 'Quill', data: SLAB };
  const motif: OwnMotif = { ...about, format: 'mivet-motif', id: 'm-1', name: 'Otter', widthMm: 20, heightMm: 10, colours: [{ colour: '#112233', pathData: 'M0 0L5 0L0 5Z' }] }; // prettier-ignore

  it('come in with a project’s file and stay out of the project', async () => {
    expect(await takeIn(file({ ...tumbler, carried: { limits: {}, stock: [], fonts: [font] } }))).toMatch(
      /among your projects/,
    );
    expect(useLibrary().fonts).toEqual([font]);
    expect(useLibrary().projects[0]).toEqual(tumbler);
  });

  it('come back from a backup and from files of their own, and can be forgotten', async () => {
    const library = useLibrary();
    const backup: Backup = { ...emptyBackup(at), fonts: [font], motifs: [motif] };
    expect(await takeInBackup(file(backup), WHOLE_BACKUP)).toMatch(/1 font and 1 motif are back/);
    expect([library.fonts, library.motifs]).toEqual([[font], [motif]]);
    const broken = { ...font, id: 'own-2', data: '////' };
    expect(await takeInBackup(file({ ...backup, fonts: [broken], motifs: [] }), WHOLE_BACKUP)).toMatch(
      /1 font could not be read/,
    );
    expect(await takeIn(file(broken))).toMatch(/cannot be read\. Nothing was changed/);
    expect(library.fonts).toEqual([font]);
    await library.removeMotif('m-1');
    await library.removeFont('own-1');
    expect([library.fonts, library.motifs]).toEqual([[], []]);
    expect(await takeIn(file(motif))).toMatch(/“Otter” is among your motifs/);
    expect(library.motifs).toEqual([motif]);
  });
});

describe('the shelf', () => {
  it('keeps price and picture when a blank is measured anew', async () => {
    const library = useLibrary();
    const [entry] = demoShelf(at);
    await library.keepShelf([{ ...entry!, price: 6, photo: 'data:image/png;base64,AA==' }]);
    await library.keepBlank({ ...entry!.blank, handleWidthMm: 25 });
    expect(library.shelf).toHaveLength(1);
    expect(library.shelf[0]).toMatchObject({
      price: 6,
      photo: 'data:image/png;base64,AA==',
      blank: { handleWidthMm: 25 },
    });
  });

  it('shares readings among the colours of one cup, but not with a copy', async () => {
    const library = useLibrary();
    const entry = demoShelf(at)[1]!;
    await library.keepShelf([entry]);
    const red = await library.copyBlank(entry, 'colour');
    const redder = await library.copyBlank(red, 'colour');
    const copy = await library.copyBlank(entry, 'copy');
    expect([red.blank.name, redder.blank.name, copy.blank.name]).toEqual([
      'Steel tumbler, other colour',
      'Steel tumbler, other colour 2',
      'Steel tumbler (copy)',
    ]);
    const readings = {
      ...entry.blank.readings,
      side: { how: 'ruler', thicknessMm: 0, takes: [{ typed: '170', mm: 170 }] },
    } as const;
    await library.keepBlank({ ...redder.blank, readings, colour: '#AA0000' });
    const side = (id: string) => library.shelf.find((b) => b.blank.id === id)!.blank.readings.side!.takes[0]!.mm;
    expect([entry, red, redder, copy].map((b) => side(b.blank.id))).toEqual([170, 170, 170, 168]);
    expect(library.shelf.find((b) => b.blank.id === entry.blank.id)!.blank.colour).toBe(entry.blank.colour);
  });
});

describe('the library', () => {
  it('lists the project changed last first, and forgets what is removed', async () => {
    const library = useLibrary();
    await library.bringIn([{ ...tumbler, changedAt: '2026-01-01T00:00:00.000Z' }, mug], { shelf: demoShelf(at) });
    expect(library.projects.map((p) => p.id)).toEqual(['demo-mug', 'demo-tumbler']);
    library.noteProject(tumbler);
    expect(library.projects.map((p) => p.id)).toEqual(['demo-tumbler', 'demo-mug']);
    await library.removeProject('demo-mug');
    expect((await readProjects()).kept.map((p) => p.id)).toEqual(['demo-tumbler']);
    await library.removeBlank('demo-crew-mug');
    expect(library.shelf.map((b) => b.blank.id)).not.toContain('demo-crew-mug');
  });

  it('makes changes of a project that come at once one after the other', async () => {
    const library = useLibrary();
    await library.bringIn([tumbler], {});
    const longer = (): Promise<void> => library.changeProject(tumbler.id, (p) => ({ ...p, name: `${p.name}!` }));
    await Promise.all([longer(), longer(), longer()]);
    expect((await readProjects()).kept.map((p) => p.name)).toEqual([`${tumbler.name}!!!`]);
    // One that fails holds up none.
    const failing = library.changeProject('nowhere', (p) => p);
    await Promise.all([expect(failing).rejects.toThrow('gone'), longer()]);
    expect(library.projects[0]!.name).toBe(`${tumbler.name}!!!!`);
  });

  it('brings in what is missing, and leaves what is here as it was made', async () => {
    const library = useLibrary();
    const shelf = demoShelf(at);
    await library.bringIn([tumbler, mug], { shelf });
    await library.changeProject(tumbler.id, (p) => ({ ...p, name: 'Mine by now' }));
    const [first, second] = shelf as [ShelfBlank, ShelfBlank];
    await library.keepBlank({ ...first.blank, name: 'My cup' });
    await library.removeProject(mug.id);
    await library.removeBlank(second.blank.id);
    await library.bringIn([tumbler, mug], { shelf });
    const names = { projects: () => library.projects.map((p) => p.name).sort(), blanks: () => library.shelf.map((b) => b.blank.name) }; // prettier-ignore
    const check = (): void => {
      expect(names.projects()).toEqual([mug.name, 'Mine by now'].sort());
      expect(names.blanks()).toEqual(expect.arrayContaining(['My cup', second.blank.name]));
      expect(library.shelf).toHaveLength(shelf.length);
    };
    check();
    await library.load();
    check();
  });
});
