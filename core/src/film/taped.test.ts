import { describe, expect, it } from 'vitest';
import { contextOf, jobOf } from '../../test/findings.ts';
import { makeBlank, plate, textItem } from '../../test/jobs.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';
import { layWhole, type LaidOn } from './advise.ts';
import { orderBy } from './lay.ts';
import { membraneOf } from './membrane.ts';
import { sheetOver, tapedWith } from './of-tape.ts';
import { meshOnTape } from './sheet.ts';
import { ballSide } from './side.ts';

const ball = makeBlank({ girth: 252 }, { kind: 'ball' });
const { wrap } = contextOf(jobOf(ball, textItem('OX', { running: 'rigid' })));

describe('several pieces on one sheet of tape', () => {
  const boxOf = (x: number, y: number, w: number, h: number): Float64Array => Float64Array.from([x, y, x + w, y, x + w, y + h, x, y + h]); // prettier-ignore
  const hole = Float64Array.from([13, 3, 13, 7, 17, 7, 17, 3]);
  const films = [
    { outer: boxOf(-20, 0, 10, 10), holes: [] },
    { outer: boxOf(10, 0, 10, 10), holes: [hole] },
  ];
  const taped = { films, tape: { outer: boxOf(-25, -5, 50, 20), holes: [] } };
  const areaOf = (which: 0 | 1): number => {
    const sheet = meshOnTape(taped, 2);
    // Tape counts for a quarter of its ground.
    const { areas } = membraneOf(sheet, ballSide(40), { stretch: 0.015, squeeze: 0.005 }, 40);
    return areas.reduce((sum, area, t) => sum + (sheet.tape[t] === which ? area : 0), 0);
  };

  it('are film where they are, their counters and all between them tape', () => {
    expect(areaOf(0)).toBeCloseTo(100 + 84, 6);
    expect(areaOf(1)).toBeCloseTo((50 * 20 - 184) / 4, 6);
  });

  it('tape gives by its own measure: one that gives more spares the film', () => {
    const sheet = meshOnTape(taped, 2.5);
    const order = orderBy('centre out', sheet, 8, (x, y) => Math.hypot(x, y - 5));
    const excess = (tape?: { stretch: number; squeeze: number }): number => {
      const on: LaidOn = { side: ballSide(22), gives: { stretch: 0.015, squeeze: 0.005, ...(tape && { tape }) }, slant: 0, flat: [0, 5] }; // prettier-ignore
      return layWhole(sheet, on, order).map.excessMm2;
    };
    expect(excess({ stretch: 0.015, squeeze: 0.005 })).toBe(excess());
    expect(excess({ stretch: 0.1, squeeze: 0.1 })).not.toBe(excess());
  });

  it('reach so far round them, and are cut where slits run', () => {
    const letters = wrap.pieces;
    expect(letters).toHaveLength(2);
    const { tape } = sheetOver(letters, []);
    const [xs, ys] = [0, 1].map((c) => [...tape.outer].filter((_, i) => i % 2 === c)) as [number[], number[]];
    const [left, right] = [Math.min(...letters.map(({ flatBox }) => flatBox.minX)), Math.max(...letters.map(({ flatBox }) => flatBox.maxX))]; // prettier-ignore
    expect([Math.min(...xs), Math.max(...xs)]).toEqual(
      [left - 5, right + 5].map((v) => expect.closeTo(v, 3) as number),
    );
    const [middle, top] = [(left + right) / 2, Math.max(...ys)];
    const slit = sheetOver(letters, [{ from: { x: middle, y: top }, to: { x: middle, y: top - 4 } }]).tape.outer;
    const lowest = [...slit.keys()].filter((i) => i % 2 === 1 && Math.abs(slit[i - 1]! - middle) < 0.1).map((i) => slit[i]!); // prettier-ignore
    expect(Math.min(...lowest)).toBeCloseTo(top - 4, 3);
    // One right across would part the sheet: it stays whole.
    expect(sheetOver(letters, [{ from: { x: middle, y: top }, to: { x: middle, y: top - 400 } }]).tape.outer).toHaveLength(8); // prettier-ignore
  });

  it('go by what the tape of the job gives, and only where there are several', () => {
    const job = jobOf(ball, textItem('OX', { running: 'rigid' }));
    const found = tapedWith(job, wrap, wrap.pieces[0]!, STARTING_MATERIALS)!;
    expect(found.sheet.films).toHaveLength(2);
    expect(found.on.gives.tape).toEqual({ stretch: 0.02, squeeze: 0.02 });
    const alone = contextOf(jobOf(ball, plate('a', 12, 20, { running: 'rigid' }))).wrap;
    expect(tapedWith(job, alone, alone.pieces[0]!, STARTING_MATERIALS)).toBeNull();
  });
});
