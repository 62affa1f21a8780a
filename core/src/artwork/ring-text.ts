import type { RingSetting } from '../model/item.ts';
import { nearFront } from '../numeric/angle.ts';
import type { Box } from '../plane/box.ts';
import { boxOfRings } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { FontFace } from './font.ts';
import { motifOutlines } from './motifs/index.ts';
import { textOutlines } from './text.ts';

/** Words set round a circle, its middle at the origin, y up, mm. */
export interface RingTextOutlines {
  readonly groups: readonly (readonly Ring[])[];
  readonly missing: readonly string[];
  /** Box of the whole round, from its middle: what is placed. */
  readonly frame: Box;
  /** mm left between neighbours round the circle, where they come nearest; negative when they run into each other. */
  readonly room: number;
}

/** Height of an ornament between words, as a share of a capital's. */
const ORNAMENT_SHARE = 0.85;

/**
 * Sets words round a circle, as often as is asked, with an ornament between them.
 *
 * Letters with their tops outwards run clockwise from the top of the circle, those with their tops inwards counter-clockwise
 * from its foot, so that both are read from outside. Letters stay as they are and are turned one by one; those of a joined
 * script are bent along, so that they stay joined.
 *
 * @param text a line; line breaks count as spaces
 * @param face the font
 * @param capHeight mm
 * @param letterGap extra room between letters, mm
 * @param ring the circle that the letters stand on, and what comes round it
 * @param joined whether letters touch their neighbours
 */
export function ringText(
  text: string,
  face: FontFace,
  capHeight: number,
  letterGap: number,
  ring: RingSetting,
  joined: boolean,
): RingTextOutlines {
  const line = text.replace(/\s*\r?\n\s*/g, ' ');
  const { glyphs, missing } = textOutlines(line, face, capHeight, { letterGap });
  const radius = Math.max(1, ring.acrossMm / 2);
  const times = Math.max(1, Math.round(ring.times));
  const boxes = glyphs.map((rings) => boxOfRings(rings));
  const words = glyphs.map((rings, i) => {
    const middle = joined ? null : (boxes[i]!.minX + boxes[i]!.maxX) / 2;
    return rings.map((r) => bend(r, radius, ring.tops, middle));
  });
  const ornament = ring.between === null ? [] : [ornamentRings(ring, capHeight, radius)];
  const groups = Array.from({ length: times }, (_, k) => {
    const turn = (-2 * Math.PI * k) / times;
    const half = turn - Math.PI / times;
    return [
      ...words.map((rings) => rings.map((r) => turned(r, turn))),
      ...ornament.map((rings) => rings.map((r) => turned(r, half))),
    ];
  }).flat();
  // As far from its middle as its film reaches: the ring is centred, whatever its letters leave empty.
  const far = groups.flat().reduce((most, r) => Math.max(most, farthest(r)), 0);
  const frame = far > 0 ? far : radius;
  return {
    groups,
    missing,
    frame: { minX: -frame, maxX: frame, minY: -frame, maxY: frame },
    room: roomBetween(
      words.map((rings, i) => ({ rings, middle: (boxes[i]!.minX + boxes[i]!.maxX) / 2 / radius })),
      ornament.map((rings) => ({ rings, middle: 0 })),
      (2 * Math.PI) / times,
      ring.tops,
    ),
  };
}

/** Letters or an ornament where they stand, and the angle about which they do. */
interface Standing {
  readonly rings: readonly Ring[];
  readonly middle: number;
}

/** Circles on which neighbours are looked at, and how many looks are taken between two of them along an edge. */
const [CIRCLES, LOOKS] = [60, 3];

/** mm that words, and what stands between them, keep from each other along circles round the middle. */
function roomBetween(
  words: readonly Standing[],
  ornament: readonly Standing[],
  step: number,
  tops: RingSetting['tops'],
): number {
  const film = [...words, ...ornament].flatMap(({ rings }) => rings);
  const low = film.reduce((least, r) => Math.min(least, nearest(r)), Infinity);
  const high = film.reduce((most, r) => Math.max(most, farthest(r)), 0);
  if (!(high > low)) return 0;
  const pitch = (high - low) / CIRCLES;
  /** Angles from which to which some things reach on each circle. */
  const reach = (things: readonly Standing[]): { from: Float64Array; to: Float64Array } => {
    const from = new Float64Array(CIRCLES).fill(Infinity);
    const to = new Float64Array(CIRCLES).fill(-Infinity);
    for (const { rings, middle } of things)
      for (const r of rings)
        for (let i = 0, n = r.length; i < n; i += 2) {
          const [ax, ay, bx, by] = [r[i]!, r[i + 1]!, r[(i + 2) % n]!, r[(i + 3) % n]!];
          const looks = Math.max(1, Math.ceil((LOOKS * Math.hypot(bx - ax, by - ay)) / pitch));
          for (let k = 0; k < looks; k++) {
            const [x, y] = [ax + ((bx - ax) * k) / looks, ay + ((by - ay) * k) / looks];
            const circle = Math.min(CIRCLES - 1, Math.floor((Math.hypot(x, y) - low) / pitch));
            const off = Math.atan2(x, tops === 'in' ? -y : y) - middle;
            const angle = middle + nearFront(off);
            from[circle] = Math.min(from[circle]!, angle);
            to[circle] = Math.max(to[circle]!, angle);
          }
        }
    return { from, to };
  };
  const [word, between] = [reach(words), reach(ornament)];
  let room = Infinity;
  const keep = (a: typeof word, b: typeof word, turn: number): void => {
    for (let c = 0; c < CIRCLES; c++) {
      const gap = (b.from[c]! + turn - a.to[c]!) * (low + (c + 0.5) * pitch);
      if (Number.isFinite(gap)) room = Math.min(room, gap);
    }
  };
  if (ornament.length === 0) keep(word, word, step);
  else {
    // Half-way to the next word; both ways, as neither needs to be alike on both sides.
    keep(word, between, step / 2);
    keep(between, word, step / 2);
  }
  return Number.isFinite(room) ? room : step * low;
}

/** A ring of a letter on the circle: about its own middle when there is one, else bent point by point. */
function bend(ring: Ring, radius: number, tops: RingSetting['tops'], middle: number | null): Ring {
  const out = new Float64Array(ring.length);
  const inwards = tops === 'in';
  for (let i = 0; i < ring.length; i += 2) {
    const [x, y] = [ring[i]!, ring[i + 1]!];
    const angle = (middle ?? x) / radius;
    const along = middle === null ? 0 : x - middle;
    const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
    if (inwards) {
      // From the foot, counter-clockwise: up is towards the middle.
      out[i] = (radius - y) * sin + along * cos;
      out[i + 1] = -(radius - y) * cos + along * sin;
    } else {
      out[i] = (radius + y) * sin + along * cos;
      out[i + 1] = (radius + y) * cos - along * sin;
    }
  }
  return out;
}

/** The ornament where a word would be, half a capital off the circle. */
function ornamentRings(ring: RingSetting, capHeight: number, radius: number): Ring[] {
  const natural = motifOutlines(ring.between!, 1).box;
  const scale = (capHeight * ORNAMENT_SHARE) / (natural.maxY - natural.minY);
  const { rings, box } = motifOutlines(ring.between!, 1 / scale);
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  return rings.map((r) => {
    const moved = r.map((v, i) => (i % 2 ? (v - cy) * scale + capHeight / 2 : (v - cx) * scale));
    return bend(moved, radius, ring.tops, 0);
  });
}

function nearest(ring: Ring): number {
  let least = Infinity;
  for (let i = 0; i < ring.length; i += 2) least = Math.min(least, Math.hypot(ring[i]!, ring[i + 1]!));
  return least;
}

function farthest(ring: Ring): number {
  let most = 0;
  for (let i = 0; i < ring.length; i += 2) most = Math.max(most, Math.hypot(ring[i]!, ring[i + 1]!));
  return most;
}

function turned(ring: Ring, by: number): Ring {
  const [cos, sin] = [Math.cos(by), Math.sin(by)];
  const out = new Float64Array(ring.length);
  for (let i = 0; i < ring.length; i += 2) {
    out[i] = cos * ring[i]! - sin * ring[i + 1]!;
    out[i + 1] = sin * ring[i]! + cos * ring[i + 1]!;
  }
  return out;
}
