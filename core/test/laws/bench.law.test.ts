import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { BenchStep } from '../../src/bench/step.ts';
import { layerOf } from '../../src/layers/layer.ts';
import { SCHOOLS } from '../../src/bench/schools.ts';
import type { Habits } from '../../src/model/habits.ts';
import type { Job } from '../../src/model/job.ts';
import type { Project } from '../../src/model/project.ts';
import { examineProject, type Examined } from '../../src/pipeline.ts';
import { testFonts } from '../fonts.ts';
import { anyProject } from '../random.ts';

const process = fc.constantFrom<Job['process']>('decal', 'decal', 'strip', 'etch', 'blast', 'paint');
const lay = fc.constantFrom<Job['stack']['lay']>('flat', 'flat', 'on the blank');
const jobs = fc.tuple(anyProject, process, lay, fc.boolean()).map(([project, how, laid, singly]): Project => ({
  ...project,
  process: how,
  stack: { ...project.stack, lay: laid },
  items: project.items.map((item, i) => (singly && i === 0 ? { ...item, byItself: true } : item)),
}));

/** mm round a layer's film on each of its sheets, from its points alone. */
function boxes({ wrap }: Extract<Examined, { ok: true }>, layer: string | null): [number, number][] {
  const parts = new Map<string, number[]>();
  for (const piece of wrap.pieces) {
    if (piece.spare || (layer !== null && layerOf(piece) !== layer)) continue;
    const box = parts.get(piece.part) ?? [Infinity, Infinity, -Infinity, -Infinity];
    const { outer } = piece.flat;
    for (let i = 0; i < outer.length; i += 2) {
      box[0] = Math.min(box[0]!, outer[i]!);
      box[1] = Math.min(box[1]!, outer[i + 1]!);
      box[2] = Math.max(box[2]!, outer[i]!);
      box[3] = Math.max(box[3]!, outer[i + 1]!);
    }
    parts.set(piece.part, box);
  }
  return [...parts.values()].map(([x, y, right, top]) => [right! - x!, top! - y!]);
}

const schoolsOf = <K extends keyof Habits>(id: K): fc.Arbitrary<Habits[K]> =>
  fc.constantFrom(...SCHOOLS[id].schools.map(({ value }) => value));
const habits: fc.Arbitrary<Habits> = fc.record({
  weeding: schoolsOf('weeding'),
  laying: schoolsOf('laying'),
  building: schoolsOf('building'),
  aiming: schoolsOf('aiming'),
  seam: schoolsOf('seam'),
  washing: schoolsOf('washing'),
  heat: schoolsOf('heat'),
  masks: schoolsOf('masks'),
  batch: schoolsOf('batch'),
});

describe('laws of the guide', () => {
  it('counts what there is, keeps its order, tells each hazard once and tapes each film once', () => {
    fc.assert(
      fc.property(jobs, habits, (project, own) => {
        const examined = examineProject(project, testFonts, undefined, undefined, undefined, 'mm', own);
        if (!examined.ok) return;
        const { steps, wrap } = examined;
        const at = new Map(steps.map(({ id }, i) => [id, i]));
        expect(at.size).toBe(steps.length);
        const of = (kind: BenchStep['kind']): BenchStep[] => steps.filter((step) => step.kind === kind);
        steps.forEach((step, i) => {
          for (const id of step.after) expect(at.get(id)!).toBeLessThan(i);
          // What is done beside a wait does not wait for it.
          for (const id of step.beside) expect(steps[at.get(id)!]!.after).not.toContain(step.id);
        });
        const cautions = steps.flatMap((step) => step.cautions);
        expect(new Set(cautions).size).toBe(cautions.length);
        const laid = wrap.pieces.filter(({ spare }) => !spare);
        for (const { layer, numbers } of of('weed')) {
          const own = laid.filter((piece) => layerOf(piece) === layer);
          expect([numbers.pieces, numbers.counters]).toEqual([own.length, own.reduce((sum, { flat }) => sum + flat.holes.length, 0)]); // prettier-ignore
        }
        expect(of('weed').reduce((sum, { numbers }) => sum + numbers.pieces!, 0)).toBe(laid.length);
        const taped = of('tape').map(({ layer }) => layer);
        expect(new Set(taped).size).toBe(taped.length);
        for (const { layer, numbers } of of('tape')) {
          // The largest sheet is a finger larger than its film on every side.
          const fits = boxes(examined, layer).some(
            ([wide, high]) =>
              Math.abs(numbers.tapeWidthMm! - wide - 20) < 1e-6 && Math.abs(numbers.tapeHeightMm! - high - 20) < 1e-6,
          );
          expect(fits).toBe(true);
          expect(numbers.count).toBe(boxes(examined, layer).length);
        }
        const drawn = wrap.tape.reduce((sum, { slits }) => sum + slits.length, 0);
        expect(of('slit').map(({ numbers }) => numbers.slits)).toEqual(drawn > 0 ? [drawn] : []);
        const [slit, first] = [of('slit')[0], [...of('aim'), ...of('lay')].map(({ id }) => at.get(id)!)];
        if (slit) expect(at.get(slit.id)!).toBeLessThan(Math.min(...first));
        // The distance that is measured on the blank is that of the piece that lies highest, from its points alone.
        const highest = (layer: string | null): number => {
          const own = laid.filter((piece) => !piece.byItself && (layer === null || layerOf(piece) === layer));
          return Math.min(...own.map(({ unrolled }) => Math.min(...unrolled.outer.filter((_, i) => i % 2 === 1).map((y) => -y)))); // prettier-ignore
        };
        const plain = ['straight', 'tapered'].includes(project.blank.kind);
        for (const { numbers, layer } of of('aim'))
          if (plain && numbers.topBelowRimMm !== undefined)
            expect(numbers.topBelowRimMm).toBeCloseTo(highest(layer) + project.blank.bandBelowRimMm, 1);
        // Nothing is warmed before what was wiped on has dried.
        const heated = steps.findIndex(({ cautions: own }) => own.includes('heat'));
        if (heated >= 0) expect(at.get('clean')!).toBeLessThan(heated);
        // Film goes on what was just cleaned.
        if (laid.length > 0) for (const i of first) expect(at.get('clean')!).toBeLessThan(i);
        const words = steps.map(({ title, body, caution }) => `${title} ${body} ${caution ?? ''}`).join(' ');
        if (project.process !== 'decal') expect(words).not.toMatch(/cure|microwave|lip zone/i);
      }),
      { numRuns: 25 },
    );
  });
});
