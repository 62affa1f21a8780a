import { describe, expect, it } from 'vitest';
import { at, jobOf } from '../../test/findings.ts';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, mug, plate, textItem, tumbler, wave } from '../../test/jobs.ts';
import { USUAL_HABITS } from '../bench/schools.ts';
import { NO_ACTS } from '../artwork/acts.ts';
import type { Project } from '../model/project.ts';
import { examineProject } from '../pipeline.ts';
import { pictureSvg } from '../io/html/picture-svg.ts';
import type { ShapeRole, StepPicture } from './step-picture.ts';
import { stepPictures } from './step-pictures.ts';

function picturesOf(project: Project, stepId: string, thingId: string | null = null): StepPicture[] {
  const habits = USUAL_HABITS;
  const examined = examineProject({ ...project, boardId: 'square' }, testFonts);
  if (!examined.ok) throw new Error(examined.problem.code);
  const step = examined.steps.find(({ id }) => id === stepId)!;
  const thing = examined.things.find(({ id }) => id === thingId) ?? null;
  return stepPictures(step, thing, { project, examined, unit: 'mm', habits });
}
/** Numbers of path data, in order. */
const numbers = (data: string): number[] => (data.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
const of = ({ shapes }: StepPicture, role: ShapeRole): number[][] => shapes.filter((shape) => shape.role === role).map(({ data }) => numbers(data)); // prettier-ignore
const reach = (values: readonly number[], axis: 0 | 1): [number, number] => {
  const own = values.filter((_, i) => i % 2 === axis);
  return [Math.min(...own), Math.max(...own)];
};
const cup = makeBlank({ girthRim: 260, side: 110 }, { bandBelowRimMm: 5 });

describe('pictures of a step', () => {
  it('number the counters where they are, row by row from the left', () => {
    const [first, last] = picturesOf(jobOf(cup, textItem('BOAT')), 'weed:deep-water');
    // Two in the B, one each in the O and the A.
    expect(first!.texts.map(({ text }) => text)).toEqual(['1', '2', '3', '4']);
    of(first!, 'out').forEach((ring, i) => {
      const { x, y } = first!.texts[i]!;
      const [[left, right], [top, foot]] = [reach(ring, 0), reach(ring, 1)];
      expect(x > left && x < right && y > top && y < foot).toBe(true);
    });
    expect(last!.shapes.some(({ role }) => role === 'arrow')).toBe(true);
    expect(first!.says).toBe('Counters come out in this order: 4');
  });

  it('from the back are mirrored: what was on the left is on the right', () => {
    const dots = Array.from({ length: 3 }, (_, i) => plate(`dot-${i}`, 3, 3, { placement: at({ facing: 'angle', angleDeg: 10 * i - 10, from: 'middle', mm: 0 }) })); // prettier-ignore
    const project = jobOf(cup, plate('big', 40, 20, { placement: at({ facing: 'angle', angleDeg: 60, from: 'middle', mm: 0 }) }), ...dots); // prettier-ignore
    const [picture] = picturesOf(project, 'weed:deep-water');
    const widest = of(picture!, 'film').map((data) => reach(data, 0)).sort(([a, b], [c, d]) => d - c - (b - a))[0]!; // prettier-ignore
    // Sixty degrees to the right on the cup are on the left of what one sees.
    expect(widest[1]).toBeLessThan(0);
    expect(picture!.says).toMatch(/mirrored$/);
  });

  it('draw the tape at its size round its film', () => {
    const [picture] = picturesOf(jobOf(cup, plate('a', 60, 50)), 'tape:deep-water');
    const sheet = of(picture!, 'tape')[0]!;
    // 60 × 50 mm, and a finger on every side.
    expect(reach(sheet, 0)[1] - reach(sheet, 0)[0]).toBeCloseTo(80, 1);
    expect(reach(sheet, 1)[1] - reach(sheet, 1)[0]).toBeCloseTo(70, 1);
    expect(picture!.texts.map(({ text }) => text)).toEqual(['80.0 mm', '70.0 mm']);
  });

  it('measure the mark from the rim on the blank, as its numbers say', () => {
    const job = jobOf(mug({ bandBelowRimMm: 5 }), plate('a', 40, 20, { placement: at({ facing: 'drinker', from: 'rim', mm: 20 }) })); // prettier-ignore
    const [picture] = picturesOf(job, 'mark');
    // Its top is 5 + 20 mm below the rim and its middle 10 mm lower; a quarter of 258 mm round from the handle.
    expect(picture!.texts.map(({ text }) => text).filter(Boolean)).toEqual(['25.0 mm', '35.0 mm', '64.5 mm round']);
    const [top, middle] = of(picture!, 'dimension').map((data) => reach(data, 1)).map(([from, to]) => to - from); // prettier-ignore
    // On a straight side what is seen in its middle keeps its proportions.
    expect(middle! / top!).toBeCloseTo(35 / 25, 2);
    expect(picture!.says).toBe('Handle to your right: this side faces you');
  });

  it('show film where it lies on the board', () => {
    const [picture] = picturesOf(jobOf(cup, plate('a', 60, 50)), 'place-film:1');
    const film = of(picture!, 'film')[0]!;
    expect(picture!.texts.at(-1)!.text).toMatch(/^Deep water from \d+ to \d+ mm$/);
    const [, from, to] = /from (\d+) to (\d+)/.exec(picture!.texts.at(-1)!.text)!;
    expect(reach(film, 0)).toEqual([Number(from), Number(to)]);
  });

  it('lay a layer over those below in three pictures, and press in three until all is down', () => {
    const stack = picturesOf(jobOf(cup, plate('a', 60, 50), plate('b', 30, 20, { film: 'ensign' })), 'stack:ensign');
    expect(stack).toHaveLength(3);
    const heights = stack.slice(1).map((picture) => reach(picture.shapes.filter(({ film }) => film === 'ensign').flatMap(({ data }) => numbers(data)), 1)[0]); // prettier-ignore
    expect(heights[0]).toBeLessThan(heights[1]!);
    const pressed = picturesOf(jobOf(tumbler(), wave(6)), 'lay').map((picture) => reach(of(picture, 'pressed')[0]!, 0));
    expect(pressed.map(([from, to]) => to - from)).toEqual([...pressed.map(([from, to]) => to - from)].sort((a, b) => a - b)); // prettier-ignore
    const film = reach(of(picturesOf(jobOf(tumbler(), wave(6)), 'lay')[2]!, 'pressed')[0]!, 0);
    expect(film).toEqual(pressed[2]);
  });

  it('draw every slit of the tape, and what stays of a mask', () => {
    const ball = jobOf(makeBlank({ girth: 250 }, { kind: 'ball', surface: 'glass', rimClearanceMm: 0 }), plate('a', 40, 40, { running: 'rigid' })); // prettier-ignore
    const examined = examineProject(ball, testFonts);
    const slits = examined.ok ? examined.wrap.tape.flatMap((sheet) => sheet.slits).length : -1;
    expect(slits).toBeGreaterThan(0);
    expect(of(picturesOf(ball, 'slit')[0]!, 'slit')).toHaveLength(slits);
    const words = { ...textItem('COX'), acts: { ...NO_ACTS, shapesOnly: true } };
    const mask = plate('mask', 100, 80, { acts: { ...NO_ACTS, cutAway: [words.id] } });
    const [picture] = picturesOf({ ...jobOf(cup, words, mask), process: 'etch' }, 'weed:deep-water');
    // C, O and X are openings.
    expect(picture!.says).toBe('Openings come out in this order: 3, the film round them stays');
  });

  it('are of the thing that one is at', () => {
    const words = textItem('COX', { size: { by: 'cap', mm: 9 } });
    const row = (id: string, name: string) => ({ id, name, count: 1, hand: null, capMm: null, blankId: null });
    const names = {
      itemId: words.id,
      widthMm: 58,
      leastCapMm: 5,
      closeMm: 0,
      rows: [row('r1', 'AO'), row('r2', 'III')],
    };
    const project = { ...jobOf(mug(), words), names };
    expect([picturesOf(project, 'weed:deep-water', 'r1')[0]!.texts.length, picturesOf(project, 'weed:deep-water', 'r2')[0]!.texts.length]).toEqual([2, 0]); // prettier-ignore
  });

  it('are written as SVG with what they show in words, and nothing of a name in it', () => {
    const [picture] = picturesOf(jobOf(cup, textItem('BO')), 'weed:deep-water');
    const svg = pictureSvg({ ...picture!, says: '<b>"1" & 2' }, []);
    expect(svg).toContain('aria-label="&lt;b&gt;&quot;1&quot; &amp; 2"');
    expect(svg.match(/<circle/g)).toHaveLength(3);
  });
});
