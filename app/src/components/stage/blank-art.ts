import type { Place } from '@mivet/core';
import { grainCanvas } from './blank-textures.ts';
import { GLASS } from './solid-meshes.ts';
import type { BlankShape } from './solid-shape.ts';

type Pen = OffscreenCanvasRenderingContext2D;

/** A piece of film as it is painted. */
export interface PaintedPiece {
  /** mm round at the mean radius and mm up the side, as pairs. */
  readonly rings: readonly Float64Array[];
  readonly colour: string;
  readonly selected: boolean;
  /** Would no longer lie flat where it is tried out. */
  readonly stiff: boolean;
}

/** A row of a band, or a ring of a patch, of one strain: both edges as the template measures them, mm. */
export interface PaintedStrain {
  readonly from: number;
  readonly to: number;
  readonly fill: string;
  readonly opacity: number;
  readonly over: boolean;
}

/** What is painted on the side of the blank: plain data, so that it can be painted in another thread. */
export interface BlankArt {
  readonly meanRadius: number;
  readonly side: number;
  readonly pieces: readonly PaintedPiece[];
  /** Whether the film is carried elsewhere in what is tried out: past the back as well. */
  readonly carried: boolean;
  /** Both ends of the film where it is carried elsewhere, pairs of azimuth and slant. */
  readonly ends: readonly (readonly (readonly [azimuth: number, slant: number])[])[];
  readonly strain: {
    readonly by: 'slant' | 'distance';
    readonly rings: readonly PaintedStrain[];
    readonly girthRim: number;
  } | null;
  readonly zones: { readonly rim: number; readonly base: number };
  /** Half the azimuth that the handle's zone takes at even steps down the side; empty where there is none. */
  readonly handle: readonly number[];
  readonly seam: boolean;
  readonly glance: readonly number[];
  readonly highlighted: Place | null;
  readonly colour: string;
  readonly shine: BlankShape['shine'];
  /** Straight part above and below the band, mm along the side. */
  readonly above: number;
  readonly below: number;
}

/** Units round the blank that everything is painted in; the height follows from the blank's proportions. */
const WIDTH = 2048;

/**
 * Paints the unrolled side on a canvas: x runs round from −π to π, y down from the rim.
 *
 * @param detail canvas pixels per unit
 */
export function paintArt(canvas: OffscreenCanvas, art: BlankArt, detail: number): void {
  const { meanRadius, side, above, below } = art;
  const round = 2 * Math.PI * meanRadius;
  const tall = side + above + below;
  const scale = WIDTH / round;
  const height = Math.max(64, Math.min(2048, Math.round(tall * scale)));
  const [wide, high] = [Math.round(WIDTH * detail), Math.round(height * detail)];
  if (canvas.width !== wide || canvas.height !== high) {
    canvas.width = wide;
    canvas.height = high;
  }
  const pen = canvas.getContext('2d')!;
  pen.setTransform(detail, 0, 0, detail, 0, 0);
  const yScale = height / tall;
  const x = (azimuth: number): number => ((azimuth + Math.PI) / (2 * Math.PI)) * WIDTH;
  const y = (slant: number): number => (slant + above) * yScale;
  paintBare(pen, art, height);
  paintStrain(pen, art, x, y);
  paintZones(pen, art, x, y);

  for (const piece of art.pieces) {
    const path = new Path2D();
    // What is tried out may carry film past the back: it is painted there from the other end as well.
    for (const aside of art.carried ? [-WIDTH, 0, WIDTH] : [0])
      for (const ring of piece.rings) {
        for (let i = 0; i < ring.length; i += 2) {
          const [px, py] = [x(ring[i]! / meanRadius) + aside, y(-ring[i + 1]!)];
          if (i === 0) path.moveTo(px, py);
          else path.lineTo(px, py);
        }
        path.closePath();
      }
    pen.fillStyle = piece.colour;
    pen.fill(path, 'evenodd');
    if (piece.stiff) {
      pen.lineWidth = 6;
      pen.strokeStyle = '#A53A29';
      pen.stroke(path);
    }
    if (piece.selected) {
      pen.lineWidth = 7;
      pen.strokeStyle = '#FFFDF6';
      pen.stroke(path);
      pen.lineWidth = 3.5;
      pen.strokeStyle = '#0C6764';
      pen.stroke(path);
    }
  }
  paintEnds(pen, art, x, y);
  if (art.seam) {
    pen.strokeStyle = 'rgba(28,36,48,0.75)';
    pen.lineWidth = 5;
    line(pen, 0, y(0), 0, y(side));
    line(pen, WIDTH, y(0), WIDTH, y(side));
  }
  if (art.glance.length > 0) {
    pen.strokeStyle = '#0C6764';
    pen.lineWidth = 4;
    pen.setLineDash([18, 14]);
    for (const azimuth of art.glance) {
      const at = ((x(azimuth) % WIDTH) + WIDTH) % WIDTH;
      line(pen, at, y(0), at, y(side));
    }
    pen.setLineDash([]);
  }
  if (art.highlighted) paintRing(pen, art.highlighted, x, y);
}

const grains = new Map<BlankArt['shine'], OffscreenCanvas | null>();

/** The bare side: its colour, its grain, and nothing that hides what is behind glass. */
function paintBare(pen: Pen, { colour, shine }: BlankArt, height: number): void {
  pen.clearRect(0, 0, WIDTH, height);
  pen.globalAlpha = shine === 'glass' ? GLASS : 1;
  pen.fillStyle = colour;
  pen.fillRect(0, 0, WIDTH, height);
  pen.globalAlpha = 1;
  if (!grains.has(shine)) grains.set(shine, grainCanvas(shine));
  const grain = grains.get(shine);
  const pattern = grain ? pen.createPattern(grain, 'repeat') : null;
  if (!pattern) return;
  pen.fillStyle = pattern;
  pen.fillRect(0, 0, WIDTH, height);
}

/** The strain that film takes, as rows of a band or rings of a patch; from the outside in, so that each ring shows from the last one inwards. */
function paintStrain(pen: Pen, { side, strain }: BlankArt, x: (a: number) => number, y: (s: number) => number): void {
  if (!strain) return;
  const middle = side / 2;
  for (const { from, to, fill, opacity, over } of strain.rings) {
    const path = new Path2D();
    if (strain.by === 'slant') path.rect(0, Math.round(y(from)), WIDTH, Math.round(y(to)) - Math.round(y(from)));
    else
      for (const at of [to, from]) {
        const half = (at * 2 * Math.PI) / strain.girthRim;
        path.ellipse(x(0), y(middle), x(half) - x(0), y(middle + at) - y(middle), 0, 0, 2 * Math.PI);
        path.closePath();
      }
    pen.globalAlpha = opacity;
    pen.fillStyle = fill;
    pen.fill(path, 'evenodd');
    pen.globalAlpha = 1;
    if (!over) continue;
    pen.save();
    pen.clip(path, 'evenodd');
    pen.strokeStyle = 'rgba(165,58,41,0.5)';
    pen.lineWidth = 3;
    const [top, bottom] = [y(0), y(side)];
    for (let at = -bottom; at < WIDTH; at += 22) line(pen, at, bottom, at + bottom - top, top);
    pen.restore();
  }
}

function paintZones(
  pen: Pen,
  { side, zones, handle }: BlankArt,
  x: (a: number) => number,
  y: (s: number) => number,
): void {
  const hatch = (px: number, py: number, width: number, high: number, colour: string, within?: Path2D): void => {
    const area = within ?? new Path2D();
    if (!within) area.rect(px, py, width, high);
    pen.save();
    pen.clip(area);
    pen.strokeStyle = colour;
    pen.lineWidth = 3;
    for (let at = px - high; at < px + width; at += 26) line(pen, at, py + high, at + high, py);
    pen.restore();
  };
  if (zones.rim > 0.2) {
    hatch(0, y(0), WIDTH, y(zones.rim) - y(0), 'rgba(165,58,41,0.42)');
    pen.strokeStyle = 'rgba(165,58,41,0.8)';
    pen.lineWidth = 3.5;
    pen.setLineDash([14, 10]);
    line(pen, 0, y(zones.rim), WIDTH, y(zones.rim));
    pen.setLineDash([]);
  }
  if (zones.base > 0.2) hatch(0, y(side - zones.base), WIDTH, y(side) - y(side - zones.base), 'rgba(165,58,41,0.42)');
  if (handle.length === 0) return;
  for (const right of [true, false]) {
    const area = new Path2D();
    const out = right ? WIDTH : 0;
    area.moveTo(out, y(0));
    for (const [i, half] of handle.entries())
      area.lineTo(x(right ? Math.PI - half : half - Math.PI), y((side * i) / (handle.length - 1)));
    area.lineTo(out, y(side));
    area.closePath();
    hatch(right ? WIDTH / 2 : 0, y(0), WIDTH / 2, y(side) - y(0), 'rgba(91,100,113,0.45)', area);
  }
}

function paintRing(pen: Pen, place: Place, x: (a: number) => number, y: (s: number) => number): void {
  pen.strokeStyle = '#A53A29';
  pen.lineWidth = 6;
  pen.lineCap = 'round';
  pen.setLineDash([4, 14]);
  const width = Math.max(30, x(place.azimuths[1]) - x(place.azimuths[0]));
  const high = Math.max(30, y(place.slants[1]) - y(place.slants[0]));
  for (const turn of [-WIDTH, 0, WIDTH])
    pen.strokeRect(x(place.azimuths[0]) + turn - 10, y(place.slants[0]) - 10, width + 20, high + 20);
  pen.setLineDash([]);
}

function line(pen: Pen, ax: number, ay: number, bx: number, by: number): void {
  pen.beginPath();
  pen.moveTo(ax, ay);
  pen.lineTo(bx, by);
  pen.stroke();
}

/** Both ends of the film as they come to lie in what is tried out. */
function paintEnds(pen: Pen, { ends }: BlankArt, x: (azimuth: number) => number, y: (slant: number) => number): void {
  pen.strokeStyle = '#A53A29';
  pen.lineWidth = 5;
  for (const end of ends)
    for (const aside of [-WIDTH, 0, WIDTH]) {
      pen.beginPath();
      for (const [azimuth, slant] of end) pen.lineTo(x(azimuth) + aside, y(slant));
      pen.stroke();
    }
}
