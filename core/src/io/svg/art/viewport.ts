import { MM_PER_PX, readLength, type Measure } from './length.ts';
import { combine, IDENTITY, shift, type Matrix } from './matrix.ts';
import { sizeOf } from './shapes.ts';
import type { Style } from './style.ts';
import type { Element } from './tree.ts';

/** What an element that opens a viewport does: where its inside lies, how it is measured, and what of it is seen. */
export interface Viewport {
  /** From its inside to where it stands. */
  readonly matrix: Matrix;
  readonly measure: Measure;
  /** Its frame [x, y, width, height] where it stands; null when what lies past it is seen too. */
  readonly frame: readonly [number, number, number, number] | null;
}

/** `viewBox` as [x, y, width, height]; null when there is none that makes sense. */
export function viewBoxOf(element: Element): readonly [number, number, number, number] | null {
  const box = (element.attributes['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  return box.length === 4 && box.every(Number.isFinite) && box[2]! > 0 && box[3]! > 0
    ? (box as unknown as [number, number, number, number])
    : null;
}

/**
 * How a view box fills a frame.
 *
 * @source `preserveAspectRatio` of the SVG standard: as large as fits, or as covers, and aligned; or stretched
 */
export function fitViewBox(
  [x, y, w, h]: readonly [number, number, number, number],
  [left, top, width, height]: readonly [number, number, number, number],
  options: string | undefined,
): Matrix {
  const [align = 'xMidYMid', how = 'meet'] = (options ?? '')
    .trim()
    .replace(/^defer\s+/, '')
    .split(/\s+/)
    .filter(Boolean);
  const [fillX, fillY] = [width / w, height / h];
  if (align === 'none') return combine(shift(left, top), [fillX, 0, 0, fillY, -x * fillX, -y * fillY]);
  const by = how === 'slice' ? Math.max(fillX, fillY) : Math.min(fillX, fillY);
  const share = (which: string): number => (which === 'Min' ? 0 : which === 'Max' ? 1 : 0.5);
  const [, ax = 'Mid', ay = 'Mid'] = /^x(Min|Mid|Max)Y(Min|Mid|Max)$/.exec(align) ?? [];
  return combine(shift(left + (width - w * by) * share(ax), top + (height - h * by) * share(ay)), [
    by,
    0,
    0,
    by,
    -x * by,
    -y * by,
  ]);
}

/** The page itself: from its units to millimetres, y down. */
export function pageOf(root: Element, style: Style): Viewport {
  const box = viewBoxOf(root);
  const given = (name: 'width' | 'height'): number | undefined => {
    const text = /\d/.test(style[name] ?? '') ? style[name]! : root.attributes[name];
    // Per cent of a window that is not there: the view box says how large it is.
    if (text === undefined || text.trim().endsWith('%')) return undefined;
    const px = readLength(text, { width: 0, height: 0, fontSize: 16 }, 'x');
    return px !== undefined && px > 0 ? px : undefined;
  };
  const [w, h] = [given('width'), given('height')];
  const ratio = box ? box[3] / box[2] : null;
  const width = w ?? (h !== undefined && ratio ? h / ratio : box?.[2]);
  const height = h ?? (w !== undefined && ratio ? w * ratio : box?.[3]);
  const toMm: Matrix = [MM_PER_PX, 0, 0, MM_PER_PX, 0, 0];
  const known = width !== undefined && height !== undefined;
  const frame = known ? ([0, 0, width, height] as const) : null;
  const inside = box && frame ? fitViewBox(box, frame, root.attributes['preserveAspectRatio']) : IDENTITY;
  return {
    matrix: combine(toMm, inside),
    measure: { width: box?.[2] ?? width ?? 0, height: box?.[3] ?? height ?? 0, fontSize: 16 },
    frame: frame && (frame.map((v) => v * MM_PER_PX) as [number, number, number, number]),
  };
}

/**
 * The viewport of an `svg` within the page, or of a `symbol` that is used; null when it has no size, so that nothing is seen.
 *
 * @param use that repeats it: its sizes come before the element's own
 */
export function innerViewport(
  element: Element,
  style: Style,
  measure: Measure,
  use: { readonly element: Element; readonly style: Style } | null,
): Viewport | null {
  const size = (name: 'width' | 'height', along: 'x' | 'y'): number => {
    const requested = use && sizeOf(use.element, use.style, name, measure, along);
    return requested ?? sizeOf(element, style, name, measure, along) ?? measure[name];
  };
  const [width, height] = [size('width', 'x'), size('height', 'y')];
  if (!(width > 0 && height > 0)) return null;
  // A symbol stands where its use says; both may say it of an `svg`.
  const at = (name: 'x' | 'y'): number =>
    element.name === 'symbol' ? 0 : (sizeOf(element, style, name, measure, name) ?? 0);
  const frame = [at('x'), at('y'), width, height] as const;
  const box = viewBoxOf(element);
  const shown = ['visible', 'auto'].includes(style['overflow'] ?? 'hidden');
  return {
    matrix: box ? fitViewBox(box, frame, element.attributes['preserveAspectRatio']) : shift(frame[0], frame[1]),
    measure: { width: box?.[2] ?? width, height: box?.[3] ?? height, fontSize: measure.fontSize },
    frame: shown ? null : frame,
  };
}
