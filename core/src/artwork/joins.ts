import { boxOfRings } from '../plane/box.ts';
import { intersectRings } from '../polygon/boolean.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { TextOutlines } from './text.ts';

/** A place in a joined script where two letters of a word do not touch. */
export interface OpenJoin {
  /** The letter that it comes after, by its place among all letters. */
  readonly after: number;
  /** mm by which the letters after it have to come closer until they touch; null when they would pass each other. */
  readonly mm: number | null;
}

/** Rows at which two letters are looked at, and how far letters that just meet reach into each other, as a share of a capital. */
const [ROWS, MEET] = [80, 0.02];

/**
 * Where words of a joined script fall apart.
 *
 * @param text the words
 * @param outlines of them, mm
 * @param capHeight mm
 */
export function openJoins(text: string, { glyphs, lastLetters }: TextOutlines, capHeight: number): OpenJoin[] {
  const letters = [...text];
  return glyphs.slice(1).flatMap((next, i): OpenJoin[] => {
    const [from, to] = [lastLetters[i]!, lastLetters[i + 1]!];
    // Between words, and beside points and strokes that stand by themselves, nothing has to touch.
    const between = letters.slice(from, to + 1);
    if (!between.every((letter) => /\p{L}/u.test(letter))) return [];
    // Capitals side by side stand apart in every script.
    if (/\p{Lu}/u.test(letters[to]!)) return [];
    const before = glyphs[i]!;
    if (intersectRings(before, next).length > 0) return [];
    const gap = gapAlong(before, next);
    return [{ after: from, mm: gap === null ? null : gap + MEET * capHeight }];
  });
}

/** mm between two letters along the line, where they come nearest; null when they share no height. */
export function gapAlong(before: readonly Ring[], next: readonly Ring[]): number | null {
  const [a, b] = [boxOfRings(before), boxOfRings(next)];
  const [low, high] = [Math.max(a.minY, b.minY), Math.min(a.maxY, b.maxY)];
  let least: number | null = null;
  for (let k = 0; k < ROWS && high > low; k++) {
    const y = low + ((k + 0.5) * (high - low)) / ROWS;
    const right = Math.max(...crossings(before, y));
    const left = Math.min(...crossings(next, y));
    if (Number.isFinite(left - right)) least = Math.min(least ?? Infinity, left - right);
  }
  return least === null ? null : Math.max(0, least);
}

function crossings(rings: readonly Ring[], y: number): number[] {
  const xs: number[] = [];
  for (const ring of rings)
    for (let i = 0, n = ring.length; i < n; i += 2) {
      const [ay, by] = [ring[i + 1]!, ring[(i + 3) % n]!];
      if (ay > y !== by > y) xs.push(ring[i]! + ((ring[(i + 2) % n]! - ring[i]!) * (y - ay)) / (by - ay));
    }
  return xs;
}
