import { describe, expect, it } from 'vitest';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, makeJob, textItem } from '../../test/jobs.ts';
import { deriveWrap } from '../pieces/wrap.ts';
import { findingsOf, fixed, projectOf } from '../../test/findings.ts';
import { bareRound, MASK_MARGIN_MM, maskRound, refitMask, type MaskOpens, type MaskReach } from './mask.ts';

const flask = makeBlank({ girthRim: 228, side: 150 });
const wrapOf = (items: Parameters<typeof makeJob>[1]) => {
  const derived = deriveWrap(makeJob(flask, items), testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap;
};
const mask = (items: Parameters<typeof makeJob>[1], opens: MaskOpens = 'figure', reach: MaskReach = 'rim') => {
  const placed = wrapOf(items).placed.map((p) => ({
    itemId: p.item.id,
    copies: p.copies,
    widthMm: p.box.maxX - p.box.minX,
    slants: p.slants,
  }));
  return maskRound(items, placed, { length: 150, radiusAt: () => 228 / (2 * Math.PI) }, 'reed', 'mask', opens, reach);
};

describe('maskRound', () => {
  const words = textItem('BOW', { placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: 40, turnDeg: 0 } });

  it('reaches up to the rim edge and the margin past the design, with the design cut out and its counters left', () => {
    const design = wrapOf([words]);
    const { pieces } = wrapOf([...mask([words])]);
    const film = design.pieces.reduce((sum, p) => sum + p.areaMm2, 0);
    const plate = pieces.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
    const [low, high] = [design.pieces[0]!.flatBox.minX, design.pieces.at(-1)!.flatBox.maxX];
    expect(plate.slants[0]).toBeCloseTo(0, 2);
    expect(plate.slants[1]).toBeCloseTo(Math.max(...design.pieces.map((p) => p.slants[1])) + MASK_MARGIN_MM, 2);
    expect(plate.flatBox.maxX - plate.flatBox.minX).toBeCloseTo(high - low + 2 * MASK_MARGIN_MM, 1);
    // B has two counters and O one: three islands beside the plate.
    expect(pieces).toHaveLength(1 + 3);
    const whole = (plate.flatBox.maxX - plate.flatBox.minX) * (plate.slants[1] - plate.slants[0]);
    expect(pieces.reduce((sum, p) => sum + p.areaMm2, 0)).toBeCloseTo(whole - film, 0);
  });

  it('goes all round where the design does', () => {
    const round = { ...words, repeat: { mode: 'spaced', count: 5 } } as const;
    const { pieces } = wrapOf([...mask([round])]);
    const plate = pieces.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
    expect(plate.flatBox.maxX - plate.flatBox.minX).toBeCloseTo(228, 1);
    expect(plate.cutAt).toBe('both');
  });

  it('counts the way round where its own middle lies, on a side that bulges', () => {
    const placed = [{ itemId: words.id, copies: [-1, 1], widthMm: 20, slants: [60, 70] as const }];
    const side = { length: 100, radiusAt: (slant: number) => 40 + 20 * Math.sin((Math.PI * slant) / 100) };
    const plate = maskRound([words], placed, side, 'reed', 'mask', 'figure').at(-1)!;
    // From the rim edge to 82 mm: its middle lies at 41 mm, where the radius is 40 + 20 · sin 73.8° = 59.21 mm. Twice that to
    // the middles of the copies, and half of one and the margin on either side: 2 · (59.21 + 10 + 12).
    expect(plate).toMatchObject({ widthMm: expect.closeTo(162.41, 1), heightMm: 82 });
  });

  it('is a border round the design, or the whole side but the figures, where that is chosen', () => {
    const design = wrapOf([words]);
    const [low, high] = [design.pieces[0]!.flatBox.minX, design.pieces.at(-1)!.flatBox.maxX];
    const [top, foot] = [Math.min(...design.pieces.map((p) => p.slants[0])), Math.max(...design.pieces.map((p) => p.slants[1]))]; // prettier-ignore
    const film = design.pieces.reduce((sum, p) => sum + p.areaMm2, 0);
    const sheet = (reach: MaskReach) => wrapOf([...mask([words], 'figure', reach)]).pieces;
    const area = (reach: MaskReach): number => sheet(reach).reduce((sum, p) => sum + p.areaMm2, 0);
    expect(area('border')).toBeCloseTo((high - low + 24) * (foot - top + 24) - film, -1);
    expect(area('side')).toBeCloseTo(228 * 150 - film, -1);
    const plate = sheet('border').reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
    expect(plate.slants[0]).toBeCloseTo(top - 12, 1);
    // Open ground: the field is 6 mm round the letters, the plate another 12.
    const ground = wrapOf([...mask([words], 'ground', 'border')]).pieces.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a)); // prettier-ignore
    expect(ground.slants[0]).toBeCloseTo(top - 18, 1);
  });

  it('keeps its reach when it is made to fit again', () => {
    const placed = [{ itemId: words.id, copies: [0], widthMm: 40, slants: [60, 70] as const }];
    const side = { length: 150, radiusAt: () => 228 / (2 * Math.PI) };
    const again = (reach: MaskReach) => {
      const plate = maskRound([words], placed, side, 'reed', 'mask', 'figure', reach).at(-1)!;
      return refitMask(plate as never, [{ ...placed[0]!, slants: [50, 90] }], side);
    };
    expect([again('rim').placement.mm, again('rim').heightMm]).toEqual([0, 102]);
    expect([again('border').placement.mm, again('border').heightMm]).toEqual([38, 64]);
    expect([again('side').placement.mm, again('side').heightMm]).toEqual([0, 150]);
  });

  it('leaves bare what is above, beside and below it, each with its size', () => {
    const side = { length: 150, radiusAt: (slant: number) => 40 + slant / 10 };
    const bare = bareRound({ itemId: 'm', copies: [0], widthMm: 100, slants: [20, 80] }, side);
    // Round the middle of each: 41, 45 and 51.5 mm of radius.
    expect(bare.map(({ where, widthMm, heightMm }) => [where, Math.round(widthMm), heightMm])).toEqual([
      ['above', 258, 20],
      ['beside', 183, 60],
      ['below', 324, 70],
    ]);
    const whole = bareRound({ itemId: 'm', copies: [0], widthMm: 2 * Math.PI * 47.5, slants: [0, 150] }, side);
    expect(whole).toEqual([]);
    expect(bareRound({ itemId: 'm', copies: [], widthMm: 9, slants: null }, side)).toEqual([]);
  });

  it('changes nothing where nothing is placed', () => {
    const empty = [textItem(' ')];
    expect(mask(empty)).toBe(empty);
  });

  it('opens the ground: a clear field in the plate, with the design as film in it', () => {
    const design = wrapOf([words]);
    const film = design.pieces.reduce((sum, p) => sum + p.areaMm2, 0);
    const { pieces } = wrapOf([...mask([words], 'ground')]);
    const plate = pieces.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
    // Letters are three pieces in one opening; 6 mm clear round them, then 12 mm of mask.
    expect([pieces.length, plate.flat.holes.length]).toEqual([4, 1]);
    const [left, right] = [design.pieces[0]!.flatBox.minX, design.pieces.at(-1)!.flatBox.maxX];
    expect(plate.flatBox.maxX - plate.flatBox.minX).toBeCloseTo(right - left + 2 * (6 + MASK_MARGIN_MM), 1);
    const [top, foot] = [Math.min(...design.pieces.map((p) => p.slants[0])), Math.max(...design.pieces.map((p) => p.slants[1]))]; // prettier-ignore
    const outer = (right - left + 36) * (foot + 18);
    const field = (right - left + 12) * (foot - top + 12);
    expect(pieces.reduce((sum, p) => sum + p.areaMm2, 0)).toBeCloseTo(outer - field + film, -1);
  });

  it.each(['figure', 'ground'] as const)('bridges its islands when it is laid by hand: %s', (opens) => {
    const project = projectOf(makeJob(flask, mask([words], opens)));
    const [loose] = findingsOf(project, 'island');
    // B has two counters and O one; with the ground open the three letters themselves are loose.
    expect(loose).toMatchObject({ severity: 'look', numbers: { count: 3 } });
    const tied = fixed(project, loose!);
    expect([findingsOf(tied, 'island'), findingsOf(tied, 'bridge-thin')]).toEqual([[], []]);
    const [before, after] = [project, tied].map((p) => wrapOf(p.items).pieces);
    expect(after).toHaveLength(1);
    // Each bridge adds a strip 1.5 mm wide over a gap; letters of 18 mm leave none wider than 15 mm.
    const added = after![0]!.areaMm2 - before!.reduce((sum, p) => sum + p.areaMm2, 0);
    expect(added).toBeGreaterThan(3 * 1.5 * 1);
    expect(added).toBeLessThan(6 * 1.5 * 15);
    const thin = { ...tied, items: tied.items.map((i) => ({ ...i, acts: { ...i.acts, bridgeMm: i.acts.bridgeMm && 0.5 } })) }; // prettier-ignore
    expect(findingsOf(fixed(thin, findingsOf(thin, 'bridge-thin')[0]!), 'bridge-thin')).toEqual([]);
  });

  it('goes all round with its ground open: what lies between its two strips is tied to the nearer ones', () => {
    const round = { ...words, repeat: { mode: 'spaced', count: 5 } } as const;
    const project = projectOf(makeJob(flask, mask([round], 'ground')));
    // Five words of three letters, none of them in a hole.
    const [loose] = findingsOf(project, 'island');
    expect(loose?.numbers).toEqual({ count: 15 });
    const before = wrapOf(project.items).pieces;
    const after = wrapOf(fixed(project, loose!).items).pieces;
    expect([before.length, after.length]).toEqual([expect.any(Number), 1]);
    expect(before.length).toBeGreaterThan(15);
    // A mask comes off again: nobody drinks from it, and nobody reads it.
    for (const code of ['rim-zone', 'base-zone', 'glance'] as const)
      expect(findingsOf(project, code).filter((f) => f.itemIds.includes('mask'))).toEqual([]);
  });

  it('keeps its margin: moved or lengthened words are found, and the fix fits the plate to them', () => {
    const project = projectOf(makeJob(flask, mask([words])));
    expect(findingsOf(project, 'mask-margin')).toEqual([]);
    const change = (part: object) => ({ ...project, items: project.items.map((i) => (i.id === words.id ? { ...i, ...part } : i)) as typeof project.items }); // prettier-ignore
    const longer = change({ text: 'BOW IN' });
    const lower = change({ placement: { ...words.placement, mm: 45 } });
    expect(findingsOf(lower, 'mask-margin')).toMatchObject([
      { case: 'narrow', numbers: { margin: expect.closeTo(7, 1) } },
    ]);
    for (const changed of [longer, lower]) {
      const [found] = findingsOf(changed, 'mask-margin');
      expect(findingsOf(fixed(changed, found!), 'mask-margin')).toEqual([]);
    }
    // Half a millimetre is not asked for.
    expect(findingsOf(change({ placement: { ...words.placement, mm: 40.02 } }), 'mask-margin')).toEqual([]);
  });
});
