import 'fake-indexeddb/auto';
import {
  emptyBackup,
  FORMAT_VERSION,
  maskRound,
  newBlank,
  newMotif,
  newProject,
  newShelfBlank,
  newText,
  type ArtItem,
  type ArtworkItem,
  type OwnFont,
  type OwnMotif,
  type Project,
  type StockThing,
} from '@mivet/core';
import { deleteDB, openDB } from 'idb';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { reactive } from 'vue';
import { eventually } from '../../test/until.ts';
import { takeRefusal, useRefusal } from '../stores/refusal.ts';
import { onFullDisk } from '../../test/full-disk.ts';
import { demoStock } from '../demo/demo-stock.ts';
import { demoProjects } from '../demo/demo.ts';
import { demoEntries } from '../demo/demo-entries.ts';
import { demoShelf } from '../demo/demo-shelf.ts';
import { useLibrary } from '../stores/library.ts';
import { useProject } from '../stores/project.ts';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';
import { openBackup, packBackup } from '../workers/backup-jobs.ts';
import { gatherBackup } from '../stores/backup.ts';
import * as database from './database.ts';
import { decodeText } from './file-text.ts';

const at = '2026-05-04T10:00:00.000Z';
const start: Project = newProject('p1', 'Oars', newBlank('b', 'straight', 'Mug'), null, at);

beforeEach(async () => {
  await database.forgetEverything();
  localStorage.clear();
  setActivePinia(createPinia());
  takeRefusal();
});

async function opened(project: Project = start): Promise<ReturnType<typeof useProject>> {
  await database.writeProject(project, 0);
  const store = useProject();
  await store.open(project.id);
  return store;
}

const art = (id: string, more: Partial<ArtItem> = {}): ArtItem => ({
  ...newMotif(id, 'oar', 'reed'),
  type: 'art',
  name: 'Drawing',
  setId: 'set',
  colour: '#112233',
  pathData: 'M0 0L5 0L0 5Z',
  drawn: { widthMm: 5, heightMm: 5 },
  widthMm: 5,
  heightMm: null,
  source: '',
  rights: 'own',
  ...more,
});
const many = <T>(n: number, make: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => make(i));
const put =
  (...items: ArtworkItem[]) =>
  (p: Project): Project => ({ ...p, items: [...p.items, ...items] });

describe('what is changed', () => {
  // Each of these was shown as saved, and was gone after a reload.
  it.each<[string, (p: Project) => Project]>([
    ['an oar 2 mm high', put({ ...newMotif('o', 'oar', 'reed'), widthMm: 0.3, heightMm: null })],
    [
      'fifty-two readings of one place',
      (p) => ({
        ...p,
        blank: {
          ...p.blank,
          readings: {
            girthRim: { how: 'tape', thicknessMm: 0.5, takes: many(52, (i) => ({ typed: `${250 + i}`, mm: 250 + i })) },
          },
        },
      }),
    ],
    ['a drawing of 450 colours', put(...many(450, (i) => art(`a${i}`)))],
    ['one of 60 colours, six times more', put(...many(420, (i) => art(`a${i}`, { setId: `set-${i % 7}` })))],
    [
      'a mask of fifty words and more',
      (p) => {
        const words = many(60, (i) => newText(`t${i}`, 'Cox', 'reed'));
        const placed = words.map(({ id }) => ({ itemId: id, azimuth: 0, slant: 40, widthMm: 20, heightMm: 10, slants: [35, 45] as const, copies: [0] })); // prettier-ignore
        return {
          ...p,
          items: maskRound(
            words,
            placed as never,
            { length: 90, radiusAt: () => 250 / (2 * Math.PI) },
            'reed',
            'mask',
            'figure',
          ),
        };
      },
    ],
    ['a mask round a girth of 2 m', put(art('m', { widthMm: 2026, heightMm: 120 }))],
    [
      'a finding accepted that is over eleven items',
      (p) => ({
        ...p,
        accepted: [
          { findingId: `unfused:${many(11, () => crypto.randomUUID()).join('+')}`, reason: 'so it is', signature: '' },
        ],
      }),
    ],
  ])('is there again after a reload: %s', async (_, change) => {
    const store = await opened();
    store.edit('Change', change);
    await store.flush();
    expect(takeRefusal()).toBeNull();
    expect(store.doc).not.toEqual(start);
    expect((await database.readProject('p1'))?.document).toEqual(store.doc);
  });

  it('is refused in words, and nothing changes, when it could not be read again', async () => {
    const store = await opened();
    const before = store.doc;
    store.edit('Change the width', put(art('wide', { widthMm: 30_000 })));
    expect(takeRefusal()).toBe('The width can be 20000.0 mm at most. Nothing was changed.');
    store.edit('Change the words', put({ ...newText('t', 'x'.repeat(2001), 'reed') }));
    expect(takeRefusal()).toMatch(/^The words would be too long to keep: at most 2000 characters/);
    expect(store.doc).toBe(before);
    expect(store.past).toEqual([]);
    // Above the work when no field takes it up.
    store.edit('Change the width', put(art('wide', { widthMm: NaN })));
    await Promise.resolve();
    expect(useRefusal().value).toMatch(/^The width cannot be kept like this/);
  });

  it('is plain data, whatever the page hands over', async () => {
    const store = await opened({ ...start, items: [newText('t', 'Cox', 'reed')] });
    const spot = reactive({ spot: [0.25, -0.25] }).spot as unknown as [number, number];
    store.edit('Drop a part', (p) => ({
      ...p,
      items: p.items.map((item) => ({ ...item, acts: { ...item.acts, dropped: [spot] } })),
    }));
    expect(() => structuredClone(store.doc)).not.toThrow();
    await store.flush();
    expect(store.saveState).toBe('saved');
    expect((await database.readProject('p1'))?.document.items[0]!.acts.dropped).toEqual([[0.25, -0.25]]);
  });
});

describe('the library', () => {
  it('shows nothing that was not written', async () => {
    const library = useLibrary();
    await library.load();
    const motif: OwnMotif = { format: 'mivet-motif', version: FORMAT_VERSION, id: 'm', name: 'Otter', source: '', rights: 'own', widthMm: 0, heightMm: 5, colours: [{ colour: '#112233', pathData: 'M0 0Z' }], keptAt: at }; // prettier-ignore
    await library.keepMotif(motif);
    expect(library.motifs).toEqual([]);
    await library.keepMotif({ ...motif, widthMm: 5, colours: many(66, () => motif.colours[0]!) });
    await library.load();
    expect(library.motifs[0]!.colours).toHaveLength(66);
    const stock = useStock();
    await stock.load();
    const film = demoStock(at).find(({ thing }) => thing.kind === 'film')!.thing as Extract<
      StockThing,
      { kind: 'film' }
    >;
    await stock.keep([{ ...film, film: { ...film.film, thicknessMm: 70 } }]);
    expect(stock.things).toEqual([]);
    expect(useRefusal().value).toMatch(/^It was not kept/);
  });

  it('works on with a new project while there is no room, and writes it when there is', async () => {
    const library = useLibrary();
    await library.load();
    const store = useProject();
    await onFullDisk(async () => {
      await library.addProject(start);
      expect(library.projects.map(({ id }) => id)).toEqual(['p1']);
      expect([...library.unwritten.keys()]).toEqual(['p1']);
      // What comes by itself is not said to be there.
      expect(await library.keepFonts([font('z', 5)])).toBe(false);
      expect(library.fonts).toEqual([]);
      const photo = { id: 'ph', projectId: 'p1', at, type: 'image/jpeg', bytes: new Uint8Array(3) };
      await expect(database.writePhoto(photo)).rejects.toThrow('could not keep it; the disk may be full');
      await store.open('p1');
      store.edit('Rename', (p) => ({ ...p, name: 'Sculls' }));
      await store.flush();
      expect(store.saveState).toBe('refused');
    });
    await store.flush();
    expect(store.saveState).toBe('saved');
    expect([...library.unwritten.keys()]).toEqual([]);
    expect((await database.readProject('p1'))?.document.name).toBe('Sculls');
  });

  it('tries each project that waits for room by one timer, however often it was left', async () => {
    const library = useLibrary();
    await library.load();
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    for (const name of ['Sculls', 'Sweep', 'Pair']) library.writeLater({ ...start, name }, 0);
    library.writeLater({ ...start, id: 'p2' }, 0);
    expect(vi.getTimerCount()).toBe(2);
    vi.advanceTimersByTime(5000);
    vi.useRealTimers();
    await eventually(() => expect(library.unwritten.size).toBe(0));
    expect((await database.readProject('p1'))?.document.name).toBe('Pair');
  });
});

describe('a browser that keeps nothing', () => {
  it('takes in what was made meanwhile as soon as it does', async () => {
    const library = useLibrary();
    const openAgain = indexedDB.open.bind(indexedDB);
    await database.forgetEverything();
    indexedDB.open = () => {
      throw new DOMException('not allowed', 'SecurityError');
    };
    await library.load().finally(() => void (indexedDB.open = openAgain));
    expect(library.refused).toMatch(/does not let Mivet keep anything/);
    await library.keepFonts([font('f', 3)]);
    await library.keepShelf([{ ...demoShelf(at)[0]!, blank: { ...start.blank, id: 'cup' } }]);
    // What is removed meanwhile goes from the list, and does not come back.
    await library.keepFonts([font('g', 4)]);
    await library.removeFont('g');
    await library.keepShelf([{ ...demoShelf(at)[0]!, blank: { ...start.blank, id: 'jar' } }]);
    await library.removeBlank('jar');
    await library.addProject({ ...start, id: 'gone' });
    await library.removeProject('gone');
    expect(library.projects.map(({ id }) => id)).not.toContain('gone');
    expect([...library.unwritten.keys()]).toEqual([]);
    expect(library.shelf.map(({ blank }) => blank.id)).toEqual(['cup']);
    await library.load();
    expect(library.refused).toBeNull();
    expect((await database.readLibrary('fonts')).kept.map(({ id }) => id)).toEqual(['f']);
    expect((await database.readLibrary('shelf')).kept.map(({ blank }) => blank.id)).toEqual(['cup']);
    expect(library.fonts.map(({ id }) => id)).toEqual(['f']);
    expect(library.projects.map(({ id }) => id)).not.toContain('gone');
  });
});

describe('the database', () => {
  it('goes to a newer Mivet in another tab; what is asked for here after that is told so', async () => {
    const store = await opened();
    const next = await openDB('mivet', 7);
    // At once, and however often it is tried again.
    for (const name of ['Later', 'Later still']) {
      await expect(database.writeProject({ ...start, name }, 1)).rejects.toThrow(/^A newer Mivet has taken over/);
      store.edit('Rename', (p) => ({ ...p, name }));
      await store.flush();
      expect([store.saveState, store.refusedWhy]).toEqual(['refused', expect.stringMatching(/^A newer Mivet has taken over/)]); // prettier-ignore
    }
    expect(store.doc!.name).toBe('Later still');
    expect(await next.get('projects', 'p1')).toMatchObject({ revision: 1, document: { name: start.name } });
    next.close();
    // One that was deleted is there again when it is asked for.
    await database.forgetEverything();
    await database.writeProject(start, 0);
    await deleteDB('mivet');
    expect(await database.writeProject(start, 0)).toEqual({ ok: true, revision: 1 });
  });

  it.each([0, 1, 2, 3, 4, 5, 6])(
    'gets what it lacks and keeps what it has, coming from version %i',
    async (version) => {
      const stores = [
        [],
        ['projects', 'shelf', 'snapshots'],
        ['fonts', 'motifs'],
        ['stock'],
        ['photos'],
        ['entries'],
        [],
      ]
        .slice(0, version + 1)
        .flat();
      if (version > 0) {
        const old = await openDB('mivet', version, {
          upgrade(db) {
            for (const store of stores)
            db.createObjectStore(store, store === 'snapshots' ? { keyPath: 'key', autoIncrement: true } : { keyPath: store === 'shelf' ? 'blank.id' : 'id' }); // prettier-ignore
          },
        });
        await old.put('projects', { id: 'p1', revision: 4, document: start });
        old.close();
      }
      // As the next version will do it.
      const next = await openDB('mivet', 7, { upgrade: (db, _from, _to, change) => database.makeStores(db as never, change as never) }); // prettier-ignore
      expect([...next.objectStoreNames].sort()).toEqual(['entries', 'fonts', 'motifs', 'photos', 'projects', 'shelf', 'snapshots', 'stock']); // prettier-ignore
      if (version > 0) {
        expect(await next.get('projects', 'p1')).toMatchObject({ revision: 4 });
        expect(await next.getKeyFromIndex('projects', 'changedAt', start.changedAt)).toBe('p1');
      }
      next.close();
    },
  );
});

const font = (id: string, bytes: number): OwnFont => ({
  format: 'mivet-font',
  version: FORMAT_VERSION,
  id,
  name: id,
  source: '',
  rights: 'own',
  data: btoa('\0'.repeat(bytes)),
  keptAt: at,
});

describe('a backup', () => {
  const unreadable = { ...start, id: 'broken', name: 'From tomorrow', version: 99 };
  async function fill(): Promise<void> {
    await useLibrary().bringIn(demoProjects(at), {
      shelf: demoShelf(at),
      stock: demoStock(at),
      fonts: [font('f', 3001)],
    });
    await database.writeSnapshot({ ...demoProjects(at)[0]!, name: 'As it was' }, at);
    await database.writePhoto({
      id: 'photo-1',
      projectId: 'p1',
      at,
      type: 'image/jpeg',
      bytes: new Uint8Array([1, 2, 3]),
    });
    const db = await openDB('mivet');
    await db.put('projects', { id: 'broken', revision: 1, document: unreadable });
    db.close();
    const settings = useSettings();
    settings.limits = { tinyPiece: 3 };
    settings.own = {
      unit: 'in',
      inches: 'decimals',
      theme: 'dim',
      boardId: 'wide',
      tapeId: 'demo-tape',
      rates: { hour: 21 },
      boxes: [{ name: 'Mug, front', widthMm: 60, heightMm: 25 }],
    };
  }

  it.each([1, 5, 14, 20])('comes back whole or not at all, where there is room for %i records of it', async (room) => {
    await fill();
    const backup = await gatherBackup(at);
    await database.forgetEverything();
    await database.writeProject({ ...start, id: 'demo-mug', name: 'Changed since' }, 0);
    const everything = () => Promise.all([database.readCopies(), database.readPhotos(), ...(['shelf', 'stock', 'fonts'] as const).map(database.readLibrary)]); // prettier-ignore
    const before = await everything();
    await onFullDisk(
      () => expect(database.restoreAll(backup, at)).rejects.toThrow('could not keep it; the disk may be full'),
      room,
    );
    expect(await everything()).toEqual(before);
    expect((await database.readProject('demo-mug'))?.document.name).toBe('Changed since');
    expect(await database.readProject('demo-tumbler')).toBeNull();
  });

  it('holds everything, and brings all of it back as it was, record by record', async () => {
    await fill();
    const before = await gatherBackup(at);
    expect(before).toMatchObject({
      projects: { length: 14 },
      copies: [{ at, document: { name: 'As it was' } }],
      unreadable: [
        { store: 'projects', id: 'broken', name: 'From tomorrow', why: expect.stringMatching(/newer Mivet/) },
      ],
      settings: {
        unit: 'in',
        inches: 'decimals',
        theme: 'dim',
        boardId: 'wide',
        tapeId: 'demo-tape',
        rates: { hour: 21 },
        boxes: [{ name: 'Mug, front', widthMm: 60, heightMm: 25 }],
      },
      limits: { tinyPiece: 3 },
      photos: [{ id: 'photo-1', projectId: 'p1', data: 'data:image/jpeg;base64,AQID' }],
    });
    // Nothing in it is a proxy of the page: it goes to a worker.
    expect(structuredClone(before)).toEqual(before);
    const read = await openBackup(await packBackup(before));
    if (!read.ok) throw new Error(read.problem.code);
    expect(read.backup).toEqual(before);
    await database.forgetEverything();
    await database.restoreAll(read.backup, at);
    expect(await gatherBackup(at)).toEqual(before);
    expect(await database.readLibrary('fonts')).toMatchObject({ kept: [{ data: font('f', 3001).data }] });
  });

  it('keeps what the logbook shows when its project is deleted, and only that', async () => {
    const photo = { projectId: 'p1', at, type: 'image/jpeg', bytes: new Uint8Array([1]) };
    for (const id of ['shown', 'other']) await database.writePhoto({ ...photo, id });
    const [entry] = demoEntries(at, demoShelf(at));
    await database.writeAll([], { entries: [{ ...entry!, photos: ['shown'] }] });
    await database.deleteProject('p1');
    expect((await database.readPhotos()).map(({ id }) => id)).toEqual(['shown']);
    expect((await database.readLibrary('entries')).kept).toHaveLength(1);
  });

  it('of large fonts reads back', async () => {
    const backup = { ...emptyBackup(at), fonts: many(5, (i) => font(`f${i}`, 7_900_000)) };
    const read = await openBackup(await packBackup(backup));
    expect(read.ok && read.backup.fonts.map(({ data }) => data.length)).toEqual(many(5, () => 4 * Math.ceil(7_900_000 / 3))); // prettier-ignore
  });

  it('that is brought back while one of its projects is open shows it, and keeps what that was', async () => {
    const store = await opened();
    store.edit('Rename', (p) => ({ ...p, name: 'Newer' }));
    await store.flush();
    await useLibrary().restore({ ...emptyBackup(at), projects: [start], shelf: [newShelfBlank(start.blank, at)] });
    expect(store.doc).toEqual(start);
    expect(store.saveState).toBe('saved');
    store.undo();
    await store.flush();
    expect(store.saveState).toBe('saved');
    expect((await database.readProject('p1'))?.document.name).toBe('Newer');
    expect((await database.readSnapshots('p1')).map(({ document }) => document.name)).toContain('Newer');
  });
});

describe('a list that comes as a file', () => {
  const names = 'José\nZoë\nŁucja\n';
  const utf16 = (little: boolean, mark: boolean): Uint8Array => {
    const text = mark ? `\uFEFF${names}` : names;
    return Uint8Array.from([...text].flatMap((c) => [c.charCodeAt(0) & 255, c.charCodeAt(0) >> 8]).map((b, i, all) => (little ? b : all[i ^ 1]!))); // prettier-ignore
  };
  it('is read whichever way it was written', () => {
    expect(decodeText(new TextEncoder().encode(names))).toBe(names);
    for (const little of [true, false])
      for (const mark of [true, false]) expect(decodeText(utf16(little, mark))).toBe(names);
    // Latin-1: é is E9, ë is EB; UTF-8 has no such bytes by themselves.
    expect(decodeText(Uint8Array.from([0x4a, 0x6f, 0x73, 0xe9, 0x0a, 0x5a, 0x6f, 0xeb]))).toBe('José\nZoë');
    expect(decodeText(new Uint8Array())).toBe('');
  });
});
