import { describe, expect, it } from 'vitest';
import { jobOf, contextOf } from '../../test/findings.ts';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, motifItem, plate } from '../../test/jobs.ts';
import { worthALook } from '../film/of-piece.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';
import type { Looked } from '../model/looked.ts';
import type { Project } from '../model/project.ts';
import { examineProject } from '../pipeline.ts';
import { stepPictures } from '../present/step-pictures.ts';
import { USUAL_HABITS } from './schools.ts';

const job = jobOf(makeBlank({ girth: 252 }, { kind: 'ball' }), motifItem('star', { id: 'star', film: 'deep-water', widthMm: 44, running: 'rigid' })); // prettier-ignore
const order = { way: 'centre out', pulled: 0, tents: 1, tallestMm: 0.02, tentedMm2: 3, pull: 0, push: 0 } as const;
/** The project as it would be when a look had shown this. */
function seen(change: Partial<Looked>, project: Project = job): Project {
  const [first] = worthALook(project, contextOf(project).wrap, STARTING_MATERIALS, 0.1);
  return { ...project, looked: [{ of: first!.key, edgeMm: 2, orders: [order], tents: [], largest: null, slits: null, ...change }] }; // prettier-ignore
}
function layStep(project: Project): string {
  const examined = examineProject(project, testFonts);
  if (!examined.ok) throw new Error(examined.problem.code);
  return examined.steps.find(({ id }) => id === 'lay')!.body;
}
const tent = { x: 12, y: -2, lengthMm: 5, direction: 0, heightMm: 0.18, areaMm2: 9 };

describe('the step that lays, after a closer look', () => {
  it('says in which order a piece goes on, how far it is pulled, and where air is to be expected', () => {
    const body = layStep(seen({ orders: [{ ...order, way: 'middle line first', pulled: 0.0135, tallestMm: 0.18 }], tents: [tent] })); // prettier-ignore
    expect(body).toContain('Star: along its middle line first, pulled evenly by 1.4 % as you go.');
    expect(body).toContain('Expect air at its right, where it stands off by up to 0.2 mm');
  });

  it('names the place as one sees it', () => {
    const at = (x: number, y: number): string => /Expect air (.*?), where/.exec(layStep(seen({ orders: [{ ...order, tallestMm: 0.3 }], tents: [{ ...tent, x, y }] })))![1]!; // prettier-ignore
    expect([at(1, 1), at(-12, 0), at(-12, 15), at(12, -15), at(0, 15), at(2, -15)]).toEqual(['in its middle', 'at its left', 'at its upper left', 'at its lower right', 'at its top', 'at its foot']); // prettier-ignore
  });

  it('draws the ridges that count, and the shortest way out for the air', () => {
    const square = jobOf(makeBlank({ girth: 252 }, { kind: 'ball' }), plate('a', 40, 40, { running: 'rigid' }));
    const low = { ...tent, x: -5, heightMm: 0.049 };
    const project = seen({ orders: [{ ...order, tallestMm: 0.3 }], tents: [tent, low] }, square);
    const examined = examineProject(project, testFonts);
    if (!examined.ok) throw new Error(examined.problem.code);
    const step = examined.steps.find(({ id }) => id === 'lay')!;
    const pictures = stepPictures(step, null, { project, examined, unit: 'mm', habits: USUAL_HABITS });
    const air = pictures.filter(({ says }) => says.startsWith('Expect air'));
    expect(pictures.length - air.length).toBe(3);
    const [box, { shapes }] = [examined.wrap.pieces[0]!.flatBox, air[0]!];
    const numbers = (role: string): number[][] => shapes.filter((shape) => shape.role === role).map(({ data }) => data.match(/-?\d+(\.\d+)?/g)!.map(Number)); // prettier-ignore
    const [x, y] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
    expect(numbers('air')).toEqual([
      [x + 9.5, -(y - 2), x + 14.5, -(y - 2)].map((v) => expect.closeTo(v, 1) as number),
    ]);
    // Straight to the right-hand edge, 20 mm from the middle, and on past it.
    const [arrow] = numbers('arrow');
    expect([arrow![0], arrow![1], arrow![3]]).toEqual(
      [x + 12, -(y - 2), -(y - 2)].map((v) => expect.closeTo(v, 1) as number),
    );
    expect(arrow![2]).toBeGreaterThan(x + 20);
    expect(arrow![2]).toBeLessThan(x + 26);
    expect(stepPictures(step, null, { project: square, examined: examineProject(square, testFonts) as typeof examined, unit: 'mm', habits: USUAL_HABITS })).toHaveLength(3); // prettier-ignore
  });

  it('says nothing of what lies however it is laid, and of slits how they close', () => {
    expect(layStep(seen({}))).toBe(layStep(job));
    expect(layStep(seen({ orders: [{ ...order, tallestMm: 0.04 }, { ...order, way: 'one end', tallestMm: 0.3 }] }))).not.toContain('Expect'); // prettier-ignore
    const slit = { ...job, items: job.items.map((item) => ({ ...item, slitIn: { count: 5, deep: 0.7, fromDeg: 90 } })) } as Project; // prettier-ignore
    expect(layStep(seen({}, slit))).toContain('Close its 5 slits last');
  });
});
