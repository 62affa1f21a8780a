import { wrapFilm } from '../flat/wrap-film.ts';
import type { Materials } from '../material/materials.ts';
import { solidOf } from '../measure/kinds/kinds.ts';
import type { FontBook } from '../artwork/font.ts';
import type { Job } from '../model/job.ts';
import { deriveWrap, type Wrap } from '../pieces/wrap.ts';
import { flattenPath } from '../plane/flatten.ts';
import { intersectRings } from '../polygon/boolean.ts';
import { polygonArea, type Polygon } from '../polygon/polygon.ts';
import { partName } from '../seam/panel-frame.ts';
import type { FlatPanel } from '../seam/panels/panel.ts';
import { seamAt } from '../seam/path.ts';
import type { FlattenWay } from '../solid/flattening.ts';
import { bestOrders, better, type LaidOn, meshFor, tallestOf, withCare } from './advise.ts';
import { SheetProblem } from './sheet.ts';
import { ballSide, profileSide } from './side.ts';

/** How a way to lay a side flat comes out when its sheets are laid. */
export interface WayLaid {
  readonly way: FlattenWay;
  readonly parts: number;
  /** mm that the tallest tent of its worst sheet stands off, and the share of that sheet that tents. */
  readonly tallestMm: number;
  readonly tented: number;
}

/** Share of a gore's length that is a tip. */
const TIP = 0.06;
/** Nothing is set on a bare side. */
const NO_FONTS = {} as FontBook;
/** mm of flat that may be cut off at a corner: sheets are large. */
const CORNER_MM = 0.2;

/**
 * Lays the sheets of every way in which a side can be laid flat, whole and without artwork, in the best of the usual orders, as
 * they come or pulled; of gores one stands for all.
 *
 * @param job its blank, and the films that decide what its flat is made for
 * @returns one way after another; nothing where the side unrolls
 */
export function* layWays(job: Job, materials: Materials): Generator<WayLaid, void> {
  // The film that its flat is made for comes first: without artwork nothing else says which.
  const film = wrapFilm(job);
  const films = film ? [film, ...job.films.filter(({ id }) => id !== film.id)] : job.films;
  const bare: Job = { ...job, films, items: [], names: null, seam: { ...job.seam, atSeam: [] } };
  const as = (flattening: Job['blank']['flattening']): Wrap | null => {
    const derived = deriveWrap({ ...bare, blank: { ...job.blank, flattening } }, NO_FONTS, materials);
    return derived.ok ? derived.wrap : null;
  };
  const now = as(job.blank.flattening);
  if (!now?.template.flattening.map) return;
  for (const { way, parts } of now.template.flattening.options) {
    if (way === 'exact') continue;
    const wrap = as({ ...job.blank.flattening, way, parts: way === 'bands' || way === 'gores' ? parts : null });
    if (!wrap) continue;
    let [tallestMm, tented] = [0, 0];
    for (const panel of way === 'gores' ? wrap.panels.slice(0, 1) : wrap.panels) {
      const on = onSide(wrap, panel);
      if (!on) continue;
      try {
        const piece = sheetOf(panel, way === 'gores' && solidOf(wrap.size).spheroid !== null);
        const { sheet } = meshFor(piece, 'coarse');
        const [best] = [on, withCare(on)].flatMap((held) => bestOrders(sheet, held)).sort(better);
        if (tallestOf(best!.map) >= tallestMm) [tallestMm, tented] = [tallestOf(best!.map), best!.map.tentedMm2 / polygonArea(piece)]; // prettier-ignore
      } catch (problem) {
        if (!(problem instanceof SheetProblem)) throw problem;
      }
    }
    yield { way, parts, tallestMm, tented };
  }
}

/** A sheet as it is cut; of one that ends in the poles of a ball, all but its tips, which a disk covers. */
function sheetOf({ outlines, bounds: { minX, maxX, minY, maxY } }: FlatPanel, tips: boolean): Polygon {
  const outer = flattenPath(outlines[0]!, CORNER_MM);
  if (!tips) return { outer, holes: [] };
  const [from, to] = [minY + TIP * (maxY - minY), maxY - TIP * (maxY - minY)];
  const middle = Float64Array.from([minX - 1, from, maxX + 1, from, maxX + 1, to, minX - 1, to]);
  return intersectRings([outer], [middle])[0]!;
}

function onSide(wrap: Wrap, { name }: FlatPanel): LaidOn | null {
  const solid = solidOf(wrap.size);
  const gives = wrap.template.flattening.give;
  // On a ball one spot is like another: a gore lies about its widest girth, a patch about its own middle.
  if (!solid.curved) return solid.spheroid && { side: ballSide(solid.spheroid.radius), gives, slant: 0 };
  const frame = wrap.frames.find(({ part }) => part === partName(name));
  if (!frame) return null;
  // A spot on the sheet: the middle of the box of a band that bows lies off it.
  const { sideLength } = solid.curved.kept;
  const slant = (Math.max(0, frame.slant[0]) + Math.min(sideLength, frame.slant[1])) / 2;
  const azimuth = frame.left && frame.right && wrap.frames.length > 1 && name.startsWith('gore') ? (seamAt(frame.left, slant) + seamAt(frame.right, slant)) / 2 : 0; // prettier-ignore
  const flat = new Float64Array(2);
  frame.forwardInto(azimuth, slant, flat);
  return { side: profileSide(solid.curved.kept), gives, slant, azimuth, flat: [flat[0]!, flat[1]!] };
}
