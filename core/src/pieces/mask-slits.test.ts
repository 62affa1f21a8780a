import { describe, expect, it } from 'vitest';
import { at, findingsOf, jobOf } from '../../test/findings.ts';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, makeProfile, motifItem, plate } from '../../test/jobs.ts';
import { NO_ACTS } from '../artwork/acts.ts';
import type { Blank } from '../model/blank.ts';
import type { Project } from '../model/project.ts';
import { polygonArea, ringsOf } from '../polygon/polygon.ts';
import { describeFinding } from '../proof/words.ts';
import type { Piece } from './pieces.ts';
import { deriveWrap } from './wrap.ts';

const bulge = makeProfile([[0, 150], [30, 220], [60, 252], [90, 220], [120, 150]]); // prettier-ignore
/** A mask of 52 × 44 mm in the middle of the side that opens a star of some size; slit or not. */
function masked(blank: Blank, slits: boolean | undefined, star = 14): Project {
  const opened = { ...motifItem('star', { id: 'star', widthMm: star, placement: at({}) }), acts: { ...NO_ACTS, shapesOnly: true } }; // prettier-ignore
  const mask = motifItem('plate', { id: 'mask', widthMm: 52, heightMm: 44, placement: at({}), acts: { ...NO_ACTS, cutAway: ['star'], ...(slits !== undefined && { slits }) } }); // prettier-ignore
  return { ...jobOf(blank, opened, mask), process: 'etch' };
}
function maskOf(project: Project): Piece {
  const derived = deriveWrap(project, testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap.pieces.find(({ itemIds }) => itemIds.includes('mask'))!;
}
/** mm between a point and the nearest edge of a ring. */
function away([x, y]: readonly [number, number], ring: Float64Array): number {
  let least = Infinity;
  for (let i = 0, n = ring.length; i < n; i += 2) {
    const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
    const [dx, dy] = [bx - ax, by - ay];
    const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
    least = Math.min(least, Math.hypot(ax + t * dx - x, ay + t * dy - y));
  }
  return least;
}

describe('slits in the edge of a mask', () => {
  const [plain, slit] = [maskOf(masked(bulge, undefined)), maskOf(masked(bulge, true))];

  it('are cut where the side curves both ways and its film would not lie, and nowhere else', () => {
    expect(plain.slits).toBeUndefined();
    expect(maskOf(masked(bulge, false)).slits).toBeUndefined();
    expect(slit.slits!.count).toBeGreaterThanOrEqual(5);
    // A glass that develops needs none.
    expect(maskOf(masked(makeBlank({ girthRim: 250, side: 120 }), true)).slits).toBeUndefined();
    // On a side that hardly curves the film gives enough by itself.
    const gentle = makeProfile([[0, 248], [60, 252], [120, 248]]); // prettier-ignore
    expect(maskOf(masked(gentle, true)).slits).toBeUndefined();
  });

  it('leave one piece with its opening as it was, four millimetres clear of every slit', () => {
    expect(slit.flat.holes).toHaveLength(1);
    expect(slit.flat.holes[0]!.length).toBe(plain.flat.holes[0]!.length);
    const inner = new Set(Array.from({ length: plain.flat.outer.length / 2 }, (_, i) => `${plain.flat.outer[2 * i]!.toFixed(3)} ${plain.flat.outer[2 * i + 1]!.toFixed(3)}`)); // prettier-ignore
    const points = Array.from({ length: slit.flat.outer.length / 2 }, (_, i) => [slit.flat.outer[2 * i]!, slit.flat.outer[2 * i + 1]!] as const); // prettier-ignore
    const fresh = points.filter(([x, y]) => !inner.has(`${x.toFixed(3)} ${y.toFixed(3)}`));
    // Of each notch at least its point and its two corners.
    expect(fresh.length).toBeGreaterThanOrEqual(3 * slit.slits!.count);
    for (const point of fresh) expect(away(point, slit.flat.holes[0]!)).toBeGreaterThanOrEqual(4 - 0.02);
    // The cut paths are those of the film.
    expect(slit.paths).toHaveLength(ringsOf(slit.flat).length);
  });

  it('take away as much as notches of their depth and width', () => {
    const gone = polygonArea(plain.flat) - polygonArea(slit.flat);
    const { count, lap } = slit.slits!;
    // Each a triangle from the edge to at most the middle, and as wide as it would lap.
    const deepest = Math.hypot(26, 22);
    expect(gone).toBeGreaterThan(count * 0.5 * lap * 2);
    expect(gone).toBeLessThan(count * 0.5 * Math.max(lap, 0.3) * deepest);
    expect(slit.areaMm2).toBeCloseTo(polygonArea(slit.flat), 6);
  });

  it('are told, as fine where most find room, and to be looked at where the opening leaves none', () => {
    const [told] = findingsOf(masked(bulge, true), 'wrinkle');
    expect(told).toMatchObject({ case: 'slit', severity: 'fine', itemIds: ['mask'], numbers: { count: slit.slits!.count } }); // prettier-ignore
    expect(describeFinding(told!, 'mm').title).toMatch(/is slit \d+ times at its edge/);
    expect(findingsOf(masked(bulge, undefined), 'wrinkle')[0]!.case).not.toBe('slit');
    const wide = masked(bulge, true);
    const large = { ...wide, items: [{ ...plate('star', 46, 38), acts: { ...NO_ACTS, shapesOnly: true } }, wide.items[1]!] }; // prettier-ignore
    const short = findingsOf(large, 'wrinkle').find((finding) => finding.case === 'slit');
    if (short) expect(short.severity).toBe('look');
    else expect(findingsOf(large, 'wrinkle').every((finding) => finding.case !== 'slit')).toBe(true);
  });
});
