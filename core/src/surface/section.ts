/** What a straight side looks like from above, where it is not round; mm across the front, and from front to back. */
export interface SideSection {
  readonly shape: 'oval' | 'rounded';
  readonly widthMm: number;
  readonly depthMm: number;
}

/**
 * What a straight side looks like from above, at a girth of 2π: as far along it as an azimuth says. Film goes by the way
 * round alone, so that the flat is the same rectangle whatever the section; the section says where it comes to lie.
 */
export interface SectionOutline {
  /** From the middle of the front to the middle of the back, at even steps along it: to the right, and towards the viewer. */
  readonly xs: readonly number[];
  readonly zs: readonly number[];
}

/** Steps from the front to the back, of the outline and of what it is measured from. */
const [STEPS, FINE] = [180, 1440];

/** A blank as far as it has a section. */
interface BlankWithSection {
  readonly kind: string;
  readonly section?: SideSection | undefined;
}

/** The outline of a blank's section; null where it is round. @param girth mm */
export const outlineOfBlank = ({ kind, section }: BlankWithSection, girth: number): SectionOutline | null =>
  kind === 'straight' && section ? outlineOf(section, girth) : null; // prettier-ignore

/**
 * The outline of a section.
 *
 * @param section what it is and how wide and deep, mm; the girth is the truth, and its shape is enlarged to it
 * @param girth mm
 * @source oval: an ellipse; rounded: a rectangle with corners of the radius ρ that makes 2(w + d) − (8 − 2π)ρ the girth
 */
export function outlineOf({ shape, widthMm, depthMm }: SideSection, girth: number): SectionOutline {
  const [w, d] = [widthMm / 2, depthMm / 2];
  const half = shape === 'oval' ? ovalHalf(w, d) : roundedHalf(w, d, cornerOf(widthMm, depthMm, girth));
  // How far along each of the points lies; half of the way round is π.
  const along = [0];
  for (let i = 1; i < half.length; i++)
    along.push(along[i - 1]! + Math.hypot(half[i]![0] - half[i - 1]![0], half[i]![1] - half[i - 1]![1]));
  const scale = Math.PI / along.at(-1)!;
  const [xs, zs]: [number[], number[]] = [[], []];
  let at = 1;
  for (let k = 0; k <= STEPS; k++) {
    const want = (along.at(-1)! * k) / STEPS;
    while (at < along.length - 1 && along[at]! < want) at += 1;
    const share = (want - along[at - 1]!) / Math.max(1e-12, along[at]! - along[at - 1]!);
    const [a, b] = [half[at - 1]!, half[at]!];
    xs.push((a[0] + (b[0] - a[0]) * share) * scale);
    zs.push((a[1] + (b[1] - a[1]) * share) * scale);
  }
  return { xs, zs };
}

/** mm. Radius of the corners of a rounded rectangle of that girth, within what its sides allow. */
export function cornerOf(widthMm: number, depthMm: number, girth: number): number {
  const radius = (2 * (widthMm + depthMm) - girth) / (8 - 2 * Math.PI);
  return Math.max(0, Math.min(Math.min(widthMm, depthMm) / 2, radius));
}

/**
 * The girth that a section of that width and depth has: of a rounded rectangle the least and the most, by its corners.
 *
 * @source ellipse: S. Ramanujan's second approximation, 1914
 */
export function girthsOf({ shape, widthMm, depthMm }: SideSection): readonly [number, number] {
  const [a, b] = [widthMm / 2, depthMm / 2];
  if (shape === 'oval') {
    const h = ((a - b) / (a + b)) ** 2;
    const girth = Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
    return [girth, girth];
  }
  const most = 2 * (widthMm + depthMm);
  return [most - (8 - 2 * Math.PI) * Math.min(a, b), most];
}

type Spot = readonly [number, number];

const ovalHalf = (w: number, d: number): Spot[] =>
  Array.from({ length: FINE + 1 }, (_, i) => {
    const t = (Math.PI * i) / FINE;
    return [w * Math.sin(t), d * Math.cos(t)];
  });

function roundedHalf(w: number, d: number, corner: number): Spot[] {
  const bend = (x: number, z: number, from: number): Spot[] =>
    Array.from({ length: FINE / 4 + 1 }, (_, i) => {
      const t = from + (Math.PI / 2) * (i / (FINE / 4));
      return [x + corner * Math.sin(t), z + corner * Math.cos(t)];
    });
  return [[0, d], ...bend(w - corner, d - corner, 0), ...bend(w - corner, corner - d, Math.PI / 2), [0, -d]];
}

/** A spot of a section. */
export interface SectionSpot {
  readonly x: number;
  readonly z: number;
  /** Which way its surface looks, of length one. */
  readonly nx: number;
  readonly nz: number;
}

/** Where an azimuth lies on a section: x to the right, z to the front; a round one is sin and cos. */
export function spotOnSection(outline: SectionOutline | null, azimuth: number): SectionSpot {
  if (!outline) {
    const [x, z] = [Math.sin(azimuth), Math.cos(azimuth)];
    return { x, z, nx: x, nz: z };
  }
  const turned = azimuth - 2 * Math.PI * Math.round(azimuth / (2 * Math.PI));
  const side = turned < 0 ? -1 : 1;
  const place = Math.min(STEPS, (Math.abs(turned) / Math.PI) * STEPS);
  const i = Math.min(STEPS - 1, Math.floor(place));
  const share = place - i;
  const { xs, zs } = outline;
  // Mirrored past the front and the back, so that a normal there is straight.
  const point = (k: number): Spot => (k < 0 ? [-xs[-k]!, zs[-k]!] : k > STEPS ? [-xs[2 * STEPS - k]!, zs[2 * STEPS - k]!] : [xs[k]!, zs[k]!]); // prettier-ignore
  const mix = (a: Spot, b: Spot): Spot => [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share];
  const [x, z] = mix(point(i), point(i + 1));
  const [before, after] = [mix(point(i - 1), point(i)), mix(point(i + 1), point(i + 2))];
  const [tx, tz] = [after[0] - before[0], after[1] - before[1]];
  const length = Math.hypot(tx, tz) || 1;
  return { x: side * x, z, nx: (side * -tz) / length, nz: tx / length };
}

/** The azimuth of a spot beside the axis: where a line from there through it leaves the section. */
export function azimuthOnSection(outline: SectionOutline | null, x: number, z: number): number {
  const angle = Math.atan2(x, z);
  if (!outline) return angle;
  const { xs, zs } = outline;
  let [low, high] = [0, STEPS];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (Math.atan2(xs[middle]!, zs[middle]!) <= Math.abs(angle)) low = middle;
    else high = middle;
  }
  const [a, b] = [Math.atan2(xs[low]!, zs[low]!), Math.atan2(xs[high]!, zs[high]!)];
  const share = b > a ? Math.max(0, Math.min(1, (Math.abs(angle) - a) / (b - a))) : 0;
  return ((Math.sign(angle) || 1) * Math.PI * (low + share)) / STEPS;
}

/** How things look along a section to an eye in front of one of its spots. */
export interface SectionView {
  /** Azimuths up to which it is seen at all, to the left and to the right. */
  readonly limits: readonly [number, number];
  /** mm to the right of the middle, in the plane through the axis, and how much larger than life; of what is seen. */
  at(azimuth: number): { readonly x: number; readonly scale: number };
  /** Azimuths between which things look no narrower than a share of what they do in the middle. */
  within(share: number): readonly [number, number];
}

/** rad. Steps in which limits of what is seen are looked for. */
const LOOK = Math.PI / 720;

/**
 * A section seen from in front of one of its spots.
 *
 * @param radius mm; its girth is 2π times that
 * @param facing azimuth that the eye is in front of, along the surface's normal there
 * @param distance mm from the eye to the axis, in that direction
 */
export function viewOfSection(
  outline: SectionOutline | null,
  radius: number,
  facing: number,
  distance: number,
): SectionView {
  // prettier-ignore
  const front = spotOnSection(outline, facing);
  const [ex, ez] = [front.nx, front.nz];
  // The eye lies on the normal through the spot, so far from the axis as is said.
  const aside = radius * (front.x * ez - front.z * ex);
  const eye = { x: ex * distance + ez * aside, z: ez * distance - ex * aside };
  const at = (azimuth: number): { x: number; scale: number } => {
    const { x, z } = spotOnSection(outline, azimuth);
    const depth = (eye.x - radius * x) * ex + (eye.z - radius * z) * ez;
    const scale = distance / Math.max(1e-6, depth);
    return { x: (radius * (x * ez - z * ex) - aside) * scale, scale };
  };
  const looks = (azimuth: number): boolean => {
    const { x, z, nx, nz } = spotOnSection(outline, azimuth);
    return (eye.x - radius * x) * nx + (eye.z - radius * z) * nz > 0;
  };
  const width = (azimuth: number): number => Math.abs(at(azimuth + LOOK).x - at(azimuth - LOOK).x);
  const asFar = (way: 1 | -1, holds: (azimuth: number) => boolean): number => {
    let azimuth = facing;
    while (Math.abs(azimuth + way * LOOK - facing) < Math.PI && holds(azimuth + way * LOOK)) azimuth += way * LOOK;
    return azimuth;
  };
  const limits = [asFar(-1, looks), asFar(1, looks)] as const;
  return {
    limits,
    at,
    within: (share) => {
      const least = share * width(facing);
      return [asFar(-1, (a) => looks(a) && width(a) >= least), asFar(1, (a) => looks(a) && width(a) >= least)];
    },
  };
}
