import { describe, expect, it } from 'vitest';
import type { StockCutter, StockTape } from '@mivet/core';
import { makeCutter } from '../../../../core/test/stock.ts';
import { bladeWords, cutterWords, longWords, tapeWords } from './stock-words.ts';

describe('words of the stock', () => {
  it('say lengths in metres or feet once they are long', () => {
    expect(longWords(999.6, 'mm')).toBe('999 mm');
    expect(longWords(3420, 'mm')).toBe('3.42 m');
    expect(longWords(12_300, 'mm')).toBe('12 m');
    // 3048 mm are ten feet; below two feet it stays inches: 254 mm are 10 in.
    expect(longWords(3048, 'in')).toBe('10.0 ft');
    expect(longWords(254, 'in')).toContain('10');
  });

  it('say what tape is left, and when there is none', () => {
    const tape = { kind: 'tape', lengthMm: 6200, widthMm: 300 } as StockTape;
    expect(tapeWords(tape, 'mm')).toBe('6.20 m left, 300 mm wide');
    expect(tapeWords({ ...tape, lengthMm: 0 }, 'mm')).toBe('used up');
  });

  it('say how a cutter takes film and how far its blade went', () => {
    const cutter: StockCutter = makeCutter({ onBoard: false, bladeMm: 131_400, bladeLastsMm: 400_000 });
    expect(cutterWords(cutter, 'mm')).toBe('290 × 295 mm, without a board, scissors 6 mm');
    expect(cutterWords({ ...cutter, onBoard: true }, 'mm')).toMatch(/^290 × 295 mm, on a board/);
    expect(bladeWords(cutter, 'mm')).toBe('blade 131 of 400 m');
    // 400 m are 1312.3 ft.
    expect(bladeWords(cutter, 'in')).toMatch(/^blade 4\d\d of 1312 ft$/);
  });
});
