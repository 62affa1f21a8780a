import { describe, expect, it } from 'vitest';
import { dayWords, lengthWords, whenWords } from './time-words.ts';

const NOW = new Date(2026, 11, 1, 10).getTime();

describe('times in words', () => {
  it('are as one says them', () => {
    expect(whenWords(new Date(2026, 11, 1, 19, 40).getTime(), NOW)).toBe('today 19:40');
    expect(whenWords(new Date(2026, 11, 2, 9).getTime(), NOW)).toBe('tomorrow 09:00');
    expect(whenWords(new Date(2026, 10, 30, 9).getTime(), NOW)).toBe('yesterday 09:00');
    expect(whenWords(new Date(2026, 11, 5, 18).getTime(), NOW)).toBe('Sat 5 Dec, 18:00');
    expect(whenWords(Infinity, NOW)).toBe('nobody knows when');
    expect(dayWords('2026-12-05', NOW)).toBe('Sat 5 Dec');
    expect(dayWords('2027-01-05', NOW)).toBe('5 Jan 2027');
    expect(dayWords('soon', NOW)).toBe('soon');
  });

  it('are as long as one says', () => {
    expect([4.4, 59.6, 80, 300, 720, 1500, 2879, 2880, 7200, Infinity].map(lengthWords)).toEqual(['4 min', '1 h', '1 h 20 min', '5 h', '12 h', '25 h', '48 h', '2 days', '5 days', 'very long']); // prettier-ignore
  });
});
