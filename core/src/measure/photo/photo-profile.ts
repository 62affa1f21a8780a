import { EPSILON } from '../../numeric/tolerances.ts';
import type { Silhouette } from './silhouette.ts';

/** What makes millimetres of pixels: one girth somewhere, or the height of a part. Shares count from the top, 0 … 1. */
export type PhotoScale =
  | { readonly by: 'girth'; readonly mm: number; readonly at: number | 'widest' }
  | { readonly by: 'height'; readonly mm: number };

/** What a photograph's outline is read by. */
export interface PhotoReading {
  readonly scale: PhotoScale;
  /** mm from the camera to the thing's axis; null when it was far enough not to matter. */
  readonly cameraMm: number | null;
  /** Part of the height that the band takes, shares from the top, 0 … 1. */
  readonly band: readonly [number, number];
  /** Heights to read, 2 or more. */
  readonly count: number;
}

/** A girth read off a photograph. */
export interface PhotoStation {
  /** mm straight down from the first. */
  readonly down: number;
  readonly girth: number;
  /** mm. Half of what the two sides disagree by, as a girth. */
  readonly disagree: number;
  /** Share of the height, from the top. */
  readonly at: number;
}

/** Where on a thing its widest girth lies, as a share of its height from the top. */
export function widestShare({ rows, ends, sags }: Silhouette): number {
  const [top, foot] = [ends[0] + sags[0], ends[1] - sags[1]];
  const spots = rows.map(({ along, left, right }): Spot => ({ y: along, r: (left + right) / 2 }));
  return Math.min(1, Math.max(0, (spots[widestRow(spots, top, foot)]!.y - top) / (foot - top)));
}

interface Spot {
  /** mm from the level of the picture's middle, down. */
  readonly y: number;
  readonly r: number;
}

/**
 * Girths at even heights from the outline of a photographed thing.
 *
 * @param silhouette the outline, px
 * @param reading what is known of the scale and the camera
 * @returns stations from the top of the band down; null when the scale makes no sense
 * @source a camera at distance D sees a round thing's edge where the line of sight grazes it: cos φ = (r − r′y)/D; that
 *   spot lies r·cos φ before the axis and so looks larger by D/(D − r·cos φ). Solved by going round: radius and height
 *   from what is seen, the slope from these, and again
 */
export function readPhotoProfile(silhouette: Silhouette, reading: PhotoReading): PhotoStation[] | null {
  const { rows, tilt } = silhouette;
  const lean = 1 / Math.cos(tilt);
  const seen = rows.map(({ along, left, right }): Spot => ({ y: along * lean, r: (left + right) / 2 }));
  const { scale, cameraMm, band, count } = reading;
  if (!(scale.mm > 0) || count < 2 || !(band[1] > band[0])) return null;
  /** Level of an end, mm: lip and foot are seen as ellipses, whose own level is that of their ends. */
  const endLevel = (end: 0 | 1, spots: readonly Spot[]): number =>
    levelAt(spots, rows, silhouette.ends[end] + (end === 0 ? 1 : -1) * silhouette.sags[end]);
  // mm per px at the axis. What perspective does depends on it, so both are found together.
  let perPx = 1;
  for (let round = 0; ; round++) {
    const flat = scaled(seen, perPx);
    const spots = cameraMm === null ? flat : withoutPerspective(flat, cameraMm, silhouette.sags);
    const [top, foot] = [endLevel(0, spots), endLevel(1, spots)];
    const rowAt = (share: number): number => nearestRow(spots, top + (foot - top) * Math.min(1, Math.max(0, share)));
    const known = scale.by === 'girth' ? (scale.at === 'widest' ? widestRow(spots, top, foot) : rowAt(scale.at)) : 0;
    const is = scale.by === 'girth' ? 2 * Math.PI * spots[known]!.r : foot - top;
    if (!(is > 0)) return null;
    if (Math.abs(scale.mm / is - 1) > EPSILON && round < 30) {
      perPx *= scale.mm / is;
      continue;
    }
    const [first, last] = [rowAt(band[0]), rowAt(band[1])];
    if (last - first < count) return null;
    const begin = spots[first]!.y;
    return Array.from({ length: count }, (_, k) => {
      const y = begin + ((spots[last]!.y - begin) * k) / (count - 1);
      const i = nearestRow(spots, y);
      const { left, right } = rows[i]!;
      return {
        down: spots[i]!.y - begin,
        girth: 2 * Math.PI * spots[i]!.r,
        disagree: Math.PI * Math.abs(left - right) * perPx,
        at: (spots[i]!.y - top) / (foot - top),
      };
    });
  }
}

/** Share of the rows on either side of one that its width has to hold out against: what is there for a row or two is no girth. */
const LASTING = 0.025;

/** The row between two levels at which the thing is broadest, by the middle of its neighbours' widths. */
function widestRow(spots: readonly Spot[], top: number, foot: number): number {
  const half = Math.max(2, Math.round(LASTING * spots.length));
  let [best, most] = [spots.length >> 1, -Infinity];
  for (let i = half; i + half < spots.length; i++) {
    const { y } = spots[i]!;
    if (y < top || y > foot) continue;
    const near = spots.slice(i - half, i + half + 1).map(({ r }) => r);
    near.sort((a, b) => a - b);
    if (near[half]! > most) [best, most] = [i, near[half]!];
  }
  return best;
}

/** Level at a place along the axis, between the rows, mm. */
function levelAt(spots: readonly Spot[], rows: Silhouette['rows'], along: number): number {
  const after = rows.findIndex((row) => row.along >= along);
  const i = after < 0 ? rows.length - 1 : Math.max(1, after);
  const [a, b] = [rows[i - 1]!, rows[i]!];
  const t = (along - a.along) / (b.along - a.along);
  return spots[i - 1]!.y + t * (spots[i]!.y - spots[i - 1]!.y);
}

/** The row whose level is nearest; levels rise from row to row but for a little noise at the ends. */
function nearestRow(spots: readonly Spot[], y: number): number {
  return spots.reduce((best, spot, i) => (Math.abs(spot.y - y) < Math.abs(spots[best]!.y - y) ? i : best), 0);
}

const scaled = (spots: readonly Spot[], by: number): Spot[] => spots.map(({ y, r }) => ({ y: y * by, r: r * by }));

/** `sags`: rows at both ends that belong to lip and foot, whose slope is none of the side's. */
function withoutPerspective(seen: readonly Spot[], distance: number, sags: readonly [number, number]): Spot[] {
  let spots: readonly Spot[] = seen;
  const step = Math.max(1, Math.round(seen.length / 100));
  const first = Math.min(seen.length >> 1, Math.ceil(sags[0]) + 1 + step);
  const last = Math.max(seen.length >> 1, seen.length - 2 - step - Math.ceil(sags[1]));
  for (let round = 0; round < 5; round++)
    spots = seen.map((spot, i) => {
      const now = spots[i]!;
      const on = Math.min(last, Math.max(first, i));
      const [a, b] = [spots[Math.max(first - step, on - step)]!, spots[Math.min(last + step, on + step)]!];
      const slope = b.y > a.y ? Math.max(-1.5, Math.min(1.5, (b.r - a.r) / (b.y - a.y))) : 0;
      const facing = Math.max(-0.9, Math.min(0.9, (now.r - slope * now.y) / distance));
      const nearer = 1 - (now.r * facing) / distance;
      return { y: spot.y * nearer, r: (spot.r * nearer) / Math.sqrt(1 - facing * facing) };
    });
  return [...spots];
}
