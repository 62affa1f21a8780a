import { describe, expect, it } from 'vitest';
import { at, jobOf } from '../../test/findings.ts';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, motifItem, plate, tumbler, wave } from '../../test/jobs.ts';
import type { Project } from '../model/project.ts';
import { examineProject, type Examined } from '../pipeline.ts';
import { writeGuideSvg } from '../io/svg/write-guide.ts';
import { CUT_WRITERS, loadFiles } from '../io/files/cut-files.ts';
import { cutStrip } from '../cut/order.ts';
import { marksCost } from '../load/marks-cost.ts';
import { NO_STOCK } from '../load/supply.ts';
import type { Stack } from '../model/stack.ts';

const buoys = (downMm: number): ReturnType<typeof motifItem> =>
  motifItem('buoy', { id: 'buoys', film: 'brass', widthMm: 8, repeat: { mode: 'spaced', count: 8 }, placement: at({ mm: downMm }) }); // prettier-ignore
function examined(project: Project, stack: Partial<Stack> = {}): Extract<Examined, { ok: true }> {
  const result = examineProject({ ...project, stack: { ...project.stack, ...stack } }, testFonts);
  if (!result.ok) throw new Error(result.problem.code);
  return result;
}
const onWave = jobOf(tumbler(), wave(9), buoys(48));

describe('how layers are lined up', () => {
  it('goes by the rule: marks for many things that meet film below, and for the lowest; none for few or for what lies apart', () => {
    expect(examined(onWave).stack.layers.map((l) => [l.layer, l.bodies, l.marked, l.byRule])).toEqual([
      ['deep-water', 1, true, true],
      ['brass', 8, true, true],
    ]);
    expect(examined(jobOf(tumbler(), wave(9), buoys(0))).stack.layers.some((l) => l.marked)).toBe(false);
    const few = { ...buoys(48), repeat: { mode: 'spaced', count: 3 } } as const;
    expect(examined(jobOf(tumbler(), wave(9), few)).stack.layers.some((l) => l.marked)).toBe(false);
    const byHand = examined(onWave, { marks: { brass: 'by hand' } });
    expect(byHand.stack.layers.map((l) => l.marked)).toEqual([false, false]);
    expect(byHand.cut.some((piece) => piece.mark)).toBe(false);
  });

  it('counts the pieces that can move apart: a drawing of eighty-four loose ones is many things', () => {
    const dots = Array.from({ length: 84 }, (_, i) => `M${(i % 12) * 4 - 24} ${Math.floor(i / 12) * 4 - 14}h3v3h-3Z`).join(''); // prettier-ignore
    const drawing = plate('dots', 48, 28, { film: 'brass', pathData: dots });
    const { layers } = examined(jobOf(tumbler(), plate('body', 60, 40), drawing)).stack;
    expect(layers.map((l) => [l.layer, l.bodies, l.marked])).toEqual([['deep-water', 1, true], ['brass', 84, true]]); // prettier-ignore
  });

  it('lets a film stand twice: each layer is cut, marked and weeded by itself, from the same film', () => {
    // A white square, a red one on it, five white ones on the red.
    const faces = [-12, -6, 0, 6, 12].map((x) => plate(`f${x}`, 4, 4, { film: 'chalk', placement: at({ facing: 'angle', angleDeg: (x / 300) * 360 }) })); // prettier-ignore
    const project = jobOf(makeBlank({ girthRim: 300, side: 120 }), plate('low', 40, 40, { film: 'chalk' }), plate('red', 30, 30, { film: 'ensign' }), ...faces); // prettier-ignore
    const { stack, cut, sheet, steps, wrap } = examined(project);
    expect(stack.layers.map((l) => [l.layer, l.pieces, l.bodies, l.marked])).toEqual([
      ['chalk', 1, 1, true],
      ['ensign', 1, 1, false],
      ['chalk/2', 5, 5, true],
    ]);
    expect(stack.deepest!.layers).toEqual(['chalk', 'ensign', 'chalk/2']);
    const strip = sheet.plan.loads.flatMap(({ strips }) => strips).find(({ film }) => film === 'chalk')!;
    expect(strip.parts.map(({ part }) => part).sort()).toEqual(['', 'upper']);
    // Of each: what is cut of it, with two squares.
    expect(cutStrip(cut, strip).map(({ part }) => part).sort()).toEqual([...Array(3).fill(''), ...Array(7).fill('upper')]); // prettier-ignore
    const [file] = loadFiles({ ...project, films: project.films }, cut, sheet, { overcutMm: 0, weedingMm: 0, testMark: false }, [CUT_WRITERS.svg]); // prettier-ignore
    expect((file!.content as string).match(/data-part="upper"/g)).toHaveLength(1);
    expect(steps.filter(({ id }) => id.startsWith('weed')).map(({ id, title }) => `${id} ${title}`)).toEqual([
      'weed:chalk Weed Chalk, lower: 1 piece stays',
      'weed:ensign Weed Ensign: 1 piece stays',
      'weed:chalk/2 Weed Chalk, upper: 5 pieces stay',
    ]);
    expect(steps.find(({ id }) => id === 'stack:ensign')!.body).toContain(
      'Chalk, lower, then Ensign, then Chalk, upper',
    );
    // The faces lie on two films of 0.07 mm: a turn of theirs is 2π times that longer than of what lies on the blank.
    const thick = (id: string): number => project.films.find((film) => film.id === id)!.thicknessMm;
    expect(wrap.liesOn.get('f0')![0]).toBeCloseTo(thick('chalk') + thick('ensign'), 3);
    const once = examined(project, { levels: 'once' });
    expect(once.stack.layers.map((l) => l.layer)).toEqual(['chalk', 'ensign']);
    expect(once.sheet.plan.loads.flatMap(({ strips }) => strips.flatMap((s) => s.parts))).toHaveLength(2);
  });

  it('does without marks where they do not fit the board, says so, and offers to do without them', () => {
    // On a sheet of 100 × 100 mm a square of 97 leaves no room for a mark of 6 with 2 beside it.
    const tight = jobOf(makeBlank({ girthRim: 400, side: 120 }), plate('body', 286, 100), ...[0, 1, 2, 3, 4].map((i) => plate(`p${i}`, 8, 8, { film: 'brass', placement: at({ facing: 'angle', angleDeg: i * 20 - 40 }) }))); // prettier-ignore
    const { stack, findings, cut } = examined({ ...tight, boardId: 'square' }, { marks: { 'deep-water': 'marks', brass: 'marks' } }); // prettier-ignore
    expect(stack.layers.map((l) => l.marksMm2)).toContain(null);
    for (const { marksMm2 } of stack.layers) expect(marksMm2 ?? 0).toBeGreaterThanOrEqual(0);
    const found = findings.find(({ finding }) => finding.code === 'load-fit')!.finding;
    expect(found.fixes.map((fix) => fix.do)).toContain('mark-layers');
    expect(cut.some((piece) => piece.film === 'deep-water' && !piece.mark)).toBe(true);
  });

  it('cuts the same two squares beside every marked film, and takes what they cost from the plan', () => {
    const can = jobOf(makeBlank({ girthRim: 250, side: 100 }), wave(9), buoys(30));
    const [plain, marked] = [examined(can, { marks: { brass: 'by hand', 'deep-water': 'by hand' } }), examined(can)];
    const squares = (film: string): string[] =>
      marked.cut.filter((p) => p.mark && p.film === film).map((p) => JSON.stringify(p.flatBox));
    expect(squares('brass')).toHaveLength(2);
    expect(squares('brass')).toEqual(squares('deep-water'));
    const taken = ({ sheet }: typeof plain, film: string): number =>
      sheet.plan.loads.flatMap((l) => l.strips).filter((s) => s.film === film).reduce((sum, s) => sum + s.used.along * s.used.across, 0); // prettier-ignore
    const would = marksCost(can, plain, NO_STOCK);
    for (const { layer, marksMm2 } of marked.stack.layers) {
      expect(marksMm2).toBe(taken(marked, layer) - taken(plain, layer));
      expect(would.of(layer)).toBe(marksMm2);
    }
    // Nothing hangs on what they would cost a single border; eight buoys by hand are something to think about.
    expect(plain.stack.layers.map((l) => l.marksMm2)).toEqual([null, marked.stack.layers[1]!.marksMm2]);
    // They are no pieces of the design.
    expect(marked.sheet.needs.map((n) => n.pieces)).toEqual(plain.sheet.needs.map((n) => n.pieces));
  });

  it('stands ticks on the rim edge where film is laid on the blank', () => {
    const { cut } = examined(onWave, { lay: 'on the blank' });
    const ticks = cut.filter((piece) => piece.mark);
    // Two, and one at the middle of the design, for each of two films.
    expect(ticks.length).toBe(6);
    const middle = ticks.filter(({ flatBox }) => Math.abs((flatBox.minX + flatBox.maxX) / 2) < 0.01);
    expect(middle.length).toBe(2);
    for (const { flatBox } of ticks) {
      // The rim edge is an arc about the apex of the cone: girths of 276 and 214 mm, 168 mm apart along the side.
      const apex = (276 * 168) / (276 - 214);
      const slant = apex - Math.hypot((flatBox.minX + flatBox.maxX) / 2, apex + flatBox.minY);
      expect(Math.abs(slant)).toBeLessThan(0.1);
    }
  });
});

describe('the guide of a load', () => {
  it('has the outline of the board, which no cut file has, and from where to where film lies', () => {
    const { cut, sheet } = examined(onWave);
    const { plan } = sheet;
    const guide = writeGuideSvg(plan.loads[0]!, (s) => cutStrip(cut, s), onWave.films, plan.board, 'Guide', 'mm');
    expect(guide).toContain(`width="${plan.board.lengthMm}mm"`);
    expect(guide).toContain(`<rect x="0" y="0" width="${plan.board.lengthMm}" height="${plan.board.widthMm}"`);
    for (const { from, to } of plan.loads[0]!.strips) expect(guide).toContain(`data-from="${from}" data-to="${to}"`);
    expect(guide).not.toMatch(/NaN|undefined/);
    for (const { content } of loadFiles(onWave, cut, sheet)) expect(String(content)).not.toContain('<rect');
  });
});
