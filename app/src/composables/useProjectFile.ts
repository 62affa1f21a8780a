import { saveProjectFile } from '../data/project-file.ts';
import { useLibrary } from '../stores/library.ts';
import { useProject } from '../stores/project.ts';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';

/** Hands the open project over as a file, with all that goes along: once that has been read, if the page is new. */
export function useProjectFile(): () => Promise<void> {
  const project = useProject();
  const library = useLibrary();
  const settings = useSettings();
  const stock = useStock();
  return async () => {
    const { doc: asked } = project;
    if (!asked) return;
    await Promise.all([library.whenLoaded(), stock.load()]);
    const doc = project.latestOf(asked);
    saveProjectFile(doc, library.fonts, settings.limits, settings.habits, stock.supplyFor(doc));
  };
}
