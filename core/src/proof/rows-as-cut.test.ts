import { describe, expect, it } from 'vitest';
import { testFonts } from '../../test/fonts.ts';
import { plate, makeBlank, makeJob, mug, textItem } from '../../test/jobs.ts';
import { projectOf } from '../../test/findings.ts';
import { filmsUsed } from '../document/films.ts';
import type { Project } from '../model/project.ts';
import type { NameRow } from '../model/names.ts';
import { examineProject } from '../pipeline.ts';

const row = (name: string, more: Partial<NameRow> = {}): NameRow => ({ id: name, name, count: 1, hand: null, capMm: null, blankId: null, ...more }); // prettier-ignore
const board = plate('board', 40, 10, { film: 'shallows', name: 'Board' });
const glass = makeBlank({ girthRim: 230, side: 110 }, { id: 'glass', name: 'Can glass', surface: 'glass' });
const square = { id: 'square', name: 'Square', source: '', rights: 'own', widthMm: 8, heightMm: 8, colours: [{ colour: '#000000', pathData: 'M-4 -4H4V4H-4Z' }] } as const; // prettier-ignore

function examined(rows: NameRow[], more: Partial<Project> = {}) {
  const names = { itemId: null, widthMm: 60, leastCapMm: 5, closeMm: 0, rows };
  const project = projectOf(makeJob(mug(), [board], { names, otherBlanks: [glass], rowDrawings: [square], ...more }));
  const made = examineProject(project, testFonts);
  if (!made.ok) throw new Error(made.problem.code);
  return { ...made, project };
}

describe('things of a list that differ in film and picture', () => {
  it('are cut each from its own film and of its own picture, with its name', () => {
    const { cut, steps, stack } = examined([
      row('Tansy', { swaps: [{ itemId: 'board', film: 'ensign' }] }),
      row('Wren', { count: 2, swaps: [{ itemId: 'board', picture: { by: 'drawing', drawingId: 'square' } }] }),
    ]);
    // The board is 40 × 10 mm; in its place a square is 10 × 10.
    expect(cut.map(({ part, film, areaMm2 }) => [part, film, Math.round(areaMm2 * 100) / 100])).toEqual([
      ['tansy', 'ensign', 400],
      ['wren', 'shallows', 100],
      ['wren-2', 'shallows', 100],
    ]);
    expect(steps.filter(({ id }) => id.startsWith('weed:')).map(({ id, title }) => [id, title])).toEqual([
      ['weed:shallows', 'Weed Shallows: 2 pieces stay'],
      ['weed:ensign', 'Weed Ensign: 1 piece stays'],
    ]);
    // Nothing is made as the job stands: what is shown of its stack is the first thing's.
    expect(stack.layers.map(({ layer }) => layer)).toEqual(['ensign']);
  });

  it('are judged in their own film, on their own blank, each told by its name', () => {
    const rows = [
      row('Tansy'),
      row('Wren', { swaps: [{ itemId: 'board', film: 'night' }] }),
      row('Otter', { blankId: 'glass' }),
    ];
    const wide = plate('board', 220, 10, { film: 'shallows', name: 'Board', running: 'round' });
    const { findings, project } = examined(rows, { items: [wide] });
    const told = (code: string) => findings.flatMap(({ finding }) => (finding.code === code ? [finding] : []));
    const night = project.films.find(({ id }) => id === 'night')!;
    expect(night.finish).toBe('matte removable');
    // Removable film on what is washed: of the one that is cut from it, and no other.
    expect(told('film-unsuited').map(({ names }) => [names['film'], names['on']])).toEqual([[night.name, 'Wren']]);
    // Each blank whose fit was not tried: film goes 220 of 258 and of 230 mm round.
    const unchecked = told('fit-unchecked').map(({ names, numbers }) => [names['blank'], names['on'], Math.round(numbers['share']!)]); // prettier-ignore
    expect(unchecked).toEqual([
      ['Test cup', undefined, 85],
      ['Can glass', 'Can glass', 96],
    ]);
  });

  it('with plates, panels and words in rings are whole jobs each, with their own words', () => {
    const ring = { acrossMm: 50, tops: 'out', times: 1, between: null } as const;
    const words = textItem('Rowan', { id: 'words', ring, running: 'rigid', size: { by: 'cap', mm: 8 }, keepTogether: null, acts: { ...board.acts, shapesOnly: true } }); // prettier-ignore
    const mask = plate('mask', 120, 80, { acts: { ...board.acts, cutAway: ['words'] } });
    const names = { itemId: 'words', widthMm: 60, leastCapMm: 5, closeMm: 0, rows: [row('Tansy'), row('Wren')] };
    const { cut } = examined([], { items: [words, mask], names, process: 'etch' });
    const of = (name: string) => cut.filter(({ part }) => part === name);
    // The same words open the same area of either plate, but for what the names differ by.
    const area = (name: string): number => of(name).reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
    expect(area('tansy')).toBeLessThan(120 * 80 - 50);
    expect(Math.abs(area('wren') - area('tansy'))).toBeGreaterThan(2);
    expect(new Set(cut.map(({ part }) => part))).toEqual(new Set(['tansy', 'wren']));
  });

  it('of one size have all capitals as high as the longest allows', () => {
    const words = textItem('Name', { id: 'words', size: { by: 'cap', mm: 18 }, keepTogether: null });
    const names = { itemId: 'words', widthMm: 40, leastCapMm: 3, closeMm: 0, rows: [row('Ida'), row('Marigold')] };
    const heights = (sameSize?: boolean) => examined([], { items: [words], names: { ...names, sameSize } }).batch.map(({ fitted }) => fitted!.capMm); // prettier-ignore
    const [ida, marigold] = heights();
    expect(ida).toBeCloseTo(18, 6);
    expect(marigold).toBeLessThan(12);
    expect(heights(true)).toEqual([marigold, marigold]);
  });

  it('use their films: the project keeps what they are cut from', () => {
    const { project } = examined([row('Tansy', { swaps: [{ itemId: 'board', film: 'ensign' }] })]);
    expect([...filmsUsed(project)].sort()).toEqual(['ensign', 'shallows']);
  });
});
