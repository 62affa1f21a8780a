import { textOutlines } from '../src/artwork/text.ts';
import { boxOfCoordinates, EMPTY_BOX } from '../src/plane/box.ts';
import { unionRings } from '../src/polygon/boolean.ts';
import { testFonts } from './fonts.ts';
import { turnRing } from '../src/nest/shapes.ts';
import type { Nesting, NestPart } from '../src/nest/nesting.ts';
import type { Ring } from '../src/polygon/polygon.ts';
import { ringArea, ringsOf } from '../src/polygon/polygon.ts';
import { seeded } from '../src/numeric/seeded.ts';

/** Rings of a part where a plan lays them. */
export function laidRings(parts: readonly NestPart[], { laid }: Nesting): { sheet: number; rings: Ring[] }[] {
  return laid.map(({ id, sheet, turn, x, y }) => ({
    sheet,
    rings: parts.find((p) => p.id === id)!.rings.map((ring) => turnRing(ring, turn).map((v, i) => v + (i % 2 ? y : x))),
  }));
}

/** Least distance between the outlines of two shapes by brute force: every corner to every edge; 0 where they cross. */
export function apart(a: readonly Ring[], b: readonly Ring[]): number {
  let least = Infinity;
  const edges = (rings: readonly Ring[]): [number, number, number, number][] =>
    rings.flatMap((r) =>
      Array.from({ length: r.length / 2 }, (_, i): [number, number, number, number] => {
        const j = (2 * i + 2) % r.length;
        return [r[2 * i]!, r[2 * i + 1]!, r[j]!, r[j + 1]!];
      }),
    );
  const toEdge = (px: number, py: number, [ax, ay, bx, by]: [number, number, number, number]): number => {
    const [dx, dy] = [bx - ax, by - ay];
    const t = Math.max(0, Math.min(1, ((px - ax) * dx + (py - ay) * dy) / (dx * dx + dy * dy || 1)));
    return Math.hypot(ax + t * dx - px, ay + t * dy - py);
  };
  const side = (ax: number, ay: number, bx: number, by: number, px: number, py: number): number =>
    (bx - ax) * (py - ay) - (by - ay) * (px - ax);
  for (const e of edges(a))
    for (const f of edges(b)) {
      const [p, q] = [side(...e, f[0], f[1]), side(...e, f[2], f[3])];
      const [r, s] = [side(...f, e[0], e[1]), side(...f, e[2], e[3])];
      if (p * q < 0 && r * s < 0) return 0;
      least = Math.min(least, toEdge(e[0], e[1], f), toEdge(f[0], f[1], e));
    }
  return least;
}

/** Area of a part, mm². */
export const partArea = ({ rings }: NestPart): number => Math.abs(rings.reduce((sum, r) => sum + ringArea(r), 0));

/**
 * A rectangle cut apart by lines that wander, like a jigsaw puzzle: the perfect answer is the rectangle.
 *
 * @param count of parts
 */
export function jigsaw(width: number, height: number, count: number, seed: number): NestPart[] {
  const random = seeded(seed);
  // Cut again and again across the longer side, somewhere near the middle, along a crooked line.
  let pieces: [number, number][][] = [[[0, 0], [width, 0], [width, height], [0, height]]]; // prettier-ignore
  const area = (p: [number, number][]): number =>
    p.reduce((sum, [x, y], i) => {
      const [u, v] = p[(i + 1) % p.length]!;
      return sum + x * v - u * y;
    }, 0) / 2;
  while (pieces.length < count) {
    pieces.sort((a, b) => area(b) - area(a));
    const big = pieces.shift()!;
    const xs = big.map(([x]) => x);
    const ys = big.map(([, y]) => y);
    const [w, h] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
    const angle = (w > h ? Math.PI / 2 : 0) + (random() - 0.5) * 0.3;
    const [nx, ny] = [-Math.sin(angle), Math.cos(angle)];
    const along = big.map(([x, y]) => x * nx + y * ny);
    const cut = Math.min(...along) + (0.35 + 0.3 * random()) * (Math.max(...along) - Math.min(...along));
    const halves: [number, number][][] = [[], []];
    const ends: [number, number][] = [];
    big.forEach((p, i) => {
      const q = big[(i + 1) % big.length]!;
      const [a, b] = [p[0] * nx + p[1] * ny - cut, q[0] * nx + q[1] * ny - cut];
      halves[a < 0 ? 0 : 1]!.push(p);
      if (a < 0 === b < 0) return;
      const t = a / (a - b);
      const e: [number, number] = [p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])];
      ends.push(e);
      halves[0]!.push(e);
      halves[1]!.push(e);
    });
    if (ends.length !== 2) {
      pieces.push(big);
      continue;
    }
    pieces.push(...halves);
  }
  pieces = pieces.slice(0, count);
  return pieces.map((p, i) => ({ id: `j${i}`, rings: [Float64Array.from(p.flat())], turns: [0] }));
}

/** Wraps of tapered cups and names in a joined script, as a batch brings them; turned by halves. */
export function namesAndSectors(seed: number, sectors = 9, names = 16): NestPart[] {
  const random = seeded(seed);
  // A batch is of a few cups, several of each: girth of 220 to 270 mm, half-angle of 2.5 to 6.5°, a band of 20 to 45 mm.
  const cups = Array.from({ length: 3 }, () => {
    const [girth, k, high] = [220 + 50 * random(), 0.044 + 0.07 * random(), 20 + 25 * random()];
    return [girth / (2 * Math.PI * k) - high, high, 2 * Math.PI * k] as const;
  });
  const wraps = Array.from({ length: sectors }, (_, i): NestPart => {
    const [inner, high, angle] = cups[i % cups.length]!;
    const arc = (r: number, way: 1 | -1): number[] =>
      Array.from({ length: 25 }, (_, k) => {
        const a = Math.PI / 2 + way * angle * (k / 24 - 0.5);
        return [r * Math.cos(a), r * Math.sin(a)];
      }).flat();
    return {
      id: `w${i}`,
      rings: [Float64Array.from([...arc(inner + high, -1), ...arc(inner, 1)])],
      turns: [0, 1, 2, 3],
    };
  });
  const words = ['Rowan', 'Tansy', 'Ottilie', 'Bram', 'Fern', 'Corwen', 'Ida', 'Marlow'];
  const scripts = Array.from({ length: names }, (_, i): NestPart => {
    const { glyphs } = textOutlines(words[i % words.length]!, testFonts.script, 12 + 8 * random());
    return { id: `n${i}`, rings: unionRings(glyphs.flat()).flatMap(ringsOf), turns: [0, 1, 2, 3] };
  });
  return [...wraps, ...scripts];
}

/** The boxes round some parts, in place of their shapes. */
export const boxesOf = (parts: readonly NestPart[]): NestPart[] =>
  parts.map((part) => {
    const { minX, minY, maxX, maxY } = part.rings.reduce((box, ring) => boxOfCoordinates(ring, box), EMPTY_BOX);
    return { ...part, rings: [Float64Array.from([minX, minY, maxX, minY, maxX, maxY, minX, maxY])] };
  });
