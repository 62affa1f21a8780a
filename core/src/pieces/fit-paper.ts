import { KINDS_OF_BLANK } from '../measure/kinds/kinds.ts';

import { solidOf } from '../measure/kinds/kinds.ts';

import type { FontBook } from '../artwork/font.ts';
import { filmGive, STARTING_MATERIALS } from '../material/materials.ts';
import type { PaperBand } from '../measure/band-fit.ts';
import { solveBandFit } from '../measure/band-fit.ts';
import type { FitResult } from '../measure/fit-check.ts';
import { FIT_PAPER_MM, solveFit } from '../measure/fit-check.ts';
import { sizeBlank } from '../measure/measured.ts';
import { layThickness } from '../measure/reading.ts';
import type { BlankSize } from '../measure/size.ts';
import type { Blank } from '../model/blank.ts';
import type { FitCheck, FitSeen } from '../model/fit-check.ts';
import type { Derived } from './wrap.ts';
import { deriveWrap } from './wrap.ts';

import { makeTemplate } from '../flat/template.ts';
import type { Job } from '../model/job.ts';
import { PLAIN_SEAM } from '../seam/plain-seam.ts';

/** Finish that stands for paper: it hardly gives. */
const AS_PAPER = 'metallised';

/**
 * The template of a job's blank for the paper fit check: for the thickness of paper, its ends butted, nothing on it, and
 * in one band.
 *
 * @param job for its blank
 * @param fonts the shipped fonts, loaded
 */
export function deriveFitPaper(job: Job, fonts: FontBook): Derived {
  const paper = {
    id: 'paper',
    name: 'Paper',
    colour: '#FFFFFF',
    finish: AS_PAPER,
    thicknessMm: FIT_PAPER_MM,
  } as const;
  return deriveWrap({ ...job, blank: oneBand(job.blank), items: [], films: [paper], seam: PLAIN_SEAM }, fonts);
}

const oneBand = (blank: Blank): Blank => ({ ...blank, flattening: { ...blank.flattening, way: 'band' } });

/**
 * Finds the sizes that explain what was seen on the fit paper of a round blank.
 *
 * @param blank as it was when the paper was printed; an earlier check is part of it
 * @param seen what the paper showed, mm
 * @returns true sizes with their 1 σ, or why there are none
 */
export function solveFitPaper(blank: Blank, seen: FitSeen): FitResult {
  const sized = sizeBlank(blank);
  if (!sized.ok) return { ok: false, code: 'no-cone' };
  const { size } = sized;
  const sizes = { girthRim: size.rim.surface, girthBase: size.base.surface, side: size.side };
  const band = paperBand(blank, size);
  return band
    ? solveBandFit(band, seen, blank.handleWidthMm)
    : solveFit(
        sizes,
        seen,
        KINDS_OF_BLANK[blank.kind].oneGirth === true,
        blank.handleWidthMm,
        layThickness(blank, FIT_PAPER_MM),
      );
}

/**
 * The dated check that puts a blank right by what was seen.
 *
 * @param on ISO
 * @returns null where no sizes explain what was seen
 */
export function fitCheckFrom(blank: Blank, seen: FitSeen, on: string): FitCheck | null {
  const sized = sizeBlank(blank);
  const solved = solveFitPaper(blank, seen);
  if (!sized.ok || !solved.ok) return null;
  const { rim, base, side, sideFromFitCheck } = sized.size;
  const before = {
    girthRim: rim.surface - rim.fromFitCheck,
    girthBase: base.surface - base.fromFitCheck,
    side: side - sideFromFitCheck,
  };
  return { on, seen, before, after: solved.after, sigma: solved.sigma };
}

/** The paper of a profile; null on a cone, whose paper fits exactly. */
export function paperBand(blank: Blank, size: BlankSize): PaperBand | null {
  const { curved } = solidOf(size);
  if (!curved) return null;
  const paperMm = layThickness(blank, FIT_PAPER_MM);
  const { template } = makeTemplate(
    oneBand(blank),
    size,
    paperMm,
    PLAIN_SEAM,
    filmGive(STARTING_MATERIALS, AS_PAPER, false),
  );
  return {
    sizes: { girthRim: size.rim.surface, girthBase: size.base.surface, side: size.side },
    cone: template.cone,
    paperMm,
    slopeRim: curved.kept.slopeAt(0),
  };
}
