import { NO_STOCK } from './load/supply.ts';
import { describe, expect, it } from 'vitest';
import { PLAIN_SEAM } from './seam/plain-seam.ts';
import { projectOf } from '../test/findings.ts';
import { testFonts } from '../test/fonts.ts';
import { makeBlank, makeJob, textItem, tumbler, wave } from '../test/jobs.ts';
import { filmFiles } from './io/files/cut-files.ts';
import type { Project } from './model/project.ts';
import type { Examined, StageMemo, StageName } from './pipeline.ts';
import { examineProject, examineStages, STAGE_NAMES } from './pipeline.ts';
import type { Materials } from './material/materials.ts';
import { STARTING_MATERIALS } from './material/materials.ts';
import { openFindings } from './proof/judged.ts';
import { signatureOf } from './proof/finding.ts';
import { USUAL_LIMITS } from './proof/limits.ts';
import type { Wrap } from './pieces/wrap.ts';

function examined(project: Project): Extract<Examined, { ok: true }> {
  const result = examineProject(project, testFonts);
  if (!result.ok) throw new Error(result.problem.code);
  return result;
}
const nearRim = (mm: number) =>
  textItem('OAR', { placement: { facing: 'front', angleDeg: 0, from: 'rim', mm, turnDeg: 0 } });
const project = projectOf(makeJob(tumbler(), [nearRim(3)]), 'long');

describe('examineProject', () => {
  it('keeps an acceptance while its numbers hold and drops it when they change', () => {
    const { finding } = examined(project).findings.find((f) => f.finding.code === 'rim-zone')!;
    const accepted = [{ findingId: finding.id, signature: signatureOf(finding), reason: 'Only for show' }];
    const kept = examined({ ...project, accepted });
    expect(kept.findings.find((f) => f.finding.id === finding.id)!.acceptedFor).toBe('Only for show');
    expect(openFindings(kept.findings).map((f) => f.finding.code)).not.toContain('rim-zone');
    const closer = examined({ ...project, accepted, items: [nearRim(1)] });
    expect(closer.findings.find((f) => f.finding.id === finding.id)!.acceptedFor).toBeNull();
    // Moved by less than is shown, it is the same finding.
    const same = examined({ ...project, accepted, items: [nearRim(3.004)] });
    expect(same.findings.find((f) => f.finding.id === finding.id)!.acceptedFor).toBe('Only for show');
  });

  it('shows what fails before what wants a look, and what is fine last', () => {
    const lapped = { seam: { ...PLAIN_SEAM, lapMm: 2 } };
    const rank = { fails: 0, look: 1, fine: 2 };
    const busy = projectOf(makeJob(tumbler(), [nearRim(-8), { ...nearRim(3), id: 'low' }, wave(9)], lapped), 'small');
    const order = examined(busy).findings.map((f) => rank[f.finding.severity]);
    expect(new Set(order).size).toBe(3);
    expect(order).toEqual([...order].sort());
  });

  it('passes on why a blank cannot be flattened, with the doubts about its readings', () => {
    const result = examineProject(
      projectOf(makeJob(makeBlank({ girthRim: 300, girthBase: 100, side: 20 }), [])),
      testFonts,
    );
    expect(result).toMatchObject({ ok: false, problem: { code: 'side-too-short', sideMm: 20 } });
    // (300 − 100)/2π is the least that the side can be.
    if (!result.ok && result.problem.code === 'side-too-short') expect(result.problem.leastMm).toBeCloseTo(31.83, 2);
  });

  it('has nothing open for a clean job', () => {
    expect(openFindings(examined({ ...project, items: [nearRim(40)] }).findings)).toEqual([]);
  });
});

describe('examineStages', () => {
  /** One run to its end: the wrap as it was told first, the stages that were told, and what came of them. */
  function run(
    doc: Project,
    memo: StageMemo,
    limits = USUAL_LIMITS,
  ): { first: Wrap; stages: StageName[]; result: Extract<Examined, { ok: true }> } {
    const steps = examineStages({ project: doc, fonts: testFonts, limits, supply: NO_STOCK, unit: 'mm' }, memo);
    const [wraps, stages]: [Wrap[], StageName[]] = [[], []];
    for (;;) {
      const step = steps.next();
      if (step.done) {
        if (!step.value.ok) throw new Error(step.value.problem.code);
        return { first: wraps[0]!, stages, result: step.value };
      }
      stages.push(step.value.stage);
      if (step.value.shape) wraps.push(step.value.shape.wrap);
    }
  }
  const doc: Project = { ...project, items: [nearRim(3), { ...nearRim(60), id: 'low' }] };

  it('tells the wrap before it is judged, and what comes of it is that of the whole in one', () => {
    const { first, stages, result } = run(doc, new Map());
    expect(stages).toEqual(STAGE_NAMES);
    expect(result.wrap).toBe(first);
    expect(result.findings).toEqual(examined(doc).findings);
  });

  /** Stages that are run again when something changes, after the project was worked through as it was. */
  function rerun(change: Partial<Project>, limits = USUAL_LIMITS): StageName[] {
    const memo: StageMemo = new Map();
    run(doc, memo);
    const before = new Map(memo);
    run({ ...doc, ...change }, memo, limits);
    return STAGE_NAMES.filter((name) => memo.get(name)!.made !== before.get(name)!.made);
  }

  it('runs a stage again only when something changes that it hangs on', () => {
    const from = (name: StageName): StageName[] => STAGE_NAMES.slice(STAGE_NAMES.indexOf(name));
    expect(rerun({ name: 'Another name', log: [], accepted: [] })).toEqual([]);
    expect(rerun({ blank: { ...doc.blank, notes: 'chipped' } })).toEqual(STAGE_NAMES);
    expect(rerun({ items: [nearRim(5)] })).toEqual(from('layout'));
    expect(rerun({ warm: true })).toEqual(from('layout'));
    expect(rerun({ seam: { ...doc.seam, lapMm: 3 } })).toEqual(from('layout'));
    expect(rerun({ seam: { ...doc.seam, panels: 2 } })).toEqual(from('pieces'));
    expect(rerun({ boardId: 'backed' })).toEqual(from('load'));
    expect(rerun({ process: 'etch' })).toEqual(from('proof'));
    expect(rerun({}, { ...USUAL_LIMITS, edgeDrift: 0.1 })).toEqual(from('proof'));
  });

  it('reckons with the materials that it is given', () => {
    const line = textItem('OAR', { size: { by: 'cap', mm: 12 } });
    const cup = projectOf(makeJob(makeBlank({ girthRim: 250, side: 90 }, { surface: 'painted' }), [line]), 'long');
    const by = (materials: Materials): Extract<Examined, { ok: true }> => {
      const input = { project: cup, fonts: testFonts, limits: USUAL_LIMITS, supply: NO_STOCK, unit: 'mm' as const };
      const steps = examineStages({ ...input, materials });
      for (;;) {
        const step = steps.next();
        if (step.done && step.value.ok) return step.value;
      }
    };
    const { films, surfaces, waits } = STARTING_MATERIALS;
    const gloss = films['gloss permanent'];
    const usual = by(STARTING_MATERIALS);
    // Letters of 12 mm have strokes of some 2 mm: film that holds only 4 tears there.
    const coarse = by({
      ...STARTING_MATERIALS,
      films: { ...films, 'gloss permanent': { ...gloss, finestStrokeMm: 4 } },
    });
    const codes = ({ findings }: typeof usual): string[] => findings.map((f) => f.finding.code);
    expect([codes(usual).includes('fine-stroke'), codes(coarse).includes('fine-stroke')]).toEqual([false, true]);
    const slow = by({
      ...STARTING_MATERIALS,
      surfaces: { ...surfaces, painted: { alcohol: false, dryMinutes: 33, give: 0 } },
      waits: { ...waits, wash: 72 * 60 },
    });
    const wait = ({ steps }: typeof usual, id: string): number => steps.find((step) => step.id === id)!.waitMinutes;
    expect([wait(usual, 'clean'), wait(slow, 'clean')]).toEqual([10, 33]);
    expect([wait(usual, 'cure'), wait(slow, 'cure')]).toEqual([48 * 60, 72 * 60]);
  });

  it('judges by the limits of the moment, and keeps what was accepted', () => {
    const memo: StageMemo = new Map();
    const first = run(doc, memo).result;
    const [{ finding }] = first.findings as [(typeof first.findings)[0]];
    const accepted = [{ findingId: finding.id, signature: signatureOf(finding), reason: 'So it is' }];
    const again = run({ ...doc, accepted }, memo).result;
    expect(again.findings.find((f) => f.finding.id === finding.id)!.acceptedFor).toBe('So it is');
    const strict = run(doc, memo, { ...USUAL_LIMITS, edgeDrift: 0.1 }).result;
    expect(strict.findings.map((f) => f.finding.code)).toContain('reading-weak');
  });

  it('can be left off after the wrap, and goes on from there the next time', () => {
    const memo: StageMemo = new Map();
    const input = { project: doc, fonts: testFonts, limits: USUAL_LIMITS, supply: NO_STOCK, unit: 'mm' as const };
    const steps = examineStages(input, memo);
    for (let step = steps.next(); !step.done && step.value.shape === null; step = steps.next());
    steps.return(undefined as never);
    expect([...memo.keys()]).toEqual(['measure', 'layout', 'pieces']);
    const wrap = memo.get('pieces')!.made;
    expect(run(doc, memo).result.wrap).toBe(wrap);
  });
});

describe('filmFiles', () => {
  it('writes one file for each film in each load, in true millimetres, inside the board', () => {
    const job = projectOf(
      makeJob(tumbler(), [wave(9), wave(9, { id: 'w2', film: 'shallows' }), textItem('STROKE', { film: 'ensign' })]),
      'long',
    );
    const { wrap, cut, sheet } = examined(job);
    const files = filmFiles(job, cut, sheet);
    expect(files.map((f) => f.name)).toEqual(
      sheet.plan.loads.flatMap((load) => load.strips.map((s) => `cut-${load.number}-${s.film}.svg`)),
    );
    for (const file of files) {
      const text = String(file.content);
      expect(text).toContain('width="600mm" height="290mm" viewBox="0 0 600 290"');
      const [, film] = /cut-\d+-(.+)\.svg/.exec(file.name)!;
      expect(text).toContain(`id="film-${film}"`);
      expect(text.match(/<path /g)).toHaveLength(wrap.pieces.filter((p) => p.film === film).length);
      expect(text).not.toMatch(/NaN|undefined|Infinity/);
      const strip = sheet.plan.loads.flatMap((l) => l.strips).find((s) => s.film === film)!;
      // Within the strip, the blade's margin of three millimetres in from its ends; controls of curves reach over a little.
      const xs = [...text.matchAll(/[MLC](-?[\d.]+) /g)].map((m) => Number(m[1]));
      expect(Math.min(...xs)).toBeGreaterThan(strip.from + 2.5);
      expect(Math.max(...xs)).toBeLessThan(strip.to - 2.5);
    }
  });

  it('writes nothing for a job without artwork', () => {
    const bare = projectOf(makeJob(tumbler(), []));
    const { cut, sheet } = examined(bare);
    expect(filmFiles(bare, cut, sheet)).toEqual([]);
  });
});
