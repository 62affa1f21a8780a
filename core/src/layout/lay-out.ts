import { solidOf } from '../measure/kinds/kinds.ts';

import type { FontBook } from '../artwork/font.ts';
import type { FlatSide } from '../flat/flat-side.ts';
import { makeTemplate } from '../flat/template.ts';
import { wrapFilm } from '../flat/wrap-film.ts';
import type { Materials } from '../material/materials.ts';
import { filmGive } from '../material/materials.ts';
import { layThickness } from '../measure/reading.ts';
import type { BlankSize } from '../measure/size.ts';
import { zonesOfBlank } from '../measure/zones.ts';
import type { Job } from '../model/job.ts';
import type { Seam } from '../model/seam.ts';
import type { Development } from '../surface/development.ts';
import { shapeOthers } from './cut-outs.ts';
import type { PlacedItem } from './place.ts';
import { placeItem } from './place.ts';
import type { ScatterRoom } from './scatter-item.ts';
import { scatterGroups, scatterItems } from './scatter-item.ts';

/** What decides where artwork lies on the side. */
export type LayoutJob = Pick<Job, 'blank' | 'items' | 'films' | 'hand' | 'warm'> & {
  readonly seam: Pick<Seam, 'lapMm'>;
};

/** The side laid flat, with the artwork on it. */
export interface LaidOut extends FlatSide {
  /** Items where they lie, cut away from each other and bridged, but whole where one film lies on another. */
  readonly shaped: readonly PlacedItem[];
}

/** Thickness by which the way round of a job's template is longer than that of the blank, mm. */
export const templateThickness = (job: Pick<Job, 'blank' | 'items' | 'films'>): number =>
  layThickness(job.blank, wrapFilm(job)?.thicknessMm ?? 0);

/**
 * Flattens the side for the film that touches it, and lays the artwork out on it.
 *
 * @param job readings, artwork, films and hand
 * @param read corrected sizes of its blank
 * @param fonts loaded
 * @param materials for what its film gives
 */
export function layOut(job: LayoutJob, read: BlankSize, fonts: FontBook, materials: Materials): LaidOut {
  const thickness = templateThickness(job);
  const give = filmGive(materials, wrapFilm(job)?.finish ?? 'gloss permanent', job.warm);
  const reach = patchReach(job, read, fonts, () => makeTemplate(job.blank, read, thickness, job.seam, give).surface);
  const { template, surface } = makeTemplate(job.blank, read, thickness, job.seam, give, reach);
  // A patch covers only part of a ball: from here on the side is what the template covers.
  const size = { ...read, side: surface.slantLength };
  const meanRadius = (surface.radiusAt(0) + surface.radiusAt(surface.slantLength)) / 2;
  const flat = { size, template, surface, meanRadius };
  return { ...flat, shaped: shapeOthers(placeAll(job, flat, fonts), meanRadius, template.closed) };
}

/** All items on the side. What is scattered goes round what is placed, wherever it lies in the stack. */
function placeAll(job: LayoutJob, { size, template, surface }: FlatSide, fonts: FontBook): PlacedItem[] {
  const done = new Map<string, PlacedItem>();
  for (const item of job.items)
    if (item.repeat.mode !== 'scattered') done.set(item.id, placeItem(item, surface, fonts, job.hand));
  const zones = zonesOfBlank(job.blank, size);
  for (const group of scatterGroups(job.items)) {
    const scattered = scatterItems(group, surface, fonts, job.hand, {
      closed: template.closed,
      rim: zones.rim,
      base: template.closed ? zones.base : job.blank.baseClearanceMm,
      handle: job.blank.handleWidthMm > 0 ? job.blank.handleWidthMm + 2 * zones.handle : 0,
      inside: roundFace(size),
      others: [...done.values()],
    });
    for (const one of scattered) done.set(one.item.id, one);
  }
  return job.items.map((item) => done.get(item.id)!);
}

/** mm that a patch goes on past what it carries. */
const PATCH_MARGIN_MM = 2;

/**
 * What a patch on a ball has to cover for its artwork, mm across; 0 on all else, and where its size was chosen. Only what
 * counts from the middle says where it is: what counts from the patch's edge moves with it.
 */
function patchReach(job: LayoutJob, size: BlankSize, fonts: FontBook, draft: () => Development): number {
  if (!solidOf(size).face?.patch || job.blank.flattening.patchMm !== null) return 0;
  const surface = draft();
  const middle = surface.slantLength / 2;
  const perTurn = surface.radiusAt(middle);
  const far = job.items
    .filter(({ placement, repeat }) => placement.from === 'middle' && repeat.mode !== 'scattered')
    .flatMap((item) => placeItem(item, surface, fonts, job.hand).groups.flat())
    .reduce((most, ring) => {
      let own = most;
      for (let i = 0; i < ring.length; i += 2)
        own = Math.max(own, Math.hypot(ring[i]! * perTurn, ring[i + 1]! - middle));
      return own;
    }, 0);
  return far === 0 ? 0 : Math.ceil(2 * (far + PATCH_MARGIN_MM));
}

/** mm from a spot to the edge of a round face, or to a lid's hole; positive within. */
function roundFace(size: BlankSize): ScatterRoom['inside'] {
  const { face } = solidOf(size);
  if (!face?.round) return null;
  const { side } = size;
  const { hole } = face;
  return (x, y) => {
    const up = side / 2 - y;
    const fromHole = hole === null ? Infinity : Math.hypot(x, up - hole.up) - hole.across / 2;
    return Math.min(fromHole, side / 2 - Math.hypot(x, up));
  };
}
