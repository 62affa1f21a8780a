import { describe, expect, it } from 'vitest';
import { judging, only, pieceAt, placedItem, RADIUS, saidOf, TURN } from '../../../test/judging.ts';
import { motifItem, textItem } from '../../../test/jobs.ts';
import type { ArtworkItem } from '../../model/item.ts';
import { judgeHands } from './hands.ts';
import { judgeHazards } from './hazard.ts';
import { judgeNamesOverflow } from './names-overflow.ts';
import { judgeSeamCut } from './seam-cut.ts';
import { judgeSeamNeighbours } from './seam-neighbours.ts';
import { judgeUnfused } from './unfused.ts';

const square = (x: number, size: number, change = {}) => pieceAt({ minX: x, maxX: x + size, minY: 20, maxY: 20 + size }, change); // prettier-ignore

describe('what can hurt someone', () => {
  const cases = (change: { blank?: object; job?: object; film?: string }) => judgeHazards(judging({ blank: { surface: 'painted', ...change.blank } as never, job: change.job as never, wrap: { pieces: [square(0, 20, { film: change.film ?? 'deep-water' })] } })).map((f) => f.case); // prettier-ignore

  it('is said for each way of working, and for glass that is worked', () => {
    expect(['decal', 'strip', 'etch', 'blast', 'paint'].map((process) => cases({ job: { process } }))).toEqual([[], ['stripper'], ['etching'], ['blasting'], ['painting']]); // prettier-ignore
    const glass = { surface: 'glass' };
    expect(['decal', 'strip', 'etch', 'blast', 'paint'].map((process) => cases({ blank: glass, job: { process } }).includes('glass-worked'))).toEqual([false, false, true, true, false]); // prettier-ignore
  });

  it('is said of heat, rubber, gas, foil and film on the inside', () => {
    expect(cases({ job: { warm: true } })).toEqual([]);
    expect(cases({ blank: { surface: 'latex' } })).toEqual(['latex']);
    expect(cases({ blank: { surface: 'latex' }, job: { warm: true } })).toEqual(['heat-latex', 'latex']);
    expect(cases({ blank: { surface: 'glass' }, job: { warm: true } })).toEqual(['alcohol-heat']);
    const balloon = (gas: string) => ({
      kind: 'balloon',
      surface: 'latex',
      balloon: { gas, hours: 1, shrinkPerDay: 0 },
    });
    expect([cases({ blank: balloon('helium') }), cases({ blank: balloon('air') })]).toEqual([['latex', 'helium'], ['latex']]); // prettier-ignore
    expect(cases({ blank: { ...balloon('helium'), kind: 'ball', surface: 'plastic' } })).toEqual([]);
    const inside = { inside: { read: 'inside', wallMm: 2 } };
    expect([cases({ blank: inside }), cases({ blank: inside, job: { process: 'paint' } })]).toEqual([['film-inside'], ['painting']]); // prettier-ignore
    const foil = (surface: string, process = 'decal', film = 'brass') => cases({ blank: { surface }, job: { process }, film }).includes('foil-microwave'); // prettier-ignore
    expect(['glass', 'glazed ceramic', 'plastic', 'painted', 'bare steel'].map((s) => foil(s))).toEqual([true, true, true, false, false]); // prettier-ignore
    expect([foil('glass', 'paint'), foil('glass', 'decal', 'deep-water')]).toEqual([false, false]);
  });

  it('keeps nothing from being cut but heat near rubber, and is not said of nothing', () => {
    const context = judging({ blank: { surface: 'latex' }, job: { warm: true }, wrap: { pieces: [square(0, 20)] } });
    expect(judgeHazards(context).map((f) => [f.case, f.severity, f.fixes])).toEqual([
      ['heat-latex', 'fails', [{ do: 'lay-cold' }]],
      ['latex', 'fine', []],
    ]);
    expect(judgeHazards(judging({ job: { process: 'strip' } }))).toEqual([]);
  });
});

describe('words that read backwards', () => {
  const words = (change: object) => only(judgeHands, judging({ wrap: { placed: [placedItem(30, [10, 20], 0, textItem('Tide', { id: 't', ...change }) as ArtworkItem)] } })); // prettier-ignore

  it('are told, mirrored themselves or every other of several', () => {
    expect(words({})).toBeNull();
    expect(words({ mirrored: true })).toMatchObject({
      case: 'mirrored',
      fixes: [{ do: 'read-forwards', itemId: 't' }],
    });
    expect(words({ mirrored: true })!.said).toMatch(/“Tide” reads backwards/);
    const facing = (facing: string) => ({ ...textItem('x').placement, facing });
    const every = words({ repeat: { mode: 'once', alternate: true }, placement: facing('faces') })!;
    expect(every).toMatchObject({ case: 'every-other' });
    expect(every.said).toContain('Every other “Tide”');
    expect(words({ repeat: { mode: 'once', alternate: true }, placement: facing('front') })).toBeNull();
    expect(words({ repeat: { mode: 'spread', alternate: true, count: 2 } })).not.toBeNull();
    expect(words({ repeat: { mode: 'spread', alternate: true, count: 1 } })).toBeNull();
    expect(words({ repeat: { mode: 'joined', alternate: true, count: 4 } })).toBeNull();
  });

  it('are no matter for motifs, nor for words of which nothing is cut', () => {
    const star = motifItem('star', { mirrored: true });
    expect(only(judgeHands, judging({ wrap: { placed: [placedItem(30, [10, 20], 0, star)] } }))).toBeNull();
    const gone = { ...placedItem(30, [10, 20], 0, textItem('Tide', { mirrored: true }) as ArtworkItem), slants: null };
    expect(only(judgeHands, judging({ wrap: { placed: [gone] } }))).toBeNull();
    const shaping = { ...gone, item: { ...gone.item, acts: { ...gone.item.acts, shapesOnly: true } } };
    expect(only(judgeHands, judging({ wrap: { placed: [shaping] } }))).not.toBeNull();
  });
});

describe('a pair for either hand', () => {
  const row = (id: string, hand: string | null) => ({ id, name: id, count: 1, hand, capMm: null, blankId: null });
  const pair = (rows: object[], facing = 'drinker', change: object = {}, handleWidthMm = 20) => {
    const item = motifItem('star', { placement: { ...motifItem('star').placement, facing: facing as never } });
    return only(judgeHands, judging({ blank: { handleWidthMm }, job: { items: [item], names: { itemId: null, rows }, ...change } as never })); // prettier-ignore
  };

  it('has one for each, whichever hand the job is for', () => {
    expect(pair([row('one', 'left'), row('two', 'right')])).toBeNull();
    expect(pair([row('one', 'left'), row('two', null)])).toBeNull();
    const same = pair([row('one', 'right'), row('two', null)])!;
    expect(same).toMatchObject({ case: 'same-hand', names: { hand: 'right' }, fixes: [{ do: 'set-hand', rowId: 'two', hand: 'left', name: 'two' }] }); // prettier-ignore
    expect(same.said).toContain('Both of the pair are for the right hand');
    expect(pair([row('one', 'left'), row('two', 'left')])).toMatchObject({ fixes: [{ hand: 'right' }] });
    // Three for one hand are no pair.
    expect(pair([row('one', 'left'), row('two', 'left'), row('three', 'left')])).toBeNull();
  });

  it('looks alike when nothing on it faces anybody', () => {
    const both = [row('one', 'left'), row('two', 'right')];
    expect(pair(both, 'front')).toMatchObject({ case: 'nothing-faces', fixes: [] });
    expect(pair(both, 'front')!.said).toContain('Both of the pair come out alike');
    expect([pair(both, 'room'), pair(both, 'faces')]).toEqual([null, null]);
  });

  it('is not judged without a handle, of names, or of one', () => {
    const same = [row('one', 'left'), row('two', 'left')];
    expect(pair(same, 'drinker', {}, 0)).toBeNull();
    expect(pair(same, 'drinker', { names: { itemId: 'star', rows: same } })).toBeNull();
    expect(pair(same.slice(1))).toBeNull();
    expect(pair(same, 'drinker', { names: null })).toBeNull();
  });
});

describe('names of a list', () => {
  const item = textItem('Name', { id: 'name' }) as ArtworkItem;
  const make = (name: string, fitted: object | null, change: object = {}) => ({ row: { id: name, name, blankId: null, ...change }, fitted, on: {}, ...change }); // prettier-ignore
  const judged = (makes: object[], change: object = {}) => judgeNamesOverflow(judging({ job: { items: [item], names: { itemId: 'name', leastCapMm: 8, rows: [] }, otherBlanks: [{ id: 'glass', name: 'Glass' }], ...change } as never, context: { makes } })); // prettier-ignore

  it('fit, and how high their capitals are then', () => {
    const [fit] = judged([
      make('Wren', { overMm: 0, capMm: 12, missing: [] }),
      make('Marigold', { overMm: 0, capMm: 9 }),
    ]);
    expect(fit).toMatchObject({ case: 'fit', severity: 'fine', itemIds: ['name'], numbers: { count: 2, least: 9, most: 12 } }); // prettier-ignore
    expect(saidOf(fit!)).toContain('All 2 names fit their place');
    expect(saidOf(judged([make('Wren', { overMm: 0, capMm: 12 })])[0]!)).toContain('The name fits');
    expect(judged([])).toEqual([]);
    expect(judged([make('Wren', { overMm: 0, capMm: 12 })], { names: null })).toEqual([]);
  });

  it('are too long by what they pass their place: lower capitals or a wider place', () => {
    const [long, ...others] = judged([make('Bartholomew', { overMm: 10, widthMm: 60, capMm: 8 }), make('Wren', { overMm: 0, capMm: 12 })]); // prettier-ignore
    expect(others).toEqual([]);
    expect(long).toMatchObject({
      case: 'too-long',
      severity: 'fails',
      numbers: { over: 10, width: 60, allowed: 50, cap: 8 },
    });
    // 8 mm · 50/60 · 0.98 = 6.533…
    expect(long!.fixes).toEqual([{ do: 'name-box', widthMm: 50, leastCapMm: 6.5 }, { do: 'name-box', widthMm: 60, leastCapMm: 8 }]); // prettier-ignore
    expect(saidOf(long!)).toMatch(/“Bartholomew” is too long.*At 8.0 mm.*60.0 mm wide; 50.0 mm is given/);
    expect(judged([make('B', { overMm: 9.5, widthMm: 59.5, capMm: 8 })])[0]!.fixes[1]).toMatchObject({ widthMm: 60 });
  });

  it('lack letters, or a blank that can be flattened', () => {
    const [letters] = judged([make('Wőłf', { overMm: 0, capMm: 9, missing: ['ő', 'ł'] })]);
    expect(letters).toMatchObject({ case: 'letters', severity: 'fails', names: { letters: '“ő”, “ł”' } });
    const [other] = judged([make('Wren', null, { on: null, row: { id: 'w', name: 'Wren', blankId: 'glass' } })]);
    expect(other).toMatchObject({ case: 'blank', names: { name: 'Wren', on: 'Glass' } });
    const [own] = judged([make('Wren', null, { on: null })]);
    expect(own!.names['on']).toBe('Test cup');
  });
});

describe('film of one colour that lies over itself', () => {
  const ring = (x: number, size: number) => ({ outer: Float64Array.from([x, 0, x + size, 0, x + size, size, x, size]), holes: [] }); // prettier-ignore
  const on = (x: number, size: number, id: string, change = {}) => square(x, size, { unrolled: ring(x, size), itemIds: [id], ...change }); // prettier-ignore
  const found = (...pieces: ReturnType<typeof square>[]) => judgeUnfused(judging({ job: { items: [motifItem('star', { id: 'a' }), motifItem('sun', { id: 'b' })] }, wrap: { pieces } })); // prettier-ignore

  it('is told by what overlaps, with where, and fused', () => {
    expect(found(on(0, 10, 'a'), on(10, 10, 'b'))).toEqual([]);
    const [both] = found(on(0, 10, 'a'), on(9, 12, 'b'));
    expect(both).toMatchObject({ id: 'unfused:a+b', case: 'items', severity: 'fails', numbers: { count: 1 }, fixes: [{ do: 'fuse-items', itemIds: ['a', 'b'] }] }); // prettier-ignore
    expect(both!.place).toEqual({ azimuths: [0, 21 / RADIUS], slants: [20, 32] });
    expect(saidOf(both!)).toContain('The star and the sun overlap in the same film');
    const [letters] = found(on(0, 10, 'a'), on(9, 10, 'a'), on(18, 10, 'a'));
    expect(letters).toMatchObject({ id: 'unfused:a', case: 'letters', numbers: { count: 2 } });
    expect(saidOf(letters!)).toContain('2 overlaps');
  });

  it('is not that of other films, of other panels, of spares, nor a mere touch', () => {
    expect(found(on(0, 10, 'a'), on(9, 10, 'b', { film: 'shallows' }))).toEqual([]);
    expect(found(on(0, 10, 'a'), on(9, 10, 'b', { part: 'panel 2 of 2' }))).toEqual([]);
    expect(found(on(0, 10, 'a'), on(9, 10, 'b', { spare: true }))).toEqual([]);
    // 0.0009 × 10 mm is under a hundredth of a square millimetre; 0.002 × 10 is over it.
    expect(found(on(0, 10, 'a'), on(9.9991, 10, 'b'))).toEqual([]);
    expect(found(on(0, 10, 'a'), on(9.998, 10, 'b'))).toHaveLength(1);
  });
});

describe('what the seam cuts', () => {
  const seam = { lapMm: 0, panels: 1, style: 'straight', way: 'straight', atSeam: [] };
  const judged = (placed: object[], pieces: ReturnType<typeof square>[], change: { seam?: object; blank?: object; wrap?: object } = {}) =>
    only(judgeSeamCut, judging({
      blank: change.blank ?? {},
      job: { seam: { ...seam, ...change.seam } } as never,
      wrap: { placed: placed.map((p) => ({ filmOf: null, ...p })), pieces, seams: [{}], cuts: [{ itemId: 'star-1', copy: 0 }], frames: [{ part: '' }], errors: { gapRim: 0.1, gapBase: 0.1 }, template: { closed: true, flattening: { parts: 1 } }, ...change.wrap },
    })); // prettier-ignore
  const back = Math.PI * RADIUS;
  const halves = [square(back - 10, 10, { cutAt: 'right' }), square(-back, 10, { cutAt: 'left' })];
  const star = placedItem(20, [20, 30], back);

  it('is told, and turned clear by the shorter way, led round, or lapped', () => {
    const cut = judged([star], halves)!;
    expect(cut).toMatchObject({ case: 'cut', severity: 'look', numbers: { count: 1, copies: 1 } });
    expect(cut.place!.slants).toEqual([20, 30]);
    // Its left side goes 2 mm past the seam: 12 mm on.
    expect(cut.fixes).toEqual([{ do: 'turn-item', itemId: 'star-1', byDeg: expect.closeTo((12 / RADIUS) * (180 / Math.PI), 6) }, { do: 'wander-seam' }, { do: 'lap-seam', mm: 1 }]); // prettier-ignore
    expect(cut.said).toContain('The seam cuts the star. One piece is cut in two');
    const further = judged([placedItem(20, [20, 30], back - 5)], halves)!;
    expect(further.fixes[0]).toMatchObject({ byDeg: expect.closeTo((-7 / RADIUS) * (180 / Math.PI), 6) });
    // With more seams than one there is no telling where it would be clear.
    expect(judged([star], halves, { wrap: { seams: [{}, {}] } })!.fixes.map((f) => f.do)).toEqual(['wander-seam', 'lap-seam']); // prettier-ignore
  });

  it('is covered by a lap, said to close, left as it was chosen, or not to be helped', () => {
    expect(judged([star], halves, { seam: { lapMm: 3 } })).toMatchObject({
      case: 'lapped',
      severity: 'fine',
      fixes: [],
    });
    const band = { ...star, item: motifItem('wave', { id: 'star-1', repeat: { mode: 'joined', count: 6 } }) };
    expect(judged([band], halves)).toMatchObject({ case: 'closes', severity: 'look', fixes: [{ do: 'lap-seam', mm: 1 }] }); // prettier-ignore
    expect(judged([star], halves, { seam: { way: 'wandering' } })).toMatchObject({ case: 'no-way', fixes: [{ do: 'lap-seam' }] }); // prettier-ignore
    const chosen = { atSeam: [{ itemId: 'star-1', copy: 0 }] };
    expect(judged([star], halves, { seam: chosen })).toMatchObject({ case: 'split', severity: 'fine', fixes: [] });
    expect(judged([star], halves, { seam: chosen, wrap: { cuts: [{ itemId: 'star-1', copy: 1 }] } })).toMatchObject({ case: 'cut' }); // prettier-ignore
    expect(judged([star], halves, { seam: { atSeam: [{ itemId: 'other', copy: 0 }] } })).toMatchObject({ case: 'cut' });
  });

  it('is nothing where nothing is cut, at a handle, and in bands or gores', () => {
    expect(judged([star], [square(0, 10)])).toBeNull();
    expect(judged([star], halves, { blank: { handleWidthMm: 20 } })).toBeNull();
    expect(judged([star], halves, { wrap: { seams: [] } })).toBeNull();
    expect(judged([star], halves, { wrap: { template: { closed: true, flattening: { parts: 3 } } } })).toBeNull();
    // Between two panels beside a handle it is cut all the same, and only led round.
    const panels = { frames: [{ part: 'one' }, { part: 'two' }], cuts: [{ itemId: 'star-1', copy: 0 }] };
    const middle = [square(-10, 10, { cutAt: 'right', part: 'one' }), square(0, 10, { cutAt: 'left', part: 'two' })];
    expect(judged([star], middle, { blank: { handleWidthMm: 20 }, wrap: panels })!.fixes.map((f) => f.do)).toEqual(['wander-seam', 'lap-seam']); // prettier-ignore
  });

  it('is longer than the way round: a little of that is what readings may miss by, more lies over itself', () => {
    const round = (mm: number, change = {}) => judged([placedItem(mm, [20, 30])], [], change);
    expect(round(TURN + 0.04)).toBeNull();
    const little = round(TURN + 0.2)!;
    expect(little).toMatchObject({
      case: 'a-little-long',
      severity: 'fine',
      numbers: { over: expect.closeTo(0.2, 6) },
    });
    const long = round(TURN + 0.4)!;
    expect(long).toMatchObject({ case: 'too-long', severity: 'fails', fixes: [{ do: 'scale-item', exact: true, factor: expect.closeTo(TURN / (TURN + 0.4), 9) }] }); // prettier-ignore
    expect(long.said).toMatch(/is 0.4 mm longer than the way round\. It needs 314.6 mm, the way round is 314.2 mm/);
    // Twice what the worse end may miss by.
    expect(round(TURN + 0.9, { wrap: { errors: { gapRim: 0.1, gapBase: 0.5 } } })!.case).toBe('a-little-long');
    expect(round(TURN + 1.1, { wrap: { errors: { gapRim: 0.5, gapBase: 0.1 } } })!.case).toBe('too-long');
    // With a lap it is to reach over that.
    expect(round(TURN + 1, { seam: { lapMm: 1 } })).toBeNull();
    expect(round(TURN + 2, { seam: { lapMm: 1 } })!.fixes[0]).toMatchObject({ factor: expect.closeTo((TURN + 1) / (TURN + 2), 9) }); // prettier-ignore
    const twice = { ...placedItem(TURN / 2 + 1, [20, 30]), copies: [0, Math.PI] };
    expect(judged([{ ...twice, groups: [...twice.groups, ...twice.groups] }], [])!.said).toContain('for each of 2');
  });
});

describe('neighbours across the seam', () => {
  /** Pieces in a row, 20 mm apart, but for the last gap, across the seam. */
  const row = (across: number, change: { films?: string[]; handle?: boolean; repeat?: object } = {}) => {
    const { films = ['deep-water'], handle = false, repeat = { mode: 'once' } } = change;
    const pitch = (TURN - across) / 8;
    const gap = 20;
    const pieces = Array.from({ length: 9 }, (_, i) => i).slice(0, 8).map((i) => pieceAt({ minX: -TURN / 2 + across / 2 + i * pitch, maxX: -TURN / 2 + across / 2 + i * pitch + (pitch - (i === 7 ? 0 : gap)), minY: 20, maxY: 40 }, { film: films[i % films.length]!, itemIds: [`i${i}`] })); // prettier-ignore
    const items = pieces.map(({ itemIds }) => motifItem('star', { id: itemIds[0]!, repeat: repeat as never }));
    return judgeSeamNeighbours(judging({ job: { items }, wrap: { pieces, seams: handle ? [] : [{}] } }));
  };

  it('under half of the usual gap are told, and turned apart', () => {
    expect(row(10.1)).toEqual([]);
    expect(row(9.9)).toHaveLength(1);
    const [found] = row(8);
    expect(found).toMatchObject({
      id: 'seam-neighbours:deep-water',
      case: 'pair',
      severity: 'look',
      itemIds: ['i7', 'i0'],
    });
    expect(found!.numbers['gap']).toBeCloseTo(8, 6);
    expect(found!.numbers['typical']).toBeCloseTo(20, 6);
    // Half of 20 with a fiftieth to spare, less the 8 that there are.
    expect(found!.fixes).toEqual([{ do: 'turn-item', itemId: 'i0', byDeg: expect.closeTo(((10.2 - 8) / RADIUS) * (180 / Math.PI), 6) }]); // prettier-ignore
    expect(saidOf(found!)).toMatch(/Two pieces in Deep water nearly touch.*within 8.0 mm once the ends meet; elsewhere the pattern keeps 20.0 mm/); // prettier-ignore
  });

  it('are arranged anew where they were scattered, and only looked at where they run round', () => {
    expect(row(8, { repeat: { mode: 'scattered', count: 3 } })[0]!.fixes).toEqual([
      { do: 'arrange-anew', itemId: 'i0' },
    ]);
    const [joined] = row(8, { repeat: { mode: 'joined', count: 3 } });
    expect(joined!.fixes).toEqual([]);
    expect(saidOf(joined!)).toContain('Only your eye can judge');
  });

  it('of several films are told as things, and not again film by film', () => {
    const found = row(8, { films: ['deep-water', 'shallows'] });
    expect(found.map((f) => [f.id, f.case])).toEqual([['seam-neighbours:all', 'things']]);
    expect(saidOf(found[0]!)).toContain('Two things nearly touch across the seam');
  });

  it('are none where no seam is', () => {
    expect(row(8, { handle: true })).toEqual([]);
  });
});
