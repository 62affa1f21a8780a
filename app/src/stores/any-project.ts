import type { Project } from '@mivet/core';
import { useLibrary } from './library.ts';
import { useProject } from './project.ts';
import { useTold } from './told.ts';

/** Changes a project whether it is open or not; one that is open can be undone. What goes wrong is told. */
export function useAnyProject(): (
  id: string,
  label: string,
  change: (project: Project) => Project,
) => Promise<boolean> {
  const library = useLibrary();
  const open = useProject();
  const told = useTold();
  return async (id, label, change) => {
    if (open.doc?.id === id) {
      open.edit(label, change);
      return true;
    }
    try {
      await library.changeProject(id, change);
      return true;
    } catch (problem) {
      told.tell(`Nothing was changed: ${problem instanceof Error ? problem.message : String(problem)}`, true);
      return false;
    }
  };
}
