import { describe, expect, it } from 'vitest';
import { at, contextOf, findingsOf, fixed, jobOf } from '../../../test/findings.ts';
import { makeBlank, plate } from '../../../test/jobs.ts';
import type { Project } from '../../model/project.ts';

const cup = makeBlank({ girthRim: 300, side: 120 });
const lies = (mm: number, angleDeg = 0): { placement: ReturnType<typeof at> } => ({
  placement: at({ mm, facing: 'angle', angleDeg }),
});
/** Round the cup 1 mm is 1.2°. */
const beside = (mm: number): { placement: ReturnType<typeof at> } => lies(0, 1.2 * mm);
const layers = (project: Project): readonly string[] => contextOf(project).wrap.layers;

describe('the order of films', () => {
  it('is that of the picture, not of which film was used first', () => {
    // A dot of ensign elsewhere comes first; then a solid of chalk, and an outline of ensign on it.
    const project = jobOf(
      cup,
      plate('dot', 5, 5, { film: 'ensign', ...beside(60) }),
      plate('solid', 30, 30, { film: 'chalk' }),
      plate('outline', 20, 20, { film: 'ensign' }),
    );
    expect(layers(project)).toEqual(['chalk', 'ensign']);
    expect(findingsOf(project, 'stack-hidden')).toEqual([]);
    // The other way round without any dot.
    expect(layers(jobOf(cup, plate('a', 30, 30, { film: 'ensign' }), plate('b', 20, 20, { film: 'chalk' })))).toEqual(['ensign', 'chalk']); // prettier-ignore
  });

  it('finds what a chosen order hides, by its share, and puts the order right', () => {
    const half = jobOf(cup, plate('body', 20, 20, { film: 'chalk' }), plate('face', 10, 10, { film: 'ensign', ...beside(10) })); // prettier-ignore
    const turned = { ...half, stack: { ...half.stack, order: ['ensign', 'chalk'] } };
    const [finding] = findingsOf(turned, 'stack-hidden');
    // From 5 to 15 mm, of which the body reaches to 10.
    expect(finding).toMatchObject({ case: 'partly', names: { how: 'order', film: 'Chalk' }, itemIds: ['face'] });
    expect(finding!.numbers.share).toBeCloseTo(50, 0);
    expect(findingsOf(fixed(turned, finding!), 'stack-hidden')).toEqual([]);
    const whole = { ...turned, items: [turned.items[0]!, { ...turned.items[1]!, ...lies(0) }] };
    expect(findingsOf(whole, 'stack-hidden')).toMatchObject([{ case: 'wholly', severity: 'fails' }]);
  });

  it('finds what lies under film that was drawn over all of it, and brings it up', () => {
    const project = jobOf(cup, plate('face', 10, 10, { film: 'ensign' }), plate('body', 20, 20, { film: 'chalk' }));
    const [finding] = findingsOf(project, 'stack-hidden');
    expect(finding).toMatchObject({ case: 'wholly', severity: 'look', names: { how: 'covered' }, itemIds: ['face'] });
    const after = fixed(project, finding!);
    expect(after.items.map(({ id }) => id)).toEqual(['body', 'face']);
    expect(findingsOf(after, 'stack-hidden')).toEqual([]);
    // 97 % of it is not all of it.
    const peeps = jobOf(cup, plate('face', 10, 10, { film: 'ensign', ...beside(5.3) }), plate('body', 20, 20, { film: 'chalk' })); // prettier-ignore
    expect(findingsOf(peeps, 'stack-hidden')).toEqual([]);
  });

  it('says that film which lies under and over another stands twice, or cannot be built of one layer each', () => {
    const white = { film: 'chalk' };
    const project = jobOf(
      cup,
      plate('pumpkin', 30, 30, white),
      plate('body', 20, 20, { film: 'ensign' }),
      plate('face', 6, 6, white),
    );
    expect(findingsOf(project, 'stack-levels')).toMatchObject([{ case: 'twice', severity: 'fine', itemIds: ['face'], numbers: { times: 2, count: 1 }, names: { film: 'Chalk' } }]); // prettier-ignore
    const once: Project = { ...project, stack: { ...project.stack, levels: 'once' } };
    const [told] = findingsOf(once, 'stack-levels');
    expect(told).toMatchObject({ case: 'once', severity: 'fails', names: { film: 'Chalk', other: 'Ensign' } });
    expect(findingsOf(fixed(once, told!), 'stack-levels')[0]!.case).toBe('twice');
    expect(findingsOf({ ...project, items: project.items.slice(0, 2) }, 'stack-levels')).toEqual([]);
  });
});

describe('film across the edge of film', () => {
  it('is told with how much of it lies on the other; on it or beside it is not', () => {
    const across = (mm: number): Project =>
      jobOf(cup, plate('body', 20, 20, { film: 'chalk' }), plate('star', 10, 10, { film: 'ensign', ...beside(mm) }));
    const [finding] = findingsOf(across(12), 'stack-overlap');
    // From 7 to 17 mm, of which 3 lie on the body.
    expect(finding!.numbers.share).toBeCloseTo(30, 0);
    for (const mm of [0, 4.9, 15.1, 40]) expect(findingsOf(across(mm), 'stack-overlap')).toEqual([]);
    for (const fix of finding!.fixes.keys()) expect(findingsOf(fixed(across(12), finding!, fix), 'stack-overlap')).toEqual([]); // prettier-ignore
  });
});
