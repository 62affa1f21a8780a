import { describe, expect, it } from 'vitest';
import { madeSet, platePiece } from '../../test/together.ts';
import { runSvg, svgFilms } from '../../test/cut-readers.ts';
import { togetherFiles } from '../io/files/together-files.ts';
import { STARTING_FILMS } from '../material/film.ts';
import { boardById } from './boards.ts';
import { planJob } from './job-sheet.ts';
import type { CutProject } from './together.ts';
import { planTogether, reportTogether, sharesOf } from './together.ts';

const films = STARTING_FILMS.slice(0, 2);
const [white, red] = films.map(({ id }) => id) as [string, string];
const project = (id: string, name: string, ...cut: CutProject['cut']): CutProject => ({
  project: { id, name, films },
  cut,
});
/** Plates of 40 × 30 for two cups, one of 60 × 20 on a lid in two films. */
const SET = [
  project('mugs', 'Crew mugs', platePiece(white, 'tansy', 40, 30), platePiece(white, 'bram', 40, 30)),
  project('lids', 'Lids', platePiece(white, '', 60, 20), platePiece(red, '', 60, 20)),
];

describe('planTogether', () => {
  const board = boardById('square');
  const together = planTogether(SET, board);

  it('lays the films of all projects on common strips, each part with its project and row', () => {
    expect(together.sheet.plan.loads).toHaveLength(1);
    const [load] = together.sheet.plan.loads;
    expect(load!.strips.map(({ film, parts }) => [film, parts.map(({ part }) => part).sort()])).toEqual([
      [white, ['crew-mugs-bram', 'crew-mugs-tansy', 'lids']],
      [red, ['lids']],
    ]);
    expect(together.parts).toEqual([
      { part: 'crew-mugs-tansy', projectId: 'mugs', project: 'Crew mugs', row: 'tansy' },
      { part: 'crew-mugs-bram', projectId: 'mugs', project: 'Crew mugs', row: 'bram' },
      { part: 'lids', projectId: 'lids', project: 'Lids', row: '' },
    ]);
    // Alone each of the two would take a load of its own.
    expect(SET.map(({ project: { films: own }, cut }) => planJob(cut, own, board).plan.loads.length)).toEqual([1, 1]);
  });

  it('tells projects of one name, and pieces of one id, apart', () => {
    const twins = [
      project('a', 'Mug', platePiece(white, '', 30, 30)),
      project('b', 'Mug', platePiece(white, '', 30, 30)),
    ];
    const both = planTogether(twins, board);
    expect(both.parts.map(({ part }) => part)).toEqual(['mug', 'mug-2']);
    expect(new Set(both.cut.map(({ id }) => id)).size).toBe(2);
  });

  it('calls a name of a list by itself where no other project has it', () => {
    const names = { rows: [] } as unknown as CutProject['project']['names'];
    const listed = (one: CutProject): CutProject => ({ ...one, project: { ...one.project, names } }) as CutProject;
    const all = planTogether(
      [
        listed(project('a', 'Mugs', platePiece(white, 'tansy', 30, 30), platePiece(white, 'bram', 30, 30))),
        listed(project('b', 'Lids', platePiece(white, 'bram', 30, 30), platePiece(white, 'mugs', 30, 30))),
        project('c', 'Pot', platePiece(white, 'panel-1', 30, 30)),
      ],
      board,
    );
    expect(all.parts.map(({ part }) => part)).toEqual(['tansy', 'mugs-bram', 'lids-bram', 'lids-mugs', 'pot-panel-1']);
  });

  it('gives each project its share by area, and the shares add up', () => {
    // White: 2 × 1200 of 3600 mm² are the mugs', 1200 the lid's; red is the lid's alone. The pieces' outlines are 140 and 160 mm long.
    const priced = { ...together, sheet: { ...together.sheet, usage: { ...together.sheet.usage, films: [
      { film: white, areaMm2: 9000, cost: 1.5, rollMm: 0, sheets: 1, short: 0 },
      { film: red, areaMm2: 2000, cost: null, rollMm: 0, sheets: 0, short: 1 },
    ] } } }; // prettier-ignore
    const [mugs, lids] = sharesOf(priced);
    expect(mugs).toMatchObject({ projectId: 'mugs', title: 'Crew mugs', pieces: 2, cutMm: 280 });
    expect(mugs!.used.map(({ film, areaMm2, cost }) => [film.id, areaMm2, cost])).toEqual([[white, 6000, 1]]);
    expect(lids).toMatchObject({ pieces: 2, cutMm: 320 });
    expect(lids!.used.map(({ film, areaMm2, cost }) => [film.id, areaMm2, cost])).toEqual([
      [white, 3000, 0.5],
      [red, 2000, null],
    ]);
  });

  it('leaves what fits no board out of the shares, and says so in the report', () => {
    const huge = planTogether([...SET, project('sign', 'Sign', platePiece(red, '', 500, 400))], board);
    expect(sharesOf(huge).find(({ title }) => title === 'Sign')).toMatchObject({ pieces: 0, cutMm: 0, used: [] });
    expect(reportTogether(huge)).toMatchObject({ notPlaced: [{ film: films[1]!.name, longMm: 506, shortMm: 406 }] });
  });

  it('writes one file a load in the frame of the board, a guide with the names, and whose every part is', () => {
    const written = new Map(togetherFiles('Regatta', together, { unit: 'mm' }).map((f) => [f.name, String(f.content)]));
    expect([...written.keys()].sort()).toEqual([
      'guide-1.svg',
      'load-1.dxf',
      'load-1.hpgl',
      'load-1.svg',
      'report.json',
    ]);
    const svg = written.get('load-1.svg')!;
    expect(runSvg(svg)).toHaveLength(4);
    const report = JSON.parse(written.get('report.json')!) as ReturnType<typeof reportTogether> & {
      loads: { strips: { film: string; from: number; to: number; parts: { project: string; row: string }[] }[] }[];
    };
    const [strip] = report.loads[0]!.strips;
    expect(strip!.parts.map(({ project: of, row }) => `${of}/${row}`).sort()).toEqual([
      'Crew mugs/bram',
      'Crew mugs/tansy',
      'Lids/',
    ]);
    // Within the strip that the report names.
    const xs = Object.values(svgFilms(svg))[0]!
      .flat()
      .map(([x]) => x);
    expect(Math.min(...xs)).toBeGreaterThanOrEqual(strip!.from + 3);
    expect(Math.max(...xs)).toBeLessThanOrEqual(strip!.to - 3);
    for (const name of ['Crew mugs tansy', 'Crew mugs bram', 'Lids'])
      expect(written.get('guide-1.svg')).toContain(`>${name}<`);
  });

  it('takes no more loads than its projects take one by one, and every part once', () => {
    const { projects } = madeSet(5, 4, 60, board);
    const all = planTogether(projects, board);
    const alone = projects.reduce((sum, { project: { films: own }, cut }) => sum + planJob(cut, own, board).plan.loads.length, 0); // prettier-ignore
    expect(all.sheet.plan.loads.length).toBeLessThanOrEqual(alone);
    const laid = all.sheet.plan.loads.flatMap(({ strips }) => strips.flatMap((s) => s.parts.map(({ part }) => part)));
    expect(laid.sort()).toEqual(all.parts.map(({ part }) => part).sort());
  });
});

describe('planJob over several boards', () => {
  it('begins a film on what the one before left of its last board, where that saves a load', () => {
    const board = boardById('square');
    const three = STARTING_FILMS.slice(0, 3);
    // Plates of 80 × 278 mm: three stand side by side on a board, 3 + 80 + 6 + 80 + 6 + 80 + 3 of its 289 mm.
    const plates = three.flatMap(({ id }) =>
      Array.from({ length: 5 }, (_, i) => platePiece(id, `${id}-${i}`, 80, 278)),
    );
    // Film by film each takes a board of three and one of two, six in all, and two rests of two do not share a board.
    const { plan } = planJob(plates, three, board);
    expect(plan.loads.map(({ strips }) => strips.reduce((sum, { parts }) => sum + parts.length, 0))).toEqual([
      3, 3, 3, 3, 3,
    ]);
    for (const { strips } of plan.loads) for (const { from, to } of strips) expect(from >= 3 && to <= 292).toBe(true);
  });
});
