import type { MivetDocument } from '@mivet/core';
import { loadDocument } from '../input/files.ts';
import type { CommandLine } from '../input/command.ts';

/** Says whether a file is a good project, blank or backup. */
export const check: CommandLine = (args, { out }) => {
  const document = loadDocument(args[0]);
  const what = describe(document);
  out(`${args[0]}: fine, a ${what}, format ${document.version}.\n`);
  return 0;
};

function describe(document: MivetDocument): string {
  switch (document.format) {
    case 'mivet-backup': {
      const { projects, shelf, fonts, motifs, stock, entries } = document;
      return `backup with ${projects.length} projects, ${shelf.length} blanks, ${fonts.length} fonts, ${motifs.length} motifs, ${stock.length} things in stock and ${entries.length} entries in the logbook`;
    }
    case 'mivet-project':
      return `project “${document.name}” with ${document.items.length} items`;
    case 'mivet-blank':
      return `blank “${document.blank.name}”`;
    case 'mivet-font':
      return `font “${document.name}”`;
    case 'mivet-motif':
      return `motif “${document.name}”`;
    case 'mivet-stock':
      return `piece of stock (${document.thing.kind})`;
    case 'mivet-entry':
      return `entry of the logbook “${document.title}”`;
  }
}
