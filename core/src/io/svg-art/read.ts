import type { Drawing, DrawingColour, DrawingResult } from '../../artwork/drawing.ts';
import type { Box } from '../../plane/box.ts';
import { boxesTouch, boxOfCoordinates, boxOfRings, EMPTY_BOX, isEmptyBox } from '../../plane/box.ts';
import { flattenPath } from '../../plane/flatten.ts';
import type { Path } from '../../plane/path.ts';
import { intersectRings, unionRings } from '../../polygon/boolean.ts';
import type { Polygon, Ring } from '../../polygon/polygon.ts';
import { polygonArea, ringsOf } from '../../polygon/polygon.ts';
import { strokeArea } from '../../polygon/stroke.ts';
import {
  combine,
  IDENTITY,
  readLengthMm,
  readTransform,
  scaleOf,
  shapeData,
  shapePaths,
  type Matrix,
} from './shapes.ts';
import { readColour, readRules, styleOf, type Style } from './style.ts';
import { readTree, type Element } from './tree.ts';

/** Points that a drawing may have in all, and uses within uses. */
const MOST = { points: 900_000, uses: 4000, useDepth: 12 } as const;
/** Chord error of curves, as a share of the drawing's larger side: at 200 mm it is 0.004 mm. */
const CURVE_SHARE = 2e-5;

/** What is passed over, as the person would call it. */
const PASSED_OVER: { readonly [element: string]: string } = {
  text: 'words that are still type (turn them into outlines where they were drawn)',
  image: 'pictures',
  foreignObject: 'foreign content',
  script: 'scripts',
  animate: 'movements',
  animateTransform: 'movements',
  set: 'movements',
  video: 'films and sounds',
  audio: 'films and sounds',
  iframe: 'foreign content',
};
const SILENT = new Set([
  'defs',
  'symbol',
  'clipPath',
  'linearGradient',
  'radialGradient',
  'pattern',
  'marker',
  'mask',
  'filter',
  'style',
  'title',
  'desc',
  'metadata',
  'namedview',
  'stop',
]);
const GROUPS = new Set(['svg', 'g', 'a', 'switch']);

/**
 * Reads an SVG drawing into areas of film by colour: groups, transforms, uses, clip paths, plain style sheets, and broad
 * lines turned into areas. Nothing outside the file is fetched and nothing in it is run; what cannot be taken is listed.
 *
 * @param text SVG
 * @returns areas in mm about the drawing's middle, or why it was refused
 */
export function readSvgDrawing(text: string): DrawingResult {
  const tree = readTree(text);
  if (!tree.ok) return tree;
  const reader = new Reader(tree.root);
  try {
    reader.walk(tree.root, IDENTITY, { fill: '#000000' }, null, 0);
  } catch (thrown) {
    if (thrown instanceof TooMuch)
      return { ok: false, problem: { code: 'too-much', what: thrown.what, limit: thrown.limit } };
    throw thrown;
  }
  const drawing = reader.finish();
  return drawing ? { ok: true, drawing } : { ok: false, problem: { code: 'empty' } };
}

class TooMuch extends Error {
  constructor(
    readonly what: string,
    readonly limit: number,
  ) {
    super(what);
  }
}

interface DrawnShape {
  readonly rings: readonly Ring[];
  readonly box: Box;
}
interface Level {
  readonly colour: string;
  readonly shapes: DrawnShape[];
}

/** Whether one shape covers anything of another. */
const covers = (a: DrawnShape, b: DrawnShape): boolean =>
  boxesTouch(a.box, b.box) && intersectRings(a.rings, b.rings).length > 0;

/** One walk over a drawing. */
class Reader {
  private readonly ids = new Map<string, Element>();
  private readonly rules: ReturnType<typeof readRules>['rules'];
  private readonly leftOut = new Map<string, number>();
  /** Areas of one colour that lie on the same level, the lowest first: a colour that lies both under and over another is there twice. */
  private readonly levels: Level[] = [];
  /** mm per unit of the drawing, and its larger side in units. */
  private readonly perUnit: number;
  private readonly span: number;
  private points = 0;
  private uses = 0;

  constructor(root: Element) {
    const sheets: string[] = [];
    const gather = (element: Element): void => {
      const { id } = element.attributes;
      if (id && !this.ids.has(id)) this.ids.set(id, element);
      if (element.name === 'style') sheets.push(element.text);
      element.children.forEach(gather);
    };
    gather(root);
    const { rules, passedOver } = readRules(sheets);
    this.rules = rules;
    if (passedOver > 0) this.note('style rules', passedOver);
    const box = (root.attributes['viewBox'] ?? '').split(/[\s,]+/).map(Number);
    const [w, h] = [box[2] ?? NaN, box[3] ?? NaN];
    const width = readLengthMm(root.attributes['width']);
    const height = readLengthMm(root.attributes['height']);
    const known = w > 0 && h > 0 && Number.isFinite(w + h);
    const px = 25.4 / 96;
    this.perUnit = known ? Math.min(width ? width / w : Infinity, height ? height / h : Infinity) : px;
    if (!Number.isFinite(this.perUnit)) this.perUnit = px;
    this.span = known ? Math.max(w, h) : Math.max(width ?? 0, height ?? 0) / px || 1000;
  }

  /** Takes an element and what is in it. `clip` is what is seen of it, units of the drawing; null for all. */
  walk(element: Element, outer: Matrix, group: Style, clip: readonly Ring[] | null, depth: number): void {
    if (PASSED_OVER[element.name]) return this.note(PASSED_OVER[element.name]!);
    if (SILENT.has(element.name)) return;
    const style = styleOf(element, group, this.rules);
    if (style['display'] === 'none' || parseFloat(style['opacity'] ?? '1') === 0) return;
    const matrix = combine(outer, readTransform(element.attributes['transform']));
    const seen = this.clipped(style, matrix, clip, depth);
    for (const name of ['mask', 'filter'] as const)
      if (element.attributes[name]) this.note(name === 'mask' ? 'masks' : 'effects');
    if (GROUPS.has(element.name)) {
      for (const child of element.children) this.walk(child, matrix, style, seen, depth + 1);
      return;
    }
    if (element.name === 'use') return this.use(element, matrix, style, seen, depth);
    const data = shapeData(element);
    if (data === null) {
      if (!['rect', 'circle', 'ellipse', 'polygon', 'polyline', 'path'].includes(element.name))
        this.note('unknown parts');
      return;
    }
    if (style['visibility'] === 'hidden' || style['visibility'] === 'collapse') return;
    this.paint(data, matrix, style, seen, element.name === 'line');
  }

  /** All areas together, or null when there are none. */
  finish(): Drawing | null {
    const colours = this.levels
      .map(({ colour, shapes }) => ({ colour, polygons: unionRings(shapes.flatMap(({ rings }) => rings)) }))
      .filter(({ polygons }) => polygons.length > 0);
    const box = colours
      .flatMap(({ polygons }) => polygons.map((p) => p.outer))
      .reduce((grown, ring) => boxOfCoordinates(ring, grown), EMPTY_BOX);
    if (isEmptyBox(box)) return null;
    const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
    const done = colours.map(({ colour, polygons }): DrawingColour => {
      const rings = polygons
        .flatMap((p) => [...ringsOf(p)])
        .map((ring) => ring.map((v, i) => (v - (i % 2 ? cy : cx)) * this.perUnit));
      const areaMm2 = polygons.reduce((sum, p) => sum + polygonArea(p), 0) * this.perUnit ** 2;
      return { colour, rings, areaMm2 };
    });
    return {
      widthMm: (box.maxX - box.minX) * this.perUnit,
      heightMm: (box.maxY - box.minY) * this.perUnit,
      colours: done,
      leftOut: [...this.leftOut].map(([what, count]) => ({ what, count })),
    };
  }

  private use(element: Element, outer: Matrix, style: Style, clip: readonly Ring[] | null, depth: number): void {
    const href = element.attributes['href'] ?? '';
    if (!href.startsWith('#')) return this.note('parts of other files');
    const target = this.ids.get(href.slice(1));
    this.uses += 1;
    if (this.uses > MOST.uses) throw new TooMuch('repeated parts', MOST.uses);
    if (!target || depth > 20 * MOST.useDepth) return this.note('repeated parts that lead nowhere');
    const at = combine(outer, [
      1,
      0,
      0,
      1,
      parseFloat(element.attributes['x'] ?? '0') || 0,
      parseFloat(element.attributes['y'] ?? '0') || 0,
    ]);
    // Twenty levels stand for one use within another: a part that repeats itself ends here.
    const inside = depth + 20;
    if (target.name === 'symbol' || target.name === 'svg')
      for (const child of target.children) this.walk(child, at, styleOf(target, style, this.rules), clip, inside);
    else this.walk(target, at, style, clip, inside);
  }

  private clipped(style: Style, matrix: Matrix, clip: readonly Ring[] | null, depth: number): readonly Ring[] | null {
    const id = /url\(\s*["']?#([^"')]+)/.exec(style['clip-path'] ?? '')?.[1];
    if (!id) return clip;
    const target = this.ids.get(id);
    if (target?.name !== 'clipPath' || depth > 20 * MOST.useDepth) return clip;
    const own = combine(matrix, readTransform(target.attributes['transform']));
    const rings = target.children.flatMap((child): Ring[] => {
      const shape = child.name === 'use' ? this.ids.get((child.attributes['href'] ?? '').slice(1)) : child;
      const data = shape ? shapeData(shape) : null;
      const paths =
        data === null ? null : shapePaths(data, combine(own, readTransform(shape!.attributes['transform'])));
      return paths ? this.flat(paths).map(({ ring }) => ring) : [];
    });
    const area = unionRings(rings).flatMap((p) => [...ringsOf(p)]);
    return clip ? intersectRings(area, clip).flatMap((p) => [...ringsOf(p)]) : area;
  }

  private paint(data: string, matrix: Matrix, style: Style, clip: readonly Ring[] | null, line: boolean): void {
    const paths = shapePaths(data, matrix);
    if (!paths) return this.note('shapes that cannot be read');
    const current = readColour(style['color'], '#000000') ?? '#000000';
    const fill = this.colourOf(style['fill'] ?? '#000000', current, style['fill-opacity']);
    const flat = this.flat(paths);
    const rings = flat.map(({ ring }) => ring);
    if (fill && !line)
      this.put(
        fill,
        unionRings(
          rings.filter((r) => r.length >= 6),
          style['fill-rule'] === 'evenodd' ? 'evenodd' : 'nonzero',
        ),
        clip,
      );
    const stroke = this.colourOf(style['stroke'], current, style['stroke-opacity']);
    const width = parseFloat(style['stroke-width'] ?? '1') * scaleOf(matrix);
    if (!stroke || !(width > 0) || !Number.isFinite(width)) return;
    const join = style['stroke-linejoin'];
    const cap = style['stroke-linecap'];
    const area = strokeArea(
      rings,
      flat.map(({ closed }) => closed),
      width,
      {
        join: join === 'round' || join === 'bevel' ? join : 'miter',
        cap: cap === 'round' || cap === 'square' ? cap : 'butt',
        miterLimit: parseFloat(style['stroke-miterlimit'] ?? '4') || 4,
      },
    );
    this.put(stroke, area, clip);
  }

  private put(colour: string, polygons: readonly Polygon[], clip: readonly Ring[] | null): void {
    const rings = polygons.flatMap((p) => [...ringsOf(p)]);
    const seen = clip ? intersectRings(rings, clip).flatMap((p) => [...ringsOf(p)]) : rings;
    if (seen.length === 0) return;
    const shape = { rings: seen, box: boxOfRings(seen) };
    // As low as it may go: beside others of its colour, if nothing of another colour that it covers lies between.
    for (let i = this.levels.length - 1; i >= 0; i--) {
      const level = this.levels[i]!;
      if (level.colour === colour) {
        level.shapes.push(shape);
        return;
      }
      if (level.shapes.some((below) => covers(shape, below))) break;
    }
    this.levels.push({ colour, shapes: [shape] });
  }

  /** A plain colour, or a gradient's first; null for none. */
  private colourOf(value: string | undefined, current: string, opacity: string | undefined): string | null {
    if (value === undefined || parseFloat(opacity ?? '1') === 0) return null;
    const id = /^url\(\s*["']?#([^"')]+)/.exec(value)?.[1];
    if (id === undefined) return readColour(value, current);
    const target = this.ids.get(id);
    if (target?.name === 'pattern') {
      this.note('patterns, taken as one colour');
      return '#808080';
    }
    this.note('colours that run into each other, taken as one');
    const linked = this.ids.get((target?.attributes['href'] ?? '').slice(1));
    const stop = [target, linked].flatMap((g) => g?.children ?? []).find((child) => child.name === 'stop');
    const given = stop?.attributes['stop-color'] ?? /stop-color:\s*([^;]+)/.exec(stop?.attributes['style'] ?? '')?.[1];
    return readColour(given, current) ?? '#808080';
  }

  private flat(paths: readonly Path[]): { ring: Ring; closed: boolean }[] {
    const limit = 50 * this.span + 1e4;
    return paths.flatMap((path) => {
      const ring = flattenPath(path, Math.max(1e-4, this.span * CURVE_SHARE));
      this.points += ring.length / 2;
      if (this.points > MOST.points) throw new TooMuch('points', MOST.points);
      // What lies far outside the page, or nowhere, is no part of what was drawn.
      if (ring.some((v) => !(Math.abs(v) < limit))) {
        this.note('shapes far outside the page');
        return [];
      }
      return [{ ring, closed: path.closed }];
    });
  }

  private note(what: string, count = 1): void {
    this.leftOut.set(what, (this.leftOut.get(what) ?? 0) + count);
  }
}
