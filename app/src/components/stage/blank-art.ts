import type { Film, Place, ShapeViewModel } from '@mivet/core';
import { radiusOnSide } from '@mivet/core';
import { grainCanvas } from './blank-textures.ts';
import { GLASS } from './solid-meshes.ts';
import type { BlankShape } from './solid-shape.ts';
import { strainColour } from './strain-colour.ts';
import type { DrawnZones } from '../../composables/useZones.ts';
import type { ShownTrial } from '../../stores/view.ts';

/** What is painted on the side of the blank. */
export interface BlankArt {
  readonly viewModel: ShapeViewModel;
  readonly films: readonly Film[];
  readonly zones: DrawnZones;
  readonly selection: ReadonlySet<string>;
  readonly highlighted: Place | null;
  readonly trial: ShownTrial | null;
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
export function paintArt(canvas: HTMLCanvasElement, art: BlankArt, detail: number): void {
  const { viewModel, zones, above, below } = art;
  const round = 2 * Math.PI * viewModel.meanRadius;
  const tall = viewModel.size.side + above + below;
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
  if (zones.strain) paintStrain(pen, art, x, y);
  paintZones(pen, art, x, y);

  const colours = new Map(art.films.map((f) => [f.id, f.colour]));
  for (const piece of viewModel.pieces) {
    const path = new Path2D();
    const lay = art.trial?.layAt ?? null;
    // What is tried out may carry film past the back: it is painted there from the other end as well.
    for (const aside of lay ? [-WIDTH, 0, WIDTH] : [0])
      for (const ring of piece.rings) {
        for (let i = 0; i < ring.length; i += 2) {
          const [azimuth, slant] = [ring[i]! / viewModel.meanRadius, -ring[i + 1]!];
          const at = lay ? (lay(azimuth, slant) ?? { azimuth, slant }) : { azimuth, slant };
          if (i === 0) path.moveTo(x(at.azimuth) + aside, y(at.slant));
          else path.lineTo(x(at.azimuth) + aside, y(at.slant));
        }
        path.closePath();
      }
    pen.fillStyle = colours.get(piece.film) ?? '#888888';
    pen.fill(path, 'evenodd');
    if (art.trial?.stiff.has(piece.id)) {
      pen.lineWidth = 6;
      pen.strokeStyle = '#A53A29';
      pen.stroke(path);
    }
    if (piece.itemIds.some((id) => art.selection.has(id))) {
      pen.lineWidth = 7;
      pen.strokeStyle = '#FFFDF6';
      pen.stroke(path);
      pen.lineWidth = 3.5;
      pen.strokeStyle = '#0C6764';
      pen.stroke(path);
    }
  }
  if (art.trial?.layAt) paintEnds(pen, art, art.trial.layAt, x, y);
  else if (zones.seam && zones.handleWidth === 0) {
    pen.strokeStyle = 'rgba(28,36,48,0.75)';
    pen.lineWidth = 5;
    line(pen, 0, y(0), 0, y(viewModel.size.side));
    line(pen, WIDTH, y(0), WIDTH, y(viewModel.size.side));
  }
  if (zones.glance) {
    pen.strokeStyle = '#0C6764';
    pen.lineWidth = 4;
    pen.setLineDash([18, 14]);
    for (const azimuth of zones.glance) {
      const at = ((x(azimuth) % WIDTH) + WIDTH) % WIDTH;
      line(pen, at, y(0), at, y(viewModel.size.side));
    }
    pen.setLineDash([]);
  }
  if (art.highlighted) paintRing(pen, art.highlighted, x, y);
}

const grains = new Map<BlankArt['shine'], HTMLCanvasElement | null>();

/** The bare side: its colour, its grain, and nothing that hides what is behind glass. */
function paintBare(pen: CanvasRenderingContext2D, { colour, shine }: BlankArt, height: number): void {
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

/** The strain that film takes, as rows of a band or rings of a patch. */
function paintStrain(
  pen: CanvasRenderingContext2D,
  { viewModel }: BlankArt,
  x: (a: number) => number,
  y: (s: number) => number,
): void {
  const { map, give } = viewModel.template.flattening;
  if (!map) return;
  const middle = viewModel.size.side / 2;
  // From the outside in, so that each ring shows from the last one inwards.
  for (let i = map.samples.length - 1; i > 0; i--) {
    const [a, b] = [map.samples[i - 1]!, map.samples[i]!];
    const paint = strainColour((a.strain + b.strain) / 2 + map.pull, give);
    const path = new Path2D();
    if (map.by === 'slant') path.rect(0, Math.round(y(a.at)), WIDTH, Math.round(y(b.at)) - Math.round(y(a.at)));
    else
      for (const at of [b.at, a.at]) {
        const half = (at * 2 * Math.PI) / viewModel.template.cone.girthRim;
        path.ellipse(x(0), y(middle), x(half) - x(0), y(middle + at) - y(middle), 0, 0, 2 * Math.PI);
        path.closePath();
      }
    pen.globalAlpha = paint.opacity;
    pen.fillStyle = paint.fill;
    pen.fill(path, 'evenodd');
    pen.globalAlpha = 1;
    if (!paint.over) continue;
    pen.save();
    pen.clip(path, 'evenodd');
    pen.strokeStyle = 'rgba(165,58,41,0.5)';
    pen.lineWidth = 3;
    const [top, bottom] = [y(0), y(viewModel.size.side)];
    for (let at = -bottom; at < WIDTH; at += 22) line(pen, at, bottom, at + bottom - top, top);
    pen.restore();
  }
}

function paintZones(
  pen: CanvasRenderingContext2D,
  { viewModel, zones }: BlankArt,
  x: (a: number) => number,
  y: (s: number) => number,
): void {
  const side = viewModel.size.side;
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
  if (zones.handle > 0) {
    const steps = 24;
    for (const right of [true, false]) {
      const area = new Path2D();
      const out = right ? WIDTH : 0;
      area.moveTo(out, y(0));
      for (let i = 0; i <= steps; i++) {
        const slant = (side * i) / steps;
        const half = (zones.handleWidth / 2 + zones.handle) / radiusOnSide(viewModel, slant);
        area.lineTo(x(right ? Math.PI - half : half - Math.PI), y(slant));
      }
      area.lineTo(out, y(side));
      area.closePath();
      hatch(right ? WIDTH / 2 : 0, y(0), WIDTH / 2, y(side) - y(0), 'rgba(91,100,113,0.45)', area);
    }
  }
}

function paintRing(
  pen: CanvasRenderingContext2D,
  place: Place,
  x: (a: number) => number,
  y: (s: number) => number,
): void {
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

function line(pen: CanvasRenderingContext2D, ax: number, ay: number, bx: number, by: number): void {
  pen.beginPath();
  pen.moveTo(ax, ay);
  pen.lineTo(bx, by);
  pen.stroke();
}

/** Both ends of the film as they come to lie in what is tried out. */
function paintEnds(
  pen: CanvasRenderingContext2D,
  { viewModel: { template, size } }: BlankArt,
  lay: NonNullable<ShownTrial['layAt']>,
  x: (azimuth: number) => number,
  y: (slant: number) => number,
): void {
  pen.strokeStyle = '#A53A29';
  pen.lineWidth = 5;
  const steps = 24;
  for (const [top, foot] of [template.region.left, template.region.right])
    for (const aside of [-WIDTH, 0, WIDTH]) {
      pen.beginPath();
      for (let i = 0; i <= steps; i++) {
        const at = lay(top + ((foot - top) * i) / steps, (size.side * i) / steps);
        if (at) pen.lineTo(x(at.azimuth) + aside, y(at.slant));
      }
      pen.stroke();
    }
}
