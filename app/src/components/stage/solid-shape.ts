import type { Blank, SolidPicture, TypicalSolid } from '@mivet/core';
import { keptSide, KINDS_OF_BLANK, patchLatitude, profileOf } from '@mivet/core';
import type { Asked } from '../../stores/view.ts';

/** A round of the solid's side: mm along it from the template's top, distance from the axis, height, and dr/ds. */
export type SolidRow = readonly [slant: number, radius: number, height: number, lean: number];

/** The solid blank in mm: what the scene needs to know of it. Plain, so that two can be compared. */
export interface BlankShape {
  readonly form: 'round' | 'ball' | 'disk' | 'plane';
  /** Round: rows from the drinking edge to the foot. Ball: from crown to foot. Faces have none. */
  readonly rows: readonly SolidRow[];
  /** Length and, of a face, width of what the template covers. */
  readonly side: number;
  readonly width: number;
  /** Side above and below the template, along it. */
  readonly above: number;
  readonly below: number;
  /** Ball: radius at the widest girth, half the length, and latitude where the patch lies. */
  readonly ball: {
    readonly radius: number;
    readonly halfLength: number;
    readonly latitude: number;
  };
  /** Lid: diameter of its hole and how far above the middle it lies. */
  readonly hole: readonly [across: number, up: number];
  readonly topper: 'none' | 'cap' | 'neck';
  readonly handleWidth: number;
  readonly colour: string;
  readonly shine: 'steel' | 'glaze' | 'glass' | 'matte';
}

/** Side below the band that a foot takes, mm. */
const BELOW = 4;
const NO_BALL = { radius: 1, halfLength: 1, latitude: 0 };

/**
 * The solid of a blank; a typical one of its kind stands in until the readings are there.
 *
 * @param blank for its kind, colours and handle
 * @param picture what its readings gave, if they did
 */
export function shapeOfBlank(blank: Blank, picture: SolidPicture | null): BlankShape {
  const base = {
    ball: NO_BALL,
    hole: [0, 0] as const,
    topper: 'none' as const,
    width: 0,
    above: 0,
    below: 0,
    rows: [],
    handleWidth: 0,
    colour: blank.colour,
    shine: shineOf(blank),
  };
  const shape = picture?.size.shape;
  const { typical } = KINDS_OF_BLANK[blank.kind];
  switch (typical.form) {
    case 'cone':
      return { ...base, ...coneShape(blank, picture, typical) };
    case 'profile':
      return { ...base, ...profileShape(blank, picture, typical) };
    case 'ball': {
      const known = shape?.form === 'ball' ? shape : typical;
      const across = picture && shape?.form === 'ball' ? picture.template.flattening.patchMm : 24;
      return { ...base, ...ballShape(blank, known, across), topper: typical.topper };
    }
    case 'disk': {
      const known = shape?.form === 'disk' ? shape : typical;
      return { ...base, form: 'disk', side: known.across, width: known.across, hole: [known.hole, known.holeUp] };
    }
    case 'plane': {
      const known = shape?.form === 'plane' ? shape : typical;
      return { ...base, form: 'plane', side: known.height, width: known.width };
    }
  }
}

type Typical<F extends TypicalSolid['form']> = Extract<TypicalSolid, { form: F }>;
type RoundShape = Pick<BlankShape, 'form' | 'rows' | 'side' | 'above' | 'below' | 'handleWidth'>;

function coneShape(blank: Blank, picture: SolidPicture | null, typical: Typical<'cone'>): RoundShape {
  const size = picture?.size.shape.form === 'cone' ? picture.size : null;
  const rim = (size?.rim.surface ?? typical.girthRim) / (2 * Math.PI);
  const foot = (size?.base.surface ?? typical.girthBase) / (2 * Math.PI);
  const side = size?.side ?? typical.side;
  const above = Math.max(1, blank.bandBelowRimMm);
  const lean = (foot - rim) / side;
  const rise = Math.sqrt(Math.max(0.05, 1 - lean * lean));
  const rows = [-above, side + BELOW].map((s): SolidRow => [s, rim + lean * s, -s * rise, lean]);
  return { form: 'round', rows, side, above, below: BELOW, handleWidth: blank.handleWidthMm };
}

function profileShape(blank: Blank, picture: SolidPicture | null, typical: Typical<'profile'>): RoundShape {
  const size = picture?.size.shape;
  const known = size?.form === 'profile' ? size : null;
  const whole = known ? profileOf(known.stations, known.along) : profileOf(typical.stations, 'side');
  const [from, to] = known?.keep ?? [0, whole.sideLength];
  const rim = Math.max(1, blank.bandBelowRimMm);
  const above = from + rim;
  const below = whole.sideLength - to + BELOW;
  const steps = 72;
  let height = 0;
  const rows: SolidRow[] = [];
  // From the top down; past the stations the side runs on straight, as it was heading.
  for (let i = -1; i <= steps + 1; i++) {
    const at = i < 0 ? -rim : i > steps ? whole.sideLength + BELOW : (whole.sideLength * i) / steps;
    const inside = Math.min(whole.sideLength, Math.max(0, at));
    // As it was heading, but no spike: past the stations nobody read anything.
    const lean = at === inside ? whole.slopeAt(inside) : Math.max(-0.06, Math.min(0.06, whole.slopeAt(inside)));
    const before = rows.at(-1);
    if (before) height -= (at - from - before[0]) * Math.sqrt(Math.max(0.01, 1 - ((lean + before[3]) / 2) ** 2));
    rows.push([at - from, Math.max(2, whole.radiusAt(inside) + lean * (at - inside)), height, lean]);
  }
  const atTop = rowAt(rows, 0)[2];
  return {
    form: 'round',
    rows: rows.map(([s, r, h, lean]) => [s, r, h - atTop, lean]),
    side: known && size?.form === 'profile' ? keptSide(size).sideLength : to - from,
    above,
    below,
    handleWidth: blank.handleWidthMm,
  };
}

function ballShape(
  blank: Blank,
  { radius, halfLength }: { readonly radius: number; readonly halfLength: number },
  across: number,
): Pick<BlankShape, 'form' | 'rows' | 'side' | 'width' | 'ball'> {
  const steps = 48;
  const latitude = patchLatitude(blank.flattening);
  let slant = 0;
  const rows = Array.from({ length: steps + 1 }, (_, i): SolidRow => {
    const b = Math.PI / 2 - (Math.PI * i) / steps;
    const stretch = Math.hypot(radius * Math.sin(b), halfLength * Math.cos(b));
    if (i > 0) slant += (stretch * Math.PI) / steps;
    return [slant, radius * Math.cos(b), halfLength * Math.sin(b), (radius * Math.sin(b)) / stretch];
  });
  return {
    form: 'ball',
    rows,
    side: across,
    width: across,
    ball: { radius, halfLength, latitude },
  };
}

function shineOf({ surface }: Blank): BlankShape['shine'] {
  if (surface.includes('steel')) return 'steel';
  if (surface === 'glass') return 'glass';
  return surface === 'glazed ceramic' || surface === 'latex' ? 'glaze' : 'matte';
}

/** The row at a distance along the side, between the two nearest; past the ends it runs on straight. */
export function rowAt(rows: readonly SolidRow[], slant: number): SolidRow {
  if (rows.length < 2) throw new RangeError(`a side has at least two rows, got ${rows.length}`);
  let i = rows.findIndex(([s]) => s >= slant);
  if (i < 0) i = rows.length - 1;
  i = Math.max(1, i);
  const [a, b] = [rows[i - 1]!, rows[i]!];
  const t = (slant - a[0]) / (b[0] - a[0]);
  const mix = (k: 0 | 1 | 2 | 3): number => a[k] + (b[k] - a[k]) * t;
  return [slant, mix(1), mix(2), t < 0 ? a[3] : t > 1 ? b[3] : mix(3)];
}

/** Distance along the side at a height; heights fall from row to row. */
export function slantAtHeight(rows: readonly SolidRow[], height: number): number {
  let i = rows.findIndex(([, , h]) => h <= height);
  if (i < 0) i = rows.length - 1;
  i = Math.max(1, i);
  const [a, b] = [rows[i - 1]!, rows[i]!];
  return a[0] + ((b[0] - a[0]) * (a[2] - height)) / Math.max(1e-9, a[2] - b[2]);
}

/** Where a reading's tape lies: round at a distance along the side, or along something straight. */
export type TapePlace =
  | { readonly lies: 'round'; readonly slant: number; readonly hang: 'below' | 'above' | 'middle' }
  | { readonly lies: 'down'; readonly from: number; readonly to: number }
  | { readonly lies: 'upright' | 'over' }
  | { readonly lies: 'flat'; readonly x: readonly [number, number]; readonly y: readonly [number, number] }
  | { readonly lies: 'across' };

/** Where the tape lies for what is being asked, on a solid of this shape. */
export function tapeFor(asked: Asked | null, blank: Blank, shape: BlankShape): TapePlace | null {
  const place = asked === null ? null : placeOfTape(asked, blank, shape);
  // What was asked of another kind of blank has no place on this one: nothing runs round a face.
  const isFace = shape.form === 'disk' || shape.form === 'plane';
  return place === null || (place.lies === 'flat') === isFace ? place : null;
}

function placeOfTape(asked: Asked, blank: Blank, shape: BlankShape): TapePlace | null {
  if (typeof asked === 'object') return shape.rows.length > 0 ? stationTape(asked, blank, shape) : null;
  const { side, width, hole } = shape;
  switch (asked) {
    case 'girthRim':
      return { lies: 'round', slant: 0.5, hang: 'below' };
    case 'girthBase':
      return { lies: 'round', slant: side - 0.5, hang: 'above' };
    case 'side':
      return { lies: 'down', from: 0, to: side };
    case 'upright':
      return { lies: 'upright' };
    case 'acrossRim':
      return { lies: 'across' };
    case 'girth':
      return { lies: 'round', slant: (shape.rows.at(-1)?.[0] ?? 0) / 2, hang: 'middle' };
    case 'overCrown':
      return { lies: 'over' };
    case 'across':
      return shape.form === 'ball'
        ? { lies: 'across' }
        : { lies: 'flat', x: [-width / 2, width / 2], y: [-side / 2, -side / 2] };
    case 'hole': {
      const y = hole[1] - side / 2;
      return { lies: 'flat', x: [-hole[0] / 2, hole[0] / 2], y: [y, y] };
    }
    case 'holeIn':
      return { lies: 'flat', x: [0, 0], y: [0, hole[1] + hole[0] / 2 - side / 2] };
    case 'width':
      return { lies: 'flat', x: [-width / 2, width / 2], y: [-side * 0.2, -side * 0.2] };
    case 'height':
      return { lies: 'flat', x: [-width * 0.28, -width * 0.28], y: [-side, 0] };
  }
}

/** Heights are counted from the first one; where they are not read yet, the tape lies where the next would be. */
function stationTape(asked: Exclude<Asked, string>, blank: Blank, shape: BlankShape): TapePlace | null {
  const downs = blank.stations.map(({ down }, i) =>
    i === 0 ? 0 : down.takes.length > 0 ? down.takes.reduce((sum, t) => sum + t.mm, 0) / down.takes.length : null,
  );
  const first = downs[0] ?? 0;
  const from = Math.max(...shape.rows.slice(0, 1).map(([s]) => s)) + Math.max(1, blank.bandBelowRimMm);
  const whole = shape.side + shape.above + shape.below - Math.max(1, blank.bandBelowRimMm) - BELOW;
  const down = downs[asked.station] ?? null;
  const along = down === null ? (whole * asked.station) / Math.max(1, blank.stations.length - 1) : down - first;
  const slant = from + Math.min(whole, blank.stationsAlong === 'upright' ? slantDown(shape, from, along) : along);
  if (asked.what === 'girth') return { lies: 'round', slant, hang: asked.station === 0 ? 'below' : 'middle' };
  return { lies: 'down', from, to: slant };
}

/** Distance along the side that lies an upright distance below the first height. */
function slantDown({ rows }: BlankShape, from: number, down: number): number {
  return slantAtHeight(rows, rowAt(rows, from)[2] - down) - from;
}
