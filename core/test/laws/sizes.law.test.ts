import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { loadFiles } from '../../src/io/files/cut-files.ts';
import { examineProject } from '../../src/pipeline.ts';
import type { Project } from '../../src/model/project.ts';
import { boxOfCoordinates, boxHeight, boxWidth } from '../../src/plane/box.ts';
import { cutSize } from '../../src/layout/cut-size.ts';
import { projectOf } from '../findings.ts';
import { testFonts } from '../fonts.ts';
import { makeBlank, makeJob, plate } from '../jobs.ts';
import { anyItem } from '../random.ts';
import { runSvg, type Line } from '../cut-readers.ts';

/** The size that the slip tells of the only item, and the size of all that its files cut, whichever way they lie. */
function shownAndWritten(project: Project): { shown: number[]; written: number[] } {
  const examined = examineProject(project, testFonts);
  if (!examined.ok) throw new Error(examined.problem.code);
  const { wrap, cut, sheet } = examined;
  const size = cutSize(wrap.placed, wrap.placed[0]!)!;
  const [file, ...more] = loadFiles(project, cut, sheet);
  expect(more).toEqual([]);
  const points = runSvg(file!.content as string).flat(2);
  const box = boxOfCoordinates(points);
  const sorted = (a: number, b: number): number[] => [a, b].sort((x, y) => x - y);
  return { shown: sorted(size.width, size.height), written: sorted(boxWidth(box), boxHeight(box)) };
}

const PLACED = { facing: 'front' as const, angleDeg: 0, from: 'middle' as const, mm: 0, turnDeg: 0 };

/** Lines of the only file of a project. */
function linesOf(project: Project): Line[] {
  const examined = examineProject(project, testFonts);
  if (!examined.ok) throw new Error(examined.problem.code);
  return runSvg(loadFiles(project, examined.cut, examined.sheet)[0]!.content as string);
}

/** A plate that was laid round a cone, measured as a sector of a ring: mm along the arc half way up, and mm up. */
function sectorOf(line: Line): { across: number; high: number } {
  const ring = line.slice(0, -1);
  const at = (i: number): [number, number] => ring[(i + ring.length) % ring.length]!;
  const heading = (i: number): number => Math.atan2(at(i + 1)[1] - at(i)[1], at(i + 1)[0] - at(i)[0]);
  const turns = ring.map((_, i) => Math.abs(Math.sin((heading(i) - heading(i - 1)) / 2)));
  const corners = turns.flatMap((turn, i) => (turn > 0.5 ? [i] : []));
  expect(corners).toHaveLength(4);
  // Of its four edges the two that bow least are the straight ones.
  const edges = corners.map((from, k) => {
    const to = corners[(k + 1) % 4]! + (k === 3 ? ring.length : 0);
    const [a, b] = [at(from), at(to)];
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    let bow = 0;
    for (let i = from; i <= to; i += 1)
      bow = Math.max(bow, Math.abs((at(i)[0] - a[0]) * (b[1] - a[1]) - (at(i)[1] - a[1]) * (b[0] - a[0])) / long);
    return { a, b, long, bow };
  });
  const [one, other] = [...edges].sort((x, y) => x.bow - y.bow);
  const [d, e] = [one!, other!].map(({ a, b }) => [b[0] - a[0], b[1] - a[1]] as const);
  const cross = d![0] * e![1] - d![1] * e![0];
  const t = ((other!.a[0] - one!.a[0]) * e![1] - (other!.a[1] - one!.a[1]) * e![0]) / cross;
  const apex = [one!.a[0] + t * d![0], one!.a[1] + t * d![1]] as const;
  const [near, far] = [one!.a, one!.b].map((p) => Math.hypot(p[0] - apex[0], p[1] - apex[1]));
  const angle = Math.asin(Math.abs(cross) / one!.long / other!.long);
  return { across: (angle * (near! + far!)) / 2, high: (one!.long + other!.long) / 2 };
}

// Where a side unrolls without bending what lies on it, a file is as large as what lies there.
const BLANKS = [
  makeBlank({ girthRim: 300, side: 120 }),
  makeBlank({ width: 140, height: 90 }, { kind: 'flat' }),
  makeBlank({ across: 120 }, { kind: 'lid' }),
  makeBlank({ girth: 300 }, { kind: 'ball' }),
];

describe('the size that is shown', () => {
  it('is the size that is written, whatever it is, however it lies and whatever is done to it', () => {
    fc.assert(
      fc.property(anyItem('one'), fc.constantFrom(...BLANKS), (item, blank) => {
        const { shown, written } = shownAndWritten(projectOf(makeJob(blank, [item]), 'long'));
        // 0.05 mm is what refitted curves may stray by, on both sides.
        written.forEach((mm, i) => expect(Math.abs(mm - shown[i]!)).toBeLessThan(0.1));
      }),
      { numRuns: 120 },
    );
  });

  it('is the size that is written round a cone too: sides that meet at its apex, an arc between them', () => {
    const between = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
    const ratio = fc.oneof(between(0.7, 0.8), between(1.25, 1.4));
    fc.assert(
      fc.property(ratio, between(220, 320), between(20, 60), between(6, 40), between(-25, 25), (r, girthRim, w, h, mm) => {
        const blank = makeBlank({ girthRim, girthBase: girthRim * r, side: 140 });
        const item = plate('one', w, h, { running: 'round', placement: { ...PLACED, mm } });
        const project = projectOf(makeJob(blank, [item]), 'long');
        const { shown } = shownAndWritten(project);
        const { across, high } = sectorOf(linesOf(project)[0]!);
        expect(Math.abs(Math.max(across, high) - shown[1]!)).toBeLessThan(0.1);
        expect(Math.abs(Math.min(across, high) - shown[0]!)).toBeLessThan(0.1);
      }),
      { numRuns: 40 },
    ); // prettier-ignore
  });

  it('keeps gaps that close letters up, at whatever size', () => {
    fc.assert(
      fc.property(fc.double({ min: 3, max: 60, noNaN: true }), fc.double({ min: -0.1, max: 0.4, noNaN: true }), (mm, share) => {
        const item = { ...anyText, size: { by: 'cap' as const, mm }, letterGapMm: share * 18, gapsAtMm: 18 };
        const wide = (of: typeof item): number => {
          const examined = examineProject(projectOf(makeJob(BLANKS[0]!, [of])), testFonts);
          return examined.ok ? cutSize(examined.wrap.placed, examined.wrap.placed[0]!)!.width : NaN;
        };
        // Twice as high is twice as long, gaps included.
        expect(wide({ ...item, size: { by: 'cap', mm: 2 * mm } }) / wide(item)).toBeCloseTo(2, 2);
      }),
      { numRuns: 20 },
    ); // prettier-ignore
  });
});

const anyText = fc.sample(anyItem('t', false).filter((item) => item.type === 'text' && item.ring === null && item.acts.thickenMm === 0), { numRuns: 1, seed: 7 })[0] as Extract<import('../../src/model/item.ts').ArtworkItem, { type: 'text' }>; // prettier-ignore
