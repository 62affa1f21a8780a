import type { OwnFont, OwnHabits, OwnLimits, Project, Supply } from '@mivet/core';
import { fileNameOf, saveFile } from './save-file.ts';

/** Hands a project over as a file, with the fonts of one's own that its words are set in, the limits that it is judged by and the stock that it is planned from. */
export function saveProjectFile(
  doc: Project,
  fonts: readonly OwnFont[],
  limits: OwnLimits,
  habits: OwnHabits,
  { films, offcuts, cutters }: Supply,
): void {
  const used = new Set(doc.items.flatMap((item) => (item.type === 'text' ? [item.font] : [])));
  const carried = {
    fonts: fonts.filter((font) => used.has(font.id)),
    limits,
    habits,
    stock: [...films, ...offcuts, ...cutters],
  };
  const more =
    carried.fonts.length + Object.keys(limits).length + Object.keys(habits).length + carried.stock.length > 0;
  const file: Project = more ? { ...doc, carried } : doc;
  saveFile(`${fileNameOf(doc.name)}.json`, JSON.stringify(file, null, 2));
}
