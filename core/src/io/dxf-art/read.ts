import DxfParser from 'dxf-parser';
import type { Drawing, DrawingColour, DrawingResult } from '../../artwork/drawing.ts';
import { boxOfCoordinates, EMPTY_BOX, isEmptyBox } from '../../plane/box.ts';
import { unionRings } from '../../polygon/boolean.ts';
import type { Ring } from '../../polygon/polygon.ts';
import { polygonArea, ringsOf } from '../../polygon/polygon.ts';

/** Characters of a file and points of its outlines. */
const MOST = { characters: 30_000_000, points: 600_000 } as const;
/** rad. Turn from point to point of an arc. */
const ARC_STEP = Math.PI / 90;
/** Share of the drawing's larger side within which two ends are one corner. */
const JOIN_SHARE = 1e-5;
/** mm of one unit, by the number that the header gives; what it does not say is taken as millimetres. */
const UNIT_MM: { readonly [code: number]: number } = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };

type Line = number[];
interface Spot {
  readonly x: number;
  readonly y: number;
}
/** What is read of an entity; each kind has some of it. */
interface Entity {
  readonly type: string;
  readonly layer?: string;
  readonly color?: number;
  readonly vertices?: readonly (Spot & { readonly bulge?: number })[];
  readonly shape?: boolean;
  readonly center?: Spot;
  readonly radius?: number;
  readonly startAngle?: number;
  readonly endAngle?: number;
  readonly controlPoints?: readonly Spot[];
  readonly degreeOfSplineCurve?: number;
  readonly knotValues?: readonly number[];
  readonly closed?: boolean;
}

/**
 * Reads the outlines of a DXF drawing: lines, arcs, circles, polylines with bulges and splines, joined where their ends
 * meet. Outlines within outlines are holes. Each layer becomes a colour of its own.
 *
 * @param text of the file
 * @returns a drawing in mm; what is no outline, or does not close, is listed
 */
export function readDxfDrawing(text: string): DrawingResult {
  if (text.length > MOST.characters) return { ok: false, problem: { code: 'too-large', limit: MOST.characters } };
  let parsed: { entities?: readonly Entity[]; header?: { readonly [name: string]: unknown } } | null;
  try {
    parsed = new DxfParser().parseSync(text) as unknown as typeof parsed;
  } catch {
    return { ok: false, problem: { code: 'not-svg', why: 'it is no DXF, or was cut short' } };
  }
  const unit = UNIT_MM[Number(parsed?.header?.['$INSUNITS'])] ?? 1;
  const leftOut = new Map<string, number>();
  const note = (what: string): void => void leftOut.set(what, (leftOut.get(what) ?? 0) + 1);
  const layers = new Map<string, { colour: string; closed: Ring[]; open: Line[] }>();
  let points = 0;
  for (const entity of parsed?.entities ?? []) {
    const line = pointsOf(entity);
    if (line === null) {
      note(`${entity.type.toLowerCase().slice(0, 30)} entities`);
      continue;
    }
    if (line.length < 4 || line.some((v) => !Number.isFinite(v) || Math.abs(v) > 1e7)) {
      note('shapes without a size, or far away');
      continue;
    }
    points += line.length / 2;
    if (points > MOST.points) return { ok: false, problem: { code: 'too-much', what: 'points', limit: MOST.points } };
    const name = entity.layer ?? '0';
    const layer = layers.get(name) ?? { colour: colourOf(layers.size), closed: [], open: [] };
    layers.set(name, layer);
    const scaled = line.map((v) => v * unit);
    if (entity.shape === true || entity.type === 'CIRCLE') layer.closed.push(Float64Array.from(scaled));
    else layer.open.push(scaled);
  }
  const box = [...layers.values()]
    .flatMap(({ closed, open }) => [...closed, ...open])
    .reduce((grown, ring) => boxOfCoordinates(ring, grown), EMPTY_BOX);
  if (isEmptyBox(box)) return { ok: false, problem: { code: 'empty' } };
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const near = Math.max(1e-6, JOIN_SHARE * Math.max(width, height));
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const colours: DrawingColour[] = [];
  for (const { colour, closed, open } of layers.values()) {
    const { rings, loose } = joined(open, near);
    for (let i = 0; i < loose; i++) note('lines that do not close');
    const polygons = unionRings([...closed, ...rings], 'evenodd');
    if (polygons.length === 0) continue;
    const centred = polygons.flatMap(ringsOf).map((ring) => ring.map((v, i) => v - (i % 2 ? cy : cx)));
    colours.push({ colour, rings: centred, areaMm2: polygons.reduce((sum, p) => sum + polygonArea(p), 0) });
  }
  if (colours.length === 0) return { ok: false, problem: { code: 'empty' } };
  const drawing: Drawing = {
    widthMm: width,
    heightMm: height,
    colours: colours.sort((a, b) => b.areaMm2 - a.areaMm2),
    leftOut: [...leftOut].map(([what, count]) => ({ what, count })),
  };
  return { ok: true, drawing };
}

/** Colours that stand for layers: no two alike, none a film's. */
const colourOf = (index: number): string =>
  `#${((0x3a6ea5 + index * 0x2f4b1d) & 0xffffff).toString(16).padStart(6, '0')}`;

/** Points along an entity, drawing units; null for what is no outline. */
function pointsOf(entity: Entity): Line | null {
  const { type, vertices, center, radius } = entity;
  if ((type === 'LINE' || type === 'LWPOLYLINE' || type === 'POLYLINE') && vertices) return polyline(entity);
  if (type === 'CIRCLE' && center && radius) return arc(center, radius, 0, 2 * Math.PI).slice(0, -2);
  if (type === 'ARC' && center && radius) {
    const from = entity.startAngle ?? 0;
    const sweep = (entity.endAngle ?? 0) - from;
    return arc(center, radius, from, sweep <= 0 ? sweep + 2 * Math.PI : sweep);
  }
  if (type === 'SPLINE') return spline(entity);
  return null;
}

function arc(centre: Spot, radius: number, from: number, sweep: number): Line {
  const steps = Math.max(2, Math.ceil(Math.abs(sweep) / ARC_STEP));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = from + (sweep * i) / steps;
    return [centre.x + radius * Math.cos(angle), centre.y + radius * Math.sin(angle)];
  }).flat();
}

/** @source bulge: the tangent of a quarter of the sweep, positive counter-clockwise */
function polyline({ vertices, shape }: Entity): Line {
  const out: Line = [];
  const list = vertices!;
  list.forEach((a, i) => {
    out.push(a.x, a.y);
    const b = list[i + 1] ?? (shape ? list[0] : undefined);
    if (!b || !a.bulge) return;
    const sweep = 4 * Math.atan(a.bulge);
    const chord = Math.hypot(b.x - a.x, b.y - a.y);
    if (chord < 1e-12) return;
    const rise = chord / 2 / Math.tan(sweep / 2);
    const [mx, my] = [(a.x + b.x) / 2, (a.y + b.y) / 2];
    const centre = { x: mx - (rise * (b.y - a.y)) / chord, y: my + (rise * (b.x - a.x)) / chord };
    const radius = Math.hypot(a.x - centre.x, a.y - centre.y);
    out.push(...arc(centre, radius, Math.atan2(a.y - centre.y, a.x - centre.x), sweep).slice(2, -2));
  });
  return out;
}

/** A B-spline by de Boor's steps, without weights. */
function spline({ controlPoints, degreeOfSplineCurve: degree = 3, knotValues: knots }: Entity): Line | null {
  if (!controlPoints || !knots || controlPoints.length <= degree || degree < 1 || degree > 9) return null;
  if (knots.length < controlPoints.length + degree + 1) return null;
  const [from, to] = [knots[degree]!, knots[controlPoints.length]!];
  const steps = Math.min(4000, 24 * controlPoints.length);
  const out: Line = [];
  for (let s = 0; s <= steps; s++) {
    const t = from + ((to - from) * s) / steps;
    let span = degree;
    while (span < controlPoints.length - 1 && knots[span + 1]! <= t) span += 1;
    const d = Array.from({ length: degree + 1 }, (_, j) => ({ ...controlPoints[span - degree + j]! }));
    for (let r = 1; r <= degree; r++)
      for (let j = degree; j >= r; j--) {
        const low = knots[span - degree + j]!;
        const share = (t - low) / (knots[span + 1 + j - r]! - low || 1);
        d[j] = { x: d[j - 1]!.x + (d[j]!.x - d[j - 1]!.x) * share, y: d[j - 1]!.y + (d[j]!.y - d[j - 1]!.y) * share };
      }
    out.push(d[degree]!.x, d[degree]!.y);
  }
  return out;
}

/** Open lines put together end to end into rings; what is left over is counted. */
function joined(lines: readonly Line[], near: number): { rings: Ring[]; loose: number } {
  const key = (x: number, y: number): string => `${Math.round(x / near / 4)} ${Math.round(y / near / 4)}`;
  const left = new Set(lines.keys());
  const ends = new Map<string, number[]>();
  const around = (x: number, y: number): number[] => {
    const found: number[] = [];
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1]) found.push(...(ends.get(key(x + dx * near * 4, y + dy * near * 4)) ?? []));
    return found;
  };
  lines.forEach((line, i) => {
    for (const [x, y] of [
      [line[0]!, line[1]!],
      [line.at(-2)!, line.at(-1)!],
    ] as const)
      ends.set(key(x, y), [...(ends.get(key(x, y)) ?? []), i]);
  });
  const same = (ax: number, ay: number, bx: number, by: number): boolean => Math.hypot(ax - bx, ay - by) <= 4 * near;
  const rings: Ring[] = [];
  let loose = 0;
  for (const first of lines.keys()) {
    if (!left.delete(first)) continue;
    const chain = [...lines[first]!];
    while (!same(chain[0]!, chain[1]!, chain.at(-2)!, chain.at(-1)!) || chain.length < 6) {
      const [x, y] = [chain.at(-2)!, chain.at(-1)!];
      const next = around(x, y).find((i) => {
        const line = lines[i]!;
        return left.has(i) && (same(line[0]!, line[1]!, x, y) || same(line.at(-2)!, line.at(-1)!, x, y));
      });
      if (next === undefined) break;
      left.delete(next);
      const line = lines[next]!;
      const forwards = same(line[0]!, line[1]!, x, y);
      for (let k = 1; k < line.length / 2; k++) {
        const at = forwards ? 2 * k : line.length - 2 - 2 * k;
        chain.push(line[at]!, line[at + 1]!);
      }
    }
    if (chain.length >= 8 && same(chain[0]!, chain[1]!, chain.at(-2)!, chain.at(-1)!))
      rings.push(Float64Array.from(chain.slice(0, -2)));
    else loose += 1;
  }
  return { rings, loose };
}
