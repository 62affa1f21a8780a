import { filmGive, type Materials } from '../material/materials.ts';
import { solidOf } from '../measure/kinds/kinds.ts';
import type { Job } from '../model/job.ts';
import type { Looked } from '../model/looked.ts';
import type { Piece } from '../pieces/pieces.ts';
import type { Wrap } from '../pieces/wrap.ts';
import { boxCentre } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { PanelFrame } from '../seam/panel-frame.ts';
import { meridianArc, spheroidGaussian } from '../surface/spheroid.ts';
import type { LaidOn } from './advise.ts';
import type { FilmGives } from './membrane.ts';
import { ballSide, profileSide, spheroidSide } from './side.ts';

/** What of a job says what its pieces are laid on. */
type OfJob = Pick<Job, 'blank' | 'films' | 'warm'>;
type OfWrap = Pick<Wrap, 'size' | 'template' | 'frames'>;

/** mm that a piece keeps from the pole of a balloon: nearer, it is laid on a ball as round as the balloon is there. */
const FROM_POLE_MM = 8;

/** Whether there is anything to look at: a side that curves both ways. */
export const curvesBothWays = ({ template }: Pick<Wrap, 'template'>): boolean => template.flattening.map !== null;

/**
 * Where a piece of a job comes to lie, and on what; null where the side develops, or the piece lies on no part of it.
 */
export function laidOnOf(job: OfJob, wrap: OfWrap, piece: Piece, materials: Materials): LaidOn | null {
  if (!curvesBothWays(wrap)) return null;
  const solid = solidOf(wrap.size);
  const gives = givesOf(job, piece.film, materials);
  const { x, y } = boxCentre(piece.flatBox);
  if (solid.curved) {
    const spot = spotOf(wrap.frames, piece, x, y);
    return spot && { side: profileSide(solid.curved.kept), gives, ...spot };
  }
  if (!solid.spheroid) return null;
  const { radius, halfLength } = solid.spheroid;
  // A patch is flat about its own middle: on a ball one spot is like another.
  const latitude = (Math.max(-80, Math.min(80, job.blank.flattening.patchUpDeg)) * Math.PI) / 180;
  const { bounds } = wrap.template;
  const down = (bounds.minY + bounds.maxY) / 2 - y;
  const aside = x - (bounds.minX + bounds.maxX) / 2;
  if (Math.abs(radius - halfLength) < 1e-9) return { side: ballSide(radius), gives, slant: down, azimuth: aside / radius };
  const middle = -meridianArc(radius, halfLength, latitude);
  const reach = Math.hypot(piece.flatBox.maxX - piece.flatBox.minX, piece.flatBox.maxY - piece.flatBox.minY) / 2;
  const pole = meridianArc(radius, halfLength, Math.PI / 2) - FROM_POLE_MM;
  if (Math.abs(middle + down) + reach < pole)
    return { side: spheroidSide(radius, halfLength), gives, slant: middle + down };
  const bend = 1 / Math.sqrt(spheroidGaussian(radius, halfLength, latitude));
  return { side: ballSide(bend), gives, slant: down, azimuth: aside / bend };
}

/** What the film of a piece gives where it lies; rubber under it gives as much either way. */
function givesOf({ films, warm, blank }: OfJob, film: string, materials: Materials): FilmGives {
  const { stretch, squeeze } = filmGive(materials, films.find(({ id }) => id === film)?.finish ?? 'gloss permanent', warm);
  const rubber = materials.surfaces[blank.surface].give / 2;
  return { stretch: stretch + rubber, squeeze: squeeze + rubber };
}

/** Where the middle of a piece lies on the side, and how its flat is turned there. */
function spotOf(frames: readonly PanelFrame[], { part, azimuths, slants }: Piece, x: number, y: number): Pick<LaidOn, 'slant' | 'azimuth' | 'askew'> | null { // prettier-ignore
  const holds = (frame: PanelFrame): boolean => frame.part === part;
  const frame = frames.find(holds) ?? nearestFrame(frames, (azimuths[0] + azimuths[1]) / 2, (slants[0] + slants[1]) / 2);
  const spot = frame?.inverse(x, y);
  if (!frame || !spot) return null;
  const [a, b] = [new Float64Array(2), new Float64Array(2)];
  frame.forwardInto(spot.azimuth, spot.slant - STEP_MM, a);
  frame.forwardInto(spot.azimuth, spot.slant + STEP_MM, b);
  return { ...spot, askew: -Math.PI / 2 - Math.atan2(b[1]! - a[1]!, b[0]! - a[0]!) };
}

/** mm over which it is seen which way is down on a flat. */
const STEP_MM = 0.5;

/** What is laid by itself lies on the panel that its middle is on. */
function nearestFrame(frames: readonly PanelFrame[], azimuth: number, slant: number): PanelFrame | undefined {
  const on = frames.filter(({ slant: [from, to] }) => slant >= from && slant <= to);
  return (on.length > 0 ? on : frames).find(({ left, right }) => {
    if (!left || !right) return true;
    return [-1, 0, 1].some((turn) => {
      const a = azimuth + 2 * Math.PI * turn;
      return a >= Math.min(...left.azimuths) && a <= Math.max(...right.azimuths);
    });
  });
}

/**
 * What is laid on what, as a short word: it changes when a laying would. Copies of one shape at one height have the same.
 *
 * @param limitMm that tents may stand off
 */
export function lookKey({ flat, flatBox }: Piece, { side, gives, slant, askew = 0 }: LaidOn, limitMm: number): string {
  const { x, y } = boxCentre(flatBox);
  let [a, b] = [0x811c9dc5, 0x9747b28c];
  const take = (value: number, step: number): void => {
    const whole = Math.round(value / step);
    a = Math.imul(a ^ whole, 0x01000193);
    b = Math.imul(b + (whole ^ (a >>> 7)), 0x5bd1e995);
  };
  const ring = (points: Ring): void => {
    take(points.length, 1);
    for (let i = 0; i < points.length; i += 2) {
      take(points[i]! - x, 0.02);
      take(points[i + 1]! - y, 0.02);
    }
  };
  ring(flat.outer);
  flat.holes.forEach(ring);
  const [above, below] = [slant - (flatBox.maxY - flatBox.minY) / 2, slant + (flatBox.maxY - flatBox.minY) / 2];
  for (let i = 0; i <= 8; i++) take(side.radiusAt(above + ((below - above) * i) / 8), 0.01);
  for (const value of [gives.stretch, gives.squeeze]) take(value, 1e-5);
  take(askew, 1e-3);
  take(limitMm, 1e-3);
  return [a, b].map((part) => (part >>> 0).toString(36)).join('-');
}

/** What was found when this was looked at, if it was. */
export const lookOf = (looked: readonly Looked[] | undefined, key: string): Looked | undefined =>
  looked?.find(({ of }) => of === key);
