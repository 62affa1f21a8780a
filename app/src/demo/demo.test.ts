import { checkDocument, examineProject, openFindings, sizeBlank, solveFitPaper, supplyOf } from '@mivet/core';
import { describe, expect, it } from 'vitest';
import { testFonts } from '../../../core/test/fonts.ts';
import { demoProjects } from './demo.ts';
import { demoEntries } from './demo-entries.ts';
import { demoShelf } from './demo-shelf.ts';
import { demoStock } from './demo-stock.ts';

const now = '2026-09-01T09:00:00.000Z';
const stock = demoStock(now).map(({ thing }) => thing);

describe('the demo', () => {
  it('fits the format', () => {
    for (const document of [
      ...demoProjects(now),
      ...demoShelf(now),
      ...demoStock(now),
      ...demoEntries(now, demoShelf(now)),
    ])
      expect(checkDocument(document)).toMatchObject({ ok: true });
  });

  it('holds what its fit papers showed, as it is worked out from them', () => {
    const tried = demoProjects(now).flatMap(({ blank }) => blank.fitCheck ?? []);
    expect(tried).toHaveLength(5);
    for (const { blank } of demoProjects(now)) {
      if (!blank.fitCheck) continue;
      const { seen, before, after, sigma } = blank.fitCheck;
      const bare = { ...blank, fitCheck: null };
      const [sized, fit] = [sizeBlank(bare), solveFitPaper(bare, seen)];
      if (!sized.ok || !fit.ok) throw new Error(blank.name);
      const { rim, base, side } = sized.size;
      const worked = [{ girthRim: rim.surface, girthBase: base.surface, side }, fit.after, fit.sigma];
      [before, after, sigma].forEach((kept, i) => {
        for (const key of ['girthRim', 'girthBase', 'side'] as const) expect(kept[key]).toBeCloseTo(worked[i]![key], 3);
      });
    }
  });

  it('is ready to cut: nothing that fails and nothing left to look at', () => {
    for (const project of demoProjects('2026-05-04T10:00:00.000Z')) {
      const examined = examineProject(project, testFonts, undefined, supplyOf(stock, now.slice(0, 10)));
      if (!examined.ok) throw new Error(`${project.name}: ${examined.problem.code}`);
      expect(
        openFindings(examined.findings).map((f) => f.finding.id),
        project.name,
      ).toEqual([]);
      // Eight names, each with its oar, take a second board.
      expect(examined.sheet.plan.loads).toHaveLength(1);
    }
  });

  it('keeps what was accepted only while its numbers stand', () => {
    const [tumbler] = demoProjects('2026-05-04T10:00:00.000Z');
    const butt = { ...tumbler!, seam: { ...tumbler!.seam, lapMm: 0 } };
    const examined = examineProject(butt, testFonts);
    if (!examined.ok) throw new Error(examined.problem.code);
    expect(openFindings(examined.findings).map((f) => f.finding.code)).toContain('seam-cut');
  });
});
