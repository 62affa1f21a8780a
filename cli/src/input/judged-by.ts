import { limitsWith, supplyOf, type JudgedBy, type Project } from '@mivet/core';
import { loadFonts } from './fonts.ts';

/** What a project file carries to be judged by: its fonts, limits and stock; what grows old is judged by today. */
export const judgedBy = (project: Project): JudgedBy => ({
  fonts: loadFonts(project),
  limits: limitsWith(project.carried?.limits ?? {}),
  supply: supplyOf(project.carried?.stock ?? [], new Date().toISOString().slice(0, 10)),
});
