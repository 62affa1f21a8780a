import type { Raster } from '../../src/raster/foreground.ts';

/**
 * A camera that follows rays to round things with or without a handle, on a table before a wall: written apart from what
 * reads pictures, and from the camera of its tests. All in mm; y up, the thing's foot at 0, the camera on the z axis.
 */
export interface Scene {
  readonly height: number;
  /** mm from the axis, by mm down from the top. */
  radiusAt(down: number): number;
  /** mm that a handle stands out to the right; 0 for none. */
  readonly handle: number;
  readonly surface: 'matt' | 'glaze' | 'steel' | 'mirror';
  /** rad. Which way the window lies that a shiny thing mirrors, from straight ahead to the right. */
  readonly window: number;
  /** How light the thing is, 0 … 1. */
  readonly light: number;
  readonly ground: 'plain' | 'wood' | 'tiles';
  /** How light the ground is, 0 … 1. */
  readonly groundLight: number;
  /** How dark a shadow lies beside the foot, 0 … 1. */
  readonly shadow: number;
}

/** How it is photographed. */
export interface View {
  readonly width: number;
  readonly height: number;
  /** mm from the lens to the axis. */
  readonly far: number;
  /** rad by which the camera looks down. */
  readonly down: number;
  /** rad by which it is rolled. */
  readonly roll: number;
  /** Share of the picture's width by which the thing stands off its middle. */
  readonly aside: number;
  /** Share of the picture that the thing's height takes. */
  readonly fills: number;
  /** Grey levels, 1 σ. */
  readonly noise: number;
  readonly seed: number;
}

type Vec = readonly [number, number, number];

/** The picture. */
export function photographScene(scene: Scene, view: View): Raster {
  const { width, height } = view;
  const rgba = new Uint8ClampedArray(4 * width * height).fill(255);
  const random = randomOf(view.seed);
  const [sinD, cosD] = [Math.sin(view.down), Math.cos(view.down)];
  const [sinR, cosR] = [Math.sin(view.roll), Math.cos(view.roll)];
  const middle = scene.height / 2;
  // The camera turns about the middle of the thing; its picture plane holds the thing at the wished size.
  const eye: Vec = [0, middle + view.far * sinD, view.far * cosD];
  const perPx = scene.height / (view.fills * height) / view.far;
  const texture = textureOf(scene, view.seed);
  const box = boxOf(scene);
  const SUB = [-0.25, 0.25];
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      let sum = 0;
      for (const sy of SUB)
        for (const sx of SUB) {
          const px = (column + 0.5 + sx - width * (0.5 + view.aside)) * perPx;
          const py = -(row + 0.5 + sy - height / 2) * perPx;
          const [u, v] = [px * cosR - py * sinR, px * sinR + py * cosR];
          // Straight ahead is down by the camera's own angle.
          const ray = unit([u, v * cosD - sinD, -v * sinD - cosD]);
          sum += (meets(box, eye, ray) ? shade(scene, eye, ray, texture) : behind(scene, eye, ray, texture)) / 4;
        }
      const noisy = sum * 255 + view.noise * random();
      const i = 4 * (row * width + column);
      rgba[i] = noisy + view.noise * 0.4 * random();
      rgba[i + 1] = noisy * 0.98;
      rgba[i + 2] = noisy * 0.94;
    }
  return { width, height, rgba: softened(rgba, width, height) };
}

const unit = ([x, y, z]: Vec): Vec => {
  const length = Math.sqrt(x * x + y * y + z * z);
  return [x / length, y / length, z / length];
};

/** Corners of a box round the thing with its handle, a millimetre larger. */
function boxOf({ height, handle, radiusAt }: Scene): readonly [Vec, Vec] {
  const most = 1 + Math.max(...Array.from({ length: 101 }, (_, i) => radiusAt((height * i) / 100)));
  return [[-most, -1, -most], [most + (handle > 0 ? handle + 8 : 0), height + 1, most]]; // prettier-ignore
}

/** Whether a ray passes through a box; what does not need not be followed. */
function meets([least, most]: readonly [Vec, Vec], eye: Vec, ray: Vec): boolean {
  let [from, to] = [0, Infinity];
  for (const k of [0, 1, 2] as const) {
    const [a, b] = [(least[k] - eye[k]) / ray[k], (most[k] - eye[k]) / ray[k]];
    from = Math.max(from, Math.min(a, b));
    to = Math.min(to, Math.max(a, b));
  }
  return from <= to;
}

/** Distance to the thing, less than the true one: safe to step by. */
function distanceTo(scene: Scene, x: number, y: number, z: number): number {
  const down = Math.min(scene.height, Math.max(0, scene.height - y));
  const side = (Math.sqrt(x * x + z * z) - scene.radiusAt(down)) * 0.7;
  const ends = Math.max(-y, y - scene.height);
  const body = Math.max(side, ends);
  if (scene.handle <= 0) return body;
  // A bow of 5 mm round, whose middle circle stands on the side half-way up.
  const reach = scene.height * 0.27;
  const [hx, hy] = [x - scene.radiusAt(scene.height / 2) + 2, y - scene.height / 2];
  if (hx < -3) return body;
  const along = hx * (reach / scene.handle);
  const around = Math.sqrt(along * along + hy * hy) - reach;
  const bow = (Math.sqrt(around * around + z * z) - 5) * Math.min(1, scene.handle / reach) * 0.8;
  return Math.min(body, bow);
}

function shade(scene: Scene, eye: Vec, ray: Vec, texture: (x: number, y: number) => number): number {
  const [near, far] = [Math.hypot(...eye) - 2.2 * scene.height, Math.hypot(...eye) + 2.2 * scene.height];
  let along = near;
  for (let step = 0; step < 160 && along < far; step++) {
    const [x, y, z] = [eye[0] + ray[0] * along, eye[1] + ray[1] * along, eye[2] + ray[2] * along];
    const gap = distanceTo(scene, x, y, z);
    if (gap < 0.02) return lit(scene, [x, y, z], ray);
    along += gap;
  }
  return behind(scene, eye, ray, texture);
}

const LAMP = unit([-0.55, 0.75, 0.9]);

function lit(scene: Scene, at: Vec, ray: Vec): number {
  const step = 0.05;
  const [x, y, z] = at;
  const normal = unit([
    distanceTo(scene, x + step, y, z) - distanceTo(scene, x - step, y, z),
    distanceTo(scene, x, y + step, z) - distanceTo(scene, x, y - step, z),
    distanceTo(scene, x, y, z + step) - distanceTo(scene, x, y, z - step),
  ]);
  const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  const soft = Math.max(0, dot(normal, LAMP));
  const matt = scene.light * (0.45 + 0.6 * soft);
  if (scene.surface === 'matt') return matt;
  const back = 2 * dot(ray, normal);
  const mirror: Vec = [ray[0] - back * normal[0], ray[1] - back * normal[1], ray[2] - back * normal[2]];
  // A long window: bright wherever the mirror looks towards it, however high.
  const aside = Math.atan2(mirror[0], mirror[2]) - scene.window;
  // Quite as light as the ground, and broad: the worst there is.
  if (scene.surface === 'mirror') {
    const window = Math.exp(-((aside / 0.5) ** 4));
    return matt * (1 - window) + scene.groundLight * 0.97 * window;
  }
  const stripe = Math.exp(-((aside / (scene.surface === 'steel' ? 0.34 : 0.22)) ** 2));
  const lamp = Math.max(0, dot(mirror, LAMP)) ** 30;
  const shine = scene.surface === 'steel' ? 1 : 0.75;
  return Math.min(1, matt * (1 - stripe * shine) + shine * stripe * Math.max(0.93, scene.groundLight) + 0.5 * lamp);
}

/** The table as far as 400 mm behind the thing, then the wall; one lightness, so that they meet softly. */
function behind(scene: Scene, eye: Vec, ray: Vec, texture: (x: number, y: number) => number): number {
  const toTable = ray[1] < -1e-6 ? -eye[1] / ray[1] : Infinity;
  const wallAt = ray[2] < -1e-6 ? (-400 - eye[2]) / ray[2] : Infinity;
  const along = Math.min(toTable, wallAt);
  const [x, y, z] = [eye[0] + ray[0] * along, eye[1] + ray[1] * along, eye[2] + ray[2] * along];
  const onTable = toTable < wallAt;
  const base = scene.groundLight * (0.97 + 0.00008 * x) * texture(x, onTable ? z : y);
  if (!onTable || scene.shadow === 0) return base;
  const foot = scene.radiusAt(scene.height);
  // To the right of the foot, fading within one and a half of its radii.
  const off = Math.hypot(x - 0.6 * foot, z * 1.3) / (1.25 * foot);
  return base * (1 - scene.shadow * Math.max(0, Math.min(1, 2.2 * (1 - off))));
}

function textureOf({ ground }: Scene, seed: number): (x: number, y: number) => number {
  if (ground === 'plain') return () => 1;
  if (ground === 'tiles') return (x, y) => ((x + 3000) % 97 < 3 || (y + 3000) % 97 < 3 ? 0.72 : 1);
  const waves = [1, 2, 3].map((k) => ({ per: 9 * k + (seed % 5), turn: seed * k }));
  return (x, y) =>
    1 + waves.reduce((sum, { per, turn }) => sum + 0.022 * Math.sin((y + 4 * Math.sin(x / 55 + turn)) / per + turn), 0);
}

/** A lens that is not quite sharp: each pixel with an eighth of its neighbours. */
function softened(rgba: Uint8ClampedArray, width: number, height: number): Uint8ClampedArray {
  const out = rgba.slice();
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++)
      for (let c = 0; c < 3; c++) {
        const i = 4 * (y * width + x) + c;
        out[i] = (4 * rgba[i]! + rgba[i - 4]! + rgba[i + 4]! + rgba[i - 4 * width]! + rgba[i + 4 * width]!) / 8;
      }
  return out;
}

/** Seeded normal numbers: the sum of a few even ones. */
function randomOf(seed: number): () => number {
  let state = (seed * 2654435761) >>> 0;
  const even = (): number => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 2 ** 32;
  };
  for (let i = 0; i < 20; i++) even();
  return () => (even() + even() + even() + even() - 2) * Math.sqrt(3);
}
