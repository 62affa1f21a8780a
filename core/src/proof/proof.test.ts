import { describe, expect, it } from 'vitest';
import { at, expectRule, findingsOf, fixed, jobOf as project, projectOf } from '../../test/findings.ts';
import { bare, makeBlank, makeJob, motifItem, mug, plate, textItem, tumbler, wave } from '../../test/jobs.ts';
import { NO_ACTS } from '../artwork/acts.ts';
import type { Blank } from '../model/blank.ts';
import type { ArtItem, ArtworkItem, Placement } from '../model/item.ts';
import type { Project } from '../model/project.ts';
import { halfAngleSeen } from '../surface/foreshortening.ts';
import { signatureOf } from './finding.ts';
import { glanceHalfAngle } from './findings/glance.ts';
import { USUAL_LIMITS } from './limits.ts';
import { describeFinding } from './words.ts';

describe('rim-zone', () => {
  // 15 mm off the drinking edge less 5 mm above the band leaves a zone of 10 mm.
  const high = (mm: number): Project => project(tumbler(), textItem('HELM', { placement: at({ from: 'rim', mm }) }));
  it('looks at film nearer to the rim than the clearance', () => expectRule('rim-zone', 'look', high(9.9), high(10)));
  it('fails film that stands over the rim line', () => expectRule('rim-zone', 'fails', high(-1), high(12)));
  it('shrinks what cannot be moved because the base is in the way', () => {
    const tall = project(tumbler(), motifItem('oar', { running: 'rigid', widthMm: 27 }));
    const [finding] = findingsOf(tall, 'rim-zone');
    expect(finding!.fixes[0]).toMatchObject({ do: 'scale-item' });
    expect(findingsOf(fixed(tall, finding!), 'rim-zone')).toEqual([]);
  });
});

describe('base-zone', () => {
  const low = (mm: number): Project => project(tumbler(), wave(9, { placement: at({ from: 'base', mm }) }));
  it('looks at film inside the base zone', () => expectRule('base-zone', 'look', low(4.9), low(5)));
  it('fails film that hangs over the base line', () => expectRule('base-zone', 'fails', low(-2), low(6)));
});

describe('handle-zone', () => {
  // Girth 258, handle 24: its edge is 117 mm from the front; 5 mm are kept clear. A heron is 30 mm wide.
  const near = (mm: number): Project =>
    project(mug(), motifItem('heron', { placement: at({ facing: 'angle', angleDeg: (mm / 258) * 360 }) }));
  it('looks at film close to the handle', () => expectRule('handle-zone', 'look', near(97.2), near(96.9)));
  it('fails film under the handle, on the left too', () => expectRule('handle-zone', 'fails', near(-110), near(-96.9)));
  it('shrinks what is too wide for the room', () => {
    const wide = project(mug(), textItem('THE WILLOWMERE EIGHT', { size: { by: 'width', mm: 232 } }));
    const [finding] = findingsOf(wide, 'handle-zone');
    expect(finding!.fixes[0]).toMatchObject({ do: 'scale-item' });
    expect(findingsOf(fixed(wide, finding!), 'handle-zone')).toEqual([]);
  });
  it('says of a band that it stops at the handle, for the eye to judge', () => {
    const [finding] = findingsOf(project(mug(), wave(8)), 'handle-zone');
    expect(finding).toMatchObject({ case: 'band', severity: 'look', fixes: [] });
    expect(describeFinding(finding!, 'mm').why).toMatch(/only your eye/);
  });
  it('is silent on a blank without a handle', () =>
    expect(findingsOf(project(tumbler(), wave(9)), 'handle-zone')).toEqual([]));
});

describe('seam-cut', () => {
  const turned = (angleDeg: number): Project =>
    project(tumbler(), motifItem('heron', { placement: at({ facing: 'angle', angleDeg }) }));
  // At mid height the girth is 245 mm: half a heron is 15 mm or 22.0°.
  it('looks at a motif cut in two and turns it clear', () => expectRule('seam-cut', 'look', turned(165), turned(154)));
  it('offers a lap as well', () => {
    const [finding] = findingsOf(turned(180), 'seam-cut');
    expect(finding!.fixes.map((f) => f.do)).toEqual(['turn-item', 'wander-seam', 'lap-seam']);
    expect(findingsOf(fixed(turned(180), finding!, 2), 'seam-cut')[0]).toMatchObject({
      severity: 'fine',
      case: 'lapped',
    });
  });
  it('lets the seam wander round what it would cut', () => {
    const [finding] = findingsOf(turned(180), 'seam-cut');
    expect(findingsOf(fixed(turned(180), finding!, 1), 'seam-cut')).toEqual([]);
  });
  it('says so when no way is free, and takes what was chosen for each piece', () => {
    // Two rows of two plates, 2 mm apart and half a step on: the gaps of one are covered by the other, and no line that
    // leaves the meridian by no more than 60° gets from one gap to the next.
    const row = (id: string, angleDeg: number, mm: number): ArtworkItem =>
      plate(id, 100, 30, { placement: at({ facing: 'angle', angleDeg, mm }), repeat: { mode: 'spaced', count: 2 } });
    const band = project(tumbler(), row('motif-1', 180, -16), row('m2', 90, 16));
    const wandering: Project = { ...band, seam: { ...band.seam, way: 'wandering' } };
    const [finding] = findingsOf(wandering, 'seam-cut');
    expect(finding).toMatchObject({ case: 'no-way', severity: 'look' });
    expect(describeFinding(finding!, 'mm').title).toMatch(/^No seam gets past/);
    const copies = ['motif-1', 'm2'].flatMap((itemId) =>
      [0, 1].map((copy) => ({ itemId, copy, do: 'overlap' as const })),
    );
    const chosen: Project = { ...wandering, seam: { ...wandering.seam, atSeam: copies } };
    expect(findingsOf(chosen, 'seam-cut').map((f) => f.case)).toEqual(['split']);
  });
  it('says how a band closes', () => {
    const [finding] = findingsOf(project(tumbler(), wave(9)), 'seam-cut');
    expect(finding).toMatchObject({ case: 'closes', severity: 'look' });
    expect(finding!.numbers['count']).toBe(1);
    // Middle of the wave: 12 + 20 mm above the base; the girth there is 214 + 62·32/168 = 225.8, a ninth is 25.09.
    expect(finding!.numbers['pitch']).toBeCloseTo(225.81 / 9, 2);
  });
  it('fails words longer than the way round', () => {
    const long = (mm: number): Project =>
      project(tumbler(), textItem('WILLOWMERE AUTUMN REGATTA', { size: { by: 'width', mm } }));
    const [finding] = findingsOf(long(260), 'seam-cut');
    expect(finding).toMatchObject({ case: 'too-long', severity: 'fails' });
    expect(findingsOf(fixed(long(260), finding!), 'seam-cut').filter((f) => f.severity === 'fails')).toEqual([]);
  });
  it('lets a solid wrap be as much too long as it was read, and makes a longer one exactly as long as the way round', () => {
    // Read once each, a girth is known to 0.7 mm; the gap may be 0.43 mm either way when read three times.
    const three = (mm: number) => ({ ...bare(mm), takes: Array.from({ length: 3 }, () => ({ typed: '', mm })) });
    const can = makeBlank({}, { kind: 'straight', readings: { girthRim: three(250), side: three(100) } });
    const solid = (mm: number, seam = {}): Project => {
      const job = makeJob(can, [plate('wrap', mm, 40, { running: 'round' })]);
      return projectOf({ ...job, seam: { ...job.seam, ...seam } }, 'long');
    };
    expect(findingsOf(solid(250.2), 'seam-cut')).toMatchObject([{ case: 'a-little-long', severity: 'fine', numbers: { over: expect.closeTo(0.2, 2) } }]); // prettier-ignore
    for (const seam of [{}, { way: 'wandering' as const }]) {
      const [finding] = findingsOf(solid(252, seam), 'seam-cut');
      expect(finding).toMatchObject({ case: 'too-long', severity: 'fails', numbers: { over: expect.closeTo(2, 2) } });
      const after = fixed(solid(252, seam), finding!);
      expect(Math.abs((after.items[0] as ArtItem).widthMm - 250)).toBeLessThan(0.01);
    }
    // A lap is wanted as long as it is.
    expect(findingsOf(solid(252, { lapMm: 2 }), 'seam-cut').map((f) => f.case)).not.toContain('too-long');
  });
});

describe('seam-gap', () => {
  const readings = (n: number): Blank => {
    const goes = (mm: number) => ({ ...bare(mm), takes: Array.from({ length: n }, () => ({ typed: '', mm })) });
    return makeBlank({}, { kind: 'tapered', readings: { girthRim: goes(276), girthBase: goes(214), side: goes(168) } });
  };
  // One go: 0.7·√(1 + 0.369²) = 0.746 mm; three goes: 0.43 mm.
  it('looks at a gap over half a millimetre and laps it', () =>
    expectRule('seam-gap', 'look', project(readings(1), wave(9)), project(readings(3), wave(9))));
  it('does not matter where no film meets at the seam', () =>
    expect(findingsOf(project(readings(1), textItem('COX')), 'seam-gap')).toEqual([]));
});

describe('glance', () => {
  it('agrees with the foreshortening it is made from', () => {
    // At the angle found, the apparent width of a degree over that in the middle is the share asked for.
    for (const radius of [25, 41, 70]) {
      const theta = halfAngleSeen(radius, 500, 0.6);
      const slope = (t: number): number =>
        (radius * (500 * Math.cos(t) - radius)) / (500 ** 2 + radius ** 2 - 1000 * radius * Math.cos(t));
      expect(slope(theta) / slope(0)).toBeCloseTo(0.6, 9);
    }
  });
  const seen = 2 * (245 / (2 * Math.PI)) * glanceHalfAngle(245 / (2 * Math.PI), USUAL_LIMITS);
  const wide = (mm: number): Project => project(tumbler(), textItem('REGATTA', { size: { by: 'width', mm } }));
  it('looks at words wider than one sees', () => expectRule('glance', 'look', wide(seen + 1), wide(seen - 0.5)));
  it('leaves what runs round alone', () => expect(findingsOf(project(tumbler(), wave(9)), 'glance')).toEqual([]));
  it('leaves alone what goes three fifths of the way round and more: it is turned to be read', () => {
    const can = makeBlank({ girthRim: 200, side: 100 });
    const long = (mm: number): Project => project(can, textItem('REGATTA', { size: { by: 'width', mm } }));
    expect(findingsOf(long(119), 'glance')).toHaveLength(1);
    expect(findingsOf(long(121), 'glance')).toEqual([]);
  });
  it('takes what is kept together as one', () => {
    const can = makeBlank({ girthRim: 300, side: 100 });
    const two = (keepTogether: string | null, apart: number): Project =>
      project(can, ...[-1, 1].map((side) => plate(`p${side}`, 20, 20, { keepTogether, placement: at({ facing: 'angle', angleDeg: (side * apart * 1.2) / 2 }) }))); // prettier-ignore
    expect(findingsOf(two(null, 110), 'glance')).toEqual([]);
    const [finding] = findingsOf(two('set', 110), 'glance');
    // From the outer edge of the one to that of the other: 110 + 20 mm.
    expect(finding).toMatchObject({ case: 'wide-group', itemIds: ['p-1', 'p1'] });
    expect(finding!.numbers.width).toBeCloseTo(130, 1);
    expect(findingsOf(two('set', 50), 'glance')).toEqual([]);
  });
  it('takes what a mask opens, and not the mask', () => {
    const can = makeBlank({ girthRim: 300, side: 100 });
    const masked = (mm: number): Project => {
      const words = plate('words', mm, 20, { film: 'chalk', acts: { ...NO_ACTS, shapesOnly: true } });
      const sheet = motifItem('plate', { widthMm: mm + 20, heightMm: 40, acts: { ...NO_ACTS, cutAway: ['words'] } });
      return project(can, words, sheet);
    };
    expect(findingsOf(masked(140), 'glance').map((f) => f.itemIds)).toEqual([['words']]);
    expect(findingsOf(masked(60), 'glance')).toEqual([]);
  });
});

describe('unfused', () => {
  const script = (fuse: boolean): Project => project(tumbler(), textItem('bowman', { font: 'script', fuse }));
  it('fails script letters that overlap and fuses them', () =>
    expectRule('unfused', 'fails', script(false), script(true)));
  it('fails two things of one film lying over each other, not of two films', () => {
    const pair = (film: string, dx: number): Project =>
      project(
        tumbler(),
        motifItem('heron', { id: 'a' }),
        motifItem('heron', { id: 'b', film, placement: at({ facing: 'angle', angleDeg: dx }) }),
      );
    expectRule('unfused', 'fails', pair('deep-water', 10), pair('deep-water', 60));
    expect(findingsOf(pair('ensign', 10), 'unfused')).toEqual([]);
  });
});

describe('right-way-up', () => {
  it('marks a taper whose base is wider, and only that', () => {
    const beaker = project(makeBlank({ girthRim: 210, girthBase: 248, side: 96 }), textItem('COX'));
    expect(findingsOf(beaker, 'right-way-up')).toMatchObject([{ severity: 'look', fixes: [] }]);
    expect(findingsOf(project(makeBlank({ girthRim: 248, girthBase: 248.4, side: 96 })), 'right-way-up')).toEqual([]);
  });
});

describe('load-fit', () => {
  const on = (boardId: string): Project => projectOf(makeJob(tumbler(), [wave(9, { heightMm: 110 })]), boardId);
  it('fails a film that fits the board neither way and finds one that does', () =>
    expectRule('load-fit', 'fails', on('small'), on('square')));
  it('splits a wrap into as few panels as fit the board', () => {
    // About 390 mm round: more than the 289 mm of the board, its half is not.
    const pot = projectOf(makeJob(makeBlank({ girthRim: 402, girthBase: 380, side: 130 }), [wave(20)]), 'square');
    const [finding] = findingsOf(pot, 'load-fit');
    const split = finding!.fixes.findIndex((fix) => fix.do === 'split-panels');
    expect(finding!.fixes[split]).toEqual({ do: 'split-panels', panels: 2 });
    expect(findingsOf(fixed(pot, finding!, split), 'load-fit')).toEqual([]);
  });
});

describe('reading-implausible', () => {
  it('fails a base read across and takes π times it', () =>
    expectRule(
      'reading-implausible',
      'fails',
      project(makeBlank({ girthRim: 200, girthBase: 62, side: 168 })),
      project(tumbler()),
    ));
});

describe('letters-missing', () => {
  it('fails letters that the font cannot draw', () => {
    const [finding] = findingsOf(project(tumbler(), textItem('舟 cox')), 'letters-missing');
    expect(finding).toMatchObject({ severity: 'fails' });
    expect(describeFinding(finding!, 'mm').title).toBe('The font lacks 舟');
  });
});

describe('signatureOf', () => {
  it('changes when a number that is shown changes, and not before', () => {
    const sign = (mm: number): string =>
      signatureOf(
        findingsOf(project(tumbler(), textItem('HELM', { placement: at({ from: 'rim', mm }) })), 'rim-zone')[0]!,
      );
    expect(sign(4)).toBe(sign(4.001));
    expect(sign(4)).not.toBe(sign(4.3));
  });
});

describe('fine-stroke', () => {
  it('fires for a bar finer than its film holds, by as much as it is finer', () => {
    const bar = (mm: number, film = 'deep-water') => project(tumbler(), plate('bar', 40, mm, { film }));
    // Gloss film holds 1 mm, cast film 0.8: what is too fine for the one does for the other.
    expectRule('fine-stroke', 'look', bar(0.9), bar(1.05));
    expectRule('fine-stroke', 'fails', bar(0.4), bar(0.85, 'hull'));
    expect(findingsOf(bar(0.9), 'fine-stroke')[0]!.numbers).toMatchObject({ width: expect.closeTo(0.9, 2), finest: 1 });
  });
});

describe('tiny-piece', () => {
  it('fires for what is too small to lift, once for all that are', () => {
    const dots = (mm: number) =>
      project(tumbler(), plate('dot', mm, mm, { repeat: { mode: 'spaced', count: 5 }, placement: at({ facing: 'angle', angleDeg: 10 }) })); // prettier-ignore
    expectRule('tiny-piece', 'look', dots(2.2), dots(2.55));
    expect(findingsOf(dots(2.2), 'tiny-piece')).toMatchObject([{ numbers: { count: 5 } }]);
  });
});

describe('stray-film', () => {
  it('fires for a film of which only a speck is used, and puts it on the one used most', () => {
    const speck = (mm: number) => project(tumbler(), plate('wide', 60, 30), plate('speck', mm, mm, { film: 'brass', placement: at({ mm: 40 }) })); // prettier-ignore
    // 4.4² = 19.4 mm², 4.5² = 20.3 mm².
    expectRule('stray-film', 'look', speck(4.4), speck(4.5));
    // One film alone is never a stray one.
    expect(findingsOf(project(tumbler(), plate('only', 3, 3)), 'stray-film')).toEqual([]);
  });
});

describe('hands', () => {
  it('fires for words that read backwards, wherever a mirror does it', () => {
    const words = (more: Partial<ArtworkItem>) => project(mug(), { ...textItem('COX'), ...more } as ArtworkItem);
    expectRule('hands', 'look', words({ mirrored: true }), words({}));
    const spaced = (alternate: boolean) => words({ repeat: { mode: 'spaced', count: 2, alternate } });
    expectRule('hands', 'look', spaced(true), spaced(false));
    const faces = { placement: at({ facing: 'faces' }) };
    expectRule('hands', 'look', words({ ...faces, repeat: { mode: 'once', count: 1, alternate: true } }), words(faces));
    // A motif may look the other way.
    expect(findingsOf(project(mug(), motifItem('heron', { mirrored: true })), 'hands')).toEqual([]);
  });

  it('fires for a pair that is twice the same, or on which nothing faces anybody', () => {
    const pair = (facing: Placement['facing'], ...hands: ('right' | 'left')[]): Project => ({
      ...project(mug(), motifItem('oar', { widthMm: 9, placement: at({ facing }) })),
      names: { itemId: null, widthMm: 60, leastCapMm: 8, closeMm: 1, rows: hands.map((hand, i) => ({ id: `r${i}`, name: `Mug ${i + 1}`, count: 1, hand, capMm: null, blankId: null })) }, // prettier-ignore
    });
    expectRule('hands', 'look', pair('drinker', 'right', 'right'), pair('drinker', 'right', 'left'));
    // Only a person can say what is to face whom.
    expect(findingsOf(pair('front', 'right', 'left'), 'hands')).toMatchObject([{ case: 'nothing-faces', fixes: [] }]);
  });
});
