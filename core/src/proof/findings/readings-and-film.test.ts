import { describe, expect, it } from 'vitest';
import { judging, only, pieceAt, placedItem, RADIUS, SIDE, TURN } from '../../../test/judging.ts';
import { motifItem, plate } from '../../../test/jobs.ts';
import { STARTING_FILMS } from '../../material/film.ts';
import { judgeBalloonKeeps } from './balloon-keeps.ts';
import { judgeCoverSheet } from './cover-sheet.ts';
import { judgeFilmUnsuited } from './film-unsuited.ts';
import { judgeFineStroke } from './fine-stroke.ts';
import { judgeFitUnchecked } from './fit-unchecked.ts';
import { judgeMaskWeb } from './mask-web.ts';
import { judgeReadingWeak } from './reading-weak.ts';
import { judgeRightWayUp } from './right-way-up.ts';
import { judgeSeamGap } from './seam-gap.ts';
import { judgeStrayFilm } from './stray-film.ts';
import { judgeBandStrain } from './stretch.ts';
import { judgeTape } from './tape-wrinkle.ts';
import { judgeTinyPiece } from './tiny-piece.ts';

const [deep, shallows] = STARTING_FILMS.map(({ id }) => id) as [string, string];
const square = (x: number, size: number, change = {}) => pieceAt({ minX: x, maxX: x + size, minY: 20, maxY: 20 + size }, change); // prettier-ignore
const errors = (change: object) => ({ gapRim: 0.2, gapBase: 0.1, driftFront: 0.3, driftBack: 0.1, weakest: 'girthRim', weakestStation: null, ...change }); // prettier-ignore

describe('how well the ends meet', () => {
  const seam = (gap: object, change: { lapMm?: number; handleWidthMm?: number; cutAt?: number | null } = {}) => {
    const { lapMm = 0, handleWidthMm = 0, cutAt = 3 } = change;
    return only(judgeSeamGap, judging({ blank: { handleWidthMm }, job: { seam: { lapMm, panels: 1, style: 'straight' } as never }, wrap: { errors: errors(gap), pieces: [square(0, 20, { cutAt })] } })); // prettier-ignore
  };

  it('is fine to half a millimetre, else wants a lap of twice as much in half millimetres', () => {
    const small = seam({ gapRim: 0.5 })!;
    expect(small).toMatchObject({ case: 'small', severity: 'fine', fixes: [], place: { slants: [0, SIDE] } });
    expect(small.said).toContain('Expect the seam within ±0.5 mm');
    const wide = seam({ gapRim: 0.6 })!;
    expect(wide).toMatchObject({ case: 'wide', severity: 'look', names: { end: 'rim' }, fixes: [{ do: 'lap-seam', mm: 1.5 }] }); // prettier-ignore
    expect(wide.said).toMatch(/may miss by ±0.6 mm at the rim.*the rim reading/);
    expect(seam({ gapRim: 0.6, gapBase: 0.9 })).toMatchObject({ names: { end: 'base' }, numbers: { worst: 0.9 }, fixes: [{ mm: 2 }] }); // prettier-ignore
    expect(seam({ gapRim: 1 })!.fixes).toEqual([{ do: 'lap-seam', mm: 2 }]);
  });

  it('is covered by a lap of twice what may miss', () => {
    expect(seam({ gapRim: 0.8 }, { lapMm: 1.6 })).toMatchObject({ case: 'lapped', severity: 'fine', fixes: [] });
    expect(seam({ gapRim: 0.8 }, { lapMm: 1.6 })!.said).toContain('the lap is 1.6 mm');
    expect(seam({ gapRim: 0.8 }, { lapMm: 1.5 })).toMatchObject({ case: 'wide', severity: 'look' });
    expect(seam({ gapRim: 0.4 }, { lapMm: 1.5 })).toMatchObject({ case: 'small' });
  });

  it('is no matter at a handle, nor where no film crosses the seam', () => {
    expect(seam({ gapRim: 2 }, { handleWidthMm: 20 })).toBeNull();
    expect(seam({ gapRim: 2 }, { cutAt: null })).toBeNull();
  });
});

describe('how true the edge is', () => {
  const weak = (drift: object, closed = true, pieces = [square(0, 20)]) => only(judgeReadingWeak, judging({ wrap: { errors: errors(drift), pieces, template: { closed } } })); // prettier-ignore

  it('goes unnoticed to a millimetre; past it the weakest reading is taken again', () => {
    expect([weak({ driftFront: 1 }), weak({ driftFront: 1.2 }, true, [])]).toEqual([null, null]);
    const front = weak({ driftFront: 1.2 })!;
    expect(front).toMatchObject({ case: 'front', numbers: { drift: 1.2, allowed: 1 }, goTo: 'measure' });
    expect(front.numbers).not.toHaveProperty('station');
    expect(front.said).toMatch(/stray by ±1.2 mm\. .*±1.0 mm goes unnoticed. Take the rim reading once more/);
    expect(weak({ driftBack: 1.3, weakestStation: 2 })).toMatchObject({ case: 'back', numbers: { drift: 1.3, station: 2 } }); // prettier-ignore
    expect(weak({ driftBack: 1.3 })!.said).toContain('at the back');
    expect(weak({ driftFront: 1.2 }, false)!.said).toContain('The edge may be off by ±1.2 mm');
  });

  it('is easily turned over where the base is longer by more than half a millimetre', () => {
    const cone = (girthRim: number, girthBase: number) => only(judgeRightWayUp, judging({ wrap: { template: { cone: { girthRim, girthBase } } } })); // prettier-ignore
    expect([cone(250, 250.5), cone(260, 250)]).toEqual([null, null]);
    expect(cone(250, 251)!.said).toContain('Rim 250.0 mm, base 251.0 mm');
  });
});

describe('a template that nobody tried on paper', () => {
  // Pieces within 12 mm of each other count as one on the way round.
  const share = (mm: number, change: { fit?: string; closed?: boolean; spare?: boolean } = {}) => {
    const { fit = 'none', closed = true, spare = false } = change;
    const pieces = [pieceAt({ minX: -mm / 2, maxX: mm / 2, minY: 20, maxY: 40 }, { spare })];
    return only(judgeFitUnchecked, judging({ wrap: { pieces, size: { fit }, template: { closed } } }));
  };

  it('wants it from six tenths of the way round on, until it is done and when it was measured anew', () => {
    expect(share(0.599 * TURN)).toBeNull();
    const never = share(0.65 * TURN)!;
    expect(never).toMatchObject({ case: 'never', goTo: 'flat', numbers: { from: 60 } });
    expect(never.numbers['share']).toBeCloseTo(65, 0);
    expect(never.said).toMatch(/not tried on paper.*65 % of the way round/);
    expect(share(0.65 * TURN, { fit: 'stale' })!.said).toContain('measured anew since');
    expect(share(0.65 * TURN, { fit: 'applied' })).toBeNull();
    expect(share(0.65 * TURN, { closed: false })).toBeNull();
    expect(share(0.65 * TURN, { spare: true })).toBeNull();
  });
});

describe('a balloon', () => {
  const balloon = (gas: 'air' | 'helium', hours: number, shrinkPerDay: number, kind = 'balloon' as const) =>
    judgeBalloonKeeps(
      judging({
        blank: { kind, balloon: { gas, hours, shrinkPerDay } },
        wrap: {
          size: { rim: { surface: 880 } },
          template: { flattening: { give: { stretch: 0.02, squeeze: 0.005 } } },
        },
      }),
    );

  it('with helium keeps three hours, with air two days', () => {
    expect([balloon('helium', 3, 0), balloon('air', 48, 0)]).toEqual([[], []]);
    expect(balloon('helium', 4, 0)).toMatchObject([
      { case: 'late', severity: 'look', numbers: { hours: 4, keeps: 3 } },
    ]);
    expect(balloon('air', 49, 0)).toMatchObject([{ case: 'late', numbers: { hours: 49, keeps: 48 } }]);
  });

  it('shrinks under its film by a share a day', () => {
    // 1 % a day is half of one in twelve hours: all that this film takes.
    expect(balloon('air', 12, 1)).toEqual([]);
    expect(balloon('air', 24, 1)).toMatchObject([{ case: 'shrinks', numbers: { shrink: 1, squeeze: 0.5, girth: 880 * 0.99 } }]); // prettier-ignore
    expect(balloon('helium', 24, 1).map((f) => f.case)).toEqual(['late', 'shrinks']);
    expect(balloon('helium', 24, 9, 'ball' as never)).toEqual([]);
  });
});

describe('small pieces', () => {
  const tiny = (pieces: ReturnType<typeof pieceAt>[], item = motifItem('star', { id: 'star-1' }) as never) => only(judgeTinyPiece, judging({ job: { items: [item] }, wrap: { pieces } })); // prettier-ignore

  it('under 2.5 mm across are told once, by the smallest, and thickened until they are not', () => {
    expect(tiny([square(0, 2.5)])).toBeNull();
    const found = tiny([square(0, 2.4), square(9, 2), square(18, 2.2), square(30, 20)])!;
    expect(found).toMatchObject({ id: 'tiny-piece:star-1', numbers: { least: 2.5, count: 3 }, severity: 'look' });
    expect(found.numbers['across']).toBeCloseTo(2, 9);
    // By twice as much across, and a hair: (2.5 − 2) / 2 + 0.02.
    expect(found.fixes).toEqual([{ do: 'thicken-item', itemId: 'star-1', mm: expect.closeTo(0.27, 9) }]);
    expect(found.place!.azimuths[0]).toBeCloseTo(9 / RADIUS, 9);
    expect(found.said).toMatch(/3 pieces of the star under 2.5 mm across.*smallest is 2.0 mm/);
  });

  it('count by their longer way, as they lie; what a seam cuts off and spares do not', () => {
    expect(tiny([pieceAt({ minX: 0, maxX: 1, minY: 20, maxY: 23 })])).toBeNull();
    expect(tiny([pieceAt({ minX: 0, maxX: 3, minY: 20, maxY: 21 })])).toBeNull();
    expect(tiny([square(0, 1, { cutAt: 3 }), square(0, 1, { spare: true })])).toBeNull();
  });

  it('of a drawing, beside larger ones, are specks that can be left off', () => {
    const drawing = plate('star-1', 20, 20) as never;
    const specks = tiny([square(0, 20), square(30, 1)], drawing)!;
    expect(specks).toMatchObject({ id: 'loose-dot:star-1', case: 'specks', fixes: [{ do: 'drop-specks', itemId: 'star-1', underMm: 2.5 }, { do: 'thicken-item' }] }); // prettier-ignore
    expect(specks.said).toContain('One speck came with “Plate” in Deep water');
    expect(tiny([square(0, 1), square(30, 1)], drawing)).toMatchObject({ code: 'tiny-piece', numbers: { count: 2 } });
    expect(tiny([square(0, 1), square(30, 20, { spare: true }), square(60, 20, { cutAt: 3 })], drawing)).toMatchObject({ code: 'tiny-piece' }); // prettier-ignore
  });
});

describe('film of which little is used', () => {
  const stray = (mm2: number, ids = ['star-1'], film = shallows) => {
    const item = motifItem('star', { id: 'star-1', film: shallows });
    const pieces = [square(0, 30), pieceAt({ minX: 0, maxX: 1, minY: 0, maxY: mm2 }, { film, itemIds: ids })];
    return only(judgeStrayFilm, judging({ job: { items: [item] }, wrap: { pieces } }));
  };

  it('is told under 20 mm², and goes to the film that is used most, when all of it is its own', () => {
    expect(stray(20)).toBeNull();
    const found = stray(19)!;
    expect(found).toMatchObject({ numbers: { area: 19, least: 20 }, names: { film: 'Shallows', other: 'Deep water' } });
    expect(found.fixes).toEqual([{ do: 'change-film', itemIds: ['star-1'], film: deep, name: 'Deep water' }]);
    expect(found.said).toContain('19 mm² of it');
    expect(stray(19, ['other'])!.fixes).toEqual([]);
    // One film alone may be as little as it likes.
    expect(only(judgeStrayFilm, judging({ wrap: { pieces: [square(0, 2)] } }))).toBeNull();
  });
});

describe('strokes and webs', () => {
  /** A bar of some width with a broad end. */
  const bar = (width: number, change = {}) => square(0, 30, { flat: { outer: Float64Array.from([0, -width, 30, -width, 30, 0, 0, 0]), holes: [] }, areaMm2: 30 * width, ...change }); // prettier-ignore
  const stroke = (width: number, process = 'decal', change = {}) => only(judgeFineStroke, judging({ job: { process } as never, wrap: { pieces: [bar(width, change)] } })); // prettier-ignore

  it('finer than their film holds are told; under half of that they are sure to tear', () => {
    expect(stroke(1.1)).toBeNull();
    const fine = stroke(0.7)!;
    expect(fine).toMatchObject({ severity: 'look', numbers: { finest: 1, count: 1 }, names: { film: 'Deep water' } });
    expect(fine.numbers['width']).toBeCloseTo(0.7, 1);
    expect(fine.fixes).toEqual([{ do: 'thicken-item', itemId: 'star-1', mm: expect.closeTo((1 - fine.numbers['width']! + 0.06) / 2, 9) }]); // prettier-ignore
    expect(stroke(0.4)!.severity).toBe('fails');
    // Metallised film wants 1.5 mm.
    expect(stroke(1.3, 'decal', { film: 'brass' })).toMatchObject({
      numbers: { finest: 1.5 },
      names: { film: 'Brass' },
    });
  });

  it('cut off by the seam are judged there, unless they are six squares and more', () => {
    expect(stroke(0.15, 'decal', { cutAt: 3 })).toBeNull();
    expect(stroke(0.7, 'decal', { cutAt: 3 })).not.toBeNull();
  });

  it('of a mask are worked away from both sides: told as webs, and not again as strokes', () => {
    const web = (width: number, process: string) => only(judgeMaskWeb, judging({ job: { process } as never, wrap: { pieces: [bar(width)] } })); // prettier-ignore
    // 0.6 mm from either side for stripper, 0.3 for cream and paint, 0.5 for grit.
    expect([web(1.1, 'strip')!.numbers['least'], web(0.5, 'etch')!.numbers['least'], web(0.9, 'blast')!.numbers['least'], web(0.5, 'paint')!.numbers['least']]).toEqual([1.2, 0.6, 1, 0.6]); // prettier-ignore
    expect([web(0.7, 'etch'), web(0.5, 'decal')]).toEqual([null, null]);
    expect(web(0.5, 'etch')!.said).toMatch(/Etching cream works in about 0.3 mm from either side: a web under 0.6 mm/);
    expect(['strip', 'blast', 'paint'].map((p) => web(0.5, p)!.said.match(/(Stripper|Grit|Paint) works/)?.[1])).toEqual(['Stripper', 'Grit', 'Paint']); // prettier-ignore
    expect(stroke(0.5, 'strip')).toBeNull();
    expect(stroke(0.8, 'etch')).not.toBeNull();
  });
});

describe('film that is wrong for it', () => {
  const unsuited = (
    process: string,
    change: { blank?: object; item?: object; ids?: string[]; films?: object } = {},
  ) => {
    const item = motifItem('star', { id: 'star-1', film: 'night', ...change.item });
    const pieces = [square(0, 20, { film: 'night', itemIds: change.ids ?? ['star-1'] })];
    return only(judgeFilmUnsuited, judging({ blank: change.blank ?? {}, job: { process, items: [item], ...change.films } as never, wrap: { pieces } })); // prettier-ignore
  };

  it('comes off in the wash, where people drink', () => {
    const washed = unsuited('decal')!;
    // The dark removable film is nearest to the darkest permanent one.
    expect(washed).toMatchObject({ case: 'washed', severity: 'look', numbers: { count: 1 }, fixes: [{ do: 'change-film', itemIds: ['star-1'], film: 'deep-water' }] }); // prettier-ignore
    expect(unsuited('decal', { blank: { rimClearanceMm: 0 } })).toBeNull();
    expect(unsuited('decal', { blank: { kind: 'lid' } })).toBeNull();
    const part = unsuited('decal', { item: { film: deep } })!;
    expect(part.fixes).toEqual([]);
    expect(part.said).toContain('Choose a permanent film for these pieces');
    const mask = { motif: 'plate', acts: { ...motifItem('star').acts, cutAway: ['x'] } };
    expect(unsuited('decal', { item: mask })).toBeNull();
  });

  it('lets wet gel and cream in, but not grit or paint', () => {
    expect(unsuited('strip')).toMatchObject({ case: 'wet', severity: 'fails' });
    expect(unsuited('etch')!.said).toContain('lets wet gel in');
    expect([unsuited('blast'), unsuited('paint')]).toEqual([null, null]);
    const mask = { motif: 'plate', acts: { ...motifItem('star').acts, cutAway: ['x'] } };
    expect(unsuited('strip', { item: mask })).not.toBeNull();
  });

  it('comes under a clear sheet that is peeled off, when it is used', () => {
    const brass = (film: string) => only(judgeCoverSheet, judging({ wrap: { pieces: [square(0, 20, { film })] } }));
    expect(brass('brass')).toMatchObject({ severity: 'fine', names: { film: 'Brass' } });
    expect(brass(deep)).toBeNull();
  });
});

describe('a side that curves both ways', () => {
  const option = (way: string, load: number) => ({ way, parts: 1, strain: 0.03, load });
  const band = (change: object, wrap: object = {}) =>
    only(judgeBandStrain, judging({
      wrap: {
        template: { closed: true, cone: { side: SIDE }, flattening: { way: 'band', parts: 1, worst: { at: 30, strain: 0.03 }, options: [option('band', 1.5)], cutDown: null, ...change } },
        ...wrap,
      },
    })); // prettier-ignore

  it('strains one band past what film gives: told where, and cut down where that helps', () => {
    const pulled = band({})!;
    expect(pulled).toMatchObject({ case: 'pulled', numbers: { strain: 3, limit: 2, at: 30 }, place: { slants: [24, 36] }, names: { end: 'upper' }, fixes: [] }); // prettier-ignore
    expect(pulled.said).toMatch(/pulls film by 3.0 %, 30.0 mm below the rim edge.*takes 2.0 % of pull/);
    const pushed = band({ worst: { at: 98, strain: -0.03 }, cutDown: { keep: [0, 80], end: 'base', leftOff: 20 } })!;
    expect(pushed).toMatchObject({ case: 'pushed', place: { slants: [92, 100] }, names: { end: 'lower' }, fixes: [{ do: 'keep-band', keep: [0, 80], end: 'base', leftOffMm: 20 }] }); // prettier-ignore
    expect(pushed.said).toContain('before it tents');
    expect(band({ worst: { at: 2, strain: 0.03 } })!.place!.slants).toEqual([0, 8]);
    expect([band({ options: [option('band', 1)] }), band({ worst: null }), band({ options: [] })]).toEqual([
      null,
      null,
      null,
    ]);
  });

  it('in bands or gores cuts what lies across their joints', () => {
    const bands = { way: 'bands', parts: 3, options: [option('band', 1.5), option('bands', 0.4)] };
    const frames = [{}, {}, {}];
    const across = [square(0, 20, { cutAcross: true }), square(30, 20), square(60, 20, { cutAt: 3 })];
    const cut = band(bands, { frames, pieces: across })!;
    expect(cut).toMatchObject({ case: 'divided', numbers: { parts: 3, count: 1 }, fixes: [{ do: 'one-band' }] });
    expect(cut.said).toMatch(/One piece is cut where the bands meet.*in 3 bands/);
    expect(band({ ...bands, way: 'gores' }, { frames, pieces: across })!.numbers['count']).toBe(2);
    expect(band(bands, { frames, pieces: [square(0, 20)] })).toBeNull();
    expect(band(bands, { frames: [{}], pieces: [square(0, 20)] })).toMatchObject({ case: 'parts', fixes: [{ do: 'one-band' }] }); // prettier-ignore
    expect(band(bands, { frames: [{}], pieces: [] })).toBeNull();
  });

  it('tents tape past what that gives, and slits help where there is room for most of them', () => {
    const sheet = (change: object) => only(judgeTape, judging({ wrap: { tape: [{ azimuths: [0, 1], slants: [0, 9], needed: 0.03, relief: { core: 12, lap: 1.5 }, slits: [1, 2, 3], wanted: 5, short: 0, width: 80, height: 60, ...change }] } })); // prettier-ignore
    expect(sheet({ needed: 0.02 })).toBeNull();
    const slit = sheet({})!;
    expect(slit).toMatchObject({ case: 'slit', severity: 'fine', numbers: { needed: 3, gives: 2, count: 3, core: 12, lap: 1.5 } }); // prettier-ignore
    expect(slit.said).toMatch(/Slit the tape 3 times.*80 × 60 mm tents.*3.0 %.*2.0 %/);
    expect(slit.said).not.toContain('stop short');
    expect(sheet({ slits: [1, 2] })).toMatchObject({ case: 'slit', severity: 'look' });
    expect(sheet({ short: 2 })!.said).toContain('2 stop short of film');
    expect(sheet({ slits: [] })).toMatchObject({ case: 'parts', severity: 'look' });
    expect(sheet({ relief: null })).toMatchObject({
      case: 'too-broad',
      severity: 'look',
      numbers: { core: 0, lap: 0 },
    });
  });
});

describe('an item by its name', () => {
  it('is its motif, its words, or its drawing with its film', () => {
    const over = [placedItem(30, [0, 20], 0, plate('p', 9, 9, { film: shallows }))];
    expect(only(judgeTinyPiece, judging({ job: { items: over.map(({ item }) => item) }, wrap: { placed: over, pieces: [square(0, 1, { itemIds: ['p'] })] } }))!.names['item']).toBe('“Plate” in Shallows'); // prettier-ignore
    expect(only(judgeTinyPiece, judging({ wrap: { pieces: [square(0, 1, { itemIds: ['gone'] })] } }))!.names['item']).toBe('an item'); // prettier-ignore
  });
});
