import { describe, expect, it } from 'vitest';
import { tapeSteps, tapeTicks } from './tape-ticks.ts';

const written = (from: number, to: number, units: 'mm' | 'in', scale: number): string =>
  tapeTicks(from, to, tapeSteps(units, scale))
    .map(({ size, text }) => (size === 'big' ? text : size === 'middle' ? '|' : '.'))
    .join('');

describe('strokes of a tape', () => {
  it('stand every two millimetres, longer every ten, numbered every twenty', () => {
    expect(written(-21, 42, 'mm', 1)).toBe('20....|....0....|....20....|....40.');
  });

  it('stand apart on a small drawing: every five, numbered every fifty', () => {
    expect(written(0, 100, 'mm', 0.5)).toBe('0....|....50....|....100');
  });

  it('are eighths of an inch, longer at the half, numbered at each inch', () => {
    expect(written(0, 50.8, 'in', 1)).toBe('0...|...1...|...2');
    expect(tapeTicks(0, 25.4, tapeSteps('in', 1))[3]!.mm).toBeCloseTo(9.525, 12);
  });
});
