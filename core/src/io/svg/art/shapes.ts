import { readPathData } from '../../../plane/path-data.ts';
import type { Path } from '../../../plane/path.ts';
import { mapPath } from '../../../plane/path.ts';
import { readLength, type Measure } from './length.ts';
import type { Matrix } from './matrix.ts';
import type { Style } from './style.ts';
import type { Element } from './tree.ts';

/** Elements that are drawn by their own geometry. */
export const SHAPES = new Set(['path', 'rect', 'circle', 'ellipse', 'line', 'polyline', 'polygon']);

/** Path data of a shape, and whether what it says was taken only up to an error. */
export interface ShapeData {
  readonly data: string;
  readonly broken: boolean;
}

/** A size of an element, in units of the drawing: by its style, or by its attribute. Undefined when neither is a length. */
export function sizeOf(
  element: Element,
  style: Style,
  name: string,
  measure: Measure,
  along: 'x' | 'y' | 'both',
): number | undefined {
  for (const said of [style[name], element.attributes[name]]) {
    const value = said === undefined ? undefined : readLength(said, measure, along);
    if (value !== undefined) return value;
  }
  return undefined;
}

/** Sizes of each shape, which it is nothing without or lies elsewhere without. */
const SIZES = new Map([
  ['rect', ['x', 'y', 'width', 'height', 'rx', 'ry']],
  ['circle', ['cx', 'cy', 'r']],
  ['ellipse', ['cx', 'cy', 'rx', 'ry']],
  ['line', ['x1', 'y1', 'x2', 'y2']],
]);

/** Whether a shape has a size that is given but cannot be read. */
export const hasUnreadSize = (element: Element, style: Style, measure: Measure): boolean =>
  (SIZES.get(element.name) ?? []).some((name) => {
    const said = style[name] ?? element.attributes[name];
    return said !== undefined && said.trim() !== 'auto' && sizeOf(element, style, name, measure, 'x') === undefined;
  });

/** Path data of a shape; null when it covers nothing and runs nowhere. */
export function shapeData(element: Element, style: Style, measure: Measure): ShapeData | null {
  const x = (name: string): number => sizeOf(element, style, name, measure, 'x') ?? 0;
  const y = (name: string): number => sizeOf(element, style, name, measure, 'y') ?? 0;
  const whole = (data: string | null): ShapeData | null => (data === null ? null : { data, broken: false });
  switch (element.name) {
    case 'path': {
      const styled = /^path\(\s*["'](.*)["']\s*\)$/s.exec(style['d'] ?? '')?.[1];
      return whole(styled ?? element.attributes['d'] ?? null);
    }
    case 'rect':
      return whole(rectData(element, style, measure, [x('x'), y('y'), x('width'), y('height')]));
    case 'circle': {
      const r = sizeOf(element, style, 'r', measure, 'both') ?? 0;
      return whole(ellipseData(x('cx'), y('cy'), r, r));
    }
    case 'ellipse': {
      const rx = sizeOf(element, style, 'rx', measure, 'x');
      const ry = sizeOf(element, style, 'ry', measure, 'y');
      return whole(ellipseData(x('cx'), y('cy'), rx ?? ry ?? 0, ry ?? rx ?? 0));
    }
    case 'line':
      return whole(`M${x('x1')} ${y('y1')}L${x('x2')} ${y('y2')}`);
    case 'polyline':
    case 'polygon': {
      const text = element.attributes['points'] ?? '';
      const sense = /^[\s,\d.eE+-]*/.exec(text)![0];
      const points = sense.match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi) ?? [];
      if (points.length < 4) return null;
      const even = points.slice(0, points.length - (points.length % 2));
      return {
        data: `M${even.join(' ')}${element.name === 'polygon' ? 'Z' : ''}`,
        broken: sense.length < text.length || even.length < points.length,
      };
    }
    default:
      return null;
  }
}

const ellipseData = (cx: number, cy: number, rx: number, ry: number): string | null =>
  rx > 0 && ry > 0 ? `M${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}Z` : null;

function rectData(
  element: Element,
  style: Style,
  measure: Measure,
  [x, y, w, h]: readonly [number, number, number, number],
): string | null {
  if (!(w > 0 && h > 0)) return null;
  const round = (name: 'rx' | 'ry'): number | undefined => {
    const value = sizeOf(element, style, name, measure, name === 'rx' ? 'x' : 'y');
    return value !== undefined && value >= 0 ? value : undefined;
  };
  const [wishX, wishY] = [round('rx'), round('ry')];
  const rx = Math.min(w / 2, wishX ?? wishY ?? 0);
  const ry = Math.min(h / 2, wishY ?? wishX ?? 0);
  if (!(rx > 0 && ry > 0)) return `M${x} ${y}H${x + w}V${y + h}H${x}Z`;
  const arc = (dx: number, dy: number): string => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
  return `M${x + rx} ${y}H${x + w - rx}${arc(rx, ry)}V${y + h - ry}${arc(-rx, ry)}H${x + rx}${arc(-rx, -ry)}V${y + ry}${arc(rx, -ry)}Z`;
}

/** Paths of a shape through a matrix, y up, as far as its data makes sense. */
export function shapePaths({ data, broken }: ShapeData, matrix: Matrix): { paths: Path[]; broken: boolean } {
  const { paths, error } = readPathData(data);
  return { paths: throughMatrix(paths, matrix), broken: broken || error !== null };
}

/** Paths that count y upwards, through a matrix that counts it downwards. */
export function throughMatrix(paths: readonly Path[], [a, b, c, d, e, f]: Matrix): Path[] {
  return paths.map((path) => mapPath(path, ({ x, y }) => ({ x: a * x - c * y + e, y: -(b * x - d * y + f) })));
}
