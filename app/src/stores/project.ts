import { type Project, sameValue, withUsedFilms } from '@mivet/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { StoredProject } from '../data/database.ts';
import * as records from '../data/records.ts';
import { OlderTabOpen } from '../data/refused.ts';
import { dropJournal, takeJournal, writeJournal } from '../data/journal.ts';
import { hearTabs, tellTabs, type TabNews } from '../data/tabs.ts';
import { refuse } from './refusal.ts';
import { useLibrary } from './library.ts';
import { useSettings } from './settings.ts';
import { useStock } from './stock.ts';

/** ms within which changes of one kind (typing in one field) make one step of undo. */
const MERGE_MS = 1200;
/** ms between kept copies of a project that is being worked on. */
const SNAPSHOT_MS = 10 * 60_000;
const UNDO_STEPS = 200;
/** ms after which a refused save is tried again. */
const AGAIN_MS = 3000;

interface Step {
  readonly before: Project;
  readonly label: string;
}

type Checks = typeof import('../data/checks.ts');

/** What the header says about saving. */
export type SaveState = 'saved' | 'saving' | 'conflict' | 'refused';

/**
 * The open project: one document, replaced whole. Changes go through `edit`; undo keeps the documents themselves, which
 * share all that did not change.
 */
export const useProject = defineStore('project', () => {
  const doc = shallowRef<Project | null>(null);
  const missing = ref(false);
  const past = shallowRef<readonly Step[]>([]);
  const future = shallowRef<readonly Step[]>([]);
  const saveState = ref<SaveState>('saved');
  /** Why it is refused, where that is no matter of room. */
  const refusedWhy = ref<string | null>(null);
  const savedAt = ref<Date | null>(null);

  /** What holds a change to the format: it comes right after the first project. */
  let checks: Checks | undefined;
  let revision = 0;
  let again: ReturnType<typeof setTimeout> | null = null;
  let writing: Promise<void> | null = null;
  let unsaved = false;
  let lastEdit = { kind: '', at: 0 };
  let lastSnapshot = 0;
  /** The document before a drag began; nothing is saved or put into history until it ends. */
  let dragStart: Project | null = null;
  /** Whether what is shown is being dragged and not yet settled. */
  const dragging = ref(false);

  const canUndo = computed(() => past.value.length > 0);
  const canRedo = computed(() => future.value.length > 0);

  /** Has what changes need loaded. */
  async function ready(): Promise<Checks> {
    return (checks ??= await import('../data/checks.ts'));
  }

  async function open(id: string): Promise<void> {
    if (doc.value?.id === id) return;
    await flush();
    await leaveBehind();
    doc.value = null;
    past.value = [];
    future.value = [];
    missing.value = false;
    saveState.value = 'saved';
    savedAt.value = null;
    const library = useLibrary();
    const read = (): ReturnType<typeof records.readProject> => records.readProject(id).catch(() => null);
    let stored = await read();
    // It came in while it was looked for, and is being written: what is read now is behind that.
    const listed = library.projects.some((p) => p.id === id);
    if (!stored && listed && !library.refused && !library.unwritten.has(id)) stored = await read();
    // What could not be written is newer than what is.
    const waits = library.unwritten.get(id);
    const found = (waits ? undefined : stored?.document) ?? library.projects.find((p) => p.id === id) ?? null;
    revision = waits?.revision ?? stored?.revision ?? 0;
    missing.value = found === null;
    doc.value = found;
    if (found && stored) savedAt.value = new Date(found.changedAt);
    lastSnapshot = 0;
    if (waits) {
      unsaved = true;
      saveState.value = 'refused';
      void flush();
    }
    const { checkDocument } = await ready();
    await recover(id, checkDocument);
  }

  /** What could not be written goes on trying when another is opened; what two tabs differ over is kept as a copy. */
  async function leaveBehind(): Promise<void> {
    const left = doc.value;
    if (!left || !unsaved) return;
    unsaved = false;
    // Should the page be closed before there is room: another store of the browser may have some.
    writeJournal({ revision, document: left });
    if (saveState.value !== 'conflict') return library().writeLater(left, revision);
    await records.writeSnapshot(left, left.changedAt).then(
      () => dropJournal(left.id),
      () => undefined,
    );
  }

  /** Takes up a change that the page was left with; one that someone saved over since is kept as a copy. */
  async function recover(id: string, check: Checks['checkDocument']): Promise<void> {
    // Another project was opened meanwhile: what waits for this one waits on.
    if (doc.value?.id !== id) return;
    const left = takeJournal(id, check);
    // The save that was under way when the page was left may have come through after all.
    if (!left || !doc.value || left.document.changedAt === doc.value.changedAt) return;
    if (left.revision === revision) replace(left.document);
    else await records.writeSnapshot(left.document, left.document.changedAt);
  }

  /** A project as it is now; one that was left meanwhile is as it was. */
  const latestOf = (asked: Project): Project => (doc.value?.id === asked.id ? doc.value : asked);

  function replace(next: Project): void {
    doc.value = { ...next, changedAt: new Date().toISOString() };
    unsaved = true;
    if (saveState.value !== 'conflict') saveState.value = library().refused ? 'refused' : 'saving';
    void flush();
  }

  const library = (): ReturnType<typeof useLibrary> => useLibrary();

  /**
   * Changes the project and remembers how to go back. What could not be read back is not kept: it is refused in words, and
   * nothing changes.
   *
   * @param label what was done, for the undo button
   * @param change from the project as it is
   * @param kind changes of one kind close together make one step
   */
  function edit(label: string, change: (project: Project) => Project, kind = ''): void {
    if (!doc.value) return;
    if (!checks) {
      const { id } = doc.value;
      void ready().then(
        () => doc.value?.id === id && edit(label, change, kind),
        () => refuse('A part of Mivet could not be loaded, so nothing was changed. What was saved is safe. Reload the page.'), // prettier-ignore
      );
      return;
    }
    const before = doc.value;
    // A film of the stock that is chosen comes along as it is now.
    const wanted = withUsedFilms(change(before), useStock().knownFilms);
    // What changes nothing is no step of undo: a field tells what is in it when it is entered and when it is left.
    if (sameValue(wanted, before)) return;
    const kept = checks.keepable(wanted, before);
    if (!kept.ok) {
      refuse(checks.describeKeepProblem(kept, useSettings().unit));
      return;
    }
    const next = kept.project;
    // Proxies of the page cannot be stored or posted: caught here, where the caller is still known.
    if (import.meta.env.MODE !== 'production') structuredClone(next);
    const now = Date.now();
    const merges = kind !== '' && kind === lastEdit.kind && now - lastEdit.at < MERGE_MS && past.value.length > 0;
    if (!merges) past.value = [...past.value.slice(1 - UNDO_STEPS), { before, label }];
    future.value = [];
    lastEdit = { kind, at: now };
    replace(next);
  }

  /**
   * Notes something that was found out about the project and changes nothing that a person did: no step of undo. What comes
   * of undo and redo is found out anew.
   */
  function note(change: (project: Project) => Project): void {
    if (!doc.value || dragStart || !checks) return;
    const next = checks.keepable(change(doc.value), doc.value);
    if (next.ok) replace(next.project);
  }

  /** Shows a change while it is being dragged. */
  function preview(change: (project: Project) => Project): void {
    if (!doc.value) return;
    dragStart ??= doc.value;
    dragging.value = true;
    doc.value = change(dragStart);
  }

  /** Ends a drag: one step of undo, one save. */
  function settle(label: string): void {
    const start = dragStart;
    const end = doc.value;
    dragStart = null;
    dragging.value = false;
    if (!start || !end || start === end) return;
    doc.value = start;
    edit(label, () => end);
  }

  function undo(): void {
    const step = past.value.at(-1);
    if (!step || !doc.value) return;
    past.value = past.value.slice(0, -1);
    future.value = [...future.value, { before: doc.value, label: step.label }];
    lastEdit = { kind: '', at: 0 };
    replace(step.before);
  }

  function redo(): void {
    const step = future.value.at(-1);
    if (!step || !doc.value) return;
    future.value = future.value.slice(0, -1);
    past.value = [...past.value, { before: doc.value, label: step.label }];
    lastEdit = { kind: '', at: 0 };
    replace(step.before);
  }

  /**
   * Saves what is not saved yet. A change is written at once, before it is drawn; those made while it is being written go
   * together into the next write.
   */
  function flush(): Promise<void> {
    if (again) clearTimeout(again);
    again = null;
    writing ??= saveAll().finally(() => (writing = null));
    return writing;
  }

  async function saveAll(): Promise<void> {
    for (let kept = true; kept;) {
      const now = doc.value;
      if (!now || !unsaved || dragStart || saveState.value === 'conflict' || library().refused) return;
      unsaved = false;
      kept = await save(now);
    }
  }

  /** Whether it was written. */
  async function save(now: Project): Promise<boolean> {
    try {
      const outcome = await records.writeProject(now, revision);
      if (!outcome.ok) {
        unsaved = true;
        saveState.value = 'conflict';
        return false;
      }
      dropJournal(now.id);
      revision = outcome.revision;
      savedAt.value = new Date();
      if (!unsaved) saveState.value = 'saved';
      library().noteProject(now);
      tellTabs({ kind: 'project-saved', id: now.id, revision });
      if (Date.now() - lastSnapshot > SNAPSHOT_MS) {
        lastSnapshot = Date.now();
        // A kept copy is not worth holding up the next save for; one that fails is tried again with the next save.
        records.writeSnapshot(now, now.changedAt).catch(() => (lastSnapshot = 0));
      }
      return true;
    } catch (problem) {
      unsaved = true;
      saveState.value = 'refused';
      refusedWhy.value = problem instanceof OlderTabOpen ? problem.message : null;
      // Room may be made meanwhile: it is tried again until it is written.
      again ??= setTimeout(() => void flush(), AGAIN_MS);
      return false;
    }
  }

  useLibrary().leaveOpen(() => doc.value?.id ?? null);
  /** What a backup brought back is shown in the place of what is open; undo leads back. */
  useLibrary().hearStored(async (id, stored, replaced) => {
    if (doc.value?.id !== id) return;
    if (replaced) await takeTheirs('Restore a backup');
    revision = stored;
  });

  /** After a conflict: takes what the other tab saved. Undo still leads back to what was here. */
  async function takeTheirs(label = 'Take the other tab’s version'): Promise<void> {
    const stored = doc.value ? await records.readProject(doc.value.id) : null;
    if (stored) show(stored, label);
  }
  /** Shows what is stored in the place of what is here, unless another was opened while it was read. */
  function show(stored: StoredProject, label: string): void {
    if (doc.value?.id !== stored.document.id) return;
    past.value = [...past.value, { before: doc.value, label }];
    future.value = [];
    lastEdit = { kind: '', at: 0 };
    revision = stored.revision;
    unsaved = false;
    doc.value = stored.document;
    saveState.value = 'saved';
  }

  /** After a conflict: keeps what is here, over what the other tab saved (which stays as a copy). */
  async function keepMine(): Promise<void> {
    const id = doc.value?.id;
    const stored = id ? await records.readProject(id) : null;
    if (stored) await records.writeSnapshot(stored.document, new Date().toISOString());
    // What waits of one that was left meanwhile is a copy already.
    if (doc.value?.id !== id) return;
    revision = stored?.revision ?? 0;
    saveState.value = 'saving';
    unsaved = true;
    await flush();
  }

  /** Goes back to a kept copy; undo leads back. */
  function restore(copy: Project): void {
    edit('Go back to a kept copy', () => copy);
  }

  /** Another tab saved: simply shows that where nothing of ours is waiting; otherwise the person decides. */
  async function follow(news: TabNews): Promise<void> {
    const isNews = (of: number): boolean => doc.value?.id === news.id && of > revision;
    if (news.kind !== 'project-saved' || !isNews(news.revision)) return;
    if (standsAgainst()) return letDecide();
    const stored = await records.readProject(news.id).catch(() => null);
    if (!stored || !isNews(stored.revision)) return;
    if (standsAgainst()) letDecide();
    else show(stored, 'Take the other tab’s version');
  }
  /** Whether something of ours stands against what another tab saved. */
  const standsAgainst = (): boolean => writing !== null || unsaved || dragStart !== null;
  /** What is being written finds out by itself that it is behind. */
  function letDecide(): void {
    if (!writing) saveState.value = 'conflict';
  }
  hearTabs((news) => void follow(news));
  /** The page may be gone in a moment: what is not on the disk yet is written down at once, then saved if there is time. */
  function leave(): void {
    // With a conflict it is kept as a copy when the project is opened again.
    if (doc.value && (unsaved || writing) && !dragStart) writeJournal({ revision, document: doc.value });
    void flush();
  }
  addEventListener('pagehide', leave);
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden') leave();
  });

  return {
    doc,
    dragging,
    missing,
    latestOf,
    ready,
    saveState,
    refusedWhy,
    savedAt,
    past,
    future,
    canUndo,
    canRedo,
    open,
    edit,
    note,
    preview,
    settle,
    undo,
    redo,
    flush,
    takeTheirs,
    keepMine,
    restore,
  };
});
