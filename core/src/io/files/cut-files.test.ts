import { describe, expect, it } from 'vitest';
import { dxfLayers, hpglPens, runDxf, runHpgl, runSvg, svgFilms, type Line } from '../../../test/cut-readers.ts';
import { contextOf, jobOf } from '../../../test/findings.ts';
import { mug, plate, tumbler, textItem, wave } from '../../../test/jobs.ts';
import { cutFileNames } from '../../cut/file-names.ts';
import { CUT_WRITERS, filmFiles, loadFiles } from './cut-files.ts';
import { cutTime } from '../../cut/cut-time.ts';
import { PLAIN_CUT } from '../../cut/extras.ts';
import { planJob } from '../../load/job-sheet.ts';
import { writeDxf } from './job-files.ts';
import { boardById } from '../../load/boards.ts';

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
  const options = { overcutMm: 0.5, weedingMm: 60, testMark: true };
  const files = filmFiles({ ...job, name: 'Cup' }, wrap.pieces, sheet, options, [
    CUT_WRITERS.svg,
    writeDxf,
    CUT_WRITERS.hpgl,
  ]);
  const text = (name: string): string => files.find((f) => f.name === name)!.content as string;

  it('have a name for each strip, also where a film lies in several strips of one load', () => {
    const strip = (film: string, ...parts: string[]) => ({ film, parts: parts.map((part) => ({ part })) });
    const loads = [
      {
        number: 1,
        strips: [strip('chalk', 'bram', 'ida'), strip('chalk', 'tove', 'rosalind'), strip('ensign', 'ida')],
      },
      { number: 2, strips: [strip('chalk', ''), strip('chalk', ''), strip('chalk', 'ida')] },
    ];
    const films = [
      { id: 'chalk', name: 'Chalk' },
      { id: 'ensign', name: 'Ensign' },
    ];
    expect(cutFileNames(loads, films)).toEqual([
      'cut-1-chalk',
      'cut-1-chalk-strip-2',
      'cut-1-ensign-ida',
      'cut-2-chalk',
      'cut-2-chalk-strip-2',
      'cut-2-chalk-ida',
    ]);
    // A film of one's own is called by its name; two of one name are told apart.
    const own = ['one', 'two'].map((id) => ({ number: 1, strips: [strip(id, '')] }));
    const named = ['one', 'two'].map((id) => ({ id, name: 'Zoë’s plum' }));
    expect(cutFileNames(own, named)).toEqual(['cut-1-zoe-s-plum', 'cut-1-zoe-s-plum-2']);
  });

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

  it('are one for a whole load, each film a group, a layer and a pen of it, where its own file has it', () => {
    const three = jobOf(
      tumbler(),
      wave(5),
      textItem('COX', { film: 'ensign', size: { by: 'cap', mm: 9 } }),
      textItem('BOW', { id: 'bow', film: 'shallows', size: { by: 'cap', mm: 9 } }),
    );
    const { job: doc, wrap: laid } = contextOf(three);
    const planned = planJob(laid.pieces, doc.films, { ...boardById('long'), lengthMm: 3600 });
    const writers = [CUT_WRITERS.svg, writeDxf, CUT_WRITERS.hpgl];
    const project = { ...doc, name: 'Cup' };
    const load = loadFiles(project, laid.pieces, planned, options, writers);
    const single = filmFiles(project, laid.pieces, planned, options, writers);
    expect(load.map((f) => f.name)).toEqual(['load-1.svg', 'load-1.dxf', 'load-1.hpgl']);
    const [svg, dxf, hpgl] = load.map((f) => f.content as string) as [string, string, string];
    const groups = svgFilms(svg);
    const pens = hpglPens(hpgl);
    expect(Object.keys(groups)).toEqual(['film-deep-water', 'film-ensign', 'film-shallows']);
    expect(dxfLayers(dxf)).toEqual(['film-deep-water', 'film-ensign', 'film-shallows']);
    expect(pens.map(({ pen }) => pen)).toEqual([1, 2, 3]);
    for (const [i, film] of ['deep-water', 'ensign', 'shallows'].entries()) {
      const own = runSvg(single.find((f) => f.name === `cut-1-${film}.svg`)!.content as string);
      // The same numbers as in the file of the film alone, in the frame of the board.
      expect(groups[`film-${film}`]).toEqual(own);
      const lines = runDxf(dxf, `film-${film}`);
      expect([lines.length, pens[i]!.lines.length]).toEqual([own.length, own.length]);
      for (const other of [lines, pens[i]!.lines])
        expect(Math.max(farthest(own, other), farthest(other, own))).toBeLessThan(0.03);
      // Side by side along the board: each within its strip.
      const { from, to } = planned.plan.loads[0]!.strips[i]!;
      const xs = own.flat().map(([x]) => x);
      expect(Math.min(...xs) > from && Math.max(...xs) < to).toBe(true);
    }
  });

  it('swivel a drag knife at corners where pen movements are to allow for its offset', () => {
    // A square of 20 mm: round each corner the holder goes a quarter circle of 0.4 mm, so its box is 0.8 mm wider.
    const { job: doc, wrap: laid } = contextOf(jobOf(mug({ handleWidthMm: 0 }), plate('one', 20, 20, { running: 'rigid' }))); // prettier-ignore
    const planned = planJob(laid.pieces, doc.films, boardById('square'));
    const wide = (bladeOffsetMm: number): number[] => {
      const written = loadFiles({ ...doc, name: 'Tag' }, laid.pieces, planned, { ...PLAIN_CUT, bladeOffsetMm }, [CUT_WRITERS.hpgl]); // prettier-ignore
      const points = runHpgl(written[0]!.content as string).lines.flat();
      return [0, 1].map((axis) => Math.max(...points.map((p) => p[axis]!)) - Math.min(...points.map((p) => p[axis]!)));
    };
    for (const mm of wide(0)) expect(mm).toBeCloseTo(20, 1);
    for (const mm of wide(0.4)) expect(mm).toBeCloseTo(20.8, 1);
  });

  it('lead back to the template mirrored as well, and are mirrored', () => {
    const plain = filmFiles({ ...job, name: 'Cup' }, wrap.pieces, sheet)[0]!.content as string;
    const turned = filmFiles({ ...job, name: 'Cup' }, wrap.pieces, sheet, { ...PLAIN_CUT, mirrored: true })[0]!.content as string; // prettier-ignore
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
