import type { OwnFont, OwnLimits, Project } from '@mivet/core';
import { fileNameOf, saveFile } from './save-file.ts';

/** Hands a project over as a file, with the fonts of one's own that its words are set in and the limits that it is judged by. */
export function saveProjectFile(doc: Project, fonts: readonly OwnFont[], limits: OwnLimits): void {
  const used = new Set(doc.items.flatMap((item) => (item.type === 'text' ? [item.font] : [])));
  const carried = { fonts: fonts.filter((font) => used.has(font.id)), limits };
  const file: Project = carried.fonts.length > 0 || Object.keys(limits).length > 0 ? { ...doc, carried } : doc;
  saveFile(`${fileNameOf(doc.name)}.json`, JSON.stringify(file, null, 2));
}
