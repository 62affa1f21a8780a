import { describe, expect, it } from 'vitest';
import { costOf, type CostRates } from './cost.ts';

const rates: CostRates = { hour: 24, consumables: 0.3, blank: 4, minutes: 10, minutesOnce: 20, tapePerMm2: 6e-6, tapeUses: 3, margin: 0.5, filmPerMm2: 1e-5 }; // prettier-ignore
const film = (areaMm2: number, cost: number | null): Parameters<typeof costOf>[1][number] => ({
  film: 'a',
  areaMm2,
  cost,
  rollMm: 0,
  sheets: 0,
  short: 0,
});

describe('costOf', () => {
  it('adds up film, tape by its uses, blanks, consumables and minutes, for the batch and for each', () => {
    const cost = costOf(8, [film(50_000, 1.2), film(20_000, null)], 100_000, rates);
    // Film 1.20 + 20 000 × 0.00001; tape 100 000 × 0.000006 / 3; 8 blanks; 8 × 0.30; (20 + 80) min at 24 an hour.
    expect(cost.film).toBeCloseTo(1.4, 9);
    expect(cost.tape).toBeCloseTo(0.2, 9);
    expect([cost.blanks, cost.consumables, cost.work]).toEqual([32, 2.4, 40]);
    expect(cost.total).toBeCloseTo(76, 9);
    expect(cost.price).toBeCloseTo(114, 9);
    expect(cost.each.cost).toBeCloseTo(9.5, 9);
    expect(cost.unpriced).toEqual(['a']);
  });

  it('shares what is done once: one alone costs more than one of many', () => {
    const alone = costOf(1, [film(10_000, 0.2)], 20_000, rates).each.cost;
    const many = costOf(8, [film(80_000, 1.6)], 160_000, rates).each.cost;
    // 20 minutes at 24 an hour are 8; an eighth of it is 1.
    expect(alone - many).toBeCloseTo(7, 9);
  });
});
