import { describe, expect, it } from 'vitest';
import type { Ring } from '../polygon/polygon.ts';
import { findSeams } from './finder.ts';
import type { SeamField } from './measure-seam.ts';
import { seamAt } from './path.ts';

describe('findSeams', () => {
  const bare: SeamField = { side: 100, radiusAt: () => 40, groups: [] };
  const disk = (azimuth: number, v: number, mm: number): Ring =>
    Float64Array.from(
      Array.from({ length: 48 }, (_, i) => (i * Math.PI) / 24).flatMap((a) => [
        azimuth + (mm * Math.cos(a)) / 40,
        v - mm * Math.sin(a),
      ]),
    );

  it('runs straight down the back of a bare side', () => {
    const [seam] = findSeams(bare, { clearance: 1, count: 1, home: Math.PI });
    expect(seam!.free).toBe(true);
    expect(seam!.wanderMm).toBeCloseTo(0, 6);
    for (const azimuth of seam!.path.azimuths) expect(Math.abs(azimuth - Math.PI) * 40).toBeLessThan(0.06);
  });

  it('goes round a disk at the back by its radius and the clearance, no further', () => {
    const field = { ...bare, groups: [[disk(Math.PI, 50, 9)]] };
    const [seam] = findSeams(field, { clearance: 1, count: 1, home: Math.PI });
    const away = Array.from({ length: 101 }, (_, v) => Math.abs(seamAt(seam!.path, v) - Math.PI) * 40);
    expect(Math.max(...away)).toBeGreaterThan(9.9);
    expect(Math.max(...away)).toBeLessThan(10.4);
  });

  it('divides a side evenly, alike where the pattern repeats, each seam clear', () => {
    const groups = Array.from({ length: 8 }, (_, i) => [
      disk((i * Math.PI) / 4, 30, 12),
      disk(0.4 + (i * Math.PI) / 4, 75, 10),
    ]);
    const seams = findSeams({ ...bare, groups }, { clearance: 1, count: 4, home: Math.PI });
    expect(seams).toHaveLength(4);
    for (const [i, seam] of seams.entries()) {
      expect(seam.free).toBe(true);
      for (let v = 0; v <= 100; v += 5)
        expect(seamAt(seam.path, v) - seamAt(seams[0]!.path, v)).toBeCloseTo((i * Math.PI) / 2, 2);
    }
  });

  it('says what a ring of film all round costs at least', () => {
    const band = Float64Array.from([0, 40, 0, 46, 2 * Math.PI, 46, 2 * Math.PI, 40]);
    const [seam] = findSeams({ ...bare, groups: [[band]] }, { clearance: 1, count: 1, home: Math.PI });
    expect(seam!.free).toBe(false);
    expect(seam!.cutMm).toBeCloseTo(6, 0);
    expect(seam!.wanderMm).toBeLessThan(0.1);
  });
});
