import type { BlankShape } from './solid-shape.ts';

/** A canvas that is never shown itself, and its pen; in a worker as well. Both kinds are drawn on alike. */
export function newCanvas(width: number, height: number): [OffscreenCanvas, OffscreenCanvasRenderingContext2D] {
  if (typeof OffscreenCanvas === 'undefined') {
    const made = document.createElement('canvas');
    made.width = width;
    made.height = height;
    return [made, made.getContext('2d')!] as unknown as ReturnType<typeof newCanvas>;
  }
  const made = new OffscreenCanvas(width, height);
  return [made, made.getContext('2d')!];
}

/** How light falls on a surface, by which way it faces: left is left, up is up. White keeps the colour as it is. */
const BANDS: Record<BlankShape['shine'], readonly (readonly [number, number])[]> = {
  steel: [
    [0, 118],
    [0.12, 158],
    [0.3, 250],
    [0.4, 255],
    [0.52, 226],
    [0.68, 236],
    [0.84, 168],
    [0.96, 122],
    [1, 132],
  ],
  glaze: [
    [0, 176],
    [0.2, 232],
    [0.36, 255],
    [0.6, 246],
    [0.85, 206],
    [1, 166],
  ],
  glass: [
    [0, 168],
    [0.1, 232],
    [0.24, 255],
    [0.5, 244],
    [0.8, 250],
    [0.93, 214],
    [1, 160],
  ],
  matte: [
    [0, 168],
    [0.3, 238],
    [0.45, 250],
    [0.7, 226],
    [1, 158],
  ],
  clay: [
    [0, 182],
    [0.35, 240],
    [0.5, 246],
    [0.75, 230],
    [1, 172],
  ],
  latex: [
    [0, 160],
    [0.25, 226],
    [0.45, 240],
    [0.75, 214],
    [1, 148],
  ],
};
/** The window that a shiny round thing mirrors: where it stands on the picture of the ball, and how bright it is. */
const WINDOW: Partial<Record<BlankShape['shine'], number>> = { latex: 0.85, glass: 0.5, glaze: 0.3 };

/** A matcap: a picture of a ball of the material. */
export function matcapCanvas(shine: BlankShape['shine']): OffscreenCanvas {
  const size = 256;
  const [made, pen] = newCanvas(size, size);
  const across = pen.createLinearGradient(0, 0, size, 0);
  for (const [at, grey] of BANDS[shine]) across.addColorStop(at, `rgb(${grey},${grey},${grey})`);
  pen.fillStyle = across;
  pen.fillRect(0, 0, size, size);
  const down = pen.createLinearGradient(0, 0, 0, size);
  down.addColorStop(0, 'rgba(255,255,255,0.35)');
  down.addColorStop(0.45, 'rgba(255,255,255,0)');
  down.addColorStop(1, 'rgba(20,24,30,0.32)');
  pen.fillStyle = down;
  pen.fillRect(0, 0, size, size);
  const bright = WINDOW[shine] ?? 0;
  if (bright > 0) {
    const window = pen.createRadialGradient(0.36 * size, 0.27 * size, 2, 0.36 * size, 0.27 * size, 0.13 * size);
    window.addColorStop(0, `rgba(255,255,255,${bright})`);
    window.addColorStop(0.45, `rgba(255,255,255,${0.8 * bright})`);
    window.addColorStop(1, 'rgba(255,255,255,0)');
    pen.fillStyle = window;
    pen.fillRect(0, 0, size, size);
  }
  return made;
}

/**
 * What the bare side shows besides its colour: fine streaks round brushed steel, specks in fired clay. Tiles without a joint;
 * null where a surface is even.
 */
export function grainCanvas(shine: BlankShape['shine']): OffscreenCanvas | null {
  if (shine !== 'steel' && shine !== 'clay') return null;
  const [made, pen] = newCanvas(256, 256);
  // The same every time: a seeded row of numbers between 0 and 1.
  let state = 7;
  const next = (): number => (state = (state * 16807) % 2147483647) / 2147483647;
  for (let i = 0; i < (shine === 'steel' ? 256 : 900); i++) {
    const dark = next() < 0.5;
    if (shine === 'steel') {
      pen.fillStyle = dark ? `rgba(30,36,44,${0.09 * next()})` : `rgba(255,255,255,${0.12 * next()})`;
      pen.fillRect(0, i, 256, 1);
    } else {
      pen.fillStyle = dark ? `rgba(70,30,14,${0.2 * next()})` : `rgba(255,214,180,${0.22 * next()})`;
      pen.fillRect(256 * next(), 256 * next(), 1 + 2 * next(), 1 + 2 * next());
    }
  }
  return made;
}

/**
 * Shadow on the table: darkest where the thing stands, a soft skirt round it.
 *
 * @param foot how much of the shadow's width it stands on, 0 … 1
 */
export function shadowCanvas(foot: number): OffscreenCanvas {
  const [made, pen] = newCanvas(256, 256);
  const soft = pen.createRadialGradient(128, 128, 0, 128, 128, 126);
  const dark = foot < 0.3 ? 0.3 : 0.36;
  soft.addColorStop(0, `rgba(24,20,12,${dark})`);
  soft.addColorStop(0.92 * foot, `rgba(24,20,12,${0.9 * dark})`);
  soft.addColorStop(foot + 0.12 * (1 - foot), `rgba(24,20,12,${0.42 * dark})`);
  soft.addColorStop(foot + 0.45 * (1 - foot), `rgba(24,20,12,${0.16 * dark})`);
  soft.addColorStop(1, 'rgba(24,20,12,0)');
  pen.fillStyle = soft;
  pen.fillRect(0, 0, 256, 256);
  return made;
}

/** Forty millimetres of measuring tape. */
export function tapeCanvas(): OffscreenCanvas {
  const [made, pen] = newCanvas(320, 88);
  pen.fillStyle = '#F2C230';
  pen.fillRect(0, 0, 320, 88);
  pen.fillStyle = '#3A2C05';
  for (let mm = 0; mm < 40; mm += 2) pen.fillRect(mm * 8, 0, 2.4, mm % 10 === 0 ? 46 : 26);
  pen.fillRect(0, 0, 320, 2);
  pen.fillRect(0, 86, 320, 2);
  return made;
}
