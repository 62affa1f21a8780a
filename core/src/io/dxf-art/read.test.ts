import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testFonts } from '../../../test/fonts.ts';
import { makeJob, textItem, tumbler } from '../../../test/jobs.ts';
import { STARTING_FILMS } from '../../artwork/film.ts';
import { deriveWrap } from '../../wrap/derive.ts';
import { writeTemplateDxf } from '../dxf/write-template.ts';
import { readDxfDrawing } from './read.ts';

/** Entities as a file: pairs of code and value. */
const dxf = (entities: readonly (readonly (readonly [number, string | number])[])[], units = 4): string =>
  [
    [0, 'SECTION'],
    [2, 'HEADER'],
    [9, '$INSUNITS'],
    [70, units],
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...entities.flat(),
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ]
    .map(([code, value]) => `${code}\n${value}`)
    .join('\n');
const line = (x1: number, y1: number, x2: number, y2: number) =>
  [
    [0, 'LINE'],
    [8, 'a'],
    [10, x1],
    [20, y1],
    [11, x2],
    [21, y2],
  ] as const;
const circle = (x: number, y: number, r: number, layer = 'a') =>
  [
    [0, 'CIRCLE'],
    [8, layer],
    [10, x],
    [20, y],
    [40, r],
  ] as const;
const drawing = (text: string) => {
  const result = readDxfDrawing(text);
  if (!result.ok) throw new Error(result.problem.code);
  return result.drawing;
};

describe('readDxfDrawing', () => {
  it('joins loose lines and arcs to outlines, whichever way they run, and takes what lies within as a hole', () => {
    // A 40 × 20 plate whose right end is a half circle of radius 10, drawn out of order; a hole of radius 4.
    const arc = [
      [0, 'ARC'],
      [8, 'a'],
      [10, 40],
      [20, 10],
      [40, 10],
      [50, -90],
      [51, 90],
    ] as const;
    const { colours, widthMm, heightMm, leftOut } = drawing(
      dxf([line(0, 0, 40, 0), line(0, 20, 0, 0), arc, line(40, 20, 0, 20), circle(15, 10, 4)]),
    );
    expect([widthMm, heightMm]).toEqual([expect.closeTo(50, 2), expect.closeTo(20, 6)]);
    expect(colours[0]!.rings).toHaveLength(2);
    expect(colours[0]!.areaMm2).toBeCloseTo(800 + (Math.PI * 100) / 2 - Math.PI * 16, 0);
    expect(leftOut).toEqual([]);
  });

  it('reads the bulges of polylines, and inches', () => {
    // Two half circles of one inch across: a disk.
    const disk = [
      [0, 'LWPOLYLINE'],
      [8, 'a'],
      [90, 2],
      [70, 1],
      [10, 0],
      [20, 0],
      [42, 1],
      [10, 1],
      [20, 0],
      [42, 1],
    ] as const;
    const { widthMm, colours } = drawing(dxf([disk], 1));
    expect(widthMm).toBeCloseTo(25.4, 2);
    expect(colours[0]!.areaMm2).toBeCloseTo(Math.PI * 12.7 ** 2, 0);
  });

  it('makes a colour of each layer, and lists what is no outline', () => {
    const text = [
      [0, 'TEXT'],
      [8, 'a'],
      [10, 0],
      [20, 0],
      [40, 5],
      [1, 'HELM'],
    ] as const;
    const { colours, leftOut } = drawing(
      dxf([circle(0, 0, 10, 'rim'), circle(40, 0, 6, 'boss'), text, line(0, 30, 9, 30)]),
    );
    expect(colours.map((c) => Math.round(c.areaMm2))).toEqual([314, 113]);
    expect(new Set(colours.map((c) => c.colour)).size).toBe(2);
    expect(leftOut).toEqual([
      { what: 'words that are still type', count: 1 },
      { what: 'lines that do not close', count: 1 },
    ]);
  });

  it('reads back what Mivet writes, at its size', () => {
    const derived = deriveWrap(makeJob(tumbler(), [textItem('OAR')]), testFonts);
    if (!derived.ok) throw new Error(derived.problem.code);
    const { colours } = drawing(writeTemplateDxf(derived.wrap, STARTING_FILMS));
    const film = derived.wrap.pieces.reduce((sum, p) => sum + p.areaMm2, 0);
    expect(colours.some((c) => Math.abs(c.areaMm2 - film) < 0.02 * film)).toBe(true);
  });

  it('refuses what is none, and takes any rubbish without a throw', () => {
    expect(readDxfDrawing('hello')).toMatchObject({ ok: false });
    expect(readDxfDrawing(dxf([]))).toEqual({ ok: false, problem: { code: 'empty' } });
    const good = dxf([line(0, 0, 40, 0), circle(15, 10, 4)]).split('\n');
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.nat(good.length - 1),
            fc.oneof(fc.string({ maxLength: 6 }), fc.constantFrom('0', '1e400', 'NaN', '-5', 'ENDSEC', 'INSERT')),
          ),
          { maxLength: 6 },
        ),
        (changes) => {
          const lines = [...good];
          for (const [at, value] of changes) lines[at] = value;
          expect(typeof readDxfDrawing(lines.join('\n')).ok).toBe('boolean');
        },
      ),
      { numRuns: 300, interruptAfterTimeLimit: 20_000 },
    );
  }, 30_000);
});
