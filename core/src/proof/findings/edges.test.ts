import { describe, expect, it } from 'vitest';
import { judging, only, pieceAt, placedItem, RADIUS, saidOf, SIDE } from '../../../test/judging.ts';
import { motifItem, textItem } from '../../../test/jobs.ts';
import type { ArtworkItem } from '../../model/item.ts';
import { glanceHalfAngle, judgeGlance } from './glance.ts';
import { judgeBaseZone } from './base-zone.ts';
import { judgeFaceEdge } from './face-edge.ts';
import { judgeHandleZone } from './handle-zone.ts';
import { judgeRimZone } from './rim-zone.ts';

// Clearances of this blank: 15 mm at the rim, 5 at the base and the handle. Its side is 100 mm, 50 from the axis.
describe('the edges of a band', () => {
  const rim = (top: number, bottom = top + 20) => only(judgeRimZone, judging({ wrap: { placed: [placedItem(30, [top, bottom])] } })); // prettier-ignore
  const base = (bottom: number, top = bottom - 20) => only(judgeBaseZone, judging({ wrap: { placed: [placedItem(30, [top, bottom])] } })); // prettier-ignore

  it('keep film so far off as the blank asks, to what anybody could see', () => {
    expect([rim(15), rim(14.96), base(95), base(95.04)]).toEqual([null, null, null, null]);
    expect(rim(14.9)).toMatchObject({
      case: 'inside',
      severity: 'look',
      numbers: { room: 14.9, zone: 15, clearance: 15 },
    });
    expect(rim(10)!.fixes).toEqual([{ do: 'move-item', itemId: 'star-1', downMm: 5 }]);
    expect(base(98)).toMatchObject({ case: 'inside', severity: 'look', numbers: { room: 2, need: 3, zone: 5, clearance: 5 } }); // prettier-ignore
    expect(base(98)!.fixes).toEqual([{ do: 'move-item', itemId: 'star-1', downMm: -3 }]);
  });

  it('fail what stands over them by more than is shown', () => {
    expect(rim(-0.04)).toMatchObject({ case: 'over', severity: 'look' });
    expect(rim(-0.1)).toMatchObject({ case: 'over', severity: 'fails' });
    expect(rim(0)).toMatchObject({ case: 'inside', severity: 'look' });
    expect(base(100.1)).toMatchObject({ case: 'over', severity: 'fails' });
  });

  it('are told where: from the film to the line that it should not pass', () => {
    expect(rim(10, 40)!.place).toEqual({ azimuths: [-15 / RADIUS, 15 / RADIUS], slants: [10, 15] });
    expect(base(98, 60)!.place).toEqual({ azimuths: [-15 / RADIUS, 15 / RADIUS], slants: [95, 98] });
    const aside = judging({ wrap: { placed: [placedItem(30, [10, 40], 25)] } });
    expect(only(judgeRimZone, aside)!.place!.azimuths).toEqual([10 / RADIUS, 40 / RADIUS]);
  });

  it('let what is too high for the room between them shrink into its middle', () => {
    // Between 15 and 95 there are 80 mm; 90 of film at nine tenths of 80 / 90 …, with a hundredth to spare.
    const fix = rim(6, 96)!.fixes[0];
    expect(fix).toMatchObject({ do: 'scale-item', factor: expect.closeTo((80 / 90) * 0.99, 12), toMiddleMm: 5 });
    // Exactly the room that is left: it is moved.
    expect(rim(10, 90)!.fixes[0]).toMatchObject({ do: 'move-item', downMm: 5 });
    expect(rim(10, 90.1)!.fixes[0]).toMatchObject({ do: 'scale-item', factor: expect.closeTo(0.99 * 0.99, 12) });
    expect(base(98, 18)!.fixes[0]).toMatchObject({ do: 'move-item', downMm: -3 });
    expect(base(98, 17.9)!.fixes[0]).toMatchObject({ do: 'scale-item' });
  });

  it('do not matter to masks, to what has no film, nor to a face', () => {
    const mask: ArtworkItem = { ...motifItem('plate'), acts: { ...motifItem('plate').acts, cutAway: ['other'] } };
    expect(only(judgeRimZone, judging({ wrap: { placed: [placedItem(30, [0, 20], 0, mask)] } }))).toBeNull();
    expect(
      only(judgeRimZone, judging({ wrap: { placed: [{ ...placedItem(30, [0, 20]), slants: null }] } })),
    ).toBeNull();
    expect(only(judgeRimZone, judging({ wrap: { placed: [placedItem(30, [0, 20])], template: { closed: false } } }))).toBeNull(); // prettier-ignore
  });
});

describe('the handle', () => {
  // 20 mm wide: half of it, and 5 of clearance, on either side of the back, which is 157.08 mm round from the front.
  const back = Math.PI * RADIUS;
  const handle = { handleWidthMm: 20 };
  const at = (roundMm: number, width = 30, item?: ArtworkItem) => only(judgeHandleZone, judging({ blank: handle, wrap: { placed: [placedItem(width, [20, 40], roundMm, item)] } })); // prettier-ignore

  it('has room for fingers on either side, and what is too near is turned away', () => {
    expect(at(back - 10 - 5 - 15)).toBeNull();
    expect(at(-(back - 10 - 5 - 15))).toBeNull();
    const right = at(back - 10 - 2 - 15)!;
    expect(right).toMatchObject({ case: 'near', severity: 'look', numbers: { room: expect.closeTo(2, 9), zone: 5 } });
    expect(right.fixes).toEqual([{ do: 'turn-item', itemId: 'star-1', byDeg: expect.closeTo((-3 / RADIUS) * (180 / Math.PI), 9) }]); // prettier-ignore
    const left = at(-(back - 10 - 2 - 15))!;
    expect(left.fixes).toEqual([{ do: 'turn-item', itemId: 'star-1', byDeg: expect.closeTo((3 / RADIUS) * (180 / Math.PI), 9) }]); // prettier-ignore
    expect(right.said).toContain('2.0 mm is left; 5.0 mm lets a finger');
  });

  it('fails film under it, however far; a band only stops there', () => {
    const under = at(back - 10 + 4 - 15)!;
    expect(under).toMatchObject({ case: 'under', severity: 'fails', numbers: { room: expect.closeTo(-4, 9) } });
    expect(under.said).toContain('4.0 mm of it would lie under the handle');
    // No more of it can be under the handle than that is wide.
    expect(at(back)!.numbers['room']).toBe(-20);
    const band = at(0, 320, motifItem('wave', { repeat: { mode: 'joined', count: 6 } }))!;
    expect(band).toMatchObject({ case: 'band', severity: 'look', fixes: [] });
    expect(band.said).toContain('A band cannot run through a handle');
  });

  it('lets what is too wide for the room shrink about its middle', () => {
    // 2π·50 less 20 and twice 5 leaves 284.16; 290 in the middle wants 2.92 less on either side.
    const room = 2 * back - 20 - 10;
    expect(at(0, room)).toBeNull();
    const [fix] = at(0, 290)!.fixes;
    expect(fix).toMatchObject({ do: 'scale-item', factor: expect.closeTo((room / 290) * 0.995, 9) });
    expect(at(0, 290)!.place!.slants).toEqual([20, 40]);
  });

  it('is not asked where there is none', () => {
    expect(only(judgeHandleZone, judging({ wrap: { placed: [placedItem(30, [20, 40], back)] } }))).toBeNull();
  });
});

describe('a glance', () => {
  const words = (text: string, more = {}): ArtworkItem => textItem(text, { id: text, ...more });
  const half = glanceHalfAngle(RADIUS, { glanceDistance: 500, glanceEdge: 60 });
  const seen = 2 * RADIUS * half;
  const judged = (placed: ReturnType<typeof placedItem>[], closed = true) => only(judgeGlance, judging({ wrap: { placed, template: { closed } } })); // prettier-ignore

  it('is as much as one sees with its edge at six tenths of its width, and what is wider is told', () => {
    expect(judged([placedItem(seen, [20, 40])])).toBeNull();
    const wide = judged([placedItem(seen + 10, [20, 40], 7)])!;
    expect(wide).toMatchObject({ case: 'wide', severity: 'look', numbers: { width: expect.closeTo(seen + 10, 9), seen: expect.closeTo(seen, 9), distance: 500 } }); // prettier-ignore
    expect(wide.place!.slants).toEqual([20, 40]);
    expect(wide.place!.azimuths[0]).toBeCloseTo(7 / RADIUS - half, 9);
    expect(wide.place!.azimuths[1]).toBeCloseTo(7 / RADIUS + half, 9);
    const factor = expect.closeTo((seen / (seen + 10)) * 0.98, 9);
    expect(wide.fixes).toEqual([{ do: 'scale-item', itemId: 'star-1', factor }, { do: 'both-faces', itemId: 'star-1', factor }]); // prettier-ignore
  });

  it('is of all that is kept together, also across the back; each is sized by hand', () => {
    const apart = [placedItem(40, [20, 40], -60, words('a')), placedItem(40, [25, 60], 60, words('b'))];
    expect(judged(apart)).toBeNull();
    const together = ['a', 'b'].map((id, i) => placedItem(40, i ? [25, 60] : [20, 40], i ? 60 : -60, words(id, { keepTogether: 'g' }))); // prettier-ignore
    const found = judged(together)!;
    expect(found).toMatchObject({ case: 'wide-group', itemIds: ['a', 'b'], numbers: { width: expect.closeTo(160, 9) }, names: { rest: '1' }, fixes: [] }); // prettier-ignore
    expect(found.place!.slants).toEqual([20, 60]);
    expect(found.said).toMatch(
      /what is kept together with it are wider.*Together they are 160.0 mm.*Make them smaller together/,
    );
    // 30 mm before the back and 30 past it: 100 mm, not all the way round the front.
    const back = Math.PI * RADIUS;
    const round = [placedItem(40, [20, 40], back - 30, words('a', { keepTogether: 'g' })), placedItem(40, [20, 40], -back + 30, words('b', { keepTogether: 'g' }))]; // prettier-ignore
    expect(judged(round)?.numbers['width'] ?? 100).toBeCloseTo(100, 9);
  });

  it('is for what is read: no wraps, no scattered things, no masks, no faces', () => {
    const turn = 2 * Math.PI * RADIUS;
    expect(judged([placedItem(0.6 * turn - 1, [20, 40])])).not.toBeNull();
    expect(judged([placedItem(0.6 * turn, [20, 40])])).toBeNull();
    const band = motifItem('wave', { repeat: { mode: 'joined', count: 3 } });
    expect(judged([placedItem(150, [20, 40], 0, band)])).toBeNull();
    expect(judged([{ ...placedItem(150, [20, 40]), slants: null }])).toBeNull();
    expect(judged([placedItem(150, [20, 40])], false)).toBeNull();
    const opened = { ...placedItem(150, [20, 40], 0, words('opened')), slants: null };
    const mask: ArtworkItem = { ...motifItem('plate'), acts: { ...motifItem('plate').acts, cutAway: ['opened'] } };
    const found = judged([opened, placedItem(160, [0, 100], 0, mask)])!;
    expect(found.itemIds).toEqual(['opened']);
    // What has no film of its own is told by its box.
    expect(found.place!.slants).toEqual([20, 40]);
  });
});

describe('the edge of a face', () => {
  // A lid of 90 mm with a hole of 10, 24 mm above its middle; 5 mm of clearance.
  const lid = { kind: 'lid', side: 90, data: { across: 90, hole: 10, holeUp: 24 } };
  const round = { closed: false, bounds: { minX: -45, maxX: 45, minY: -90, maxY: 0 }, outline: { segments: [{ kind: 'arc' }] } }; // prettier-ignore
  /** A square piece of some size whose middle lies so far right and down from the face’s. */
  const on = (size: object, template: object, middle: number, [x, y, side]: [number, number, number], change = {}) => {
    const half = side / 2;
    const box = { minX: x - half, maxX: x + half, minY: middle + y - half, maxY: middle + y + half };
    const placed = {
      ...placedItem(side, [box.minY, box.maxY], x),
      box: { minX: -half, maxX: half, minY: -half, maxY: half },
    };
    return only(judgeFaceEdge, judging({ wrap: { size, template, placed: [placed], pieces: [pieceAt(box, change)] } }));
  };
  const onLid = (x: number, y: number, side: number, change = {}) => on(lid, round, 45, [x, y, side], change);

  it('of a round is as far away as the farthest corner', () => {
    // Corners of a square of 20 about (25, 0) lie √(35² + 10²) = 36.4 from the middle: 8.6 of 45 are left.
    expect(onLid(25, 0, 20)).toBeNull();
    const near = onLid(29, 0, 20)!;
    expect(near).toMatchObject({ case: 'near', severity: 'look', numbers: { room: expect.closeTo(45 - Math.hypot(39, 10), 9), zone: 5 } }); // prettier-ignore
    expect(near.said).toContain('is left; 5.0 mm keeps it from being rubbed off');
    const over = onLid(38, 0, 20)!;
    expect(over).toMatchObject({ case: 'over', severity: 'fails' });
    expect(over.said).toContain(`It passes the edge of the face by ${(Math.hypot(48, 10) - 45).toFixed(1)} mm`);
    // Made smaller in its place by what it lacks, with a little to spare.
    const lacks = 5 - (45 - Math.hypot(39, 10));
    expect(near.fixes).toEqual([{ do: 'scale-item', itemId: 'star-1', factor: expect.closeTo(((10 - lacks) / 10) * 0.995, 9) }]); // prettier-ignore
    // More than half of its size is lacking: shrinking does not save it.
    expect(onLid(44, 0, 20)!.fixes).toEqual([]);
  });

  it('of a rectangle is the nearest of its four', () => {
    const tag = { kind: 'flat', side: 60, data: { width: 100, height: 60 } };
    const plane = { closed: false, bounds: { minX: -50, maxX: 50, minY: -60, maxY: 0 }, outline: { segments: [{ kind: 'line' }] } }; // prettier-ignore
    const room = (x: number, y: number) => on(tag, plane, 30, [x, y, 20])?.numbers['room'];
    expect(room(0, 0)).toBeUndefined();
    expect([room(37, 0), room(-38, 0), room(0, 16), room(0, -17)]).toEqual([3, 2, 4, 3]);
  });

  it('is also that of the hole, unless a counter leaves it open', () => {
    // The hole lies from 19 to 29 above the middle; the square’s upper edge 16 above it.
    const beside = onLid(0, -11, 10)!;
    expect(beside).toMatchObject({
      case: 'hole',
      severity: 'look',
      numbers: { room: expect.closeTo(3, 9) },
      fixes: [],
    });
    expect(beside.said).toContain('picked off by the straw');
    expect(onLid(0, -24, 20)).toMatchObject({ case: 'hole', severity: 'fails', numbers: { room: -5 } });
    const hole = [Float64Array.from([-7, 0, 7, 0, 7, 1, -7, 1])];
    const outer = Float64Array.from([-12, -33, 12, -33, 12, -9, -12, -9]);
    // Round it, with a counter: 12 mm from the hole’s middle, 7 from its edge.
    expect(onLid(0, -24, 24, { flat: { outer, holes: hole } })).toBeNull();
    expect(on({ ...lid, data: { across: 90, hole: 0, holeUp: 0 } }, round, 45, [0, -11, 10])).toBeNull();
  });

  it('of a patch is the end of what lies flat: nothing rubs there', () => {
    const ball = { kind: 'ball', side: 90, data: { radius: 60, halfLength: 60 } };
    expect(on(ball, round, 45, [29, 0, 20])).toBeNull();
    const past = on(ball, round, 45, [38, 0, 20])!;
    expect(past).toMatchObject({ case: 'patch', severity: 'look', numbers: { zone: 0 } });
    expect(saidOf(past)).toContain('reaches past the patch');
    expect(only(judgeFaceEdge, judging({ wrap: { placed: [placedItem(30, [SIDE, SIDE + 20])] } }))).toBeNull();
  });
});
