import type { Box } from '../plane/box.ts';
import { boxOfCoordinates, EMPTY_BOX } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { FontFace } from './font.ts';
import type { RingSetting } from './item.ts';
import type { MotifId } from './motifs/index.ts';
import { motifOutlines } from './motifs/index.ts';
import { textOutlines } from './text.ts';

/** Words set round a circle, its middle at the origin, y up, mm. */
export interface RingTextOutlines {
  readonly groups: readonly (readonly Ring[])[];
  readonly missing: readonly string[];
  /** Box of the whole round, from its middle: what is placed. */
  readonly frame: Box;
  /** mm left along the baseline between two words; negative when they run into each other. */
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
  const boxes = glyphs.map((rings) => rings.reduce((box, r) => boxOfCoordinates(r, box), EMPTY_BOX));
  const width = boxes.length > 0 ? Math.max(...boxes.map((b) => b.maxX)) - Math.min(...boxes.map((b) => b.minX)) : 0;
  const around = (2 * Math.PI * radius) / times;
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
    room: around - width - (ring.between === null ? 0 : ornamentWidth(ring, capHeight)),
  };
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

/** Width of an ornament between words, in heights of a capital. */
export function ornamentShare(motif: MotifId): number {
  const { box } = motifOutlines(motif, 1);
  return ((box.maxX - box.minX) / (box.maxY - box.minY)) * ORNAMENT_SHARE;
}
const ornamentWidth = ({ between }: RingSetting, capHeight: number): number => ornamentShare(between!) * capHeight;

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
