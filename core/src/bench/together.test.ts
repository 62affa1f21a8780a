import { describe, expect, it } from 'vitest';
import { STARTING_FILMS } from '../material/film.ts';
import type { BenchStep } from './step.ts';
import { guideTogether } from './together.ts';

const step = (id: string, title: string, handsMinutes: number, waitMinutes = 0, body = `${id}.`): BenchStep => ({ id, kind: id.startsWith('weed') ? 'weed' : 'lay', after: [], title, body, why: null, cautions: [], caution: null, check: null, because: null, things: [], handsMinutes, waitMinutes, beside: [], numbers: {}, about: { film: null, part: null, row: null }, layer: null, list: [] }); // prettier-ignore
const mugs = { id: 'm', name: 'Mugs', steps: [step('clean', 'Clean the mug', 3, 3), step('weed:chalk', 'Weed Chalk: 12 pieces stay', 4), step('weed:reed', 'Weed Reed: 2 pieces stay', 2), step('lay', 'Press', 2), step('cure', 'Let it cure', 0, 2880)] }; // prettier-ignore
const lids = { id: 'l', name: 'Lids', steps: [step('clean', 'Clean the lid', 2, 3), step('weed:chalk', 'Weed Chalk: 4 pieces stay', 1), step('lay', 'Press', 5), step('cure', 'Let it cure', 0, 2880)] }; // prettier-ignore
const pot = { id: 'p', name: 'Pot', steps: [step('weed:chalk/2', 'Weed Chalk, upper: 1 piece stays', 1), step('paint', 'Paint', 10, 4000), step('cure', 'Let it cure', 0, 1440, 'A day.')] }; // prettier-ignore

describe('one guide for several projects', () => {
  it('weeds each film once for all, lays each by itself, the one that waits longest first, and waits at the end', () => {
    const guide = guideTogether([mugs, lids, pot]);
    expect(guide.map(({ title }) => title)).toEqual([
      'Pot: weed Chalk, upper: 1 piece stays',
      'Weed Chalk: Mugs and Lids',
      'Mugs: weed Reed: 2 pieces stay',
      'Pot: paint',
      'Mugs: clean the mug',
      'Mugs: press',
      'Lids: clean the lid',
      'Lids: press',
      'Pot: let it cure',
      'Let it cure: Mugs and Lids',
    ]);
    const chalk = guide[1]!;
    expect(chalk).toMatchObject({ handsMinutes: 5, waitMinutes: 0, body: 'Mugs: 12 pieces stay. weed:chalk.\nLids: 4 pieces stay. weed:chalk.' }); // prettier-ignore
    expect(chalk.of).toEqual([
      { projectId: 'm', project: 'Mugs', stepId: 'weed:chalk' },
      { projectId: 'l', project: 'Lids', stepId: 'weed:chalk' },
    ]);
    expect(guide.at(-1)).toMatchObject({ waitMinutes: 2880, handsMinutes: 0, body: 'cure.' });
  });

  it('is cut in the common loads, not in those of each', () => {
    const cut = (id: string, kind: BenchStep['kind']): BenchStep => ({
      ...step(id, 'Lay the film on the board', 2),
      kind,
    });
    const own = { ...pot, steps: [cut('place-film:1', 'place-film'), cut('lay-out', 'lay-out'), ...pot.steps] };
    const strip = (film: string) => ({ film, from: 3, to: 40, across: 60, offcut: null, outline: null, used: { along: 37, across: 60 }, parts: [{ part: 'pot' }, { part: 'mug' }] }); // prettier-ignore
    const loads = { films: STARTING_FILMS, unit: 'mm', sheet: { plan: { loads: [{ number: 1, strips: [strip('chalk')] }] } } as never } as const; // prettier-ignore
    const guide = guideTogether([own, lids], loads);
    expect(guide.slice(0, 6).map(({ id, of }) => [id, of.length])).toEqual([
      ['lay-out', 1],
      ['common place-film:1', 2],
      ['common test-cut:1', 2],
      ['common unload:1', 2],
      ['common trim', 2],
      ['weed:chalk/2', 1],
    ]);
    // A strip of 37 × 60 mm, cut from film a finger larger all round; ticked in every project under a name of its own.
    expect(guide[1]!.list).toEqual(['Chalk from 3 to 40 mm along the board: a piece of 57 × 80 mm.']);
    expect(guide[1]!.of.map(({ stepId }) => stepId)).toEqual(['together/place-film:1', 'together/place-film:1']);
    expect(guide.flatMap(({ of }) => of.map(({ stepId }) => stepId))).not.toContain('place-film:1');
  });

  it('tells a hazard once, however many projects have it', () => {
    const sharp = (project: typeof mugs): typeof mugs => ({ ...project, steps: project.steps.map((one) => (one.kind === 'weed' ? { ...one, cautions: ['blade'] } : one)) }); // prettier-ignore
    const guide = guideTogether([sharp(mugs), sharp(lids), sharp(pot)]);
    expect(guide.flatMap(({ cautions }) => cautions)).toEqual(['blade']);
    expect(guide[0]!.caution).toMatch(/^Blades/);
    expect(guide.slice(1).every(({ caution }) => caution === null)).toBe(true);
  });

  it('loses no step and no minute', () => {
    const projects = [mugs, lids, pot];
    const guide = guideTogether(projects);
    const steps = projects.flatMap(({ id, steps }) => steps.map((one) => `${id} ${one.id}`)).sort();
    expect(guide.flatMap(({ of }) => of.map(({ projectId, stepId }) => `${projectId} ${stepId}`)).sort()).toEqual(steps); // prettier-ignore
    expect(guide.reduce((sum, { handsMinutes }) => sum + handsMinutes, 0)).toBe(30);
    expect(new Set(guide.map(({ id, of }) => `${id} ${of[0]!.projectId}`)).size).toBe(guide.length);
    expect(guideTogether([])).toEqual([]);
  });
});
