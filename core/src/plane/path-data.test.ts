import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pathData, writeNumber, xmlText } from '../io/svg/path-data.ts';
import { mapPath, type Path } from './path.ts';
import { isPathData, parsePathData } from './path-data.ts';

describe('parsePathData', () => {
  it('reads lines, turns y up and closes', () => {
    const [path] = parsePathData('M1 2 h3 v4 l-1-1 Z');
    expect(path!.start).toEqual({ x: 1, y: -2 });
    expect(path!.closed).toBe(true);
    expect(path!.segments.map((s) => [s.to.x, s.to.y])).toEqual([
      [4, -2],
      [4, -6],
      [3, -5],
    ]);
  });

  it('raises a quadratic to the same cubic', () => {
    const [path] = parsePathData('M0 0Q3 3 6 0');
    expect(path!.segments[0]).toEqual({ kind: 'cubic', c1: { x: 2, y: -2 }, c2: { x: 4, y: -2 }, to: { x: 6, y: -0 } });
  });

  it('refuses numbers that are not finite and broken data', () => {
    expect(() => parsePathData('M0 0L1e400 0')).toThrow(SyntaxError);
    expect(() => parsePathData('M0 0 X 3')).toThrow(SyntaxError);
  });

  it('never fails on what was judged to be without a mistake, whatever that is', () => {
    const bit = fc.constantFrom('M', 'm', 'L', 'h', 'V', 'c', 'S', 'q', 'T', 'z', 'A', 'x', ' ', ',', '-', '.', 'e', '1', '20', '.5', '1e400', '-3'); // prettier-ignore
    let sound = 0;
    fc.assert(
      fc.property(fc.array(bit, { maxLength: 24 }), (bits) => {
        const data = `M0 0${bits.join(' ')}`;
        if (!isPathData(data)) return;
        sound += 1;
        expect(() => parsePathData(data)).not.toThrow();
      }),
      { numRuns: 4000 },
    );
    expect(sound).toBeGreaterThan(50);
    for (const wrong of ['L1 1', 'M1', 'M0 0L1e400 0', 'M0 0C1 2 3 4 5', 'M0 0 X 3', 'M0 0Z4', 'M0 0h'])
      expect(isPathData(wrong), wrong).toBe(false);
    for (const right of ['', 'M0 0', 'M1-2.5.5e-3 4Zm1 1 2 2', 'M0 0c1 2 3 4 5 6 1 2 3 4 5 6z\n', 'M0 0A1 1 0 015 5'])
      expect(isPathData(right), right).toBe(true);
  });

  it('reads back what is written, to the last written place', () => {
    const number = fc.double({ min: -900, max: 900, noNaN: true });
    const point = fc.record({ x: number, y: number });
    const segment = fc.oneof(
      fc.record({ kind: fc.constant('line' as const), to: point }),
      fc.record({ kind: fc.constant('cubic' as const), c1: point, c2: point, to: point }),
    );
    fc.assert(
      fc.property(point, fc.array(segment, { minLength: 1, maxLength: 8 }), (start, segments) => {
        const path: Path = { start, segments, closed: true };
        const [back] = parsePathData(pathData(path, 100, 10));
        const there = mapPath(path, (p) => ({ x: p.x + 10, y: p.y - 100 }));
        expect(back!.segments).toHaveLength(there.segments.length);
        there.segments.forEach((s, i) => {
          expect(Math.abs(back!.segments[i]!.to.x - s.to.x)).toBeLessThan(1e-4);
          expect(Math.abs(back!.segments[i]!.to.y - s.to.y)).toBeLessThan(1e-4);
        });
      }),
    );
  });
});

describe('writing numbers and words', () => {
  it('writes no exponents, no trailing noughts and no minus nought', () => {
    expect([1e-9, -1e-9, 0.5, 12, 1234567.89, -0.00004].map((n) => writeNumber(n))).toEqual([
      '0',
      '0',
      '0.5',
      '12',
      '1234567.89',
      '0',
    ]);
    expect(writeNumber(100)).toBe('100');
    expect(() => writeNumber(NaN)).toThrow(RangeError);
  });

  it('makes any name safe for XML', () => {
    expect(xmlText('<b>&"\u0000\u0007\uD800')).toBe('&lt;b&gt;&amp;&quot;');
    expect(xmlText('Zoë 🚣')).toBe('Zoë 🚣');
  });
});
