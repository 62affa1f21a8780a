import { newBlank, newProject, type Project } from '@mivet/core';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';

/** A database in memory that behaves as the real one does about revisions. */
const kept = vi.hoisted(() => ({
  rows: new Map<string, { id: string; revision: number; document: unknown }>(),
  full: false,
  held: null as Promise<void> | null,
  /** What a read waits for before it answers. */
  reading: null as Promise<void> | null,
  hear: [] as ((news: { kind: string; id: string; revision: number }) => void)[],
  snapshots: 0,
  copies: [] as string[],
}));
vi.mock('../data/records.ts', () => ({
  readProject: async (id: string) => {
    const read = kept.rows.get(id) ?? null;
    await kept.reading;
    return read;
  },
  writeProject: async (document: { id: string }, revision: number) => {
    await kept.held;
    if (kept.full) throw new Error('QuotaExceededError');
    const now = kept.rows.get(document.id);
    if (now && now.revision !== revision) return { ok: false, why: 'changed-elsewhere' };
    kept.rows.set(document.id, { id: document.id, revision: revision + 1, document });
    return { ok: true, revision: revision + 1 };
  },
  writeSnapshot: async ({ name }: { name: string }) => {
    kept.snapshots += 1;
    kept.copies.push(name);
  },
}));

vi.mock('../data/tabs.ts', () => ({
  tellTabs: () => undefined,
  hearTabs: (hear: (typeof kept.hear)[number]) => kept.hear.push(hear),
}));

import { useLibrary } from './library.ts';
import { useProject } from './project.ts';

const start: Project = newProject('p1', 'Oars', newBlank('b', 'straight', 'Mug'), null, '2026-01-01T10:00:00.000Z');
const rename =
  (name: string) =>
  (p: Project): Project => ({ ...p, name });

beforeEach(() => {
  setActivePinia(createPinia());
  kept.rows.clear();
  kept.rows.set('p1', { id: 'p1', revision: 1, document: start });
  kept.full = false;
  kept.held = null;
  kept.reading = null;
  kept.hear = [];
  kept.copies = [];
  kept.snapshots = 0;
});

async function opened() {
  const store = useProject();
  await store.open('p1');
  return store;
}

describe('the open project', () => {
  it('goes back and forth through its changes', async () => {
    const store = await opened();
    store.edit('Rename', rename('A'));
    store.edit('Rename', rename('B'));
    store.undo();
    expect(store.doc!.name).toBe('A');
    store.undo();
    expect(store.doc!.name).toBe('Oars');
    expect(store.canUndo).toBe(false);
    store.redo();
    store.redo();
    expect(store.doc!.name).toBe('B');
    expect(store.canRedo).toBe(false);
    store.undo();
    store.edit('Rename', rename('C'));
    expect(store.canRedo).toBe(false);
  });

  it('makes one step of what is typed in one go', async () => {
    const store = await opened();
    for (const name of ['O', 'Oa', 'Oar']) store.edit('Rename', rename(name), 'rename');
    expect(store.past).toHaveLength(1);
    store.edit('Lap', (p) => ({ ...p, seam: { ...p.seam, lapMm: 1 } }), 'lap');
    expect(store.past).toHaveLength(2);
    store.undo();
    store.undo();
    expect(store.doc!.name).toBe('Oars');
  });

  it('counts a change that changes nothing as none', async () => {
    const store = await opened();
    store.edit('Nothing', (p) => p);
    // The same once more, as a field tells it that is entered and then left.
    store.edit('Rename', (p) => ({ ...p, name: p.name, seam: { ...p.seam } }));
    expect(store.canUndo).toBe(false);
  });

  it('shows a drag as it goes and keeps it as one step', async () => {
    const store = await opened();
    for (const lapMm of [1, 2, 3]) store.preview((p) => ({ ...p, seam: { ...p.seam, lapMm } }));
    expect(store.doc!.seam.lapMm).toBe(3);
    expect(store.past).toHaveLength(0);
    store.settle('Move');
    expect(store.past.map((s) => s.label)).toEqual(['Move']);
    store.undo();
    expect(store.doc!.seam.lapMm).toBe(0);
  });

  it('saves what was changed, once it is asked to', async () => {
    const store = await opened();
    store.edit('Rename', rename('Kept'));
    expect(store.saveState).toBe('saving');
    await store.flush();
    expect(store.saveState).toBe('saved');
    expect((kept.rows.get('p1')!.document as Project).name).toBe('Kept');
    expect(kept.rows.get('p1')!.revision).toBe(2);
    expect(kept.snapshots).toBe(1);
    await store.flush();
    expect(kept.rows.get('p1')!.revision).toBe(2);
  });

  it('never overwrites what another tab saved, and lets the person choose', async () => {
    const store = await opened();
    const theirs = { ...start, name: 'Theirs' };
    kept.rows.set('p1', { id: 'p1', revision: 5, document: theirs });
    store.edit('Rename', rename('Mine'));
    await store.flush();
    expect(store.saveState).toBe('conflict');
    expect((kept.rows.get('p1')!.document as Project).name).toBe('Theirs');
    await store.takeTheirs();
    expect(store.doc!.name).toBe('Theirs');
    store.undo();
    expect(store.doc!.name).toBe('Mine');
    await store.flush();
    expect((kept.rows.get('p1')!.document as Project).name).toBe('Mine');
  });

  it('can keep what is here after a conflict, with the other version as a copy', async () => {
    const store = await opened();
    kept.rows.set('p1', { id: 'p1', revision: 5, document: { ...start, name: 'Theirs' } });
    store.edit('Rename', rename('Mine'));
    await store.flush();
    await store.keepMine();
    expect(kept.snapshots).toBeGreaterThanOrEqual(1);
    expect((kept.rows.get('p1')!.document as Project).name).toBe('Mine');
    expect(store.saveState).toBe('saved');
  });

  /** Another tab saves the project, and tells. */
  const elsewhere = (revision: number, name: string): void => {
    kept.rows.set('p1', { id: 'p1', revision, document: { ...start, name } });
    for (const hear of kept.hear) hear({ kind: 'project-saved', id: 'p1', revision });
  };
  /** Holds something up until it is called. */
  const hold = (what: 'reading' | 'held'): (() => Promise<void>) => {
    let go = (): void => undefined;
    kept[what] = new Promise((done) => (go = done));
    return async () => {
      go();
      kept[what] = null;
      await new Promise((done) => setTimeout(done, 5));
    };
  };

  it('shows what another tab saved, once for many, and nothing older than what is here', async () => {
    const store = await opened();
    const read = hold('reading');
    elsewhere(2, 'Second');
    elsewhere(3, 'Third');
    await read();
    expect([store.doc!.name, store.saveState, store.past.length]).toEqual(['Third', 'saved', 2]);
    store.edit('Rename', rename('Mine'));
    await store.flush();
    expect(kept.rows.get('p1')!.revision).toBe(4);
    store.edit('Rename', rename('Mine still'));
    for (const hear of kept.hear) hear({ kind: 'project-saved', id: 'p1', revision: 3 });
    expect(store.saveState).toBe('saving');
    await store.flush();
    expect([store.doc!.name, store.saveState]).toEqual(['Mine still', 'saved']);
  });

  it('takes nothing from under the hand: what is changed while the other tab’s is read, or is being written, is asked about', async () => {
    const store = await opened();
    const read = hold('reading');
    elsewhere(2, 'Theirs');
    store.edit('Rename', rename('Mine'));
    await store.flush();
    await read();
    expect([store.doc!.name, store.saveState]).toEqual(['Mine', 'conflict']);
    await store.keepMine();
    expect([store.doc!.name, store.saveState]).toEqual(['Mine', 'saved']);
    expect(kept.copies).toContain('Theirs');

    const written = hold('held');
    store.edit('Rename', rename('Mine again'));
    elsewhere(9, 'Theirs again');
    await new Promise((done) => setTimeout(done, 5));
    expect(store.doc!.name).toBe('Mine again');
    await written();
    expect([store.doc!.name, store.saveState]).toEqual(['Mine again', 'conflict']);

    await store.takeTheirs();
    const dragged = hold('reading');
    elsewhere(10, 'While it is dragged');
    store.preview(rename('Dragged'));
    await dragged();
    store.settle('Drag');
    expect([store.doc!.name, store.saveState]).toEqual(['Dragged', 'conflict']);
  });

  it('does not show in one project what was read of the one before', async () => {
    kept.rows.set('p2', { id: 'p2', revision: 7, document: { ...start, id: 'p2', name: 'Other' } });
    const store = await opened();
    for (const leave of [() => elsewhere(2, 'Theirs'), () => void store.takeTheirs(), () => void store.keepMine()]) {
      await store.open('p1');
      const read = hold('reading');
      leave();
      // The other one is read faster.
      kept.reading = null;
      await store.open('p2');
      await read();
      expect([store.doc!.name, store.saveState]).toEqual(['Other', 'saved']);
      store.edit('Rename', rename('Other'));
      store.edit('Lap', (p) => ({ ...p, seam: { ...p.seam, lapMm: p.seam.lapMm + 1 } }));
      await store.flush();
      expect(store.saveState).toBe('saved');
    }
  });

  it('says so when nothing can be written, and saves once it can', async () => {
    const store = await opened();
    kept.full = true;
    store.edit('Rename', rename('Large'));
    await store.flush();
    expect(store.saveState).toBe('refused');
    expect(store.doc!.name).toBe('Large');
    kept.full = false;
    store.edit('Rename', rename('Larger'));
    await store.flush();
    expect((kept.rows.get('p1')!.document as Project).name).toBe('Larger');
  });

  it('goes on trying to write what another project was opened over while there was no room', async () => {
    vi.useFakeTimers();
    const other: Project = { ...start, id: 'p2', name: 'Other' };
    kept.rows.set('p2', { id: 'p2', revision: 1, document: other });
    const [store, library] = [await opened(), useLibrary()];
    kept.full = true;
    store.edit('Rename', rename('Large'));
    await store.flush();
    await store.open('p2');
    expect(store.doc!.name).toBe('Other');
    expect(library.projects.map(({ name }) => name)).toEqual(['Large']);
    // Opened again it is as it was left, and it is still said that it is not kept.
    await store.open('p1');
    expect([store.doc!.name, store.saveState]).toEqual(['Large', 'refused']);
    await store.open('p2');
    kept.full = false;
    await vi.advanceTimersByTimeAsync(30_000);
    expect(kept.rows.get('p1')).toMatchObject({ revision: 2, document: { name: 'Large' } });
    expect(kept.rows.get('p2')).toMatchObject({ revision: 1 });
    expect(library.unwritten.size).toBe(0);
    vi.useRealTimers();
  });

  it('keeps as a copy what two tabs differ over, when another project is opened', async () => {
    const store = await opened();
    kept.rows.set('p1', { id: 'p1', revision: 5, document: { ...start, name: 'Theirs' } });
    store.edit('Rename', rename('Mine'));
    await store.flush();
    expect(store.saveState).toBe('conflict');
    await store.open('nowhere');
    expect(kept.copies).toContain('Mine');
    expect((kept.rows.get('p1')!.document as Project).name).toBe('Theirs');
  });

  it('takes up a change that the page was left with before it could be saved', async () => {
    // Its own project: the stores of the cases above are still listening.
    const row = { id: 'p9', revision: 1, document: { ...start, id: 'p9' } };
    kept.rows.set('p9', row);
    const store = useProject();
    await store.open('p9');
    store.edit('Rename', rename('Just typed'));
    window.dispatchEvent(new Event('pagehide'));
    const journal = JSON.parse(localStorage.getItem('mivet-unsaved-p9')!);
    expect(journal).toMatchObject({ revision: 1, document: { name: 'Just typed' } });
    // The save of the page that was left never arrived.
    kept.rows.set('p9', row);
    localStorage.setItem('mivet-unsaved-p9', JSON.stringify(journal));
    setActivePinia(createPinia());
    const again = useProject();
    await again.open('p9');
    expect(again.doc!.name).toBe('Just typed');
    expect(localStorage.getItem('mivet-unsaved-p9')).toBeNull();
    await again.flush();
    expect((kept.rows.get('p9')!.document as Project).name).toBe('Just typed');
  });

  it('writes down a change whose save is still under way when the page is left', async () => {
    const row = { id: 'p8', revision: 1, document: { ...start, id: 'p8' } };
    kept.rows.set('p8', row);
    const store = useProject();
    await store.open('p8');
    store.edit('Rename', rename('Half saved'));
    let arrive = (): void => undefined;
    kept.held = new Promise((done) => (arrive = done));
    const saving = store.flush();
    window.dispatchEvent(new Event('pagehide'));
    const journal = JSON.parse(localStorage.getItem('mivet-unsaved-p8')!);
    expect(journal).toMatchObject({ revision: 1, document: { name: 'Half saved' } });
    arrive();
    await saving;

    // The save came through: what was written down is the same and is forgotten.
    localStorage.setItem('mivet-unsaved-p8', JSON.stringify(journal));
    setActivePinia(createPinia());
    const again = useProject();
    const copies = kept.snapshots;
    await again.open('p8');
    expect(again.doc!.name).toBe('Half saved');
    expect(again.saveState).toBe('saved');
    expect(kept.snapshots).toBe(copies);
  });

  it('keeps such a change as a copy when someone saved over it since', async () => {
    localStorage.setItem(
      'mivet-unsaved-p1',
      JSON.stringify({ revision: 0, document: { ...start, name: 'Old', changedAt: '2026-01-02T10:00:00.000Z' } }),
    );
    const store = await opened();
    expect(store.doc!.name).toBe('Oars');
    expect(kept.snapshots).toBe(1);
    localStorage.setItem('mivet-unsaved-p2', '{"revision":"x"');
    await store.open('p2');
    expect(store.missing).toBe(true);
  });

  it('knows a project that is not here', async () => {
    const store = useProject();
    await store.open('nowhere');
    expect(store.missing).toBe(true);
    expect(store.doc).toBeNull();
  });
});
