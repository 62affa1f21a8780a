import { withoutHairlines } from '../../../artwork/cut-lines.ts';
import type { Drawing, DrawingResult, DrawnLine } from '../../../artwork/drawing.ts';
import { Layers } from '../../../artwork/layers.ts';
import { EPSILON_MM } from '../../../numeric/tolerances.ts';
import { boxOfCoordinates } from '../../../plane/box.ts';
import { flattenPath } from '../../../plane/flatten.ts';
import type { Path } from '../../../plane/path.ts';
import { unionRings } from '../../../polygon/boolean.ts';
import type { Polygon, Ring } from '../../../polygon/polygon.ts';
import { ringsOf } from '../../../polygon/polygon.ts';
import { strokeArea } from '../../../polygon/stroke.ts';
import { cut, filled, frameRing } from './areas.ts';
import { clipped } from './clips.ts';
import { readColour } from './colour.ts';
import { type Measure, MM_PER_PX, readLength } from './length.ts';
import { combine, IDENTITY, type Matrix, scaleOf, shift } from './matrix.ts';
import { colourOfPaint, type PaintBook } from './paint.ts';
import { hasUnreadSize, shapeData, shapePaths, SHAPES, sizeOf } from './shapes.ts';
import { dashedLines, strokeShapeOf } from './strokes.ts';
import { readRules, type Rule, type Style, styleOf } from './style.ts';
import { transformOf } from './transforms.ts';
import { type Element, readTree } from './tree.ts';
import { isSet, readShare } from './value.ts';
import { innerViewport, pageOf, type Viewport } from './viewport.ts';
import type { Place, Walk } from './walk.ts';
import { SILENT } from './walk.ts';

/** Points that a drawing may have in all, and uses within uses. */
const MOST = { points: 900_000, uses: 4000, useDepth: 12 } as const;
/** Chord error of curves, as a share of the drawing's larger side: at 200 mm it is 0.004 mm. */
const CURVE_SHARE = 2e-5;

/** What is passed over, as the person would call it. */
const PASSED_OVER = new Map([
  ['text', 'words that are still type (turn them into outlines where they were drawn)'],
  ['image', 'pictures'],
  ['foreignObject', 'foreign content'],
  ['iframe', 'foreign content'],
  ['canvas', 'foreign content'],
  ['script', 'scripts'],
  ['animate', 'movements'],
  ['animateTransform', 'movements'],
  ['animateMotion', 'movements'],
  ['set', 'movements'],
  ['video', 'films and sounds'],
  ['audio', 'films and sounds'],
]);
/** Styles that change what is seen and are not followed, as the person would call them. */
const NOT_FOLLOWED = [
  ['mask', 'masks (what they hide is taken)'],
  ['filter', 'effects'],
] as const;
const MARKERS = ['marker-start', 'marker-mid', 'marker-end'] as const;

/**
 * Reads an SVG drawing into areas of film by colour, as a browser would show them: shapes, styles, units, viewports, uses,
 * clip paths, and lines turned into areas, dashed ones too. Nothing outside the file is fetched and nothing in it is run;
 * what cannot be taken as it is drawn is listed.
 *
 * A drawing of nothing but closed hairlines, as cut files are, is taken as what they enclose; as it is drawn it stands
 * beside that.
 *
 * @param text SVG
 * @returns areas in mm about the drawing's middle, or why it was refused
 */
export function readSvgDrawing(text: string): DrawingResult {
  const tree = readTree(text);
  if (!tree.ok) return tree;
  const reader = new Reader(tree.root);
  try {
    reader.readPage();
  } catch (thrown) {
    if (thrown instanceof TooMuch)
      return { ok: false, problem: { code: 'too-much', what: thrown.what, limit: thrown.limit } };
    throw thrown;
  }
  return reader.finish();
}

class TooMuch extends Error {
  constructor(
    readonly what: string,
    readonly limit: number,
  ) {
    super(what);
  }
}

/** An area that was drawn. */
interface Painted {
  readonly colour: string;
  readonly rings: readonly Ring[];
}

/** One walk over a drawing. */
class Reader implements Walk {
  readonly ids = new Map<string, Element>();
  readonly rules: readonly Rule[];
  private readonly leftOut = new Map<string, number>();
  private readonly page: Viewport;
  /** mm. The drawing's larger side. */
  readonly span: number;
  private readonly painted: Painted[] = [];
  private readonly lines: DrawnLine[] = [];
  private fills = 0;
  private points = 0;
  private uses = 0;

  constructor(private readonly root: Element) {
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
    this.page = pageOf(root, styleOf(root, {}, rules));
    const { frame } = this.page;
    this.span = frame ? Math.max(frame[2], frame[3]) : 1000 * MM_PER_PX;
  }

  /** Takes the whole page. What lies past its edge is not seen, and said. */
  readPage(): void {
    const style = styleOf(this.root, {}, this.rules);
    if (style['transform']) this.note('a page that is turned as a whole');
    this.inside(this.root, { matrix: this.page.matrix, style, clip: null, measure: this.page.measure, depth: 0 });
    const { frame } = this.page;
    if (!frame || style['overflow'] === 'visible') return;
    const edge = [frameRing(frame, IDENTITY)];
    const past = ({ rings }: Painted): boolean =>
      rings.some((ring) => {
        const box = boxOfCoordinates(ring);
        const over = EPSILON_MM * this.span;
        return box.minX < -over || box.maxX > frame[2] + over || box.maxY > over || box.minY < -frame[3] - over;
      });
    const kept = this.painted.map((one) => (past(one) ? { ...one, rings: cut(one.rings, edge) } : one));
    const count = this.painted.filter(past).length;
    // A page that shows nothing says nothing about what was meant.
    if (count === 0 || kept.every(({ rings }) => rings.length === 0)) return;
    this.note('shapes that reach past the page, cut off at its edge', count);
    this.painted.splice(0, Infinity, ...kept);
  }

  finish(): DrawingResult {
    const layers = new Layers();
    for (const { colour, rings } of this.painted) layers.put(colour, rings);
    const made = layers.finish();
    const lines = this.fills === 0 ? withoutHairlines(this.lines) : null;
    if (!made && !lines) return { ok: false, problem: { code: 'empty' } };
    const list = (): { what: string; count: number }[] => [...this.leftOut].map(([what, count]) => ({ what, count }));
    const drawn = made && this.asDrawing(made, list());
    if (!lines) return { ok: true, drawing: drawn!, asDrawn: null };
    if (lines.loose > 0) this.note('lines that do not close', lines.loose);
    return { ok: true, drawing: this.asDrawing(lines.drawing, list()), asDrawn: drawn };
  }

  /** A drawing on its page, whose corner is where it is measured from. */
  private asDrawing(
    { middle: [x, y], ...made }: NonNullable<ReturnType<Layers['finish']>>,
    leftOut: Drawing['leftOut'],
  ): Drawing {
    const { frame } = this.page;
    const sheet = frame && { widthMm: frame[2], heightMm: frame[3], x: frame[2] / 2 - x, y: -frame[3] / 2 - y };
    return { ...made, sheet, leftOut, unitSaid: true };
  }

  /** Takes an element and what is in it. */
  private walk(element: Element, outer: Place): void {
    const { name } = element;
    if (PASSED_OVER.has(name)) {
      const { display } = styleOf(element, outer.style, this.rules);
      return display === 'none' ? undefined : this.note(PASSED_OVER.get(name)!);
    }
    if (SILENT.has(name)) return;
    const style = styleOf(element, outer.style, this.rules);
    if (style['display'] === 'none' || readShare(style['opacity'], 1) <= 0) return;
    const measure = this.measured(style, outer);
    const matrix = combine(outer.matrix, transformOf(this, element, style, measure, outer));
    const depth = outer.depth + 1;
    const own = { matrix, style, clip: outer.clip, measure, depth };
    const place = { ...own, clip: clipped(this, element, own) };
    for (const [property, what] of NOT_FOLLOWED)
      if (/url\(/.test(style[property] ?? '') || (property === 'filter' && isSet(style[property]))) this.note(what);
    if (name === 'g' || name === 'a') return this.inside(element, place);
    if (name === 'svg') return this.viewport(element, place, null);
    if (name === 'switch') {
      const first = element.children.find((child) => !SILENT.has(child.name) && isWanted(child));
      return first && this.walk(first, place);
    }
    if (name === 'use') return this.use(element, place);
    if (!SHAPES.has(name)) return this.note('unknown parts');
    if (style['visibility'] === 'hidden' || style['visibility'] === 'collapse') return;
    this.shape(element, place);
  }

  private inside(element: Element, place: Place): void {
    for (const child of element.children) this.walk(child, place);
  }

  /** Lengths of an element are measured by its own type size. */
  private measured(style: Style, outer: Place): Measure {
    const said = style['font-size'];
    if (said === undefined || said === outer.style['font-size']) return outer.measure;
    const before = outer.measure.fontSize;
    const size = readLength(said, { width: before, height: before, fontSize: before }, 'x');
    return size === undefined ? outer.measure : { ...outer.measure, fontSize: size };
  }

  private viewport(element: Element, place: Place, by: { element: Element; style: Style } | null): void {
    const opened = innerViewport(element, place.style, place.measure, by);
    if (!opened) return;
    const { frame, measure } = opened;
    const seen = frame ? [frameRing(frame, place.matrix)] : null;
    const clip = seen && place.clip ? cut(place.clip, seen) : (seen ?? place.clip);
    this.inside(element, { ...place, clip, measure, matrix: combine(place.matrix, opened.matrix) });
  }

  private use(element: Element, place: Place): void {
    const href = element.attributes['href'] ?? '';
    if (!href.startsWith('#')) return this.note('parts of other files');
    const target = this.ids.get(href.slice(1));
    this.uses += 1;
    if (this.uses > MOST.uses) throw new TooMuch('repeated parts', MOST.uses);
    if (!target || place.depth > 20 * MOST.useDepth) return this.note('repeated parts that lead nowhere');
    const { measure, style } = place;
    const x = sizeOf(element, style, 'x', measure, 'x') ?? 0;
    const y = sizeOf(element, style, 'y', measure, 'y') ?? 0;
    // Twenty levels stand for one use within another: a part that repeats itself ends here.
    const at = { ...place, matrix: combine(place.matrix, shift(x, y)), depth: place.depth + 20 };
    if (target.name !== 'symbol' && target.name !== 'svg') return this.walk(target, at);
    const own = styleOf(target, style, this.rules);
    if (own['display'] === 'none' || readShare(own['opacity'], 1) <= 0) return;
    const matrix = combine(at.matrix, transformOf(this, target, own, measure, at));
    this.viewport(target, { ...at, matrix, style: own }, { element, style });
  }

  private shape(element: Element, place: Place): void {
    if (hasUnreadSize(element, place.style, place.measure)) this.note('sizes that cannot be read');
    const data = shapeData(element, place.style, place.measure);
    if (!data) return;
    const { paths, broken } = shapePaths(data, place.matrix);
    if (broken) this.note('outlines with a mistake in them, taken as far as it');
    const takesMarkers = ['path', 'line', 'polyline', 'polygon'].includes(element.name);
    if (takesMarkers && MARKERS.some((name) => /url\(/.test(place.style[name] ?? '')))
      this.note('markers on lines, such as arrow heads');
    const current = readColour(place.style['color'] ?? '#000000', '#000000') ?? '#000000';
    const first = /^\s*(stroke|markers\s+stroke)/.test(place.style['paint-order'] ?? '');
    const acts = [
      () => element.name !== 'line' && this.fill(paths, place, current),
      () => this.stroke(element, data.data, place, current),
    ];
    for (const act of first ? acts.reverse() : acts) act();
  }

  private fill(paths: readonly Path[], { style, clip }: Place, current: string): void {
    const colour = colourOfPaint(style['fill'] ?? '#000000', current, style['fill-opacity'], this.book);
    if (!colour) return;
    const rings = this.flat(paths).map(({ ring }) => ring);
    const area = filled(rings, style['fill-rule']);
    if (area.length > 0) this.fills += 1;
    this.put(colour, area, clip);
  }

  /** Lines are made broad in the units that they are drawn in, and then laid through the matrix: it may stretch them. */
  private stroke(element: Element, data: string, { matrix, style, clip, measure }: Place, current: string): void {
    const colour = colourOfPaint(style['stroke'], current, style['stroke-opacity'], this.book);
    if (!colour) return;
    const scale = scaleOf(matrix);
    const still = style['vector-effect'] === 'non-scaling-stroke';
    const given = readLength(style['stroke-width'] ?? '1', measure, 'both') ?? 1;
    const wanted = given * (still ? MM_PER_PX : scale);
    if (!(wanted > 0) || !Number.isFinite(wanted) || !(scale > 0)) return;
    // From anywhere that something is drawn it covers all that there can be: more would change nothing but the time.
    const width = Math.min(wanted, 4 * this.farthest);
    if (width < wanted) this.note('lines far broader than the page');
    // Of the size that it has in the end, but not yet turned or stretched.
    const ready: Matrix = still ? matrix : [scale, 0, 0, scale, 0, 0];
    const rest: Matrix = still ? IDENTITY : combine(matrix, [1 / scale, 0, 0, 1 / scale, 0, 0]);
    const flat = this.flat(shapePaths({ data, broken: false }, ready).paths);
    const pieces = dashedLines(element, flat, width, style, measure, still ? MM_PER_PX : scale, this.say);
    const area = strokeArea(
      pieces.map(({ ring }) => ring),
      pieces.map(({ closed }) => closed),
      width,
      strokeShapeOf(style),
    );
    this.put(colour, this.moved(area, rest), clip);
    const dashes = pieces !== flat;
    this.lines.push({
      colour,
      widthMm: width,
      dashed: dashes,
      paths: dashes ? [] : flat.map(({ ring, closed }) => ({ ring: this.movedRing(ring, rest), closed })),
      clip,
    });
  }

  private put(colour: string, rings: readonly Ring[], clip: readonly Ring[] | null): void {
    const seen = clip ? cut(rings, clip) : rings;
    if (seen.length > 0) this.painted.push({ colour, rings: seen });
  }

  private moved(area: readonly Polygon[], matrix: Matrix): Ring[] {
    const rings = area.flatMap(ringsOf);
    return matrix === IDENTITY ? rings : unionRings(rings.map((ring) => this.movedRing(ring, matrix))).flatMap(ringsOf);
  }

  private movedRing(ring: Ring, [a, b, c, d, e, f]: Matrix): Ring {
    const out = new Float64Array(ring.length);
    for (let i = 0; i < ring.length; i += 2) {
      const [x, y] = [ring[i]!, ring[i + 1]!];
      out[i] = a * x - c * y + e;
      out[i + 1] = -(b * x - d * y + f);
    }
    return out;
  }

  /** mm from the corner of the page beyond which nothing is taken for drawn. */
  private get farthest(): number {
    return 50 * this.span + 1e4;
  }

  flat(paths: readonly Path[]): { ring: Ring; closed: boolean }[] {
    const limit = this.farthest;
    return paths.flatMap((path) => {
      const ring = flattenPath(path, Math.max(1e-5, this.span * CURVE_SHARE));
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

  private readonly say = (what: string): void => this.note(what);

  private get book(): PaintBook {
    return { ids: this.ids, rules: this.rules, note: this.say };
  }

  note(what: string, count = 1): void {
    this.leftOut.set(what, (this.leftOut.get(what) ?? 0) + count);
  }
}

/** Whether a part of a `switch` is for an English reader without special settings. */
function isWanted({ attributes }: Element): boolean {
  const languages = attributes['systemLanguage'];
  if (attributes['requiredExtensions'] !== undefined) return false;
  return languages === undefined || languages.split(',').some((one) => /^en\b/i.test(one.trim()));
}
