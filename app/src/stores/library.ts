import {
  NEW_RUN,
  NOTHING_PLANNED,
  type BenchRun,
  newShelfBlank,
  type Backup,
  type Blank,
  type OwnFont,
  type OwnMotif,
  type Project,
  type ShelfBlank,
  type Unreadable,
} from '@mivet/core';
import { until } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import * as records from '../data/records.ts';
import { DoesNotFit, OlderTabOpen } from '../data/refused.ts';
import { hearTabs, tellTabs } from '../data/tabs.ts';
import { lendFonts } from '../workers/core-client.ts';
import { watchGone } from './gone.ts';
import { keptList } from './kept-list.ts';
import { deleted, notKept, refuse } from './refusal.ts';

/** Id that a blank and its other colours have in common. */
export const familyOf = (entry: ShelfBlank): string => entry.variantOf ?? entry.blank.id;

/** A project that waits to be written. */
interface Unwritten {
  /** That it was last written with; 0 for a new one. */
  readonly revision: number;
  /** Lets a read say again how it is kept. */
  readonly release: () => void;
}

/** Characters that the name of a project may have. */
const LONGEST_NAME = 200;
/** ms after which what was refused is tried again. */
const AGAIN_MS = 5000;

const newestFirst = <T extends { readonly keptAt: string }>(kept: readonly T[]): T[] =>
  [...kept].sort((a, b) => b.keptAt.localeCompare(a.keptAt));
const lastChangedFirst = (projects: readonly Project[]): Project[] =>
  [...projects].sort((a, b) => (a.changedAt < b.changedAt ? 1 : a.changedAt > b.changedAt ? -1 : 0));

/** Projects, blanks, fonts and motifs as lists; the open project lives in its own store. */
export const useLibrary = defineStore('library', () => {
  const kept = {
    projects: keptList<Project>(({ id }) => id, lastChangedFirst),
    shelf: keptList<ShelfBlank>(({ blank }) => blank.id),
    fonts: keptList<OwnFont>(({ id }) => id, newestFirst),
    motifs: keptList<OwnMotif>(({ id }) => id, newestFirst),
  };
  const { all: projects } = kept.projects;
  const { all: shelf } = kept.shelf;
  const { all: fonts } = kept.fonts;
  const { all: motifs } = kept.motifs;
  const loaded = ref(false);
  /** Records that this program cannot read: named, kept as they are, and offered as files. */
  const unreadable = shallowRef<readonly Unreadable[]>([]);
  /** Why nothing can be kept in this browser, if so. */
  const refused = ref<string | null>(null);
  /** Projects that could not be written as they are now; each is tried again until there is room. */
  const unwritten = shallowRef<ReadonlyMap<string, Unwritten>>(new Map());

  /** How many projects were here the last time, where now there are none. */
  const gone = watchGone(() =>
    loaded.value && refused.value === null && unreadable.value.length === 0 ? projects.value.length : null,
  );

  /** Ids of what was put in while nothing could be kept; written as soon as that is possible again. */
  const waiting = { shelf: new Set<string>(), fonts: new Set<string>(), motifs: new Set<string>() };

  /** Writes what has been waiting for a place to be kept in; what fits no format is said and given up. */
  async function writeWaiting(): Promise<void> {
    const documents = {
      shelf: shelf.value.filter(({ blank }) => waiting.shelf.has(blank.id)),
      fonts: fonts.value.filter(({ id }) => waiting.fonts.has(id)),
      motifs: motifs.value.filter(({ id }) => waiting.motifs.has(id)),
    };
    if (Object.values(documents).every((some) => some.length === 0)) return;
    try {
      await records.writeAll([], documents);
    } catch (problem) {
      if (!(problem instanceof DoesNotFit)) throw problem;
      refuse(notKept(problem));
    }
    for (const ids of Object.values(waiting)) ids.clear();
  }

  async function load(): Promise<void> {
    try {
      if (refused.value) await writeWaiting();
      const read = await Promise.all([
        kept.projects.readIn(() =>
          records.readProjects((newest) => {
            if (projects.value.length === 0) projects.value = newest;
          }),
        ),
        kept.shelf.readIn(() => records.readLibrary('shelf')),
        kept.fonts.readIn(() => records.readLibrary('fonts')),
        kept.motifs.readIn(() => records.readLibrary('motifs')),
      ]);
      unreadable.value = read.flatMap((one) => one.unreadable);
      refused.value = null;
    } catch (problem) {
      refused.value =
        problem instanceof OlderTabOpen
          ? problem.message
          : 'This browser does not let Mivet keep anything (a private window, or storage is full or switched off). You can work, but save to a file before you close the page.';
    }
    loaded.value = true;
    // Storage that is refused may be given back: a tab is closed, room is made.
    if (refused.value) setTimeout(() => void load(), AGAIN_MS);
  }

  /** Done when everything has been read once. */
  const whenLoaded = (): Promise<unknown> => until(loaded).toBe(true);

  /** Reads the shelf again, when somebody else wrote to it. */
  async function loadShelf(): Promise<void> {
    await kept.shelf.readIn(() => records.readLibrary('shelf'));
  }

  /** Takes in a project; fonts that its file carries go to the library. */
  async function addProject({ carried, ...given }: Project): Promise<void> {
    const project = { ...given, name: given.name.slice(0, LONGEST_NAME) };
    kept.projects.put([project]);
    const written = kept.projects.hold([project.id]);
    try {
      await keepFonts(carried?.fonts ?? []);
      await records.writeProject(project, 0);
      written();
      tellTabs({ kind: 'library-changed', id: project.id, revision: 1 });
    } catch (problem) {
      if (problem instanceof DoesNotFit) {
        written();
        kept.projects.drop(project.id);
        throw problem;
      }
      // There is no room, or nothing is kept: one works on it all the same, is told so, and it is written when it can be.
      writeLater(project, 0);
      written();
    }
  }

  /**
   * Keeps a project that could not be written, in the list and trying, until it is.
   *
   * @param revision that it was last written with; 0 for a new one
   */
  function writeLater(project: Project, revision: number): void {
    kept.projects.put([project]);
    const release = unwritten.value.get(project.id)?.release ?? kept.projects.hold([project.id]);
    unwritten.value = new Map([...unwritten.value, [project.id, { revision, release }]]);
    tryLater(project.id);
  }

  /** Of each project that is not written, when it is tried again. */
  const tries = new Map<string, ReturnType<typeof setTimeout>>();
  function tryLater(id: string): void {
    clearTimeout(tries.get(id));
    tries.set(
      id,
      setTimeout(() => {
        tries.delete(id);
        void writeAgain(id);
      }, AGAIN_MS),
    );
  }

  /** The same once more under another name: nothing of it is done, promised or noted yet. */
  async function copyProject(project: Project, name: string): Promise<Project> {
    const at = new Date().toISOString();
    const copy = { ...project, id: crypto.randomUUID(), name, createdAt: at, changedAt: at, log: [], bench: NEW_RUN, handOver: null, planning: NOTHING_PLANNED }; // prettier-ignore
    await addProject(copy);
    return copy;
  }

  /** Writes a project that found no room, as it stands in the list by now; unless that was done meanwhile. */
  async function writeAgain(id: string): Promise<void> {
    const project = projects.value.find((p) => p.id === id);
    const waits = unwritten.value.get(id);
    if (!waits || !project) return;
    // Where it is open it is written as it is there.
    if (openProject() === id) return tryLater(id);
    try {
      const outcome = await records.writeProject(project, waits.revision);
      // Written from where it is open, or somewhere else: what is here goes on as a copy.
      if (unwritten.value.get(id) !== waits) return;
      if (!outcome.ok) await records.writeSnapshot(project, project.changedAt);
      noteWritten(id);
      if (!outcome.ok) return await load();
      for (const hear of onStored) await hear(id, outcome.revision, false);
      tellTabs({ kind: 'library-changed', id, revision: outcome.revision });
    } catch {
      tryLater(id);
    }
  }
  function noteWritten(id: string): void {
    const waits = unwritten.value.get(id);
    if (!waits) return;
    waits.release();
    unwritten.value = new Map([...unwritten.value].filter(([one]) => one !== id));
  }

  /** Takes a record that cannot be read away for good. */
  async function removeUnreadable(record: Unreadable): Promise<void> {
    await records.deleteUnreadable(record);
    unreadable.value = unreadable.value.filter((one) => one !== record);
  }

  /** Takes a changed project into the list without reading everything again. */
  function noteProject(project: Project): void {
    noteWritten(project.id);
    kept.projects.put([project]);
  }

  /**
   * Ticks steps of a project at the bench, or takes ticks away; one that is open in another tab hears of it.
   *
   * @throws when it cannot be written
   */
  const tickSteps = (id: string, steps: readonly string[], done: boolean): Promise<void> =>
    changeBench(id, (bench) => {
      const others = bench.doneSteps.filter((step) => !steps.includes(step));
      return { ...bench, doneSteps: done ? [...others, ...steps] : others };
    });

  /**
   * Changes the run at the bench of a project that is not open.
   *
   * @throws Error in words when it is gone or was changed meanwhile
   */
  const changeBench = (id: string, change: (bench: BenchRun) => BenchRun): Promise<void> =>
    changeProject(id, (project) => ({ ...project, bench: change(project.bench) }));

  /**
   * Changes a project that is not open; one change after the other, so that each builds on the one before.
   *
   * @throws Error in words when it is gone, was changed meanwhile, or could not be read again
   */
  function changeProject(id: string, change: (project: Project) => Project): Promise<void> {
    const mine = lastChange.then(() => changeStored(id, change));
    lastChange = mine.catch(() => undefined);
    return mine;
  }
  let lastChange: Promise<unknown> = Promise.resolve();
  async function changeStored(id: string, change: (project: Project) => Project): Promise<void> {
    const stored = await records.readProject(id);
    const listed = projects.value.find((project) => project.id === id);
    // As it is listed, so that nothing is taken for changed but its ticks; unless it was changed elsewhere.
    const project = listed && listed.changedAt === stored?.document.changedAt ? listed : stored?.document;
    if (!stored || !project) throw new Error('the project is gone');
    const next = { ...change(project), changedAt: new Date().toISOString() };
    const { keepable } = await import('../data/checks.ts');
    const fits = keepable(next, project);
    if (!fits.ok) throw new Error(`${fits.path}: ${fits.issue.message}`);
    const outcome = await records.writeProject(next, stored.revision);
    if (!outcome.ok) throw new Error('it was changed in another tab just now; try again');
    kept.projects.put([next]);
    tellTabs({ kind: 'project-saved', id, revision: outcome.revision });
  }

  const goneFrom = (database: Promise<void>): Promise<void> => deleted(database, () => refused.value !== null);

  async function removeProject(id: string): Promise<void> {
    await goneFrom(records.deleteProject(id));
    noteWritten(id);
    kept.projects.drop(id);
    tellTabs({ kind: 'library-changed', id, revision: 0 });
  }

  /**
   * Puts a blank on the shelf, or its new readings; other colours of it are the same cup and get them as well.
   *
   * @returns false where it could not be kept, which is said
   */
  async function keepBlank(blank: Blank): Promise<boolean> {
    const now = new Date().toISOString();
    const known = shelf.value.find((b) => b.blank.id === blank.id);
    const entry = known ? { ...known, blank, changedAt: now } : newShelfBlank(blank, now);
    const family = known ? familyOf(known) : blank.id;
    const {
      kind,
      readings,
      inside,
      stations,
      stationsAlong,
      flattening,
      balloon,
      fitCheck,
      bandBelowRimMm,
      handleWidthMm,
    } = blank;
    const shape = {
      kind,
      readings,
      stations,
      stationsAlong,
      flattening,
      balloon,
      fitCheck,
      bandBelowRimMm,
      inside,
      handleWidthMm,
    };
    const others = shelf.value
      .filter((b) => b.blank.id !== blank.id && familyOf(b) === family)
      .map((b) => ({
        ...b,
        blank: { ...b.blank, ...shape },
        changedAt: now,
      }));
    return keepShelf([entry, ...others]);
  }

  /**
   * Writes things of the library down before they are shown; what cannot be written is said, and not shown as if it were.
   * With nowhere to keep anything they are shown all the same, and written when there is.
   *
   * @returns whether they are to be shown
   */
  async function writeDown(documents: records.LibraryDocuments): Promise<boolean> {
    if (refused.value) {
      for (const { blank } of documents.shelf ?? []) waiting.shelf.add(blank.id);
      for (const { id } of documents.fonts ?? []) waiting.fonts.add(id);
      for (const { id } of documents.motifs ?? []) waiting.motifs.add(id);
      return true;
    }
    try {
      await records.writeAll([], documents);
    } catch (problem) {
      refuse(notKept(problem));
      return false;
    }
    tellTabs({ kind: 'library-changed', id: '', revision: 0 });
    return true;
  }

  /** Writes shelf blanks, over those with the same id; false where they could not be kept, which is said. */
  async function keepShelf(entries: readonly ShelfBlank[]): Promise<boolean> {
    if (!(await writeDown({ shelf: entries }))) return false;
    kept.shelf.put(entries);
    return true;
  }

  /** The same blank once more, to be changed into another; or in another colour, sharing its readings from now on. */
  async function copyBlank(entry: ShelfBlank, as: 'copy' | 'colour'): Promise<ShelfBlank> {
    const taken = new Set(shelf.value.map((b) => b.blank.name));
    const first = shelf.value.find((b) => b.blank.id === familyOf(entry)) ?? entry;
    const wanted = as === 'copy' ? `${entry.blank.name} (copy)` : `${first.blank.name}, other colour`;
    let name = wanted;
    for (let n = 2; taken.has(name); n++) name = `${wanted} ${n}`;
    const copy: ShelfBlank = {
      ...entry,
      blank: { ...entry.blank, id: crypto.randomUUID(), name },
      variantOf: as === 'colour' ? familyOf(entry) : null,
      photo: as === 'colour' ? null : entry.photo,
      changedAt: new Date().toISOString(),
    };
    await keepShelf([copy]);
    return copy;
  }

  async function removeBlank(id: string): Promise<void> {
    await goneFrom(records.deleteKept('shelf', id));
    kept.shelf.drop(id);
    tellTabs({ kind: 'library-changed', id, revision: 0 });
  }

  /** Keeps fonts; false where they could not be kept, which is said. Where nothing is kept they serve for as long as the page is open. */
  async function keepFonts(brought: readonly OwnFont[]): Promise<boolean> {
    if (brought.length === 0) return true;
    if (!(await writeDown({ fonts: brought }))) return false;
    if (refused.value) lendFonts(brought);
    kept.fonts.put(brought);
    return true;
  }

  /** Keeps a motif; false where it could not be kept, which is said. */
  async function keepMotif(motif: OwnMotif): Promise<boolean> {
    if (!(await writeDown({ motifs: [motif] }))) return false;
    kept.motifs.put([motif]);
    return true;
  }

  async function removeMotif(id: string): Promise<void> {
    await goneFrom(records.deleteKept('motifs', id));
    kept.motifs.drop(id);
    tellTabs({ kind: 'library-changed', id, revision: 0 });
  }

  async function removeFont(id: string): Promise<void> {
    await goneFrom(records.deleteKept('fonts', id));
    kept.fonts.drop(id);
    tellTabs({ kind: 'library-changed', id, revision: 0 });
  }

  /** Puts in what of many things is not here yet, and shows it while it is being written; the demo does. */
  async function bringIn(incoming: readonly Project[], documents: records.LibraryDocuments): Promise<void> {
    const carried = incoming.flatMap((project) => project.carried?.fonts ?? []);
    const here = new Set(projects.value.map(({ id }) => id));
    const plain = incoming.filter(({ id }) => !here.has(id)).map(({ carried: _, ...project }) => project);
    kept.projects.put(plain);
    const written = kept.projects.hold(plain.map(({ id }) => id));
    const library = { ...documents, fonts: [...carried, ...(documents.fonts ?? [])] };
    await records.writeAll(plain, library, 'missing').finally(written);
    tellTabs({ kind: 'library-changed', id: '', revision: 0 });
    await load();
  }

  /** Restores a backup; open pages of its projects are refreshed. */
  async function restore(backup: Backup): Promise<void> {
    const revisions = await records.restoreAll(backup, new Date().toISOString());
    for (const [id, revision] of revisions) {
      tellTabs({ kind: 'project-saved', id, revision });
      for (const hear of onStored) await hear(id, revision, true);
    }
    tellTabs({ kind: 'library-changed', id: '', revision: 0 });
    await load();
  }
  let openProject: () => string | null = () => null;
  /** Leaves the writing of the project that is open to whoever has it. */
  const leaveOpen = (id: () => string | null): void => void (openProject = id);
  type Stored = (id: string, revision: number, replaced: boolean) => Promise<void>;
  const onStored = new Set<Stored>();
  /** Tells when a project was written from here, and whether by that it became another one. */
  const hearStored = (hear: Stored): void => void onStored.add(hear);

  hearTabs((news) => {
    if (loaded.value && news.kind === 'library-changed') void load();
  });

  return {
    projects,
    shelf,
    fonts,
    motifs,
    loaded,
    gone,
    unreadable,
    unwritten,
    removeUnreadable,
    restore,
    hearStored,
    leaveOpen,
    refused,
    load,
    whenLoaded,
    loadShelf,
    addProject,
    writeLater,
    copyProject,
    noteProject,
    tickSteps,
    changeBench,
    changeProject,
    removeProject,
    keepBlank,
    keepShelf,
    copyBlank,
    removeBlank,
    keepFonts,
    removeFont,
    keepMotif,
    removeMotif,
    bringIn,
  };
});
