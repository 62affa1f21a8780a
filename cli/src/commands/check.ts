import { loadDocument } from '../files.ts';
import type { CommandLine } from '../run.ts';

/** Says whether a file is a good project, blank or backup. */
export const check: CommandLine = (args, { out }) => {
  const document = loadDocument(args[0]);
  const what =
    document.format === 'mivet-backup'
      ? `backup with ${document.projects.length} projects and ${document.shelf.length} blanks`
      : document.format === 'mivet-project'
        ? `project “${document.name}” with ${document.items.length} items`
        : `blank “${document.blank.name}”`;
  out(`${args[0]}: fine, a ${what}, format ${document.version}.\n`);
  return 0;
};
