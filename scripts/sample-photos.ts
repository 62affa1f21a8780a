// Renders the two sample photographs of app/src/demo/samples/ and writes them as JPEG, which Chromium encodes.
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { photograph, type Shot } from '../core/test/photo.ts';
import { SAMPLE_THINGS } from './sample-things.ts';

const glass = (across: number): readonly [number, number, number] => {
  const rim = Math.abs(across) ** 5;
  const shine = Math.exp(-(((across + 0.42) / 0.1) ** 2));
  return [104 + 62 * shine - 48 * rim, 136 + 62 * shine - 52 * rim, 142 + 60 * shine - 50 * rim];
};
const clay = (across: number, y: number): readonly [number, number, number] => {
  const light = 0.62 + 0.42 * Math.cos(1.25 * across - 0.5) + 0.015 * Math.sin(y / 5);
  return [186 * light, 104 * light, 72 * light];
};
const base = { tilt: 0.022, blur: 1.6, noise: 4 } as const;
const SHOTS: Record<keyof typeof SAMPLE_THINGS, Shot> = {
  goblet: { ...base, width: 760, height: 820, pxPerMm: 5.6, cameraMm: 700, seed: 11, colour: glass },
  pot: { ...base, tilt: -0.018, width: 860, height: 840, pxPerMm: 4.6, cameraMm: 900, seed: 23, colour: clay },
};

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' });
const page = await browser.newPage();
for (const [name, shot] of Object.entries(SHOTS)) {
  const { width, height, rgba } = photograph(SAMPLE_THINGS[name as keyof typeof SAMPLE_THINGS], shot);
  const url = await page.evaluate(
    ({ width, height, bytes }) => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [width, height];
      canvas.getContext('2d')!.putImageData(
        new ImageData(
          Uint8ClampedArray.from(atob(bytes), (c) => c.charCodeAt(0)),
          width,
          height,
        ),
        0,
        0,
      );
      return canvas.toDataURL('image/jpeg', 0.86);
    },
    { width, height, bytes: Buffer.from(rgba).toString('base64') },
  );
  writeFileSync(
    fileURLToPath(new URL(`../app/src/demo/samples/${name}.jpg`, import.meta.url)),
    Buffer.from(url.split(',')[1]!, 'base64'),
  );
}
await browser.close();
