import type { Membrane } from './membrane.ts';
import type { Sheet } from './sheet.ts';

/** A place where a sheet leaves the side. */
export interface Tent {
  /** mm² of film in it, and its middle on the flat, mm. */
  readonly area: number;
  readonly middle: readonly [x: number, y: number];
  /** mm that it is long, and rad on the flat from x to the way it runs. */
  readonly length: number;
  readonly direction: number;
  /** mm that it stands off, for a wave of `WAVE_MM`. */
  readonly height: number;
}

/** What comes of a sheet that is laid: by triangle, and in all. */
export interface LaidMap {
  /** Principal strains of each triangle, the larger first. */
  readonly pull: Float64Array;
  readonly push: Float64Array;
  /** By how much each is pushed past what the film takes; 0 where it lies. */
  readonly excess: Float64Array;
  readonly tents: readonly Tent[];
  readonly most: { readonly pull: number; readonly push: number };
  /** mm² that tent, and mm² of film that is too much there. */
  readonly tentedMm2: number;
  readonly excessMm2: number;
}

/** Share of what the film takes past which a triangle counts as tented. */
const COUNTS = 0.05;
/** mm. Waves of film are about so long. */
export const WAVE_MM = 3;

/**
 * mm that film stands off where it is too long by a share of its ground.
 *
 * @source a bump ½H(1 − cos 2πx/L) is longer than its ground by (πH/2L)²: H = (2L/π)·√excess
 */
export const standsOff = (excess: number): number => ((2 * WAVE_MM) / Math.PI) * Math.sqrt(excess);

/**
 * Reads off a laid sheet where it is pulled, pushed and tents.
 *
 * @param counts triangles that are pressed on; left out, all
 * @param pulled fraction by which the sheet was pulled before: it is in all its strains
 */
export function mapOf(
  sheet: Sheet,
  membrane: Membrane,
  at: Float64Array,
  counts: (triangle: number) => boolean = () => true,
  pulled = 0,
): LaidMap {
  const count = sheet.triangles.length / 3;
  const [pull, push, excess, runs] = [new Float64Array(count), new Float64Array(count), new Float64Array(count), new Float64Array(count)]; // prettier-ignore
  const out = new Float64Array(3);
  let [mostPull, mostPush, tentedMm2, excessMm2] = [0, 0, 0, 0];
  membrane.measure(at);
  for (let t = 0; t < count; t++) {
    if (sheet.tape[t] || !counts(t)) continue;
    membrane.strains(t, out);
    pull[t] = out[0]! + pulled;
    push[t] = out[1]! + pulled;
    // A tent runs across the way in which it is pushed: along the first principal direction.
    runs[t] = out[2]!;
    const squeeze = membrane.squeezes[t]!;
    excess[t] = Math.max(0, -out[1]! - squeeze);
    mostPull = Math.max(mostPull, pull[t]!);
    mostPush = Math.max(mostPush, -push[t]!);
    if (excess[t]! > COUNTS * squeeze) tentedMm2 += membrane.areas[t]!;
    excessMm2 += excess[t]! * membrane.areas[t]!;
  }
  const over = overWave(sheet, membrane, excess);
  const tents = together(sheet, (t) => excess[t]! > COUNTS * membrane.squeezes[t]!).map((own) => tentOf(sheet, membrane, own, excess, over, runs)); // prettier-ignore
  return { pull, push, excess, tents: tents.sort((a, b) => b.height - a.height), most: { pull: mostPull, push: mostPush }, tentedMm2, excessMm2 }; // prettier-ignore
}

/**
 * What is too long about a triangle, taken over a wave of film: shorter ones do not form, so that the point of an inner corner
 * counts for as much as there is of it, however fine the mesh.
 */
function overWave(
  { flat, triangles, tape }: Sheet,
  { areas }: Membrane,
  excess: Float64Array,
): (triangle: number) => number {
  const cells = new Map<string, number[]>();
  const middle = (t: number, c: number): number => (flat[2 * triangles[3 * t]! + c]! + flat[2 * triangles[3 * t + 1]! + c]! + flat[2 * triangles[3 * t + 2]! + c]!) / 3; // prettier-ignore
  const cell = (v: number): number => Math.floor(v / WAVE_MM);
  for (let t = 0; t < excess.length; t++) {
    if (tape[t]) continue;
    const key = `${cell(middle(t, 0))} ${cell(middle(t, 1))}`;
    const own = cells.get(key);
    if (own) own.push(t);
    else cells.set(key, [t]);
  }
  return (t) => {
    const [x, y] = [middle(t, 0), middle(t, 1)];
    let [area, sum] = [0, 0];
    for (let i = -1; i <= 1; i++)
      for (let j = -1; j <= 1; j++)
        for (const other of cells.get(`${cell(x) + i} ${cell(y) + j}`) ?? []) {
          if (other !== t && Math.hypot(middle(other, 0) - x, middle(other, 1) - y) > WAVE_MM / 2) continue;
          area += areas[other]!;
          sum += areas[other]! * excess[other]!;
        }
    return area > 0 ? sum / area : 0;
  };
}

/** Triangles that hang together by their sides. */
function together({ sides, triangles }: Sheet, counts: (triangle: number) => boolean): number[][] {
  const bySide = new Map<number, number[]>();
  const count = triangles.length / 3;
  for (let t = 0; t < count; t++)
    if (counts(t))
      for (let k = 0; k < 3; k++) bySide.set(sides[3 * t + k]!, [...(bySide.get(sides[3 * t + k]!) ?? []), t]);
  const seen = new Set<number>();
  const groups: number[][] = [];
  for (let t = 0; t < count; t++) {
    if (!counts(t) || seen.has(t)) continue;
    const [group, ahead] = [[] as number[], [t]];
    seen.add(t);
    for (let now = ahead.pop(); now !== undefined; now = ahead.pop()) {
      group.push(now);
      for (let k = 0; k < 3; k++)
        for (const next of bySide.get(sides[3 * now + k]!) ?? [])
          if (!seen.has(next)) {
            seen.add(next);
            ahead.push(next);
          }
    }
    groups.push(group);
  }
  return groups;
}

function tentOf(
  { flat, triangles }: Sheet,
  { areas }: Membrane,
  own: readonly number[],
  excess: Float64Array,
  over: (triangle: number) => number,
  runs: Float64Array,
): Tent {
  // prettier-ignore
  let [area, x, y, cos, sin, worst] = [0, 0, 0, 0, 0, 0];
  const middles = own.map((t): readonly [number, number] => {
    const points = [0, 1, 2].map((k) => triangles[3 * t + k]!);
    return [points.reduce((sum, i) => sum + flat[2 * i]! / 3, 0), points.reduce((sum, i) => sum + flat[2 * i + 1]! / 3, 0)]; // prettier-ignore
  });
  own.forEach((t, i) => {
    const weight = areas[t]! * excess[t]!;
    area += areas[t]!;
    x += middles[i]![0] * areas[t]!;
    y += middles[i]![1] * areas[t]!;
    // Directions have no head: they are averaged by twice their angle.
    cos += weight * Math.cos(2 * runs[t]!);
    sin += weight * Math.sin(2 * runs[t]!);
    worst = Math.max(worst, over(t));
  });
  const direction = Math.atan2(sin, cos) / 2;
  const along = middles.map(([mx, my]) => mx * Math.cos(direction) + my * Math.sin(direction));
  return {
    area,
    middle: [x / area, y / area],
    length: Math.max(...along) - Math.min(...along),
    direction,
    height: standsOff(worst),
  };
}
