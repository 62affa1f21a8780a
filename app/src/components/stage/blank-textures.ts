import type { BlankShape } from './solid-shape.ts';

function canvas(width: number, height: number): [HTMLCanvasElement, CanvasRenderingContext2D] {
  const made = document.createElement('canvas');
  made.width = width;
  made.height = height;
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
};

/** A matcap: a picture of a ball of the material. */
export function matcapCanvas(shine: BlankShape['shine']): HTMLCanvasElement {
  const size = 256;
  const [made, pen] = canvas(size, size);
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
  return made;
}

/** Soft shadow on the table. */
export function shadowCanvas(): HTMLCanvasElement {
  const [made, pen] = canvas(256, 256);
  const soft = pen.createRadialGradient(128, 128, 20, 128, 128, 126);
  soft.addColorStop(0, 'rgba(24,20,12,0.34)');
  soft.addColorStop(0.45, 'rgba(24,20,12,0.15)');
  soft.addColorStop(1, 'rgba(24,20,12,0)');
  pen.fillStyle = soft;
  pen.fillRect(0, 0, 256, 256);
  return made;
}

/** Forty millimetres of measuring tape. */
export function tapeCanvas(): HTMLCanvasElement {
  const [made, pen] = canvas(320, 88);
  pen.fillStyle = '#F2C230';
  pen.fillRect(0, 0, 320, 88);
  pen.fillStyle = '#3A2C05';
  for (let mm = 0; mm < 40; mm += 2) pen.fillRect(mm * 8, 0, 2.4, mm % 10 === 0 ? 46 : 26);
  pen.fillRect(0, 0, 320, 2);
  pen.fillRect(0, 86, 320, 2);
  return made;
}
