import { describe, expect, it } from 'vitest';
import { cutSoFar, linesData, partData } from './stroke-lines.ts';

const lines = [
  [0, 0, 30, 0, 30, 40],
  [100, 100, 110, 100],
];

describe('outlines in the cutter', () => {
  it('are drawn as far as they are cut', () => {
    expect(cutSoFar(lines, 0)).toEqual([]);
    expect(cutSoFar(lines, 50)).toEqual([[0, 0, 30, 0, 30, 20]]);
    expect(cutSoFar(lines, 75)).toEqual([lines[0], [100, 100, 105, 100]]);
    expect(cutSoFar(lines, 1e6)).toEqual(lines);
  });

  it('stand on the board with its far edge up', () => {
    expect(linesData(lines.slice(1), 290)).toBe('M100.00 190.00L110.00 190.00');
    // A quarter turn about the origin, then 50 along: (10, 0) comes to (50, 10).
    const part = { rings: [Float64Array.from([0, 0, 10, 0, 10, 5])], matrix: [0, 1, -1, 0, 50, 0] } as const;
    expect(partData(part, 100)).toBe('M50.00 100.00L50.00 90.00L45.00 90.00Z');
  });
});
