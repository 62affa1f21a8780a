import { solidOf } from '../measure/kinds/kinds.ts';
import type { Job } from '../model/job.ts';
import { EPSILON } from '../numeric/tolerances.ts';
import type { Wrap } from '../pieces/wrap.ts';
import type { Box } from '../plane/box.ts';
import { boxOfCoordinates, boxOfRings } from '../plane/box.ts';
import { resampleRing } from '../plane/resample.ts';
import { intersectRings } from '../polygon/boolean.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import { FOOT_MM } from '../solid/drawn.ts';
import type { Face, Solid } from '../solid/solid.ts';
import { outlineOfBlank, viewOfSection } from '../surface/section.ts';
import { halfAngleSeen } from '../surface/foreshortening.ts';

/** Where the eye is: level with the middle of the band, looking at the axis. */
export interface Eye {
  /** rad round from the front; faces are looked at straight on. */
  readonly azimuth: number;
  /** mm from the axis, or from a face; more than the blank's radius. */
  readonly distance: number;
}

/** What an eye sees, in a plane through the axis (or of the face): x right, y up from the middle of the band, mm at the axis. */
export interface EyeView {
  /** Outline of what is seen of the side, from its drinking edge to its foot. */
  readonly body: Ring;
  /** Lines of the band's edges and of the handle beside the body. */
  readonly lines: readonly Ring[];
  /** The handle where it stands out at a side; null where none is seen. */
  readonly handle: Ring | null;
  /** Film, in the order in which it lies. */
  readonly pieces: readonly {
    readonly film: string;
    readonly itemIds: readonly string[];
    readonly rings: readonly Ring[];
  }[];
  /** Parts at both edges where things look narrower than a share of what they are in the middle. */
  readonly narrow: readonly { readonly share: number; readonly rings: readonly Ring[] }[];
  readonly box: Box;
  /** How high a slant comes to lie in the middle of the picture, mm. */
  readonly heightOf: (slant: number) => number;
}

/** mm. A picture is not looked at with a lens. */
const PICTURE_ERROR_MM = 0.05;
/** Heights at which a side is taken. */
const STATIONS = 64;
/** What a handle stands out by, as a share of the side. */
const HANDLE_OUT = 0.38;

/**
 * A true perspective picture of a blank with its film.
 *
 * @param job for its blank
 * @param wrap its side and pieces
 * @param eye where one looks from
 * @param shares how narrow the edge may look: for each the parts beyond are told
 * @returns null when the eye is not outside the blank
 * @source pinhole: X = D·y/(D − x), Y = D·z/(D − x) with x towards the eye; of a surface of revolution r(z) the spot at φ is
 *   seen where cos φ > (r + r′(z)·(z_E − z))/D, since there its normal leans towards the eye
 */
export function eyeView(job: Pick<Job, 'blank'>, wrap: Wrap, eye: Eye, shares: readonly number[] = []): EyeView | null {
  const { face, spheroid } = solidOf(wrap.size);
  if (spheroid) return ballView(wrap, spheroid, eye);
  if (face) return faceView(wrap, face);
  const side = sideOf(job, wrap);
  if (eye.distance <= side.widest + 1) return null;
  const { from, to } = side;
  const outline = outlineOfBlank(job.blank, 2 * Math.PI * wrap.meanRadius);
  const section = outline && viewOfSection(outline, wrap.meanRadius, eye.azimuth, eye.distance);
  /** What is seen at a height, to the left and right of what the eye is in front of. */
  const limitsAt = (slant: number): readonly [number, number] => {
    if (section) return [section.limits[0] - eye.azimuth, section.limits[1] - eye.azimuth];
    const [r, z, lean] = side.at(slant);
    const half = Math.acos(Math.max(-1, Math.min(1, (r - lean * z) / eye.distance)));
    return [-half, half];
  };
  const project = (azimuth: number, slant: number, out: Float64Array): void => {
    const [r, z] = side.at(slant);
    if (section) {
      const seen = section.at(azimuth);
      out[0] = seen.x;
      out[1] = z * seen.scale;
      return;
    }
    const phi = azimuth - eye.azimuth;
    const scale = eye.distance / (eye.distance - r * Math.cos(phi));
    out[0] = r * Math.sin(phi) * scale;
    out[1] = z * scale;
  };
  const spot = new Float64Array(2);
  const trace = (points: readonly (readonly [number, number])[]): Ring =>
    Float64Array.from(
      points.flatMap(([phi, slant]) => {
        project(eye.azimuth + phi, slant, spot);
        return [spot[0]!, spot[1]!];
      }),
    );
  const down = Array.from({ length: STATIONS + 1 }, (_, i) => from + ((to - from) * i) / STATIONS);
  const up = [...down].reverse();
  const arc = (slant: number, sign: 1 | -1): [number, number][] =>
    Array.from({ length: STATIONS + 1 }, (_, i) => {
      const [left, right] = limitsAt(slant);
      const share = sign > 0 ? i / STATIONS : 1 - i / STATIONS;
      return [left + (right - left) * share, slant];
    });
  // Counter-clockwise: down the left edge, along the foot to the right, up the right edge, back along the drinking edge.
  const body = trace([
    ...down.map((v) => [limitsAt(v)[0], v] as const),
    ...arc(to, 1),
    ...up.map((v) => [limitsAt(v)[1], v] as const),
    ...arc(from, -1),
  ]);
  const radius = wrap.meanRadius;
  const window = (left: (v: number) => number, right: (v: number) => number): Ring =>
    Float64Array.from([...down.flatMap((v) => [left(v) * radius, -v]), ...up.flatMap((v) => [right(v) * radius, -v])]);
  const seen = window(
    (v) => eye.azimuth + limitsAt(v)[0],
    (v) => eye.azimuth + limitsAt(v)[1],
  );
  const reach = boxOfCoordinates(seen);
  const turn = 2 * Math.PI * radius;
  const draw = (ring: Ring): Ring => resampleRing(ring, (x, y, out) => project(x / radius, -y, out), PICTURE_ERROR_MM);
  const pieces = wrap.pieces
    .filter((p) => !p.spare)
    .map(({ film, itemIds, unrolled }) => {
      const box = boxOfCoordinates(unrolled.outer);
      const rings: Ring[] = [];
      for (let k = Math.ceil((reach.minX - box.maxX) / turn); box.minX + k * turn <= reach.maxX; k++) {
        const moved = ringsOf(unrolled).map((ring) => ring.map((value, i) => (i % 2 ? value : value + k * turn)));
        rings.push(...intersectRings(moved, [seen]).flatMap(ringsOf).map(draw));
      }
      return { film, itemIds, rings };
    })
    .filter(({ rings }) => rings.length > 0);
  const band = [0, wrap.size.side].map((slant) => trace(arc(slant, 1)));
  const narrow = shares.map((share) => ({
    share,
    rings: ([0, 1] as const).map((end) => {
      const inner = (v: number): number => {
        if (section) return section.within(share)[end] - eye.azimuth;
        const half = Math.min(limitsAt(v)[1], halfAngleSeen(side.at(v)[0], eye.distance, share));
        return end === 0 ? -half : half;
      };
      return trace([...down.map((v) => [limitsAt(v)[end], v] as const), ...up.map((v) => [inner(v), v] as const)]);
    }),
  }));
  const heightOf = (slant: number): number => {
    project(eye.azimuth, slant, spot);
    return spot[1]!;
  };
  const handle = handleBeside(job, side, eye, wrap.size.side);
  return { body, lines: band, handle, pieces, narrow, box: boxOfRings([body, ...(handle ? [handle] : [])]), heightOf }; // prettier-ignore
}

interface SeenSide {
  /** Slants of the drinking edge and of the foot, mm. */
  readonly from: number;
  readonly to: number;
  readonly widest: number;
  /** Radius, height over the middle of the band, and dr/dz. */
  at(slant: number): readonly [number, number, number];
}

/** The side as a surface of revolution; past the band it runs on straight. */
function sideOf({ blank }: Pick<Job, 'blank'>, { surface, size }: Wrap): SeenSide {
  const { side } = size;
  const { curved } = solidOf(size);
  // A curved side goes on above and below the part of it that the band covers.
  const [over, whole] = curved ? [curved.keep[0], curved.whole.sideLength] : [0, side];
  const [from, to] = [-over - Math.max(1, blank.bandBelowRimMm), whole - over + FOOT_MM];
  const radiusAt = (slant: number): number =>
    curved ? curved.whole.radiusAt(Math.max(0, Math.min(whole, slant + over))) : surface.radiusAt(slant);
  const step = (to - from) / (4 * STATIONS);
  const heights = [0];
  for (let i = 1; i <= 4 * STATIONS; i++) {
    const run = radiusAt(from + i * step) - radiusAt(from + (i - 1) * step);
    heights.push(heights[i - 1]! - Math.sqrt(Math.max(0, step * step - run * run)));
  }
  const heightAt = (slant: number): number => {
    const place = Math.max(0, Math.min(4 * STATIONS - EPSILON, (slant - from) / step));
    const i = Math.floor(place);
    return heights[i]! + (heights[i + 1]! - heights[i]!) * (place - i);
  };
  const middle = heightAt(side / 2);
  let widest = 0;
  for (let v = from; v <= to; v += step) widest = Math.max(widest, radiusAt(v));
  return {
    from,
    to,
    widest,
    at: (slant) => {
      const [a, b] = [Math.max(from, slant - step), Math.min(to, slant + step)];
      const fall = heightAt(b) - heightAt(a);
      const lean = fall === 0 ? 0 : (radiusAt(b) - radiusAt(a)) / fall;
      return [radiusAt(slant), heightAt(slant) - middle, lean];
    },
  };
}

/** The handle as a loop beside the body, when the eye looks at the blank from aside. */
function handleBeside({ blank }: Pick<Job, 'blank'>, side: SeenSide, eye: Eye, length: number): Ring | null {
  const phi = Math.PI - eye.azimuth;
  const aside = Math.sin(phi);
  if (blank.handleWidthMm <= 0 || Math.abs(aside) < 0.2) return null;
  const out = HANDLE_OUT * length;
  const edge = (inner: number): [number, number][] =>
    Array.from({ length: 25 }, (_, i) => {
      const t = i / 24;
      const slant = length * (0.12 + inner * 0.09 + (0.76 - 2 * inner * 0.09) * t);
      const [r, z] = side.at(slant);
      const far = r - 1 + (out - inner * 0.25 * out) * Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 4));
      const scale = eye.distance / (eye.distance - far * Math.cos(phi));
      return [far * aside * scale, z * scale];
    });
  return Float64Array.from([...edge(0), ...edge(1).reverse()].flat());
}

/** A ball or balloon, looked at straight on where its patch lies. */
function ballView(wrap: Wrap, ball: NonNullable<Solid['spheroid']>, { distance }: Eye): EyeView | null {
  if (distance <= Math.max(ball.radius, ball.halfLength) + 1) return null;
  const { radius, halfLength } = ball;
  const half = wrap.size.side / 2;
  // On a balloon the patch is bent as the skin is where it lies; for a picture its girth is near enough across.
  const project = (x: number, y: number, out: Float64Array): void => {
    const away = Math.hypot(x, y);
    const angle = away / radius;
    const sin = away === 0 ? 0 : Math.sin(angle) / away;
    const scale = distance / (distance - radius * Math.cos(angle));
    out[0] = radius * x * sin * scale;
    out[1] = (halfLength / radius) * radius * y * sin * scale;
  };
  const limit = radius * Math.acos(radius / distance);
  const circle = (r: number): Ring =>
    Float64Array.from(
      Array.from({ length: 128 }, (_, i) => (2 * Math.PI * i) / 128).flatMap((a) => [r * Math.cos(a), r * Math.sin(a)]),
    );
  const draw = (ring: Ring): Ring => resampleRing(ring, project, PICTURE_ERROR_MM);
  const body = draw(circle(limit));
  const pieces = inPlane(wrap, half, [circle(limit)], draw);
  return {
    body,
    lines: [],
    handle: null,
    pieces,
    narrow: [],
    box: boxOfRings([body]),
    heightOf: (slant) => half - slant,
  };
}

/** A flat face, looked at straight on: as it is. */
function faceView(wrap: Wrap, { round }: Face): EyeView {
  const { side } = wrap.size;
  const { girthRim: width, side: height } = wrap.template.cone;
  const body = Float64Array.from(
    round
      ? Array.from({ length: 128 }, (_, i) => (2 * Math.PI * i) / 128).flatMap((a) => [
          (width / 2) * Math.cos(a),
          (width / 2) * Math.sin(a),
        ])
      : [-width / 2, -height / 2, width / 2, -height / 2, width / 2, height / 2, -width / 2, height / 2],
  );
  return {
    body,
    lines: [],
    handle: null,
    pieces: inPlane(wrap, side / 2, [body], (ring) => ring),
    narrow: [],
    box: boxOfRings([body]),
    heightOf: (slant) => side / 2 - slant,
  };
}

/** Pieces of a face about its middle, as far as they lie within some outline, drawn. */
function inPlane(wrap: Wrap, half: number, within: readonly Ring[], draw: (ring: Ring) => Ring): EyeView['pieces'] {
  return wrap.pieces
    .filter((p) => !p.spare)
    .map(({ film, itemIds, unrolled }) => {
      const about = ringsOf(unrolled).map((ring) => ring.map((value, i) => (i % 2 ? value + half : value)));
      return { film, itemIds, rings: intersectRings(about, within).flatMap(ringsOf).map(draw) };
    })
    .filter(({ rings }) => rings.length > 0);
}
