import { checkDocument, examineProject, openFindings, supplyOf } from '@mivet/core';
import { describe, expect, it } from 'vitest';
import { testFonts } from '../../../core/test/fonts.ts';
import { demoProjects, demoShelf } from './demo.ts';
import { demoStock } from './demo-stock.ts';

const now = '2026-09-01T09:00:00.000Z';
const stock = demoStock(now).map(({ thing }) => thing);

describe('the demo', () => {
  it('fits the format', () => {
    for (const document of [...demoProjects(now), ...demoShelf(now), ...demoStock(now)])
      expect(checkDocument(document)).toMatchObject({ ok: true });
  });

  it('is ready to cut: nothing that fails and nothing left to look at', () => {
    for (const project of demoProjects('')) {
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
    const [tumbler] = demoProjects('');
    const butt = { ...tumbler!, seam: { ...tumbler!.seam, lapMm: 0 } };
    const examined = examineProject(butt, testFonts);
    if (!examined.ok) throw new Error(examined.problem.code);
    expect(openFindings(examined.findings).map((f) => f.finding.code)).toContain('seam-cut');
  });
});
