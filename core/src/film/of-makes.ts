import type { FontBook } from '../artwork/font.ts';
import type { Materials } from '../material/materials.ts';
import type { Job } from '../model/job.ts';
import type { Project } from '../model/project.ts';
import { makeBatch } from '../pieces/batch.ts';
import { deriveWrap, type Wrap } from '../pieces/wrap.ts';
import { type WorthALook, worthALook } from './of-piece.ts';

/** A piece that is worth a closer look, of one of the things that are made. */
export interface OfMake extends WorthALook {
  /** The job as that thing is made: its blank, hand and artwork. */
  readonly job: Job;
  readonly wrap: Wrap;
}

/**
 * Pieces that are worth a closer look, of everything that is made: of a list, each thing with its own words, artwork and blank.
 * Each shape at a height once, those that ask most first.
 *
 * @param of an item; left out, whatever of all of them the forecast doubts
 * @returns empty where the blank cannot be flattened
 */
export function worthALookOf(
  project: Project,
  fonts: FontBook,
  materials: Materials,
  limitMm: number,
  of?: string,
): OfMake[] {
  const derived = deriveWrap(project, fonts, materials);
  if (!derived.ok) return [];
  const list = project.names;
  const makes = list ? makeBatch(project, list, { wrap: derived.wrap, doubts: [] }, fonts, materials) : [];
  const made = makes.flatMap(({ on, text, wrap }): { job: Job; wrap: Wrap }[] => {
    if (!on || !wrap) return [];
    const items = text ? on.items.map((item) => (item.id === text.id ? text : item)) : on.items;
    return [{ job: { ...project, blank: on.blank, hand: on.hand, items }, wrap }];
  });
  const found = new Map<string, OfMake>();
  for (const { job, wrap } of made.length > 0 ? made : [{ job: project, wrap: derived.wrap }])
    for (const one of worthALook(job, wrap, materials, limitMm, of))
      if (!found.has(one.key)) found.set(one.key, { ...one, job, wrap });
  return [...found.values()].sort((a, b) => b.share - a.share);
}
