import { describe, expect, it } from 'vitest';
import { at, contextOf, expectRule, findingsOf, fixed, jobOf } from '../../../test/findings.ts';
import { makeBlank, makeProfile, motifItem, plate, textItem, tumbler, wave } from '../../../test/jobs.ts';
import { scaleItem } from '../../document/commands/apply.ts';
import type { Process } from '../../model/job.ts';
import type { Project } from '../../model/project.ts';
import { describeFinding } from '../words.ts';

const cox = (film: string, more: Partial<Project> = {}): Project => ({
  ...jobOf(tumbler(), textItem('COX', { film })),
  ...more,
});

describe('film-unsuited', () => {
  it('looks at removable film on what is washed, and puts the nearest permanent colour instead', () => {
    expectRule('film-unsuited', 'look', cox('night'), cox('deep-water'));
    const [finding] = findingsOf(cox('night'), 'film-unsuited');
    // Near-black: of the permanent films Deep water is the darkest.
    expect(finding!.fixes).toMatchObject([{ do: 'change-film', film: 'deep-water' }]);
    // Nobody drinks from a pot.
    const pot = jobOf(tumbler({ rimClearanceMm: 0 }), textItem('COX', { film: 'night' }));
    expect(findingsOf(pot, 'film-unsuited')).toEqual([]);
  });
  it('fails it as a mask under wet gel, and lets it be under grit', () => {
    expectRule('film-unsuited', 'fails', cox('night', { process: 'strip' }), cox('night', { process: 'blast' }));
    expectRule('film-unsuited', 'fails', cox('night', { process: 'etch' }), cox('chalk', { process: 'etch' }));
  });
  it('holds for mask film as well, which is for dry methods', () => {
    const masked = (process: Process): Project => {
      const project = cox('night', { process });
      return { ...project, films: project.films.map((f) => (f.id === 'night' ? { ...f, finish: 'mask film' } : f)) };
    };
    expectRule('film-unsuited', 'fails', masked('strip'), masked('paint'));
    expectRule('film-unsuited', 'look', masked('decal'), masked('blast'));
  });
});

describe('mask-web', () => {
  const bar = (mm: number, process: Process): Project => ({ ...jobOf(tumbler(), plate('bar', 40, mm)), process });
  it('looks at film that is worked away from both sides', () => {
    // Stripper creeps in 0.6 mm from either side, etching cream 0.3.
    expectRule('mask-web', 'look', bar(1.15, 'strip'), bar(1.25, 'strip'));
    expect(findingsOf(bar(1.15, 'blast'), 'mask-web')).toEqual([]);
    expect(findingsOf(bar(0.5, 'decal'), 'mask-web')).toEqual([]);
  });
  it('is told once: a web that fine is not told as a stroke again', () => {
    expect(findingsOf(bar(0.9, 'strip'), 'fine-stroke')).toEqual([]);
    expect(findingsOf(bar(0.9, 'etch'), 'fine-stroke')).toHaveLength(1);
  });
});

describe('loose-dot', () => {
  it('looks at specks that a drawing brought along, and leaves them off', () => {
    // A plate of 30 × 20 with a dot beside it, drawn 40 wide and placed so.
    const drawn = (dot: number): Project =>
      jobOf(tumbler(), plate('drawn', 40, 20, { pathData: `M-20 -10H10V10H-20ZM15 0H${15 + dot}V${dot}H15Z` }));
    expectRule('loose-dot', 'look', drawn(2.4), drawn(2.6));
    const [finding] = findingsOf(drawn(2), 'loose-dot');
    const kept = fixed(drawn(2), finding!);
    expect(contextOf(kept).wrap.pieces).toHaveLength(1);
    // Twice as large it is no speck any more, and there again.
    expect(contextOf({ ...kept, items: kept.items.map((item) => scaleItem(item, 2)) }).wrap.pieces).toHaveLength(2);
    expect(findingsOf(drawn(2), 'tiny-piece')).toEqual([]);
  });
});

describe('cover-sheet', () => {
  it('reminds of the clear sheet of a metallised film that is used', () => {
    expect(findingsOf(cox('brass'), 'cover-sheet')).toMatchObject([{ severity: 'fine', names: { film: 'Brass' } }]);
    expect(findingsOf(cox('chalk'), 'cover-sheet')).toEqual([]);
  });
});

describe('hazard', () => {
  const cases = (project: Project): string[] => findingsOf(project, 'hazard').map((f) => f.case);
  const balloon = makeBlank({ girth: 880, overCrown: 478 }, { kind: 'balloon', surface: 'latex' });
  it('warns where the job calls for it, and nowhere else', () => {
    expect(cases(cox('chalk'))).toEqual([]);
    expect(cases(cox('chalk', { process: 'strip' }))).toEqual(['stripper']);
    expect(cases(cox('chalk', { warm: true }))).toEqual(['alcohol-heat']);
    const glass = (process: Process): Project => ({
      ...jobOf(tumbler({ surface: 'glass' }), textItem('COX')),
      process,
    });
    expect(cases(glass('etch'))).toEqual(['etching', 'glass-worked']);
    expect(cases(glass('blast'))).toEqual(['blasting', 'glass-worked']);
    expect(cases(glass('paint'))).toEqual(['painting']);
    const inside = { read: 'inside', wallMm: 0 } as const;
    expect(cases(jobOf(tumbler({ surface: 'glass', inside }), textItem('COX')))).toEqual(['film-inside']);
    expect(cases(jobOf(tumbler({ surface: 'glass' }), textItem('COX', { film: 'brass' })))).toEqual(['foil-microwave']);
    expect(cases(jobOf(balloon, textItem('4', { running: 'rigid' })))).toEqual(['latex']);
    const helium = { ...balloon, balloon: { ...balloon.balloon, gas: 'helium' as const } };
    expect(cases(jobOf(helium, textItem('4', { running: 'rigid' })))).toEqual(['latex', 'helium']);
    expect(cases(jobOf(balloon))).toEqual([]);
  });
  it('fails heat on a balloon, which its fix takes away', () => {
    const warm: Project = { ...jobOf(balloon, textItem('4', { running: 'rigid' })), warm: true };
    const [finding] = findingsOf(warm, 'hazard');
    expect(finding).toMatchObject({ case: 'heat-latex', severity: 'fails' });
    expect(cases(fixed(warm, finding!))).toEqual(['latex']);
  });
  it('has words for each, which end with whom to listen to', () => {
    for (const process of ['strip', 'etch', 'blast', 'paint'] as const)
      for (const finding of findingsOf(cox('chalk', { process }), 'hazard'))
        expect(describeFinding(finding, 'mm').why).toMatch(/label, local rules and trained people/);
  });
});

describe('wrinkle, warm or cold', () => {
  it('offers to lay cast film warm where that is enough', () => {
    // A ball of 80 mm: K = 1/1600. A plate of 40 × 14: q = π·14/(4·40) = 0.275, needed = 14²/1600/8/(1 + 0.44 + 0.008) = 1.06 %.
    const ball = makeBlank({ girth: 80 * Math.PI }, { kind: 'ball' });
    const on = (mm: number, film: string): Project => jobOf(ball, plate('bar', 40, mm, { film, running: 'rigid' }));
    expect(findingsOf(on(14, 'hull'), 'wrinkle')).toEqual([]);
    // 40 × 30: q = 0.589, needed = 900/12800/(1 + 0.942 + 0.082) = 3.47 %: cold cast film gives 3 %, warm 6 %.
    const [finding] = findingsOf(on(30, 'hull'), 'wrinkle');
    expect(finding!.numbers['needed']).toBeCloseTo(3.47, 0);
    const warm = finding!.fixes.findIndex((fix) => fix.do === 'lay-warm');
    expect(findingsOf(fixed(on(30, 'hull'), finding!, warm), 'wrinkle')).toEqual([]);
    // Gloss film gives no more when it is warm, as far as is known.
    expect(findingsOf(on(30, 'deep-water'), 'wrinkle')[0]!.fixes.some((fix) => fix.do === 'lay-warm')).toBe(false);
  });
});

describe('glance', () => {
  it('offers one on either face instead of one that is too wide', () => {
    const wide = jobOf(tumbler(), textItem('REGATTA', { size: { by: 'width', mm: 120 } }));
    const [finding] = findingsOf(wide, 'glance');
    const both = fixed(wide, finding!, 1);
    expect(both.items[0]!.placement.facing).toBe('faces');
    expect(findingsOf(both, 'glance')).toEqual([]);
  });
});

describe('tape-wrinkle', () => {
  const bulgeOf = () => makeProfile([[0, 200], [30, 240], [60, 252], [90, 240], [120, 200]]); // prettier-ignore
  const bulge = bulgeOf();
  it('has slits for a sheet that tents, and says nothing where tape lies by itself', () => {
    const band = jobOf(bulge, wave(8, { heightMm: 60, placement: at({}) }));
    expect(findingsOf(band, 'tape-wrinkle')).toHaveLength(1);
    expect(findingsOf(jobOf(bulge, textItem('COX', { size: { by: 'cap', mm: 8 } })), 'tape-wrinkle')).toEqual([]);
    expect(findingsOf(jobOf(tumbler(), wave(9)), 'tape-wrinkle')).toEqual([]);
  });

  it('and a band that is pulled are offered figures one by one, where they come several times', () => {
    const stars = motifItem('star', { widthMm: 12, running: 'rigid', repeat: { mode: 'spaced', count: 6 } });
    const steep = makeProfile([[0, 300], [30, 340], [60, 330], [90, 250]]); // prettier-ignore
    const bowl = jobOf(steep, stars);
    const [pulled] = findingsOf(bowl, 'stretch');
    expect(pulled).toMatchObject({ case: 'pulled' });
    expect(pulled!.fixes[0]).toEqual({ do: 'lay-singly', itemIds: [stars.id], several: true });
    const singly = fixed(bowl, pulled!);
    expect(singly.items[0]!.byItself).toBe(true);
    expect(findingsOf(singly, 'stretch')).toEqual([]);
    // One alone is a patch: cut as it was drawn, to the hundredth, whatever the band does round it.
    const face = jobOf(steep, { ...stars, repeat: { mode: 'once', count: 1 } });
    const [alone] = findingsOf(face, 'stretch');
    expect(alone!.fixes[0]).toEqual({ do: 'lay-singly', itemIds: [stars.id], several: false });
    const { pieces } = contextOf(fixed(face, alone!)).wrap;
    const { minX, maxX } = pieces[0]!.flatBox;
    expect(maxX - minX).toBeCloseTo(12, 2);
    // A band that is joined all round cannot be.
    const joined = findingsOf(jobOf(steep, wave(8, { heightMm: 60, placement: at({}) })), 'stretch')[0]!;
    expect(joined.fixes.map((fix) => fix.do)).not.toContain('lay-singly');
    // A field so dense that one sheet of tape covers it all, and has no room for slits.
    const dense = jobOf(bulgeOf(), motifItem('star', { widthMm: 9, running: 'rigid', repeat: { mode: 'scattered', count: 60, scatter: { seed: 1, gapMm: 1, films: [] } } })); // prettier-ignore
    const fixes = findingsOf(dense, 'tape-wrinkle').flatMap((finding) => finding.fixes);
    expect(fixes.every((fix) => fix.do === 'lay-singly')).toBe(true);
  });
});
