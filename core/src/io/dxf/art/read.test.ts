import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testFonts } from '../../../../test/fonts.ts';
import { makeJob, textItem, tumbler } from '../../../../test/jobs.ts';
import { STARTING_FILMS } from '../../../material/film.ts';
import { deriveWrap } from '../../../pieces/wrap.ts';
import { writeTemplateDxf } from '../write-template.ts';
import { readDxfDrawing } from './read.ts';

/** Entities as a file: pairs of code and value. */
type Pairs = readonly (readonly [number, string | number])[];
const dxf = (entities: readonly Pairs[], units: number | null = 4, before: Pairs = []): string =>
  [
    [0, 'SECTION'],
    [2, 'HEADER'],
    ...(units === null
      ? []
      : ([
          [9, '$INSUNITS'],
          [70, units],
        ] as const)),
    [0, 'ENDSEC'],
    ...before,
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

  it.each([
    [1, 25.4],
    [2, 304.8],
    [4, 1],
    [5, 10],
    [6, 1000],
    [8, 25.4e-6],
    [9, 0.0254],
    [10, 914.4],
    [13, 0.001],
    [14, 100],
    [21, 304.8006096],
    [22, 25.4000508],
  ])('takes unit %i for %d mm', (code, mm) => {
    // A circle that comes out 20 mm across.
    const { widthMm, unitSaid } = drawing(dxf([circle(3, 4, 10 / mm)], code));
    expect([widthMm, unitSaid]).toEqual([expect.closeTo(20, 3), true]);
  });

  it('asks for a unit that the file does not give, or that makes no cup', () => {
    expect(drawing(dxf([circle(0, 0, 10)], null))).toMatchObject({ unitSaid: false, widthMm: expect.closeTo(20, 3) });
    expect(drawing(dxf([circle(0, 0, 10)], 0)).unitSaid).toBe(false);
    // Ten metres are the most that is cut.
    expect([4950, 5050].map((r) => drawing(dxf([circle(0, 0, r)])).unitSaid)).toEqual([true, false]);
    // Parsecs, and twenty miles across.
    for (const code of [3, 20]) expect(drawing(dxf([circle(0, 0, 10)], code)).unitSaid).toBe(false);
  });

  it('reads ellipses whole and in part, turned over or not', () => {
    const ellipse = (from: number, to: number, more: Pairs = []): Pairs => [
      [0, 'ELLIPSE'], [8, 'a'], [10, 5], [20, 5], [11, 12], [21, 5], [40, 0.5], [41, from], [42, to], ...more,
    ]; // prettier-ignore
    // Half-axes 13 and 6.5.
    expect(drawing(dxf([ellipse(0, 2 * Math.PI)])).colours[0]!.areaMm2 / (Math.PI * 13 * 6.5)).toBeCloseTo(1, 3);
    // A quarter with the two half-axes as its straight sides.
    const quarter = [ellipse(0, Math.PI / 2), line(5, 5, 17, 10), line(5, 5, 5 - 2.5, 5 + 6)];
    expect(drawing(dxf(quarter)).colours[0]!.areaMm2 / ((Math.PI * 13 * 6.5) / 4)).toBeCloseTo(1, 3);
  });

  it('weighs the points of rational splines: nine of them are a true circle', () => {
    const h = Math.SQRT1_2;
    const spots = [[1, 0, 1], [1, 1, h], [0, 1, 1], [-1, 1, h], [-1, 0, 1], [-1, -1, h], [0, -1, 1], [1, -1, h], [1, 0, 1]]; // prettier-ignore
    const spline: Pairs = [
      [0, 'SPLINE'], [8, 'a'], [70, 5], [71, 2],
      ...[0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4].map((k) => [40, k] as const),
      ...spots.map(([, , w]) => [41, w!] as const),
      ...spots.flatMap(([x, y]) => [[10, 10 * x!], [20, 10 * y!]] as const),
    ]; // prettier-ignore
    const { colours, widthMm } = drawing(dxf([spline]));
    expect(colours[0]!.areaMm2 / (Math.PI * 100)).toBeCloseTo(1, 3);
    expect(widthMm).toBeCloseTo(20, 2);
    // A spline of nothing but points to go through is smooth through them.
    const through: Pairs = [[0, 'SPLINE'], [8, 'a'], [71, 3], ...Array.from({ length: 25 }, (_, i) => [[11, 10 * Math.cos(i * Math.PI / 12)], [21, 10 * Math.sin(i * Math.PI / 12)]] as const).flat()]; // prettier-ignore
    expect(drawing(dxf([through])).colours[0]!.areaMm2 / (Math.PI * 100)).toBeCloseTo(1, 2);
  });

  it('puts blocks where they are put: scaled, turned, mirrored, in rows, within each other', () => {
    const block = (name: string, inside: readonly Pairs[]): Pairs => [
      [0, 'BLOCK'], [2, name], [10, 1], [20, 1], ...inside.flat(), [0, 'ENDBLK'],
    ]; // prettier-ignore
    const insert = (name: string, more: Pairs): Pairs => [[0, 'INSERT'], [8, 'a'], [2, name], ...more];
    const blocks: Pairs = [
      [0, 'SECTION'], [2, 'BLOCKS'],
      ...block('dot', [circle(1, 1, 2, '0')]),
      ...block('pair', [insert('dot', [[10, 1], [20, 1]]), insert('dot', [[10, 11], [20, 1]])]),
      [0, 'ENDSEC'],
    ]; // prettier-ignore
    const one = drawing(dxf([insert('dot', [[10, 30], [20, 40], [41, 3], [42, 2], [50, 90]])], 4, blocks)); // prettier-ignore
    // An ellipse of half-axes 6 and 4, stood upright.
    expect([one.widthMm, one.heightMm]).toEqual([expect.closeTo(8, 2), expect.closeTo(12, 2)]);
    const rows = drawing(dxf([insert('dot', [[10, 0], [20, 0], [70, 3], [71, 2], [44, 10], [45, 20]])], 4, blocks)); // prettier-ignore
    expect(rows.colours[0]!.rings).toHaveLength(6);
    expect([rows.widthMm, rows.heightMm]).toEqual([expect.closeTo(24, 2), expect.closeTo(24, 2)]);
    expect(
      drawing(
        dxf(
          [
            insert('pair', [
              [10, 0],
              [20, 0],
            ]),
          ],
          4,
          blocks,
        ),
      ).widthMm,
    ).toBeCloseTo(14, 2);
    expect(drawing(dxf([circle(0, 0, 3), insert('gone', [])], 4, blocks)).leftOut[0]!.what).toContain('blocks');
    // One that holds itself comes to an end.
    const loop: Pairs = [[0, 'SECTION'], [2, 'BLOCKS'], ...block('x', [insert('x', [[10, 9]]), circle(0, 0, 2)]), [0, 'ENDSEC']]; // prettier-ignore
    expect(readDxfDrawing(dxf([insert('x', [])], 4, loop)).ok).toBe(true);
  });

  it('turns over what was drawn from behind, and leaves out what is hidden or tilted, and says so', () => {
    const half: Pairs = [[0, 'ARC'], [8, 'a'], [10, 0], [20, 0], [40, 10], [50, -90], [51, 90], [230, -1]]; // prettier-ignore
    // From behind, the half on the right is the half on the left: it closes with a plate on that side only.
    const plate = [line(0, 10, 30, 10), line(30, 10, 30, -10), line(30, -10, 0, -10)];
    expect(drawing(dxf([half, ...plate])).colours[0]!.areaMm2).toBeCloseTo(600 + (Math.PI * 100) / 2, 0);
    const layers: Pairs = [[0, 'SECTION'], [2, 'TABLES'], [0, 'LAYER'], [2, 'off'], [62, -3], [0, 'LAYER'], [2, 'ice'], [70, 1], [0, 'ENDSEC']]; // prettier-ignore
    const tilted: Pairs = [...circle(0, 50, 9), [210, 1], [230, 0]];
    const hidden = drawing(dxf([circle(0, 0, 10), circle(50, 0, 9, 'off'), circle(80, 0, 9, 'ice'), tilted, [...circle(9, 90, 4), [67, 1]]], 4, layers)); // prettier-ignore
    expect(hidden.colours.map((c) => Math.round(c.areaMm2))).toEqual([314]);
    expect(hidden.leftOut.map(({ what, count }) => `${count} ${what}`)).toEqual([
      '2 parts that are hidden',
      '1 parts in a tilted plane',
      '1 parts of a paper layout',
    ]);
  });

  it('reads old polylines, smoothed ones and solids; whatever they leave out, it ends', () => {
    const vertex = (x: number, y: number, more: Pairs = []): Pairs => [[0, 'VERTEX'], [8, 'a'], [10, x], [20, y], ...more]; // prettier-ignore
    const old: Pairs = [[0, 'POLYLINE'], [8, 'a'], [66, 1], [70, 1], ...vertex(0, 0), ...vertex(20, 0, [[42, 1]]), ...vertex(20, 10), ...vertex(0, 10)]; // prettier-ignore
    // The frame of a smoothed line is not the line.
    const frame: Pairs = [...vertex(500, 500, [[70, 16]])];
    for (const end of [[[0, 'SEQEND']] as Pairs, [] as Pairs])
      expect(drawing(dxf([[...old, ...frame, ...end], circle(60, 5, 3)])).colours[0]!.areaMm2).toBeCloseTo(
        200 + (Math.PI * 25) / 2 + Math.PI * 9,
        0,
      );
    const solid: Pairs = [[0, 'SOLID'], [8, 'a'], [10, 0], [20, 0], [11, 10], [21, 0], [12, 0], [22, 5], [13, 10], [23, 5]]; // prettier-ignore
    expect(drawing(dxf([solid])).colours[0]!.areaMm2).toBeCloseTo(50, 6);
    const wide: Pairs = [[0, 'LWPOLYLINE'], [8, 'a'], [70, 1], [43, 2], [10, 0], [20, 0], [10, 9], [20, 0], [10, 0], [20, 9]]; // prettier-ignore
    expect(drawing(dxf([wide])).leftOut).toEqual([{ what: 'broad lines, taken as thin ones', count: 1 }]);
    // Counts that lie, an angle beyond all numbers, and a file that stops in the middle.
    const lying: Pairs = [[0, 'LWPOLYLINE'], [8, 'a'], [90, 999999999], [70, 1], [10, 0], [20, 0], [10, 9], [20, 0], [10, 0], [20, 9]]; // prettier-ignore
    expect(drawing(dxf([lying])).colours[0]!.areaMm2).toBeCloseTo(40.5, 6);
    const arc: Pairs = [
      [0, 'ARC'],
      [8, 'a'],
      [10, 0],
      [20, 0],
      [40, 5],
      [50, 1e308],
      [51, 90],
    ];
    expect(readDxfDrawing(dxf([arc, circle(0, 0, 4)])).ok).toBe(true);
    expect(readDxfDrawing(dxf([circle(0, 0, 4)]).slice(0, -15)).ok).toBe(true);
    expect(readDxfDrawing('AutoCAD Binary DXF\r\n\u001a\u0000')).toMatchObject({ problem: { why: expect.stringContaining('binary') } }); // prettier-ignore
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
  });
});
