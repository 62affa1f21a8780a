import { describe, expect, it } from 'vitest';
import { contextOf, findingsOf, projectOf } from '../../test/findings.ts';
import { makeJob, mug, plate, textItem, tumbler, wave } from '../../test/jobs.ts';
import { runSvg, svgFilms } from '../../test/cut-readers.ts';
import { benchSteps } from '../bench/steps.ts';
import { loadFiles } from '../io/files/cut-files.ts';
import { boardById } from '../load/boards.ts';
import { planJob } from '../load/job-sheet.ts';
import type { ArtworkItem } from '../model/item.ts';
import type { Project } from '../model/project.ts';

/** Six plates of 20 × 20 mm round, one of them in the middle of the back, where the seam is. */
const six = (more: Partial<ArtworkItem> = {}): ArtworkItem => ({ ...plate('one', 20, 20), repeat: { mode: 'spaced', count: 6 }, ...more }) as ArtworkItem; // prettier-ignore
const cup = (...items: ArtworkItem[]): Project => projectOf(makeJob(mug({ handleWidthMm: 0 }), items), 'square');
const codes = (project: Project): string[] =>
  ['seam-cut', 'seam-gap', 'fit-unchecked', 'seam-neighbours'].filter((code) => findingsOf(project, code as never).length > 0); // prettier-ignore

describe('figures that are laid by themselves', () => {
  it('are each cut whole and by their own shape, the one across the seam too', () => {
    const whole = contextOf(cup(six())).wrap.pieces;
    expect(whole.filter(({ cutAt }) => cutAt !== null)).toHaveLength(2);
    const single = contextOf(cup(six({ byItself: true }))).wrap.pieces;
    expect(single.map(({ part }) => part)).toEqual([1, 2, 3, 4, 5, 6].map((n) => `plate-no-${n}`));
    expect(single.every(({ cutAt, byItself }) => cutAt === null && byItself)).toBe(true);
    for (const { areaMm2, flatBox } of single) {
      expect(areaMm2).toBeCloseTo(400, 0);
      expect([flatBox.maxX - flatBox.minX, flatBox.maxY - flatBox.minY].map((v) => Math.round(v * 10) / 10)).toEqual([20, 20]); // prettier-ignore
    }
  });

  it('are the same shape wherever they lie round a tapered side', () => {
    const project = projectOf(makeJob(tumbler(), [six({ byItself: true, running: 'round' })]), 'square');
    const areas = contextOf(project).wrap.pieces.map(({ areaMm2 }) => areaMm2);
    expect(areas).toHaveLength(6);
    for (const area of areas) expect(area).toBeCloseTo(areas[0]!, 3);
  });

  it('take the film that they are, not the way round', () => {
    const film = (project: Project): { area: number; use: number; parts: number } => {
      const { wrap } = contextOf(project);
      const { plan, use } = planJob(wrap.pieces, project.films, boardById('square'));
      const strips = plan.loads.flatMap((load) => load.strips);
      return {
        area: strips.reduce((sum, { used }) => sum + used.along * used.across, 0),
        use,
        parts: strips[0]!.parts.length,
      };
    };
    // As one wrap they are a strip of 258 − 43 + 20 mm and more by 26; one by one, six squares with six millimetres between them.
    const [whole, single] = [film(cup(six())), film(cup(six({ byItself: true })))];
    expect([whole.parts, single.parts]).toEqual([1, 6]);
    expect(whole.area).toBeGreaterThan(230 * 26);
    expect(single.area).toBeLessThanOrEqual(6 * 28 * 28);
    expect(single.use).toBeGreaterThan(2400 / (6 * 28 * 28) - 0.01);
  });

  it('are asked for no seam, fit or wrap', () => {
    expect(codes(cup(six()))).toContain('seam-cut');
    expect(codes(cup(six({ byItself: true })))).toEqual([]);
    // Nor which way up a cup is that is wider at its base: no wrap is laid on it.
    const wide = (item: ArtworkItem) => findingsOf(projectOf(makeJob(tumbler({ readings: { ...tumbler().readings, girthRim: tumbler().readings.girthBase!, girthBase: tumbler().readings.girthRim! } }), [item])), 'right-way-up'); // prettier-ignore
    expect([wide(six()).length, wide(six({ byItself: true })).length]).toEqual([1, 0]);
    // What goes on with the whole is judged as ever beside them.
    expect(codes(cup(six({ byItself: true }), wave(9)))).toContain('fit-unchecked');
  });

  it('keep the colours of a drawing, and what is kept together, on one sheet', () => {
    const [a, b] = [plate('a', 30, 30, { byItself: true }), plate('b', 10, 10, { setId: 'a', film: 'ensign', byItself: true })]; // prettier-ignore
    expect(contextOf(cup(a, b)).wrap.pieces.map(({ film, part }) => [film, part])).toEqual([
      ['deep-water', 'plate'],
      ['ensign', 'plate'],
    ]);
    const words = ['x', 'y'].map((id) => textItem('OAR', { id, byItself: true, ...(id === 'y' ? LOW : {}) }));
    expect([...new Set(contextOf(cup(...words)).wrap.pieces.map(({ part }) => part))]).toEqual(['oar', 'oar-2']);
  });

  it('take no name that means something else, and none of what is joined all round', () => {
    expect(contextOf(cup(textItem('Spares', { byItself: true }))).wrap.pieces[0]!.part).toBe('spares-alone');
    expect(contextOf(cup(wave(9, { byItself: true }))).wrap.pieces[0]).toMatchObject({ part: '', byItself: false });
  });

  it('are written whole, a part each, in the file of their load', () => {
    const project = cup(six({ byItself: true }));
    const { wrap } = contextOf(project);
    const sheet = planJob(wrap.pieces, project.films, boardById('square'));
    const svg = loadFiles(project, wrap.pieces, sheet)[0]!.content as string;
    expect([...svg.matchAll(/data-part="([^"]+)"/g)].map(([, part]) => part).sort()).toEqual([1, 2, 3, 4, 5, 6].map((n) => `plate-no-${n}`)); // prettier-ignore
    expect(runSvg(svg)).toHaveLength(6);
    for (const line of svgFilms(svg)['film-deep-water']!) {
      const [xs, ys] = [line.map(([x]) => x), line.map(([, y]) => y)];
      expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(20, 1);
      expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(20, 1);
    }
  });

  it('are cut as often as is asked, each more of it as a part of its own', () => {
    const project = cup(plate('boat', 40, 20, { name: 'Boat', byItself: true, spares: 2 }), plate('dot', 8, 8, { byItself: false, spares: 1, ...LOW })); // prettier-ignore
    const { wrap } = contextOf(project);
    const parts = wrap.pieces.map(({ part, spare }) => `${part}${spare ? ' spare' : ''}`).sort();
    expect(parts).toEqual([' ', 'boat', 'boat-spare-1 spare', 'boat-spare-2 spare', 'spares spare'].map((one) => one.trim()).sort()); // prettier-ignore
    const sheet = planJob(wrap.pieces, project.films, boardById('square'));
    const strip = sheet.plan.loads[0]!.strips[0]!;
    expect(strip.parts.map(({ part }) => part).sort()).toEqual(['', 'boat', 'boat-spare-1', 'boat-spare-2', 'spares']);
    // Several copies: more of the first, called by the figure.
    const many = contextOf(cup(six({ byItself: true, spares: 1 }))).wrap.pieces.filter(({ spare }) => spare);
    expect(many.map(({ part }) => part)).toEqual(['plate-spare-1']);
  });

  it('are placed one by one at the bench, from the rim and round from the front', () => {
    const item = (id: string, facing: 'front' | 'drinker'): ArtworkItem => plate(id, 40, 20, { name: id, byItself: true, placement: { facing, angleDeg: 0, from: 'middle', mm: 0, turnDeg: 0 } }); // prettier-ignore
    const steps = (project: Project) => {
      const { wrap } = contextOf(project);
      return benchSteps({
        job: project,
        wrap,
        sheet: planJob(wrap.pieces, project.films, boardById('square')),
        unit: 'mm',
      });
    };
    const all = steps(cup(item('boat', 'front'), item('gull', 'drinker')));
    // A band of 92 mm, 5 mm below the drinking edge: 46 − 10 + 5. A quarter of 258 mm round: 64.5.
    expect(all.find(({ id }) => id === 'place')!.body).toBe(
      'Boat: its top 41.0 mm below the rim, its middle in front. Gull: its top 41.0 mm below the rim, its middle 64.5 mm to the right of the front.',
    );
    expect(all.find(({ id }) => id === 'place')!.title).toBe('Lay the 2 figures one by one');
    expect(all.find(({ id }) => id === 'mark')!.body).toMatch(/^Choose the front and put a dot there/);
    expect(all.map(({ id }) => id).filter((id) => ['aim', 'lay', 'seam'].includes(id))).toEqual([]);
    // Beside a wrap both are laid, each its own way; a film that lies beside another is not stacked on it.
    const both = steps(cup(item('boat', 'front'), wave(9, { film: 'shallows' }))).map(({ id }) => id);
    expect(both.filter((id) => ['stack', 'aim', 'lay', 'place', 'seam'].includes(id))).toEqual([
      'aim',
      'lay',
      'seam',
      'place',
    ]);
  });
});

const LOW = { placement: { facing: 'front', angleDeg: 0, from: 'base', mm: 5, turnDeg: 0 } } as const;
