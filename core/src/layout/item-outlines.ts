import { shapeInk } from '../artwork/acts.ts';
import { frameOf } from '../artwork/art-items.ts';
import type { FontBook, FontFace } from '../artwork/font.ts';
import { faceOf } from '../artwork/font.ts';
import type { OpenJoin } from '../artwork/joins.ts';
import { openJoins } from '../artwork/joins.ts';
import { gapsAt } from '../artwork/letter-gaps.ts';
import { motifOutlines } from '../artwork/motifs/index.ts';
import { ringText } from '../artwork/ring-text.ts';
import type { TextOutlines } from '../artwork/text.ts';
import { textOutlines } from '../artwork/text.ts';
import type { ArtItem, ArtworkItem, OutlineActs, RingSetting, TextItem } from '../model/item.ts';
import { FLATTEN_ERROR_MM, EPSILON_MM, TILE_WELD_MM } from '../numeric/tolerances.ts';
import type { Box } from '../plane/box.ts';
import { boxOfRings, isEmptyBox } from '../plane/box.ts';
import { flattenPath } from '../plane/flatten.ts';
import { parsePathData } from '../plane/path-data.ts';
import { unionRings } from '../polygon/boolean.ts';
import type { Ring } from '../polygon/polygon.ts';
import { mirrorRing, reverseRing, ringsOf } from '../polygon/polygon.ts';

/** An item's outlines in its own plane, before they are laid on the side: origin at the middle of its ink, y up, mm. */
export interface ItemOutlines {
  /** Rings that belong together (one glyph, one motif), each group with non-zero fill. */
  readonly groups: readonly (readonly Ring[])[];
  /** Whether each group is film as it stands: outer rings counter-clockwise, holes clockwise, nothing overlapping. */
  readonly clean?: boolean;
  /** Ink box round the origin, mm. */
  readonly box: Box;
  /** What is placed and turned, when it is not the ink of this item alone: the whole drawing that it is a colour of. */
  readonly frame: Box | null;
  readonly missingLetters: readonly string[];
  /** Whether its own font is not there and another stands in. */
  readonly fontMissing?: boolean;
  /** Height of a flat capital, mm; null for motifs. */
  readonly capHeight: number | null;
  /** mm between two words that are set round a circle. */
  readonly ringRoom?: number;
  /** Where words of a joined script fall apart. */
  readonly openJoins?: readonly OpenJoin[];
}

/**
 * Outlines of one copy of an item in its own plane.
 *
 * @param item text or motif
 * @param fonts the shipped fonts, loaded
 * @param pitch mm from copy to copy at the item's centre line; joined tiles are stretched to it
 */
export function itemOutlines(item: ArtworkItem, fonts: FontBook, pitch: number): ItemOutlines {
  if (item.type === 'text') {
    const { face, there } = faceOf(fonts, item.font);
    const fontMissing = !there;
    if (item.ring) return { ...ringOutlines(item, face, item.ring), fontMissing };
    let cap = item.size.by === 'cap' ? item.size.mm : 20;
    const { align, linePitch, letters: ownLetters = [] } = item;
    const set = (): TextOutlines =>
      textOutlines(item.text, face, cap, { align, linePitch, letters: ownLetters, ...gapsAt(item, cap) });
    let text = set();
    const box = boxOfGroups(text.glyphs);
    if (item.size.by !== 'cap' && box.maxX > box.minX) {
      // Gaps that keep their share grow with the letters; those in millimetres do not: solve for letters alone.
      const bare =
        item.gapsAtMm === null
          ? boxOfGroups(textOutlines(item.text, face, cap, { align, linePitch, letters: ownLetters }).glyphs)
          : box;
      const letters = Math.max(EPSILON_MM, bare.maxX - bare.minX);
      const gaps = box.maxX - box.minX - letters;
      const long = (20 * (item.size.mm - gaps)) / letters;
      // Lines and letters grow in proportion upwards: what is 20 mm of capitals now is so high.
      const high = item.size.by === 'box' ? (20 * item.size.highMm) / Math.max(EPSILON_MM, box.maxY - box.minY) : Infinity; // prettier-ignore
      cap = Math.max(0.01, Math.min(long, high));
      text = set();
    }
    const capHeight = cap;
    return {
      ...centred(text.glyphs, item.mirrored),
      clean: text.clean,
      frame: null,
      missingLetters: text.missing,
      capHeight,
      fontMissing,
      openJoins: face.joined ? openJoins(item.text, text, cap) : [],
    };
  }
  if (item.type === 'art') return artOutlines(item, pitch);
  const natural = motifOutlines(item.motif, 1).box;
  const joined = item.repeat.mode === 'joined';
  const width = joined ? pitch + 2 * TILE_WELD_MM : item.widthMm;
  const scaleX = width / (natural.maxX - natural.minX);
  const scaleY =
    item.heightMm === null
      ? item.widthMm / (natural.maxX - natural.minX)
      : item.heightMm / (natural.maxY - natural.minY);
  const { rings } = motifOutlines(item.motif, 1 / Math.max(scaleX, scaleY));
  const scaled = rings.map((ring) => ring.map((value, i) => value * (i % 2 ? scaleY : scaleX)));
  return { ...centred([scaled], item.mirrored), frame: null, missingLetters: [], capHeight: null };
}

/** Words round a circle; its middle is what is placed. */
function ringOutlines(item: TextItem, face: FontFace, ring: RingSetting): ItemOutlines {
  const cap = item.size.by === 'cap' ? item.size.mm : 10;
  const { letterGap } = gapsAt(item, cap);
  const { groups, missing, frame, room } = ringText(item.text, face, cap, letterGap, ring, face.joined);
  const flipped = item.mirrored ? groups.map((g) => g.map(mirrorRing)) : groups;
  return { groups: flipped, box: frame, frame, missingLetters: missing, capHeight: cap, ringRoom: room };
}

/** A colour of a drawing, in the frame of the whole drawing, so that all its colours fall in their places. */
function artOutlines(item: ArtItem, pitch: number): ItemOutlines {
  const joined = item.repeat.mode === 'joined';
  const width = joined ? pitch + 2 * TILE_WELD_MM : item.widthMm;
  const of = frameOf(item);
  const scaleX = width / of.widthMm;
  // What is joined round keeps its shape too: as high as it is stretched along.
  const scaleY = item.heightMm === null ? (joined ? pitch : item.widthMm) / of.widthMm : item.heightMm / of.heightMm;
  const flip = item.mirrored ? -1 : 1;
  const fine = FLATTEN_ERROR_MM / Math.max(scaleX, scaleY);
  const rings = parsePathData(item.pathData).map((path) =>
    flattenPath(path, fine).map((value, i) => (i % 2 ? (value - of.y) * scaleY : flip * (value - of.x) * scaleX)),
  );
  const half = { x: width / 2, y: (of.heightMm * scaleY) / 2 };
  const frame = { minX: -half.x, maxX: half.x, minY: -half.y, maxY: half.y };
  // A mirrored outline runs the other way round; film is to the left of it again when it is read backwards.
  const groups = [item.mirrored ? rings.map(reverseRing) : rings];
  return { groups, box: frame, frame, missingLetters: [], capHeight: null };
}

function centred(groups: readonly (readonly Ring[])[], mirrored: boolean): Pick<ItemOutlines, 'groups' | 'box'> {
  const box = boxOfGroups(groups);
  const cx = (box.minX + box.maxX) / 2;
  const cy = (box.minY + box.maxY) / 2;
  const moved = groups.map((rings) =>
    rings.map((ring) => {
      const about = ring.map((value, i) => (i % 2 ? value - cy : value - cx));
      return mirrored ? mirrorRing(about) : about;
    }),
  );
  return { groups: moved, box: { minX: box.minX - cx, maxX: box.maxX - cx, minY: box.minY - cy, maxY: box.maxY - cy } };
}

function boxOfGroups(groups: readonly (readonly Ring[])[]): Box {
  const box = boxOfRings(groups.flat());
  return isEmptyBox(box) ? { minX: 0, minY: 0, maxX: 0, maxY: 0 } : box;
}

/** An item's ink about the middle of what is placed, turned and clean: what is laid at every copy. */
export function inkOf(
  drawn: ItemOutlines,
  turn: number,
  acts: OutlineActs,
): { outlines: ItemOutlines; box: Box; ink: readonly (readonly Ring[])[] } {
  const outlines = shaped(drawn, acts);
  const turned = turn === 0 ? outlines.groups : turnGroups(outlines.groups, turn);
  const box = outlines.frame ? boxOfFrame(outlines.frame, turn) : boxOfGroups(turned);
  // The middle of the turned ink is what is placed, so that its top is where it was said to be.
  const cx = (box.minX + box.maxX) / 2;
  const cy = (box.minY + box.maxY) / 2;
  // Cleaned once, before the copies: what a font or a drawing overlaps within one glyph is then film already.
  const ink = turned.map((group) =>
    (outlines.clean ? group : unionRings(group).flatMap(ringsOf)).map((ring) =>
      ring.map((value, i) => (i % 2 ? value - cy : value - cx)),
    ),
  );
  return { outlines, box, ink };
}

/** Outlines with what is done to them; their frame stays, so that nothing moves when a part is dropped. */
function shaped(outlines: ItemOutlines, acts: OutlineActs): ItemOutlines {
  const groups = shapeInk(outlines.groups, acts);
  return groups === outlines.groups
    ? outlines
    : { ...outlines, groups, clean: false, frame: outlines.frame ?? outlines.box };
}

function turnGroups(groups: readonly (readonly Ring[])[], turn: number): Ring[][] {
  const cos = Math.cos(turn);
  const sin = Math.sin(turn);
  return groups.map((rings) =>
    rings.map((ring) => {
      const out = new Float64Array(ring.length);
      for (let i = 0; i < ring.length; i += 2) {
        out[i] = cos * ring[i]! - sin * ring[i + 1]!;
        out[i + 1] = sin * ring[i]! + cos * ring[i + 1]!;
      }
      return out;
    }),
  );
}

/** Box round a frame that is turned. */
function boxOfFrame({ maxX, maxY }: Box, turn: number): Box {
  const [cos, sin] = [Math.abs(Math.cos(turn)), Math.abs(Math.sin(turn))];
  const [x, y] = [maxX * cos + maxY * sin, maxX * sin + maxY * cos];
  return { minX: -x, maxX: x, minY: -y, maxY: y };
}

/** Box round an item that is turned, from its middle, mm. */
export const boxOfTurned = (outlines: ItemOutlines, turn: number): Box =>
  outlines.frame
    ? boxOfFrame(outlines.frame, turn)
    : turn === 0
      ? outlines.box
      : boxOfGroups(turnGroups(outlines.groups, turn));
