import type { Project } from '../model/project.ts';

/**
 * A project of which one thing is made once more: nothing but that is cut, at the size that it had.
 *
 * @param rowId of the list; null for one of a kind
 * @param capMm height of its capitals as they were fitted, mm; null without words of its own
 */
export function onlyThing(project: Project, rowId: string | null, capMm: number | null): Project {
  const { names } = project;
  if (!names || rowId === null) return { ...project, laid: [] };
  const rows = names.rows
    .filter(({ id }) => id === rowId)
    .map((row) => ({ ...row, count: 1, capMm: capMm ?? row.capMm }));
  return { ...project, laid: [], names: { ...names, sameSize: false, rows } };
}
