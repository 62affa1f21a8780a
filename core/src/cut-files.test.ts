import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { contextOf, jobOf } from '../test/findings.ts';
import { tumbler, textItem, wave } from '../test/jobs.ts';
import { cutFiles, CUT_WRITERS, cutTime } from './cut-files.ts';
import { PLAIN_CUT } from './cut/extras.ts';
import { planJob } from './cut/job-sheet.ts';
import { writeDxf } from './job-files.ts';
import { flattenPath } from './plane/flatten.ts';
import { parsePathData } from './plane/path-data.ts';
import { boardById } from './sheet/board.ts';

type Line = [number, number][];

/** What a cutter does on reading HPGL: the lines that it draws with its pen down, mm. */
function runHpgl(text: string): { lines: Line[]; pens: number[] } {
  const lines: Line[] = [];
  const pens: number[] = [];
  let at: [number, number] = [0, 0];
  for (const command of text
    .split(';')
    .map((c) => c.trim())
    .filter(Boolean)) {
    const numbers = command.slice(2).split(',').filter(Boolean).map(Number);
    if (command.startsWith('SP')) pens.push(numbers[0]!);
    if (!/^P[UD]/.test(command)) continue;
    const down = command.startsWith('PD');
    if (down) lines.push([at]);
    for (let i = 0; i < numbers.length; i += 2) {
      at = [numbers[i]! / 40, numbers[i + 1]! / 40];
      if (down) lines.at(-1)!.push(at);
    }
  }
  return { lines, pens };
}

/** Lines of a DXF as another program reads it, its arcs as many points. */
function runDxf(text: string): Line[] {
  const read = new DxfParser().parseSync(text)!;
  return read.entities.map((entity) => {
    const { vertices, shape } = entity as unknown as {
      vertices: { x: number; y: number; bulge?: number }[];
      shape: boolean;
    };
    const all = shape ? [...vertices, vertices[0]!] : vertices;
    return all.flatMap((v, i): Line => {
      const next = all[i + 1];
      if (!next || !v.bulge) return [[v.x, v.y]];
      // sagitta = bulge · half the chord, to the right of the way for a counter-clockwise arc.
      const sweep = 4 * Math.atan(v.bulge);
      const [dx, dy] = [next.x - v.x, next.y - v.y];
      const radius = Math.hypot(dx, dy) / 2 / Math.sin(sweep / 2);
      const heading = Math.atan2(dy, dx) - sweep / 2;
      const [cx, cy] = [v.x - radius * Math.sin(heading), v.y + radius * Math.cos(heading)];
      return Array.from({ length: 32 }, (_, k): [number, number] => {
        const a = heading + (sweep * k) / 32;
        return [cx + radius * Math.sin(a), cy - radius * Math.cos(a)];
      });
    });
  });
}

/** Lines of an SVG cut file: its paths, y turned up again by the height that it says. */
function runSvg(text: string): Line[] {
  const height = Number(/viewBox="0 0 [\d.]+ ([\d.]+)"/.exec(text)![1]);
  return [...text.matchAll(/<path [^>]*d="([^"]+)"/g)].flatMap(([, data]) =>
    parsePathData(data!).map((path) => {
      const points = flattenPath(path, 0.002);
      const line: Line = [];
      // The reader turns y up about 0.
      for (let i = 0; i < points.length; i += 2) line.push([points[i]!, points[i + 1]! + height]);
      if (path.closed) line.push(line[0]!);
      return line;
    }),
  );
}

/** Farthest that a point of some lines is from other lines. */
function farthest(from: readonly Line[], to: readonly Line[]): number {
  const edges = to.flatMap((line) => line.slice(1).map((p, i) => [...line[i]!, ...p] as const));
  return Math.max(
    ...from.flat().map(([x, y]) =>
      Math.min(
        ...edges.map(([ax, ay, bx, by]) => {
          const [dx, dy] = [bx - ax, by - ay];
          const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
          return Math.hypot(ax + t * dx - x, ay + t * dy - y);
        }),
      ),
    ),
  );
}

describe('cut files in three formats', () => {
  const { job, wrap } = contextOf(
    jobOf(tumbler(), wave(5), textItem('COX', { film: 'ensign', size: { by: 'cap', mm: 9 } })),
  );
  const sheet = planJob(wrap.pieces, job.films, { ...boardById('long'), lengthMm: 3600 });
  const wish = { overcutMm: 0.5, weedingMm: 60, testMark: true };
  const files = cutFiles({ ...job, name: 'Cup' }, wrap.pieces, sheet, wish, [
    CUT_WRITERS.svg,
    writeDxf,
    CUT_WRITERS.hpgl,
  ]);
  const text = (name: string): string => files.find((f) => f.name === name)!.content as string;

  it('agree with each other within 0.03 mm, read by readers of their own', () => {
    expect(files.map((f) => f.name).sort()).toEqual(['cut-1-deep-water.dxf', 'cut-1-deep-water.hpgl', 'cut-1-deep-water.svg', 'cut-1-ensign.dxf', 'cut-1-ensign.hpgl', 'cut-1-ensign.svg']); // prettier-ignore
    for (const film of ['deep-water', 'ensign']) {
      const svg = runSvg(text(`cut-1-${film}.svg`));
      const dxf = runDxf(text(`cut-1-${film}.dxf`));
      const hpgl = runHpgl(text(`cut-1-${film}.hpgl`)).lines;
      expect([dxf.length, hpgl.length]).toEqual([svg.length, svg.length]);
      for (const [a, b] of [
        [svg, dxf],
        [dxf, svg],
        [svg, hpgl],
        [hpgl, svg],
      ] as const)
        // prettier-ignore
        expect(farthest(a, b)).toBeLessThan(0.03);
    }
  });

  it('give each film of a load a pen of its own, and cut the test mark before anything else', () => {
    expect(runHpgl(text('cut-1-deep-water.hpgl')).pens).toEqual([1, 0]);
    expect(runHpgl(text('cut-1-ensign.hpgl')).pens).toEqual([2, 0]);
    const [square, triangle] = runHpgl(text('cut-1-deep-water.hpgl')).lines;
    expect([square!.length, triangle!.length]).toEqual([5, 4]);
    // All of a load's numbers are whole and on the board.
    for (const [x, y] of runHpgl(text('cut-1-deep-water.hpgl')).lines.flat())
      expect(x >= 3 && x <= 3597 && y >= 3 && y <= 327).toBe(true);
  });

  it('lead back to the template mirrored as well, and are mirrored', () => {
    const plain = cutFiles({ ...job, name: 'Cup' }, wrap.pieces, sheet)[0]!.content as string;
    const turned = cutFiles({ ...job, name: 'Cup' }, wrap.pieces, sheet, { ...PLAIN_CUT, mirrored: true })[0]!.content as string; // prettier-ignore
    const template = (svg: string): Line[] => {
      const [a, b, c, d, e, f] = /data-to-template="([^"]+)"/.exec(svg)![1]!.split(' ').map(Number) as [number, number, number, number, number, number]; // prettier-ignore
      const height = Number(/viewBox="0 0 [\d.]+ ([\d.]+)"/.exec(svg)![1]);
      return runSvg(svg).map((line) =>
        line.map(([x, y]) => [a * x + c * (height - y) + e, b * x + d * (height - y) + f]),
      );
    };
    expect(farthest(template(plain), template(turned))).toBeLessThan(0.01);
    expect(farthest(template(turned), template(plain))).toBeLessThan(0.01);
    // The wave is no mirror image of itself: on the board the two differ.
    expect(farthest(runSvg(plain), runSvg(turned))).toBeGreaterThan(1);
  });
});

describe('cutTime', () => {
  it('goes by the pace of the cutter', () => {
    // There from the corner, 100 mm along, and home again: 100 mm at 50 mm/s with 0.1 s to get going and stop; two ways of
    // 0 and 100 mm at 100 mm/s; three halves of a lift of 0.2 s.
    const pieces = [{ pieceId: 'line', paths: [{ start: { x: 0, y: 0 }, segments: [{ kind: 'line' as const, to: { x: 100, y: 0 } }], closed: false }] }]; // prettier-ignore
    const pace = { cutMmS: 50, travelMmS: 100, accelMmS2: 500, liftS: 0.2 };
    expect(cutTime(pieces, pace)).toEqual({ cutMm: 100, seconds: expect.closeTo(2 + 0.1 + 1 + 0.2 + 0.3, 9) });
    expect(cutTime(pieces, { ...pace, cutMmS: 25 }).seconds).toBeCloseTo(4 + 0.05 + 1 + 0.2 + 0.3, 9);
  });
});
