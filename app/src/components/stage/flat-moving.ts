import { boxOfCoordinates, type Box, type Development, type PieceViewModel } from '@mivet/core';
import { newCanvas } from './blank-textures.ts';

/** How a piece is moved as a whole: mm on the flat, y down as on the screen, then turned about a spot, rad clockwise. */
export interface WholeMove {
  readonly x: number;
  readonly y: number;
  readonly turn: number;
  readonly about: { readonly x: number; readonly y: number };
}

const middle = ([a, b]: readonly [number, number]): number => (a + b) / 2;

/**
 * Moves a piece as it was worked out last: round a cone that is how film moves; down it, near enough for a moment.
 *
 * @param by rad round, mm down the side
 */
export function moveOf(
  { azimuths, slants }: Pick<PieceViewModel, 'azimuths' | 'slants'>,
  surface: Development,
  by: { readonly azimuth: number; readonly slant: number },
): WholeMove {
  /** Which way down the side points on the flat, rad. */
  const heading = (azimuth: number, slant: number): number => {
    const [p, q] = [surface.forward(azimuth, slant), surface.forward(azimuth, slant + 1)];
    return Math.atan2(q.y - p.y, q.x - p.x);
  };
  const [azimuth, slant] = [middle(azimuths), middle(slants)];
  const [to, down] = [azimuth + by.azimuth, slant + by.slant];
  const [p, q] = [surface.forward(azimuth, slant), surface.forward(to, down)];
  return { x: q.x - p.x, y: p.y - q.y, turn: heading(azimuth, slant) - heading(to, down), about: { x: p.x, y: -p.y } };
}

type HeldPiece = Pick<PieceViewModel, 'azimuths' | 'slants' | 'film' | 'cutAt' | 'rings' | 'areaMm2'>;

/** What a piece looks like while it is held. */
export interface HeldLook {
  readonly fill: string | undefined;
  readonly halo: string;
  readonly line: string;
}

/** Pixels of the page for a mm of the flat, and where its origin is, px. */
export interface FlatPlace {
  readonly k: number;
  readonly x: number;
  readonly y: number;
}

type Pen = OffscreenCanvasRenderingContext2D | CanvasRenderingContext2D;
/** A piece as a picture that is laid down quickly. */
interface Sprite {
  /** Of this it is the picture. */
  readonly of: PieceViewModel;
  /** Null where it would be larger than it is worth: then the piece is drawn. */
  readonly picture: OffscreenCanvas | null;
  readonly box: Box;
}

/** Pixels of the page that the two lines round a piece are wide, and how far corners reach out, in half widths: as SVG has it. */
const [HALO_PX, LINE_PX, MITER] = [7, 2.8, 4];
/** mm round a piece that its picture leaves for its lines. */
const lineRoom = (mmPx: number): number => ((HALO_PX / 2) * MITER + 1) / mmPx;
/** Pixels of the largest picture of one piece, as a share of what is seen of the flat. */
const LARGEST = 1.5;

/**
 * Draws pieces where the hand has them, quickly enough for each picture of the screen: each is drawn once, and laid down
 * anew wherever it goes.
 */
export class HeldPieces {
  private sprites = new Map<string, Sprite>();
  private madeFor = '';

  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly look: (film: string) => HeldLook,
  ) {}

  /**
   * @param sharp pixels of the canvas for one of the page
   * @param within ends what goes right round, path data
   */
  draw(
    pieces: readonly PieceViewModel[],
    surface: Development,
    by: { readonly azimuth: number; readonly slant: number },
    place: FlatPlace,
    sharp: number,
    within: string,
  ): void {
    const pen = this.canvas.getContext('2d');
    if (!pen) return;
    const now = `${place.k} ${sharp}`;
    const before = this.madeFor === now ? this.sprites : new Map<string, Sprite>();
    this.madeFor = now;
    this.sprites = new Map();
    pen.setTransform(1, 0, 0, 1, 0, 0);
    pen.clearRect(0, 0, this.canvas.width, this.canvas.height);
    const k = place.k * sharp;
    /** Made just now: what goes round and round is one picture. */
    const fresh: Sprite[] = [];
    for (const piece of pieces) {
      const made = before.get(piece.id);
      let sprite = made && sameForNow(made.of, piece) ? made : fresh.find(({ of }) => isTurnOf(of, piece));
      if (!sprite) fresh.push((sprite = this.spriteOf(piece, surface, place.k, sharp)));
      this.sprites.set(piece.id, sprite);
      pen.setTransform(k, 0, 0, k, place.x * sharp, place.y * sharp);
      if (piece.cutAt) {
        pen.save();
        pen.clip(new Path2D(within), 'evenodd');
      }
      const { of, box, picture } = sprite;
      const since = { azimuth: by.azimuth + middle(piece.azimuths) - middle(of.azimuths), slant: by.slant + middle(piece.slants) - middle(of.slants) }; // prettier-ignore
      const { x, y, turn, about } = moveOf(of, surface, since);
      pen.translate(x + about.x, y + about.y);
      pen.rotate(turn);
      pen.translate(-about.x, -about.y);
      if (picture) pen.drawImage(picture, box.minX, box.minY, picture.width / k, picture.height / k);
      else this.paint(pen, of, place.k);
      if (piece.cutAt) pen.restore();
    }
  }

  private spriteOf(piece: PieceViewModel, surface: Development, mmPx: number, sharp: number): Sprite {
    const k = mmPx * sharp;
    const box = boxOnFlat(piece, surface, lineRoom(mmPx));
    const [wide, high] = [Math.ceil((box.maxX - box.minX) * k), Math.ceil((box.maxY - box.minY) * k)];
    if (wide * high > LARGEST * this.canvas.width * this.canvas.height) return { of: piece, picture: null, box };
    const [picture, pen] = newCanvas(wide, high);
    pen.setTransform(k, 0, 0, k, -box.minX * k, -box.minY * k);
    this.paint(pen, piece, mmPx);
    return { of: piece, picture, box };
  }

  private paint(pen: Pen, piece: PieceViewModel, mmPx: number): void {
    const { fill, halo, line } = this.look(piece.film);
    const path = new Path2D(piece.data);
    pen.miterLimit = MITER;
    pen.strokeStyle = halo;
    pen.lineWidth = HALO_PX / mmPx;
    pen.stroke(path);
    if (fill) {
      pen.fillStyle = fill;
      pen.fill(path, 'evenodd');
    }
    pen.strokeStyle = line;
    pen.lineWidth = LINE_PX / mmPx;
    pen.stroke(path);
  }
}

/** Share by which what is worked out anew may be of another size or reach, and its picture is still laid down for it. */
const ALIKE = 0.01;

/** Whether a piece that was worked out anew is the same as before, but for where it is: near enough while it is held. */
export function sameForNow(before: HeldPiece, now: HeldPiece): boolean {
  const alike = (a: number, b: number): boolean => Math.abs(a - b) <= ALIKE * Math.max(a, b);
  const reach = ([from, to]: readonly [number, number]): number => to - from;
  return (
    before === now ||
    (before.film === now.film &&
      before.cutAt === now.cutAt &&
      before.rings.length === now.rings.length &&
      alike(before.areaMm2, now.areaMm2) &&
      alike(reach(before.azimuths), reach(now.azimuths)) &&
      alike(reach(before.slants), reach(now.slants)))
  );
}

/** mm. What differs by less is the same. */
const SAME_MM = 1e-6;

/** Whether two pieces are one shape at two places round: the picture of one is that of the other. */
export function isTurnOf(one: HeldPiece, other: HeldPiece): boolean {
  if (!sameForNow(one, other)) return false;
  const round = (other.rings[0]?.[0] ?? 0) - (one.rings[0]?.[0] ?? 0);
  return one.rings.every((ring, r) => {
    const there = other.rings[r]!;
    const lies = (v: number, i: number): boolean => Math.abs(there[i]! - v - (i % 2 === 0 ? round : 0)) <= SAME_MM;
    return there.length === ring.length && ring.every(lies);
  });
}

/** Steps round in which the reach of a piece is looked at. */
const STEPS = 24;

/** All that a piece may reach on the flat with room round it, mm, y down. */
export function boxOnFlat(
  { azimuths: [from, to], slants }: Pick<PieceViewModel, 'azimuths' | 'slants'>,
  surface: Development,
  room: number,
): Box {
  const step = (to - from) / STEPS;
  const corners = slants.flatMap((slant) =>
    Array.from({ length: STEPS + 1 }, (_, i) => {
      const { x, y } = surface.forward(from + i * step, slant);
      return [x, -y];
    }).flat(),
  );
  const box = boxOfCoordinates(corners);
  // Between two steps an edge bulges by its sagitta at the most; an eighth of the step’s chord is more than that.
  const bulge = Math.hypot(corners[2]! - corners[0]!, corners[3]! - corners[1]!) / 8;
  const out = room + bulge;
  return { minX: box.minX - out, minY: box.minY - out, maxX: box.maxX + out, maxY: box.maxY + out };
}
