import type { OwnFont, Project } from '@mivet/core';
import { fileNameOf, saveFile } from './save-file.ts';

/** Hands a project over as a file, with the fonts of one's own that its words are set in. */
export function saveProjectFile(doc: Project, fonts: readonly OwnFont[]): void {
  const used = new Set(doc.items.flatMap((item) => (item.type === 'text' ? [item.font] : [])));
  const carried = { fonts: fonts.filter((font) => used.has(font.id)) };
  const file: Project = carried.fonts.length > 0 ? { ...doc, carried } : doc;
  saveFile(`${fileNameOf(doc.name)}.json`, JSON.stringify(file, null, 2));
}
