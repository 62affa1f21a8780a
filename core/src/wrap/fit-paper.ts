import type { FontBook } from '../artwork/font.ts';
import { FIT_PAPER_MM } from '../blank/fit-check.ts';
import type { Derived } from './derive.ts';
import { deriveWrap } from './derive.ts';
import type { Job } from './job.ts';

/**
 * The template of a job's blank for the paper fit check: for the thickness of paper, its ends butted, nothing on it.
 *
 * @param job for its blank
 * @param fonts the shipped fonts, loaded
 */
export function deriveFitPaper(job: Job, fonts: FontBook): Derived {
  const paper = {
    id: 'paper',
    name: 'Paper',
    colour: '#FFFFFF',
    finish: 'matte removable',
    thicknessMm: FIT_PAPER_MM,
  } as const;
  return deriveWrap({ ...job, items: [], films: [paper], seam: { lapMm: 0 } }, fonts);
}
