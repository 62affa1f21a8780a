import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pathFromRing } from '../../plane/path.ts';
import { describeHpglProblem, readHpgl } from './read.ts';
import { writeCutHpgl } from './write-cut.ts';

const strokes = (text: string): number[][] => {
  const read = readHpgl(text);
  return read.ok ? read.strokes.map(({ points }) => [...points]) : [];
};

describe('readHpgl', () => {
  it('follows the pen, up and down, to places and by steps', () => {
    expect(strokes('IN;SP2;PU400,800;PD800,800,800,1200;PU;PR;PD40,0;PA;PD0,0;PU;')).toEqual([
      [10, 20, 20, 20, 20, 30],
      [20, 30, 21, 30, 0, 0],
    ]);
    expect(readHpgl('IN;SP3;PU0,0;PD40,40;')).toMatchObject({ ok: true, strokes: [{ pen: 3 }] });
  });

  it('reads back what is written, to half a plotter unit', () => {
    const ring = [3.01, 3.02, 40.5, 3.33, 40.77, 20.01];
    const [back] = strokes(writeCutHpgl([{ pen: 1, pieces: [{ pieceId: 'a', paths: [pathFromRing(ring)] }] }]));
    expect(back).toHaveLength(8);
    ring.forEach((v, i) => expect(Math.abs(back![i]! - v)).toBeLessThanOrEqual(0.0125 + 1e-9));
  });

  it('names what it does not know instead of guessing', () => {
    const why = (text: string): string => {
      const read = readHpgl(text);
      return read.ok ? '' : describeHpglProblem(read.problem);
    };
    expect(why('IN;AA0,0,90;')).toContain('“AA” at character 3');
    expect(why('IN;PD1,2,3;')).toContain('after “PD”');
    expect(why('PD1e999,4')).toContain('make no sense');
    expect(why('IN;SP1;PU10,10;')).toContain('nothing to cut');
    expect(why('')).toContain('nothing to cut');
  });

  it('never throws, whatever it is given', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.stringMatching(/^([PISU]{2}[-0-9.,;]*){0,20}$/)), (text) => {
        const read = readHpgl(text);
        if (read.ok) for (const { points } of read.strokes) expect(points.every(Number.isFinite)).toBe(true);
      }),
    );
  });
});
