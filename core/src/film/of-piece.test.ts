import { describe, expect, it } from 'vitest';
import { at, contextOf, findingsOf, fixed, jobOf } from '../../test/findings.ts';
import { makeBlank, makeProfile, motifItem } from '../../test/jobs.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';
import type { Looked } from '../model/looked.ts';
import type { Project } from '../model/project.ts';
import { describeFinding } from '../proof/words.ts';
import { taperOf } from '../surface/cone.ts';
import { lookWhole } from './advise.ts';
import { type WorthALook, worthALook } from './of-piece.ts';

const ball = makeBlank({ girth: 252 }, { kind: 'ball' });
const star = (widthMm: number, change: object = {}): ReturnType<typeof motifItem> => motifItem('star', { id: 'star', film: 'deep-water', widthMm, running: 'rigid', ...change }); // prettier-ignore
const looksOf = (project: Project, limitMm = 0.1): WorthALook[] => worthALook(project, contextOf(project).wrap, STARTING_MATERIALS, limitMm); // prettier-ignore
const lookOf = (project: Project): Looked => {
  const [first] = looksOf(project);
  return { of: first!.key, ...lookWhole(first!.piece.flat, first!.on, 0.1) };
};

describe('what of a job is laid on what', () => {
  it('on a ball a star lies on the ball, with what its film gives', () => {
    const [only] = looksOf(jobOf(ball, star(44)));
    expect(only!.on.gives).toEqual({ stretch: 0.015, squeeze: 0.005 });
    expect(only!.on.side.radiusAt(only!.on.slant)).toBeCloseTo(252 / 2 / Math.PI, 9);
    // Rubber gives 4 % more, half of it either way.
    const balloon = makeBlank({ girth: 880, overCrown: 478 }, { kind: 'balloon', surface: 'latex', balloon: { gas: 'air', hours: 6, shrinkPerDay: 1 } }); // prettier-ignore
    expect(looksOf(jobOf(balloon, star(140)))[0]!.on.gives).toEqual({ stretch: 0.035, squeeze: 0.025 });
  });

  it('on a bowl it stands as high as it was placed, turned as the flat is turned there', () => {
    const bowl = makeProfile([[0, 190], [30, 235], [60, 255], [90, 255]]); // prettier-ignore
    const job = jobOf(bowl, star(60, { placement: at({ facing: 'angle', angleDeg: 60, mm: 5 }), running: 'level' }));
    const [{ on }] = looksOf(job) as [WorthALook];
    const { wrap } = contextOf(job);
    expect(on.azimuth).toBeCloseTo(Math.PI / 3, 1);
    // The middle of its box on a flat that is turned is not quite that of the star.
    expect(Math.abs(on.slant - wrap.template.cone.side / 2 - 5)).toBeLessThan(1);
    // A flat of taper k turns by k for each rad round.
    expect(on.askew).toBeCloseTo(taperOf(wrap.template.cone) * on.azimuth!, 3);
    expect(Math.abs(on.askew!)).toBeGreaterThan(0.02);
  });

  it('copies are looked at once; another size, film or height is another thing', () => {
    const three = jobOf(makeProfile([[0, 150], [30, 220], [60, 252], [90, 220], [120, 150]]), star(30, { running: 'level', repeat: { mode: 'spaced', count: 3 } })); // prettier-ignore
    expect(looksOf(three)).toHaveLength(1);
    const key = (project: Project, limitMm?: number): string => looksOf(project, limitMm)[0]!.key;
    const usual = key(jobOf(ball, star(44)));
    expect(key(jobOf(ball, star(44)))).toBe(usual);
    for (const other of [
      jobOf(ball, star(44.2)),
      jobOf(ball, star(44, { film: 'brass' })),
      jobOf(makeBlank({ girth: 254 }, { kind: 'ball' }), star(44)),
    ])
      expect(key(other)).not.toBe(usual);
    expect(key(jobOf(ball, star(44)), 0.2)).not.toBe(usual);
  });

  it('there is nothing to look at where the side unrolls', () => {
    expect(looksOf(jobOf(makeBlank({ girthRim: 275, girthBase: 214, side: 168 }), star(60)))).toEqual([]);
  });
});

describe('what a closer look says in Proof', () => {
  const job = jobOf(ball, star(44));
  const look = lookOf(job);

  it('takes the place of a forecast that passes it: it tents, and slits or a smaller size make it lie', () => {
    expect(findingsOf(job, 'wrinkle')).toEqual([]);
    const [found] = findingsOf({ ...job, looked: [look] }, 'wrinkle');
    expect(found).toMatchObject({ case: 'tents', severity: 'fails', itemIds: ['star'] });
    expect(found!.numbers['tallest']).toBe(look.orders[0]!.tallestMm);
    expect(describeFinding(found!, 'mm').why).toMatch(
      /stands off in \d+ places, by 0\.2 mm at the tallest.*place of the forecast/,
    );
    expect(found!.fixes.map((fix) => fix.do)).toEqual(['slit-item', 'scale-item']);
  });

  it('what was found lies: slit so, and looked at again', () => {
    const before = findingsOf({ ...job, looked: [look] }, 'wrinkle')[0]!;
    const slit = fixed({ ...job, looked: [look] }, before);
    const piece = contextOf(slit).wrap.pieces[0]!;
    expect(piece.slits).toMatchObject({ count: look.slits!.count, needed: null });
    // Until then only hands could say.
    expect(findingsOf(slit, 'wrinkle')[0]).toMatchObject({ case: 'slit by hand', severity: 'look' });
    const after = findingsOf({ ...slit, looked: [look, lookOf(slit)] }, 'wrinkle');
    expect(after.map(({ severity }) => severity)).not.toContain('fails');
    const [smaller] = [fixed({ ...job, looked: [look] }, before, 1)];
    expect(lookOf(smaller).orders[0]!.tallestMm).toBeLessThan(0.105);
  });

  it('slits turn with what they are in, and are as deep as was said', () => {
    const at0 = { count: 5, deep: 0.4, fromDeg: 90 };
    const areaOf = (turnDeg: number): number => contextOf(jobOf(ball, star(44, { slitIn: at0, placement: at({ turnDeg }) }))).wrap.pieces[0]!.areaMm2; // prettier-ignore
    expect(areaOf(33)).toBeCloseTo(areaOf(0), 1);
    const whole = contextOf(job).wrap.pieces[0]!.areaMm2;
    expect(whole - areaOf(0)).toBeGreaterThan(1);
  });

  it('says how to lay what lies in one way only, and nothing of what lies in all', () => {
    const said = (change: Partial<Looked>): string => findingsOf({ ...job, looked: [{ ...look, slits: null, largest: null, ...change }] }, 'wrinkle').map((f) => [f.severity, describeFinding(f, 'mm').title].join(': ')).join(); // prettier-ignore
    const order = { tents: 0, tallestMm: 0, tentedMm2: 0, pull: 0, push: 0, pulled: 0 };
    expect(said({ orders: [{ ...order, way: 'centre out' }, { ...order, way: 'one end', tallestMm: 0.11 }] })).toBe('fine: The star lies flat, laid from its middle outwards'); // prettier-ignore
    expect(said({ orders: [{ ...order, way: 'centre out', pulled: 0.0135 }, { ...order, way: 'one end', tallestMm: 0.3 }] })).toBe('fine: The star lies flat if it is pulled as it is laid'); // prettier-ignore
    expect(
      said({
        orders: [
          { ...order, way: 'centre out' },
          { ...order, way: 'one end', tallestMm: 0.09 },
        ],
      }),
    ).toBe('');
    // Under twice what presses flat hands may still get it down.
    expect(said({ orders: [{ ...order, way: 'centre out', tallestMm: 0.19 }] })).toContain('look: The star tents');
    expect(said({ orders: [{ ...order, way: 'centre out', tallestMm: 0.21 }] })).toContain('fails: The star tents');
  });
});
