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
import { notKept, refuse } from './refusal.ts';

/** Id that a blank and its other colours have in common. */
export const familyOf = (entry: ShelfBlank): string => entry.variantOf ?? entry.blank.id;

/** Characters that the name of a project may have. */
const LONGEST_NAME = 200;
/** ms after which what was refused is tried again. */
const AGAIN_MS = 5000;

const newestFirst = <T extends { readonly keptAt: string }>(kept: readonly T[]): T[] =>
  [...kept].sort((a, b) => b.keptAt.localeCompare(a.keptAt));

/** Projects, blanks, fonts and motifs as lists; the open project lives in its own store. */
export const useLibrary = defineStore('library', () => {
  const projects = shallowRef<readonly Project[]>([]);
  const shelf = shallowRef<readonly ShelfBlank[]>([]);
  const fonts = shallowRef<readonly OwnFont[]>([]);
  const motifs = shallowRef<readonly OwnMotif[]>([]);
  const loaded = ref(false);
  /** Records that this program cannot read: named, kept as they are, and offered as files. */
  const unreadable = shallowRef<readonly Unreadable[]>([]);
  /** Why nothing can be kept in this browser, if so. */
  const refused = ref<string | null>(null);
  /** New projects that could not be written yet; each is tried again until there is room. */
  const unwritten = shallowRef<ReadonlySet<string>>(new Set());

  async function load(): Promise<void> {
    try {
      const [read, blanks, ownFonts, ownMotifs] = await Promise.all([
        records.readProjects((newest) => {
          if (projects.value.length === 0) projects.value = newest;
        }),
        records.readLibrary('shelf'),
        records.readLibrary('fonts'),
        records.readLibrary('motifs'),
      ]);
      // What could not be written yet is in no database, and stays in the list.
      const waits = projects.value.filter(({ id }) => unwritten.value.has(id));
      projects.value = [...waits, ...read.kept].sort((a, b) => b.changedAt.localeCompare(a.changedAt));
      unreadable.value = [read, blanks, ownFonts, ownMotifs].flatMap((one) => one.unreadable);
      shelf.value = blanks.kept;
      fonts.value = newestFirst(ownFonts.kept);
      motifs.value = newestFirst(ownMotifs.kept);
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
    shelf.value = (await records.readLibrary('shelf')).kept;
  }

  /** Takes in a project; fonts that its file carries go to the library. */
  async function addProject({ carried, ...given }: Project): Promise<void> {
    const project = { ...given, name: given.name.slice(0, LONGEST_NAME) };
    projects.value = [project, ...projects.value.filter((p) => p.id !== project.id)];
    if (refused.value) return;
    try {
      await keepFonts(carried?.fonts ?? []);
      await records.writeProject(project, 0);
      tellTabs({ kind: 'library-changed', id: project.id, revision: 1 });
    } catch (problem) {
      if (problem instanceof DoesNotFit) {
        projects.value = projects.value.filter((p) => p.id !== project.id);
        throw problem;
      }
      // There is no room: one works on it all the same, is told so, and it is written as soon as there is.
      unwritten.value = new Set([...unwritten.value, project.id]);
      setTimeout(() => void writeAgain(project.id), AGAIN_MS);
    }
  }

  /** The same once more under another name: nothing of it is done, promised or noted yet. */
  async function copyProject(project: Project, name: string): Promise<Project> {
    const at = new Date().toISOString();
    const copy = { ...project, id: crypto.randomUUID(), name, createdAt: at, changedAt: at, log: [], bench: NEW_RUN, handOver: null, planning: NOTHING_PLANNED }; // prettier-ignore
    await addProject(copy);
    return copy;
  }

  /** Writes a new project that found no room, as it stands in the list by now; unless that was done meanwhile. */
  async function writeAgain(id: string): Promise<void> {
    const project = projects.value.find((p) => p.id === id);
    if (!unwritten.value.has(id) || !project) return;
    try {
      await records.writeProject(project, 0);
      written(id);
      for (const hear of onStored) await hear(id, 1, false);
      tellTabs({ kind: 'library-changed', id, revision: 1 });
    } catch {
      setTimeout(() => void writeAgain(id), AGAIN_MS);
    }
  }
  function written(id: string): void {
    if (unwritten.value.has(id)) unwritten.value = new Set([...unwritten.value].filter((one) => one !== id));
  }

  /** Takes a record that cannot be read away for good. */
  async function removeUnreadable(record: Unreadable): Promise<void> {
    await records.deleteUnreadable(record);
    unreadable.value = unreadable.value.filter((one) => one !== record);
  }

  /** Takes a changed project into the list without reading everything again. */
  function noteProject(project: Project): void {
    written(project.id);
    projects.value = [project, ...projects.value.filter((p) => p.id !== project.id)];
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
   * Changes a project that is not open.
   *
   * @throws Error in words when it is gone, was changed meanwhile, or could not be read again
   */
  async function changeProject(id: string, change: (project: Project) => Project): Promise<void> {
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
    projects.value = projects.value.map((one) => (one.id === id ? next : one));
    tellTabs({ kind: 'project-saved', id, revision: outcome.revision });
  }

  async function removeProject(id: string): Promise<void> {
    await records.deleteProject(id);
    projects.value = projects.value.filter((p) => p.id !== id);
    tellTabs({ kind: 'library-changed', id, revision: 0 });
  }

  /** Puts a blank on the shelf, or its new readings; other colours of it are the same cup and get them as well. */
  async function keepBlank(blank: Blank): Promise<void> {
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
    await keepShelf([entry, ...others]);
  }

  /**
   * Writes things of the library down before they are shown; what cannot be written is said, and not shown as if it were.
   * With nowhere to keep anything they are shown all the same, for as long as the page is open.
   *
   * @returns whether they are to be shown
   */
  async function writeDown(documents: records.LibraryDocuments): Promise<boolean> {
    if (refused.value) return true;
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
    const ids = new Set(entries.map((b) => b.blank.id));
    shelf.value = [...shelf.value.filter((b) => !ids.has(b.blank.id)), ...entries];
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
    await records.deleteKept('shelf', id);
    shelf.value = shelf.value.filter((b) => b.blank.id !== id);
    tellTabs({ kind: 'library-changed', id, revision: 0 });
  }

  /** Keeps fonts; with nowhere to keep them nothing is done. */
  async function keepFonts(brought: readonly OwnFont[]): Promise<void> {
    if (brought.length === 0 || refused.value || !(await writeDown({ fonts: brought }))) return;
    const ids = new Set(brought.map((font) => font.id));
    fonts.value = [...brought, ...fonts.value.filter((font) => !ids.has(font.id))];
  }

  async function keepMotif(motif: OwnMotif): Promise<void> {
    if (!(await writeDown({ motifs: [motif] }))) return;
    motifs.value = [motif, ...motifs.value.filter((m) => m.id !== motif.id)];
  }

  async function removeMotif(id: string): Promise<void> {
    if (!refused.value) await records.deleteKept('motifs', id);
    motifs.value = motifs.value.filter((m) => m.id !== id);
    tellTabs({ kind: 'library-changed', id, revision: 0 });
  }

  async function removeFont(id: string): Promise<void> {
    await records.deleteKept('fonts', id);
    fonts.value = fonts.value.filter((font) => font.id !== id);
    tellTabs({ kind: 'library-changed', id, revision: 0 });
  }

  /** Puts many things in at once, and shows them while they are being written; the demo does. */
  async function bringIn(incoming: readonly Project[], documents: records.LibraryDocuments): Promise<void> {
    const carried = incoming.flatMap((project) => project.carried?.fonts ?? []);
    const plain = incoming.map(({ carried: _, ...project }) => project);
    const ids = new Set(plain.map(({ id }) => id));
    projects.value = [...plain, ...projects.value.filter(({ id }) => !ids.has(id))];
    await records.writeAll(plain, { ...documents, fonts: [...carried, ...(documents.fonts ?? [])] });
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
    unreadable,
    unwritten,
    removeUnreadable,
    restore,
    hearStored,
    refused,
    load,
    whenLoaded,
    loadShelf,
    addProject,
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
