import { newProject, sizeBlank, type Blank } from '@mivet/core';
import { useRouter } from 'vue-router';
import { useLibrary } from '../stores/library.ts';
import { useSettings } from '../stores/settings.ts';

/** Starts projects: makes one, keeps it and goes to the stop where work begins. */
export function useNewProject(): {
  start: (blank: Blank, shelfBlankId: string | null, name?: string) => Promise<void>;
} {
  const library = useLibrary();
  const settings = useSettings();
  const router = useRouter();

  async function start(blank: Blank, shelfBlankId: string | null, name?: string): Promise<void> {
    const taken = new Set(library.projects.map((p) => p.name));
    const wanted = name ?? blank.name;
    let free = wanted;
    for (let n = 2; taken.has(free); n++) free = `${wanted} ${n}`;
    const project = {
      ...newProject(crypto.randomUUID(), free, blank, shelfBlankId, new Date().toISOString()),
      boardId: settings.boardId,
    };
    await library.addProject(project);
    // A measured blank goes straight to the artwork.
    const stop = sizeBlank(blank).ok ? 'artwork' : 'measure';
    await router.push({ name: 'project', params: { id: project.id, stop } });
  }
  return { start };
}
