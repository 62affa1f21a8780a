import { parsePathData } from '../../plane/path-data.ts';
import type { Path } from '../../plane/path.ts';
import { mapPath } from '../../plane/path.ts';
import type { Element } from './tree.ts';

/** x' = a·x + c·y + e, y' = b·x + d·y + f; y down as SVG has it. */
export type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0];

/** First `inner`, then `outer`. */
export function combine(outer: Matrix, inner: Matrix): Matrix {
  const [a, b, c, d, e, f] = outer;
  const [p, q, r, s, t, u] = inner;
  return [a * p + c * q, b * p + d * q, a * r + c * s, b * r + d * s, a * t + c * u + e, b * t + d * u + f];
}

/** Mean factor by which a matrix enlarges. */
export const scaleOf = ([a, b, c, d]: Matrix): number => Math.sqrt(Math.abs(a * d - b * c));

/** A `transform` attribute as one matrix; what cannot be read is left out. */
export function readTransform(text: string | undefined): Matrix {
  let out: Matrix = IDENTITY;
  for (const [, name, list] of (text ?? '').slice(0, 2000).matchAll(/([a-zA-Z]+)\s*\(([^)]*)\)/g)) {
    const n = (list!.match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi) ?? []).map(Number);
    if (n.some((v) => !Number.isFinite(v))) continue;
    const step = oneTransform(name!, n);
    if (step) out = combine(out, step);
  }
  return out;
}

function oneTransform(name: string, n: readonly number[]): Matrix | null {
  const turn = (degrees: number): Matrix => {
    const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
    return [cos, sin, -sin, cos, 0, 0];
  };
  switch (name) {
    case 'matrix':
      return n.length === 6 ? (n as unknown as Matrix) : null;
    case 'translate':
      return [1, 0, 0, 1, n[0] ?? 0, n[1] ?? 0];
    case 'scale':
      return [n[0] ?? 1, 0, 0, n[1] ?? n[0] ?? 1, 0, 0];
    case 'rotate': {
      const [x, y] = [n[1] ?? 0, n[2] ?? 0];
      return combine(combine([1, 0, 0, 1, x, y], turn(n[0] ?? 0)), [1, 0, 0, 1, -x, -y]);
    }
    case 'skewX':
      return [1, 0, Math.tan(((n[0] ?? 0) * Math.PI) / 180), 1, 0, 0];
    case 'skewY':
      return [1, Math.tan(((n[0] ?? 0) * Math.PI) / 180), 0, 1, 0, 0];
    default:
      return null;
  }
}

const PER_UNIT: { readonly [unit: string]: number } = {
  '': 25.4 / 96,
  px: 25.4 / 96,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  mm: 1,
  cm: 10,
  in: 25.4,
};

/** A length with its unit, mm; null for per cent and nonsense. */
export function readLengthMm(text: string | undefined): number | null {
  const match = /^\s*([\d.]+(?:e[-+]?\d+)?)\s*([a-z]*)\s*$/i.exec(text ?? '');
  const per = match ? PER_UNIT[match[2]!.toLowerCase()] : undefined;
  const value = match && per !== undefined ? Number(match[1]) * per : NaN;
  return Number.isFinite(value) && value > 0 ? value : null;
}

const number = (element: Element, name: string): number => {
  const value = parseFloat(element.attributes[name] ?? '0');
  return Number.isFinite(value) ? value : 0;
};

/** Path data of a basic shape; null when the element is none, or covers nothing. */
export function shapeData(element: Element): string | null {
  const n = (name: string): number => number(element, name);
  const ellipse = (cx: number, cy: number, rx: number, ry: number): string | null =>
    rx > 0 && ry > 0
      ? `M${cx - rx} ${cy}A${rx} ${ry} 0 1 0 ${cx + rx} ${cy}A${rx} ${ry} 0 1 0 ${cx - rx} ${cy}Z`
      : null;
  switch (element.name) {
    case 'path':
      return element.attributes['d'] ?? null;
    case 'rect': {
      const [x, y, w, h] = [n('x'), n('y'), n('width'), n('height')];
      if (!(w > 0 && h > 0)) return null;
      const rx = Math.min(w / 2, n('rx') || n('ry'));
      const ry = Math.min(h / 2, n('ry') || n('rx'));
      if (!(rx > 0 && ry > 0)) return `M${x} ${y}H${x + w}V${y + h}H${x}Z`;
      const arc = (dx: number, dy: number): string => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
      return `M${x + rx} ${y}H${x + w - rx}${arc(rx, ry)}V${y + h - ry}${arc(-rx, ry)}H${x + rx}${arc(-rx, -ry)}V${y + ry}${arc(rx, -ry)}Z`;
    }
    case 'circle':
      return ellipse(n('cx'), n('cy'), n('r'), n('r'));
    case 'ellipse':
      return ellipse(n('cx'), n('cy'), n('rx'), n('ry'));
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    case 'polyline':
    case 'polygon': {
      const points = (element.attributes['points'] ?? '').match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi) ?? [];
      if (points.length < 4) return null;
      const even = points.slice(0, points.length - (points.length % 2));
      return `M${even.join(' ')}${element.name === 'polygon' ? 'Z' : ''}`;
    }
    default:
      return null;
  }
}

/** Paths of a shape through a matrix, y up. Null when its data cannot be read. */
export function shapePaths(data: string, matrix: Matrix): Path[] | null {
  const [a, b, c, d, e, f] = matrix;
  try {
    return parsePathData(data).map((path) =>
      mapPath(path, ({ x, y }) => ({ x: a * x - c * y + e, y: -(b * x - d * y + f) })),
    );
  } catch {
    return null;
  }
}
