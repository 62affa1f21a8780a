import type { LayFrame } from '@mivet/core';
import { scaleLinear } from 'd3-scale';

/** Film on its own: the strains are seen better on it than on any colour of film. */
const FILM = '#e2d6b8';
/** Film that is not pressed on yet. */
export const HANGING = '#ffffff';
const [PULLED, PUSHED, TENTED] = ['#c4591f', '#1e6fa8', '#8e1f1a'] as const;
/** Half-way to its colour at the film's limit. */
const scale = scaleLinear<string>().domain([-2, 0, 2]).range([PUSHED, FILM, PULLED]).clamp(true);
const parts = (colour: string): [number, number, number] => colour.match(/\d+/g)!.slice(0, 3).map(Number) as [number, number, number]; // prettier-ignore
const STEPS = 128;
const TABLE = Array.from({ length: 2 * STEPS + 1 }, (_, i) => parts(scale((2 * (i - STEPS)) / STEPS)));
const TENT = parts(scaleLinear<string>().domain([0, 1]).range([TENTED, TENTED])(0));

/**
 * Colour of a strain.
 *
 * @param strain share of what the film gives, as of a `LayFrame`
 * @returns red, green and blue, 0 … 255
 */
export function colourOf(strain: number): readonly [number, number, number] {
  if (strain < TENTS) return TENT;
  return TABLE[Math.round(STEPS * (1 + Math.max(-2, Math.min(2, strain)) / 2))]!;
}

/** Strain of each point: the worst of the triangles round it. */
export function strainOfPoints({ strain, pressed }: LayFrame, triangles: Uint32Array): Float32Array {
  const own = new Float32Array(pressed.length);
  for (let t = 0; t < strain.length; t++)
    for (let k = 0; k < 3; k++) {
      const i = triangles[3 * t + k]!;
      if (Math.abs(strain[t]!) > Math.abs(own[i]!)) own[i] = strain[t]!;
    }
  return own;
}

/** Past this it tents, as a share of what the film takes: a little past its limit, as tents are counted. */
const TENTS = -1.05;

/** Edges of a sheet, slits and counters among them: those of one triangle only; pairs of points. */
export function rimOf(triangles: Uint32Array): Uint32Array {
  const seen = new Map<string, readonly [number, number]>();
  for (let t = 0; t < triangles.length; t += 3)
    for (let k = 0; k < 3; k++) {
      const [a, b] = [triangles[t + k]!, triangles[t + ((k + 1) % 3)]!];
      const key = a < b ? `${a} ${b}` : `${b} ${a}`;
      if (!seen.delete(key)) seen.set(key, [a, b]);
    }
  return Uint32Array.from([...seen.values()].flat());
}

/** Times by which tents are drawn taller than they are. */
export const TALLER = 6;
