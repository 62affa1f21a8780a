import { describe, expect, it } from 'vitest';
import { unionRings } from '../polygon/boolean.ts';
import { polygonArea, ringArea } from '../polygon/polygon.ts';
import { MOTIF_IDS, motifOutlines, MOTIFS } from './motifs/index.ts';

describe('the motifs', () => {
  it('are two dozen drawn ones, each of clean film of a sensible size', () => {
    expect(MOTIF_IDS.length).toBeGreaterThanOrEqual(24);
    expect(new Set(MOTIF_IDS.map((id) => MOTIFS[id].label)).size).toBe(MOTIF_IDS.length);
    // A plate is all film, by its nature.
    for (const id of MOTIF_IDS.filter((m) => m !== 'plate')) {
      const { rings, box } = motifOutlines(id, 1);
      const film = unionRings(rings).reduce((sum, p) => sum + polygonArea(p), 0);
      const all = (box.maxX - box.minX) * (box.maxY - box.minY);
      expect(film / all, id).toBeGreaterThan(0.08);
      expect(film / all, id).toBeLessThan(0.95);
    }
  });

  it('keep the holes that they are drawn with', () => {
    const holes = (id: 'anchor' | 'wheel' | 'fish' | 'crest' | 'medal'): number =>
      unionRings(motifOutlines(id, 1).rings).reduce((sum, p) => sum + p.holes.length, 0);
    expect(holes('anchor')).toBe(1);
    expect(holes('fish')).toBe(1);
    // Between eight spokes.
    expect(holes('wheel')).toBe(8);
    expect(holes('crest')).toBe(1);
    // Within its ring, and where the ribbons cross above it.
    expect(holes('medal')).toBe(2);
    const [star] = motifOutlines('star', 1).rings;
    // Ten triangles from the middle: 10 · ½ · 32 · 13 · sin 36°.
    expect(Math.abs(ringArea(star!))).toBeCloseTo(5 * 32 * 13 * Math.sin(Math.PI / 5), 1);
  });

  it('that join meet themselves at their ends', () => {
    for (const id of MOTIF_IDS.filter((m) => MOTIFS[m].joins && m !== 'plate')) {
      const { box } = motifOutlines(id, 1);
      expect(box.maxX - box.minX, id).toBeGreaterThan(90);
      expect(box.maxX - box.minX, id).toBeLessThanOrEqual(100.01);
    }
  });
});
