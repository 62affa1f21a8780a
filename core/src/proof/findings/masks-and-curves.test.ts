import { describe, expect, it } from 'vitest';
import { judging, only, pieceAt, placedItem, saidOf } from '../../../test/judging.ts';
import { motifItem, plate } from '../../../test/jobs.ts';
import type { ArtworkItem } from '../../model/item.ts';
import type { Finding } from '../finding.ts';
import { USUAL_LIMITS } from '../limits.ts';
import { itemName } from '../finding-names.ts';
import { judgeBridges } from './bridge-thin.ts';
import { judgeIslands } from './island.ts';
import { judgeMaskMargin } from './mask-margin.ts';
import { placeOf } from './placed-mask.ts';
import { judgeWrinkle } from './wrinkle.ts';

describe('the margin of a mask', () => {
  const mask = (change: object = {}): ArtworkItem => ({ ...motifItem('plate', { id: 'mask' }), acts: { ...motifItem('plate').acts, cutAway: ['star'] }, ...change }) as ArtworkItem; // prettier-ignore
  /** A star of 40 × 20 mm, 40 mm below the rim edge, under a mask of some width between two slants. */
  const around = (width: number, slants: readonly [number, number], change: { star?: object; mask?: object } = {}) => {
    const star = { ...placedItem(40, [40, 60], 0, motifItem('star', { id: 'star' })), ...change.star };
    return only(
      judgeMaskMargin,
      judging({ wrap: { placed: [star, placedItem(width, slants, 0, mask(change.mask))] } }),
    );
  };

  it('is twelve millimetres on every side', () => {
    expect(around(64, [28, 72])).toBeNull();
    const beside = around(60, [28, 72])!;
    expect(beside).toMatchObject({ case: 'narrow', severity: 'look', itemIds: ['mask'], numbers: { margin: expect.closeTo(10, 9), least: 12 } }); // prettier-ignore
    expect(beside.said).toMatch(/Only 10.0 mm of mask.*12.0 mm keeps the rest/);
    expect(around(64, [31, 72])!.numbers['margin']).toBeCloseTo(9, 9);
    expect(around(64, [28, 65])!.numbers['margin']).toBeCloseTo(5, 9);
    expect(around(63.8, [28, 72])!.numbers['margin']).toBeCloseTo(11.9, 9);
    expect(around(63.92, [28, 72])).toBeNull();
  });

  it('is open where the design reaches past it', () => {
    const open = around(64, [28, 58])!;
    expect(open).toMatchObject({ case: 'open', severity: 'fails', numbers: { margin: expect.closeTo(-2, 9) } });
    expect(open.said).toContain('The design reaches past its mask');
    expect(around(40, [28, 72])).toMatchObject({ case: 'narrow', numbers: { margin: expect.closeTo(0, 9) } });
  });

  it('is all there is where it ends with the band, and all round where it is joined', () => {
    expect(around(64, [0, 72])).toBeNull();
    expect(around(64, [0.04, 72])).toBeNull();
    expect(around(64, [28, 100])).toBeNull();
    const low = { star: { slant: 95, slants: [85, 105] } };
    expect(around(64, [28, 100], low)).toBeNull();
    expect(around(30, [28, 72], { mask: { repeat: { mode: 'joined', count: 1 } } })).toBeNull();
  });

  it('counts every copy, and is fitted again to all of them', () => {
    const aside = { copies: [0, 30 / 50] };
    const found = around(64, [28, 72], { star: aside })!;
    expect(found.numbers['margin']).toBeCloseTo(32 - 30 - 20, 9);
    const [fix] = found.fixes as [{ do: string; widthMm: number; heightMm: number }];
    // From 20 mm left of the front to 50 right of it, and 12 on either side; from the rim edge to 12 below the star.
    expect(fix).toMatchObject({ do: 'refit-mask', itemId: 'mask', widthMm: expect.closeTo(94, 6), heightMm: expect.closeTo(72, 6) }); // prettier-ignore
  });

  it('is not judged without a mask, or of one that opens nothing here', () => {
    expect(only(judgeMaskMargin, judging({ wrap: { placed: [placedItem(40, [40, 60])] } }))).toBeNull();
    expect(around(30, [28, 72], { mask: { acts: { ...motifItem('plate').acts, cutAway: ['other'] } } })).toBeNull();
  });
});

describe('islands and bridges of a mask', () => {
  const bridged = (bridgeMm: number, limits: object = {}) => {
    const plateItem = motifItem('plate', {
      id: 'mask',
      acts: { ...motifItem('plate').acts, cutAway: ['star'], bridgeMm },
    });
    return only(judgeBridges, judging({ job: { items: [plateItem] }, wrap: { placed: [placedItem(60, [20, 70], 0, plateItem)] }, context: { limits: { ...USUAL_LIMITS, ...limits } } })); // prettier-ignore
  };

  it('hold from a millimetre on; thinner ones are made one and a half, or as broad as one asks for', () => {
    expect([bridged(0), bridged(1)]).toEqual([null, null]);
    const thin = bridged(0.8)!;
    expect(thin).toMatchObject({ severity: 'look', numbers: { width: 0.8, least: 1 }, fixes: [{ do: 'bridge-islands', itemId: 'mask', mm: 1.5 }] }); // prettier-ignore
    expect(thin.said).toContain('Bridges of 0.8 mm tear. From 1.0 mm they hold');
    expect(bridged(0.8, { thinBridge: 2 })!.fixes).toEqual([{ do: 'bridge-islands', itemId: 'mask', mm: 2 }]);
  });

  it('lie on the side where their outlines do', () => {
    expect(placeOf(Float64Array.from([10, -40, 30, -40, 30, -25, 10, -25]), 50)).toEqual({ azimuths: [0.2, 0.6], slants: [25, 40] }); // prettier-ignore
    expect([judgeIslands(judging({})), judgeBridges(judging({}))]).toEqual([[], []]);
  });
});

describe('film that is broader than lies flat', () => {
  // A ball of 80 mm: K = 1/1600. A long strip as wide as w needs K·w²/8; this film gives 2 % and no more.
  const ball = { kind: 'ball', side: 100, data: { radius: 40, halfLength: 40 } };
  const template = { closed: false, flattening: { map: {} } };
  const strip = (width: number, change: object = {}) => pieceAt({ minX: -60, maxX: 60, minY: 50 - width / 2, maxY: 50 + width / 2 }, change); // prettier-ignore
  const judged = (pieces: ReturnType<typeof strip>[], job: object = {}, blank: object = {}) => only(judgeWrinkle, judging({ blank: { kind: 'ball', ...blank } as never, job: { items: [motifItem('star', { id: 'star-1' })], ...job } as never, wrap: { size: ball, template, pieces } })); // prettier-ignore
  /** What a strip of 120 mm by some width needs, per cent, by the width of it and how full it is. */
  const needed = (pieces: ReturnType<typeof strip>[]) => judged(pieces)?.numbers['needed'];

  it('is told with what it needs and what film gives, and made smaller by the root of that', () => {
    expect(judged([strip(8)])).toBeNull();
    const broad = judged([strip(20)])!;
    expect(broad).toMatchObject({ case: 'broad', numbers: { limit: expect.closeTo(2, 9) }, itemIds: ['star-1'] });
    const need = broad.numbers['needed']!;
    // No more than the strip without ends: 400 / 1600 / 8 = 3.125 %; less for a strip with ends.
    expect(need).toBeLessThanOrEqual(3.126);
    expect(need).toBeGreaterThan(2.5);
    expect(broad.fixes).toEqual([{ do: 'scale-item', itemId: 'star-1', factor: expect.closeTo(Math.sqrt(2 / need) * 0.99, 6) }]); // prettier-ignore
    expect(broad.place!.slants).toEqual([40, 60]);
    expect(broad.said).toMatch(/The star is too broad.*takes 2.0 % laid with care/);
    // Twice as wide needs four times as much, as long as it is as long for its width.
    expect(needed([strip(30)])! / need).toBeGreaterThan(1.8);
  });

  it('is sure to wrinkle past one and a half times what it gives', () => {
    expect(judged([strip(20)])!.severity).toBe(needed([strip(20)])! > 3 ? 'fails' : 'look');
    expect(judged([strip(26)])!.severity).toBe('fails');
    expect(judged([strip(18)])!.severity).toBe('look');
  });

  it('is told by the worst of an item, measured against its own film', () => {
    const worst = judged([strip(18), strip(22), strip(20)])!;
    expect(worst.numbers['needed']).toBeCloseTo(needed([strip(22)])!, 9);
    // Metallised film gives 1 %: a narrower strip of it is worse.
    const foil = judged([strip(20), strip(18, { film: 'brass' })])!;
    expect(foil.numbers['limit']).toBeCloseTo(1, 9);
  });

  it('may be laid warm where that is enough, on what bears heat', () => {
    // Cast film gives 3 % cold and 6 % warm.
    const hull = [strip(26, { film: 'hull' })];
    const cold = judged(hull)!;
    expect(cold.numbers['limit']).toBeCloseTo(3, 9);
    expect(cold.fixes.map((fix) => fix.do)).toEqual(['scale-item', 'lay-warm']);
    // Rubber gives 4 % more, and bears no heat: a strip half as broad again is too broad there too.
    expect(judged(hull, {}, { surface: 'latex' })).toBeNull();
    const rubber = judged([strip(44, { film: 'hull' })], {}, { surface: 'latex' })!;
    expect(rubber.numbers['limit']).toBeCloseTo(7, 9);
    expect(rubber.fixes.map((fix) => fix.do)).toEqual(['scale-item']);
    expect(rubber.said).toContain('takes 7.0 % laid with care, 4 % of it by the rubber under it.');
    expect(judged([strip(44, { film: 'hull' })])!.fixes.map((fix) => fix.do)).toEqual(['scale-item']);
    expect(judged([strip(44, { film: 'hull' })], { warm: true })!.numbers['limit']).toBeCloseTo(6, 9);
    expect(judged([strip(44, { film: 'hull' })], { warm: true })!.fixes.map((fix) => fix.do)).toEqual(['scale-item']);
    const band = motifItem('wave', { id: 'star-1', repeat: { mode: 'joined', count: 6 } });
    expect(judged(hull, { items: [band] })!.fixes.map((fix) => fix.do)).toEqual(['lay-warm']);
  });

  it('is only told of its corners where they are sharp and it is all but too broad', () => {
    const cross = (arm: number) => {
      const [a, b] = [arm / 2, 30];
      const points = [b, a, a, a, a, b, -a, b, -a, a, -b, a, -b, -a, -a, -a, -a, -b, a, -b, a, -a, b, -a].map((v, i) => (i % 2 ? v - 50 : v)); // prettier-ignore
      return pieceAt({ minX: -b, maxX: b, minY: 20, maxY: 80 }, { flat: { outer: Float64Array.from(points), holes: [] }, areaMm2: 4 * a * (2 * b - a) }); // prettier-ignore
    };
    const corner = judged([cross(15)])!;
    expect(corner).toMatchObject({ case: 'corner', severity: 'look' });
    expect(corner.said).toContain('may lift at its inner corners');
    // A strip that asks as much has none.
    expect(judged([strip(15)])).toBeNull();
    expect(judged([cross(24)])!.case).toBe('broad');
  });

  it('is no matter where the side develops', () => {
    expect(only(judgeWrinkle, judging({ wrap: { pieces: [strip(60)], template: { closed: true, flattening: { map: null } } } }))).toBeNull(); // prettier-ignore
  });
});

describe('what is told', () => {
  it('names an item by its motif, with its film only where there are several of that motif', () => {
    const name = (items: ArtworkItem[], films = true) => itemName(judging({ job: { items, ...(films ? {} : { films: [] }) } }), 'a'); // prettier-ignore
    const [a, b] = [motifItem('star', { id: 'a' }), motifItem('star', { id: 'b', film: 'reed' })];
    expect(name([a])).toBe('the star');
    expect(name([a, motifItem('sun', { id: 'b' })])).toBe('the star');
    expect(name([a, b])).toBe('the star in Deep water');
    expect(name([a, b], false)).toBe('the star');
    expect(name([plate('a', 9, 9)], false)).toBe('“Plate”');
  });

  it('says with whom, how many more and on what, in brackets', () => {
    const found = (names: object, code = 'right-way-up'): string => saidOf({ id: 'x', code, case: 'wide-base', severity: 'look', place: null, itemIds: [], numbers: { rim: 1, base: 2 }, names, fixes: [] } as unknown as Finding).split('. ')[0]!; // prettier-ignore
    expect(found({})).toBe('The longer arc goes to the base');
    expect(found({ round: 'Wren' })).toContain('(with Wren)');
    expect(found({ more: '1' })).toContain('(and one more name)');
    expect(found({ more: '3', on: 'Glass' })).toContain('(and 3 more names, on Glass)');
  });
});
