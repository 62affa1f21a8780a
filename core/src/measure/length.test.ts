import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  formatArea,
  formatLength,
  formatRange,
  formatShort,
  formatSize,
  formatThickness,
  formatTyped,
  parseLength,
} from './length.ts';

describe('parseLength', () => {
  it.each([
    ['264', 'mm', 264],
    ['264 mm', 'in', 264],
    ['26.4 cm', 'mm', 264],
    ['26,4cm', 'mm', 264],
    // 10 3/8 in = 10.375 · 25.4 = 263.525 mm, however it is written.
    ['10 3/8', 'mm', 263.525],
    ['10-3/8 in', 'mm', 263.525],
    ['10.375 in', 'mm', 263.525],
    ['10.375"', 'mm', 263.525],
    ['10⅜″', 'mm', 263.525],
    ['10.375', 'in', 263.525],
    ['1/2 inch', 'mm', 12.7],
    ['9/8 in', 'mm', 28.575],
    ['  10 3/8  ', 'mm', 263.525],
    ['12 Inches', 'mm', 304.8],
    ['26,4', 'mm', 26.4],
    ['26,4', 'in-decimal', 670.56],
    ['3 mil', 'mm', 0.0762],
    ['2,5 thou', 'in', 0.0635],
  ] as const)('reads %s with bare numbers in %s', (typed, bare, mm) => {
    const parsed = parseLength(typed, bare);
    expect(parsed.ok && parsed.mm).toBeCloseTo(mm, 9);
  });

  it.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['0', 'zero'],
    ['0.0 cm', 'zero'],
    ['-5', 'negative'],
    ['−5 mm', 'negative'],
    ['a hand', 'not-a-length'],
    ['1e9', 'not-a-length'],
    ['NaN', 'not-a-length'],
    ['12 34', 'not-a-length'],
    ['10 9/8', 'not-a-length'],
    ['10-8/8 in', 'not-a-length'],
    ['3/0', 'not-a-length'],
    ['26.4 m', 'not-a-length'],
    ['1000000000', 'too-large'],
    ['400 in', 'too-large'],
  ] as const)('refuses “%s” as %s', (typed, code) => {
    expect(parseLength(typed, 'mm')).toEqual({ ok: false, code });
  });

  it('never throws and never gives a number that is not a length, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 40 }), (typed) => {
        const parsed = parseLength(typed, 'mm');
        if (parsed.ok) expect(parsed.mm > 0 && parsed.mm <= 10_000).toBe(true);
      }),
    );
  });
});

describe('formatLength', () => {
  it.each([
    [276, 'mm', '276.0 mm'],
    [12.66, 'mm', '12.7 mm'],
    [276.225, 'in', '10 7/8 in'],
    [25.4, 'in', '1 in'],
    [12.7, 'in', '1/2 in'],
    [0, 'in', '0 in'],
    [-6.35, 'in', '−1/4 in'],
    [1.5875, 'in', '1/16 in'],
    // 0.7 mm are 1.76 sixty-fourths; 264 mm are 10.3937 in: 25.2 of them past the ten.
    [-0.7, 'in', '−1/32 in'],
    [264, 'in', '10 25/64 in'],
    [264, 'in-decimal', '10.39 in'],
    // 1/64 in is 0.396875 mm; under that no rule shows it. 0.1 mm are 3.94 mils, 0.35 mm 13.8.
    [0.396875, 'in', '1/64 in'],
    [0.35, 'in', '14 mil'],
    [0.1, 'in-decimal', '3.9 mil'],
    [-0.0508, 'in', '−2 mil'],
    [-6.35, 'in-decimal', '−0.25 in'],
    [NaN, 'mm', '–'],
  ] as const)('writes %s in %s', (mm, unit, text) => {
    expect(formatLength(mm, unit)).toBe(text);
  });

  it('reads back what it writes to half of its last digit', () => {
    const half = { mm: 0.05, in: 25.4 / 128, 'in-decimal': 0.127 } as const;
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 1500, noNaN: true }),
        fc.constantFrom('mm' as const, 'in' as const, 'in-decimal' as const),
        (mm, units) => {
          const back = parseLength(formatLength(mm, units), 'mm');
          expect(back.ok && Math.abs(back.mm - mm)).toBeLessThanOrEqual(half[units] + 1e-9);
        },
      ),
    );
  });
});

it('shows a reading as it was typed only where that still means the same', () => {
  const bare = { typed: '254', mm: 254 };
  expect([formatTyped(bare, 'mm'), formatTyped(bare, 'in')]).toEqual(['254', '10 in']);
  const fraction = { typed: '10 3/8', mm: 263.525 };
  expect([formatTyped(fraction, 'in'), formatTyped(fraction, 'mm')]).toEqual(['10 3/8', '263.5 mm']);
  // A unit that was typed is not enough where the rest is in another one.
  expect(formatTyped({ typed: '25.4 cm', mm: 254 }, 'in')).toBe('10 in');
  expect(formatTyped({ typed: '0', mm: 0 }, 'in')).toBe('0');
});

it('writes sides and ranges with one unit, and no nought behind a point', () => {
  // 54 mm are 2.126 in, 8.06 sixty-fourths past the two; 93.6625 mm are 3 11/16 in.
  expect([formatShort(46, 'mm'), formatShort(46.5, 'mm')]).toEqual(['46 mm', '46.5 mm']);
  expect(formatSize(120, 48.5, 'mm')).toBe('120 × 48.5 mm');
  expect([formatSize(46, 206, 'mm'), formatRange(55, 91, 'mm')]).toEqual(['46 × 206 mm', 'from 55 to 91 mm']);
  expect([formatSize(54, 93.6625, 'in'), formatRange(54, 93.6625, 'in')]).toEqual(['2 1/8 × 3 11/16 in', 'from 2 1/8 to 3 11/16 in']); // prettier-ignore
});

it('writes areas in the unit that suits their size', () => {
  // 400 mm² are 0.62 in², 5300 mm² 8.2 in².
  expect([formatArea(25, 'mm'), formatArea(400, 'mm'), formatArea(5300, 'mm')]).toEqual(['25 mm²', '4 cm²', '53 cm²']);
  expect([formatArea(400, 'in'), formatArea(5300, 'in')]).toEqual(['0.62 in²', '8.2 in²']);
});

it('writes how thick films are as they are sold: 0.07 mm are 2.76 mils', () => {
  expect([formatThickness(0.07, 'mm'), formatThickness(0.07, 'in')]).toEqual(['0.07 mm', '2.8 mil']);
});
