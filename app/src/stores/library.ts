import { newShelfBlank, type Blank, type Project, type ShelfBlank } from '@mivet/core';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import * as database from '../data/database.ts';
import { hearTabs, tellTabs } from '../data/tabs.ts';

/** Id that a blank and its other colours have in common. */
export const familyOf = (entry: ShelfBlank): string => entry.variantOf ?? entry.blank.id;

/** Projects and blanks as lists; the open project lives in its own store. */
export const useLibrary = defineStore('library', () => {
  const projects = shallowRef<readonly Project[]>([]);
  const shelf = shallowRef<readonly ShelfBlank[]>([]);
  const loaded = ref(false);
  const unreadable = ref(0);
  /** Why nothing can be kept in this browser, if so. */
  const refused = ref<string | null>(null);

  async function load(): Promise<void> {
    try {
      const [read, blanks] = await Promise.all([database.readProjects(), database.readShelf()]);
      projects.value = read.projects.sort((a, b) => b.changedAt.localeCompare(a.changedAt));
      unreadable.value = read.unreadable;
      shelf.value = blanks;
      refused.value = null;
    } catch {
      refused.value =
        'This browser does not let Mivet keep anything (a private window, or storage is full or switched off). You can work, but save to a file before you close the page.';
    }
    loaded.value = true;
  }

  async function addProject(project: Project): Promise<void> {
    projects.value = [project, ...projects.value.filter((p) => p.id !== project.id)];
    if (refused.value) return;
    await database.writeProject(project, 0);
    tellTabs({ kind: 'library-changed', id: project.id, revision: 1 });
  }

  /** Takes a changed project into the list without reading everything again. */
  function noteProject(project: Project): void {
    projects.value = [project, ...projects.value.filter((p) => p.id !== project.id)];
  }

  async function removeProject(id: string): Promise<void> {
    await database.deleteProject(id);
    projects.value = projects.value.filter((p) => p.id !== id);
    tellTabs({ kind: 'library-changed', id, revision: 0 });
  }

  /** Puts a blank on the shelf, or its new readings; other colours of it are the same cup and get them as well. */
  async function keepBlank(blank: Blank): Promise<void> {
    const now = new Date().toISOString();
    const known = shelf.value.find((b) => b.blank.id === blank.id);
    const entry = known ? { ...known, blank, changedAt: now } : newShelfBlank(blank, now);
    const family = known ? familyOf(known) : blank.id;
    const { kind, readings, stations, stationsAlong, flattening, balloon, fitCheck, bandBelowRimMm, handleWidthMm } =
      blank;
    const shape = {
      kind,
      readings,
      stations,
      stationsAlong,
      flattening,
      balloon,
      fitCheck,
      bandBelowRimMm,
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

  /** Writes shelf blanks, over those with the same id. */
  async function keepShelf(entries: readonly ShelfBlank[]): Promise<void> {
    const ids = new Set(entries.map((b) => b.blank.id));
    shelf.value = [...shelf.value.filter((b) => !ids.has(b.blank.id)), ...entries];
    if (refused.value) return;
    await database.writeAll([], entries);
    tellTabs({ kind: 'library-changed', id: '', revision: 0 });
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
    await database.deleteShelfBlank(id);
    shelf.value = shelf.value.filter((b) => b.blank.id !== id);
    tellTabs({ kind: 'library-changed', id, revision: 0 });
  }

  async function bringIn(incomingProjects: readonly Project[], incomingShelf: readonly ShelfBlank[]): Promise<void> {
    await database.writeAll(incomingProjects, incomingShelf);
    tellTabs({ kind: 'library-changed', id: '', revision: 0 });
    await load();
  }

  hearTabs((news) => {
    if (loaded.value && news.kind === 'library-changed') void load();
  });

  return {
    projects,
    shelf,
    loaded,
    unreadable,
    refused,
    load,
    addProject,
    noteProject,
    removeProject,
    keepBlank,
    keepShelf,
    copyBlank,
    removeBlank,
    bringIn,
  };
});
