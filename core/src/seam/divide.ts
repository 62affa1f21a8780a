import type { FlatSide } from '../flat/flat-side.ts';
import type { Template } from '../flat/template.ts';
import { templateThickness } from '../layout/lay-out.ts';
import type { PlacedItem } from '../layout/place.ts';
import type { Job } from '../model/job.ts';
import type { Development } from '../surface/development.ts';
import type { SeamCut } from './cuts.ts';
import { cutsAtSeams } from './cuts.ts';
import { looseInTiles } from './loose-in-tiles.ts';
import type { FoundSeam } from './measure-seam.ts';
import { findSeams } from './finder.ts';
import { measureSeam } from './measure-seam.ts';
import type { PanelFrame } from './panel-frame.ts';
import type { FlatPanel } from './panels/panel.ts';
import type { ShownBand } from './panels/shown-band.ts';
import { makePanels } from './panels/panels.ts';
import { shownBand } from './panels/shown-band.ts';
import { straightSeam } from './path.ts';

/** The side as it is divided: whole, or into panels, bands or gores. */
export interface Divided {
  /** What is printed as the template: one, or the panels, bands or gores that the side is divided into. */
  readonly panels: readonly FlatPanel[];
  /** The whole band or face as one flat. */
  readonly band: ShownBand;
  /** How artwork is laid on them. */
  readonly frames: readonly PanelFrame[];
  /** Where panels meet, in order round from the one at the back; empty on a face. */
  readonly seams: readonly FoundSeam[];
  /** The copies that they cut. */
  readonly cuts: readonly SeamCut[];
}

/** What decides how a side is divided. */
type DividedJob = Pick<Job, 'blank' | 'items' | 'films' | 'seam'>;

/**
 * Divides the side of a job at its seams.
 *
 * @param job how its ends meet, and how many panels there are
 * @param flat the side
 * @param placed what lies on it
 */
export function divideSide(
  job: DividedJob,
  { size, template, surface }: FlatSide,
  placed: readonly PlacedItem[],
): Divided {
  const seams = template.closed ? seamsOf(job, template, surface, placed) : [];
  const paths = seams.map((seam) => seam.path);
  const panels = makePanels(size, templateThickness(job), template, surface, paths);
  return {
    panels: panels.flats,
    frames: panels.frames,
    band: shownBand(template, surface, paths),
    seams,
    cuts: cutsAtSeams(placed, seams, { side: surface.slantLength, radiusAt: (slant) => surface.radiusAt(slant) }),
  };
}

/** Where the panels of a round side begin: the seam at the back, then the others round. Beside a handle, only those. */
function seamsOf(
  { seam }: DividedJob,
  template: Template,
  surface: Development,
  placed: readonly PlacedItem[],
): readonly FoundSeam[] {
  const { flattening, region } = template;
  const side = surface.slantLength;
  const handle = region.left[0] > -Math.PI;
  // Bands and gores are divided another way.
  const count = flattening.way === 'bands' || flattening.way === 'gores' ? 1 : seam.panels;
  const [from, to] = handle
    ? [(region.left[0] + region.left[1]) / 2, (region.right[0] + region.right[1]) / 2]
    : [-Math.PI, Math.PI];
  const even = Array.from({ length: count }, (_, i) => from + ((to - from) * i) / count).slice(handle ? 1 : 0);
  const field = { side, radiusAt: (slant: number) => surface.radiusAt(slant), groups: placed.flatMap((p) => p.groups) };
  // A band that is joined all round is cut wherever the seam runs: it is in nobody's way. What is loose in its tiles is.
  const inTheWay = {
    ...field,
    groups: placed.flatMap((p) => (p.item.repeat.mode === 'joined' ? looseInTiles(p).flat() : p.groups)),
  };
  const found = (seams: readonly FoundSeam[]): FoundSeam[] =>
    seams.map((one) => ({ ...measureSeam(field, one.path), free: one.free }));
  if (seam.way === 'straight') return even.map((azimuth) => measureSeam(field, straightSeam(azimuth, azimuth, side)));
  const options = { clearance: seam.clearanceMm, count, home: -Math.PI };
  if (!handle) return found(findSeams(inTheWay, options));
  if (even.length === 0) return [];
  return found(findSeams(inTheWay, { ...options, near: { azimuths: even, reach: (0.45 * (to - from)) / count } }));
}
