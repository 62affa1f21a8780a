import { describe, expect, it } from 'vitest';
import { contextOf, projectOf } from '../../test/findings.ts';
import { makeBlank, makeJob, plate } from '../../test/jobs.ts';
import { placingCard } from './placing-card.ts';

/** 240 mm round and 100 mm high, its band 5 mm below the drinking edge. */
const can = makeBlank({ girthRim: 240, side: 100 });
const square = plate('mark', 20, 10, { running: 'rigid', byItself: true, name: 'Mark' });
const cardOf = (items: Parameters<typeof makeJob>[1]) => {
  const { wrap } = contextOf(projectOf(makeJob(can, items)));
  return placingCard(can, wrap);
};

describe('the card for figures that are laid one by one', () => {
  it('says of each how far below the rim and how far round from the front it goes', () => {
    const four = { ...square, repeat: { mode: 'spaced', count: 4 } as const, placement: { ...square.placement, from: 'rim', mm: 12 } as const }; // prettier-ignore
    const card = cardOf([four])!;
    expect([card.halfMm, card.fromMm, card.toMm]).toEqual([expect.closeTo(120, 6), -5, 100]);
    const told = card.figures.map(({ number, belowMm, roundMm }) => [number, Math.round(belowMm * 100) / 100, Math.round(Math.abs(roundMm) * 100) / 100]); // prettier-ignore
    // 12 mm below the band's edge, which is 5 below the rim; a quarter of 240 mm from one to the next.
    expect(told.map(([, below]) => below)).toEqual([17, 17, 17, 17]);
    expect(told.map(([, , round]) => round).sort((a, b) => a! - b!)).toEqual([0, 60, 60, 120]);
    expect(told.map(([number]) => number)).toEqual([1, 2, 3, 4]);
    const back = card.figures.find(({ roundMm }) => Math.abs(roundMm) > 100)!;
    // Drawn where it is told to be, whole: its middle is that of its outline.
    const xs = [...back.shapes[0]!.data.matchAll(/[ML](\S+) /g)].map(([, x]) => Number(x));
    expect((Math.min(...xs) + Math.max(...xs)) / 2).toBeCloseTo(back.x, 1);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(20, 1);
  });

  it('is none where nothing is laid by itself', () => {
    expect(cardOf([{ ...square, byItself: false }])).toBeNull();
  });
});
