import type { Sheet } from './sheet.ts';

/** mm between the two lips of a slit that is only a hair, at most: see `withSlits`. */
const HAIR_MM = 0.06;

/** Lips of hair slits that are still shut: what lies on the one goes with the other. */
export interface Lips {
  /** Of each point of a sheet the one across from it that comes before it; −1 for all that lie on no lip, or are those. */
  readonly across: Int32Array;
  /** mm from there to it, as they lie: round and down, by turns. */
  readonly behind: Float64Array;
}

/** Finds the lips of a sheet's hair slits. @param askew rad by which it is begun */
export function lipsOf({ flat }: Pick<Sheet, 'flat'>, askew: number): Lips {
  const across = new Int32Array(flat.length / 2).fill(-1);
  const behind = new Float64Array(flat.length);
  const [cos, sin] = [Math.cos(askew), Math.sin(askew)];
  const byPlace = new Map<string, number[]>();
  const cell = (v: number): number => Math.floor(v / HAIR_MM);
  for (let i = 0; i < across.length; i++) {
    const [x, y] = [flat[2 * i]!, flat[2 * i + 1]!];
    for (let a = -1; a <= 1; a++)
      for (let b = -1; b <= 1; b++)
        for (const j of byPlace.get(`${cell(x) + a} ${cell(y) + b}`) ?? []) {
          const [dx, dy] = [x - flat[2 * j]!, y - flat[2 * j + 1]!];
          if (across[j] !== -1 || Math.hypot(dx, dy) >= HAIR_MM) continue;
          across[i] = j;
          behind.set([dx * cos - dy * sin, -(dx * sin + dy * cos)], 2 * i);
        }
    const key = `${cell(x)} ${cell(y)}`;
    byPlace.set(key, [...(byPlace.get(key) ?? []), i]);
  }
  return { across, behind };
}

/** What is shut is pressed on from both of its sides. @param pressed 1 for each point that is on, brought up to date */
export function pressTogether({ across }: Lips, pressed: Uint8Array): void {
  across.forEach((other, i) => {
    if (other >= 0 && (pressed[i] || pressed[other])) pressed[i] = pressed[other] = 1;
  });
}
