import { describe, expect, it } from 'vitest';
import type { Template } from '../../flat/template.ts';
import { STARTING_MATERIALS } from '../../material/materials.ts';
import type { BlankSize } from '../../measure/size.ts';
import { boxHeight, boxWidth } from '../../plane/box.ts';
import { flattenPath } from '../../plane/flatten.ts';
import type { Path } from '../../plane/path.ts';
import { pathFromRing } from '../../plane/path.ts';
import { ringArea } from '../../polygon/polygon.ts';
import { coneDevelopment } from '../../surface/cone.ts';
import { profileOf } from '../../surface/profile.ts';
import { backSeam, panelEnds, partName, seamOnFlat } from '../panel-frame.ts';
import type { SeamPath } from '../path.ts';
import { seamAt, straightSeam } from '../path.ts';
import { bandPanels } from './bands.ts';
import { gorePanels } from './gores.ts';
import type { FlatPanel } from './panel.ts';
import { boxOfPanels, boxOfSheet, carriesPieces } from './panel.ts';
import { makePanels } from './panels.ts';
import { shownBand } from './shown-band.ts';
import { cutRegion, ringPath, sidePanels } from './side.ts';
import { wholePanel } from './whole.ts';

// A can of 240 mm round and 80 mm high; a whole turn is 240 mm.
const [GIRTH, SIDE] = [240, 80];
const cone = { girthRim: GIRTH, girthBase: GIRTH, side: SIDE };
const surface = coneDevelopment(cone);
const radius = GIRTH / (2 * Math.PI);
const whole = { left: [-Math.PI, -Math.PI], right: [Math.PI, Math.PI], slant: [0, SIDE] } as const;
const templateOf = (change: Partial<Template> = {}): Template => {
  const region = change.region ?? whole;
  return { cone, closed: true, region, outline: surface.outline(region), holes: [], bounds: { minX: -120, maxX: 120, minY: -SIDE, maxY: 0 }, lap: 0, flattening: { way: 'exact', map: null }, ...change } as unknown as Template; // prettier-ignore
};
/** A seam so many mm round from the front. */
const at = (mm: number): SeamPath => straightSeam(mm / radius, mm / radius, SIDE);
const box = ({ bounds: b }: FlatPanel): number[] => [b.minX, b.maxX, b.minY, b.maxY].map((v) => Math.round(v * 1e4) / 1e4 + 0); // prettier-ignore
const area = (path: Path): number => Math.abs(ringArea(flattenPath(path, 0.001)));
const ends = (template: Template, ...seams: SeamPath[]) => panelEnds(template, surface, seams);
const mm = (azimuth: number): number => Math.round(azimuth * radius * 1e6) / 1e6;

describe('the ends of panels', () => {
  it('go from seam to seam round, the last to the first a turn on; the right one with the lap', () => {
    const found = ends(templateOf(), at(-120), at(-40), at(40));
    expect(found.map(({ left, right }) => [mm(left.azimuths[0]!), mm(right.azimuths[0]!)])).toEqual([[-120, -40], [-40, 40], [40, 120]]); // prettier-ignore
    const lapped = ends(templateOf({ lap: 3 }), at(-120), at(0));
    expect(lapped.map(({ left, right }) => [mm(left.azimuths[0]!), mm(seamAt(right, 33))])).toEqual([[-120, 3], [0, 123]]); // prettier-ignore
    expect(backSeam(templateOf())).toEqual([straightSeam(-Math.PI, -Math.PI, SIDE)]);
    expect(backSeam(templateOf({ closed: false }))).toEqual([]);
  });

  it('beside a handle are where the template ends', () => {
    const region = { left: [-110 / radius, -110 / radius], right: [110 / radius, 110 / radius], slant: [0, SIDE] } as const; // prettier-ignore
    const handled = templateOf({ region, lap: 2 });
    expect(ends(handled, at(0)).map(({ left, right }) => [mm(left.azimuths[0]!), mm(seamAt(right, 40))])).toEqual([[-110, 2], [0, 110]]); // prettier-ignore
    expect(backSeam(handled)).toEqual([]);
    // A slanting end is straight on the flat.
    const slant = { ...region, left: [-110 / radius, -100 / radius] } as const;
    const { left } = ends(templateOf({ region: slant }))[0]!;
    expect([mm(seamAt(left, 0)), mm(seamAt(left, 40)), mm(seamAt(left, 80))]).toEqual([-110, -105, -100]);
  });

  it('are drawn on the flat where they lie, with no more points than it takes', () => {
    expect(seamOnFlat(surface, at(-60), 0).map(({ x, y }) => [Math.round(x), y + 0])).toEqual([[-60, 0], [-60, -80]]); // prettier-ignore
    expect(seamOnFlat(surface, at(-60), Math.PI).map(({ x }) => Math.round(x))).toEqual([60, 60]);
    const knee: SeamPath = { slants: [0, 50, SIDE], azimuths: [0, 20 / radius, 0] };
    expect(seamOnFlat(surface, knee, 0).map(({ x, y }) => [Math.round(x), Math.round(y) + 0])).toEqual([[0, 0], [20, -50], [0, -80]]); // prettier-ignore
    expect([partName('panel 2 of 3'), partName('')]).toEqual(['panel-2', '']);
  });
});

describe('panels side by side', () => {
  it('are each their part of the girth wide, upright, six millimetres apart, with their names and what they meet', () => {
    const { flats, frames } = sidePanels(templateOf(), surface, ends(templateOf(), at(-120), at(-30), at(60)), []);
    // 90, 90 and 60 mm.
    expect(flats.map(box)).toEqual([[0, 90, -80, 0], [96, 186, -80, 0], [192, 252, -80, 0]]); // prettier-ignore
    expect(flats.map(({ name }) => name)).toEqual(['panel 1 of 3', 'panel 2 of 3', 'panel 3 of 3']);
    expect(frames.map(({ part, asBand }) => [part, asBand])).toEqual([['panel-1', false], ['panel-2', false], ['panel-3', false]]); // prettier-ignore
    expect(flats.map(({ outlines }) => Math.round(area(outlines[0]!)))).toEqual([7200, 7200, 4800]);
    const met = flats.map(({ words }) => words.map(({ text }) => text).filter((text) => /^panel \d$/.test(text)));
    expect(met).toEqual([
      ['panel 3', 'panel 2'],
      ['panel 1', 'panel 3'],
      ['panel 2', 'panel 1'],
    ]);
    // What lies 45 mm round to the left is 75 mm right of the first panel's left end.
    const out = new Float64Array(2);
    frames[0]!.forwardInto(-45 / radius, 30, out);
    expect([out[0], out[1]]).toEqual([expect.closeTo(75, 6), expect.closeTo(-30, 9)]);
    frames[1]!.forwardInto(0, 30, out);
    expect(out[0]).toBeCloseTo(96 + 30, 6);
    const spot = frames[1]!.inverse(96 + 30, -30)!;
    expect([spot.azimuth, spot.slant]).toEqual([expect.closeTo(0, 9), expect.closeTo(30, 9)]);
  });

  it('beside a handle meet that at their outer ends', () => {
    const region = { left: [-110 / radius, -110 / radius], right: [110 / radius, 110 / radius], slant: [0, SIDE] } as const; // prettier-ignore
    const { flats } = sidePanels(templateOf({ region }), surface, ends(templateOf({ region }), at(0)), []);
    expect(flats.map(box)).toEqual([
      [0, 110, -80, 0],
      [116, 226, -80, 0],
    ]);
    expect(flats.map(({ words }) => words.map(({ text }) => text).filter((text) => /^(panel \d|handle)$/.test(text)))).toEqual([['handle', 'panel 2'], ['panel 1', 'handle']]); // prettier-ignore
  });

  it('in one keep the front in the middle, but where the seam is far from the back', () => {
    const one = (seamMm: number) => sidePanels(templateOf(), surface, ends(templateOf(), at(seamMm)), [{ strain: 0.1, outline: surface.outline(whole) }]); // prettier-ignore
    // 0.6 rad are 22.9 mm.
    expect(box(one(-142.8).flats[0]!)).toEqual([-142.8, 97.2, -80, 0]);
    expect(box(one(-143.1).flats[0]!)).toEqual([-120, 120, -80, 0]);
    expect(one(-100).frames[0]!.asBand).toBe(true);
    expect(one(-60).frames[0]!.asBand).toBe(false);
    expect([one(-100).flats[0]!.name, one(-100).flats[0]!.heat.length]).toEqual(['', 1]);
  });

  it('of a bent seam have both ends bent alike', () => {
    const knee: SeamPath = { slants: [0, 50, SIDE], azimuths: [-Math.PI, -Math.PI + 20 / radius, -Math.PI] };
    const { flats } = sidePanels(templateOf(), surface, ends(templateOf(), knee), []);
    expect(box(flats[0]!)).toEqual([-120, 140, -80, 0]);
    expect(area(flats[0]!.outlines[0]!)).toBeCloseTo(GIRTH * SIDE, 3);
    const shown = shownBand(templateOf(), surface, [knee]);
    expect([shown.region.left, shown.region.right].flat().map(mm)).toEqual([-120, -120, 140, 140]);
    expect([boxWidth(shown.bounds), boxHeight(shown.bounds)]).toEqual([expect.closeTo(260, 4), expect.closeTo(80, 6)]);
    for (const plain of [
      shownBand(templateOf(), surface, [at(-120)]),
      shownBand(templateOf(), surface, []),
      shownBand(templateOf({ closed: false }), surface, [knee]),
    ])
      // prettier-ignore
      expect(boxWidth(plain.bounds)).toBe(240);
    expect(boxWidth(shownBand(templateOf(), surface, [at(-100)]).bounds)).toBeCloseTo(240, 6);
  });
});

describe('bands one above the other', () => {
  const can = profileOf([{ down: 0, girth: GIRTH }, { down: SIDE, girth: GIRTH }], 'side'); // prettier-ignore
  const { give } = STARTING_MATERIALS.films['cast conformable'];
  it('are as high as what they cover, for the girth at the middle of their film', () => {
    const [left, right] = [at(-120), at(120)];
    const { flats, frames } = bandPanels(can, [0, 30, SIDE], 0.1, give, { left, right });
    const long = (GIRTH + 0.1 * Math.PI) / 2;
    expect(flats.map(({ name }) => name)).toEqual(['band 1 of 2', 'band 2 of 2']);
    expect(box(flats[0]!)).toEqual([-long, long, -30, 0].map((v) => expect.closeTo(v, 3)));
    expect(box(flats[1]!)).toEqual([-long, long, -86, -36].map((v) => expect.closeTo(v, 3)));
    expect(frames.map(({ slant, part }) => [part, slant])).toEqual([['band-1', [-Infinity, 30]], ['band-2', [30, Infinity]]]); // prettier-ignore
    const out = new Float64Array(2);
    frames[1]!.forwardInto(0, 40, out);
    expect([out[0], out[1]]).toEqual([expect.closeTo(0, 9), expect.closeTo(-46, 3)]);
    // 24 strips among two bands, and of a straight can all of no strain.
    expect(flats.map(({ heat }) => heat.length)).toEqual([12, 12]);
    for (const { strain } of flats[1]!.heat) expect(strain).toBeCloseTo(0, 6);
    expect(bandPanels(can, [0, 10, 20, 30, 40, 50, 60, 70, 80], 0, give, { left, right }).flats[0]!.heat).toHaveLength(4); // prettier-ignore
  });
});

describe('gores', () => {
  const can = profileOf([{ down: 0, girth: GIRTH }, { down: SIDE, girth: GIRTH }], 'side'); // prettier-ignore
  const { flats, frames } = gorePanels(can, 4, { stretch: 0.02, squeeze: 0.01 });
  it('are equal strips of the girth beside each other, named and numbered', () => {
    // 60 mm each and 6 between them: 258 in all.
    expect(flats.map(box)).toEqual([0, 1, 2, 3].map((i) => [-129 + 66 * i, -69 + 66 * i, -80, 0].map((v) => expect.closeTo(v, 3)))); // prettier-ignore
    expect(flats.map(({ name, words }) => [name, ...words.map(({ text }) => text)])[1]).toEqual(['gore 2 of 4', '2 of 4', 'rim up']); // prettier-ignore
    const narrow = gorePanels(can, 12, { stretch: 0.02, squeeze: 0.01 }).flats[0]!;
    expect(narrow.words.map(({ text }) => text)).toEqual(['1 of 12']);
    // Ticks of 8 mm along the middle, from 8 % of either end.
    expect(flats[0]!.lines.map(({ from, to }) => [from.x, from.y, to.y].map((v) => Math.round(v * 10) / 10))).toEqual([[-99, -6.4, -14.4], [-99, -73.6, -65.6]]); // prettier-ignore
    expect(flats[0]!.heat).toHaveLength(24);
    expect(flats[0]!.heat.every(({ strain }) => strain === 0)).toBe(true);
    expect(area(flats[0]!.heat[3]!.outline)).toBeCloseTo((60 * 80) / 24, 6);
  });

  it('hold what lies on them, and lead back to it', () => {
    // The first goes from the back to a quarter: its middle is 90 mm left of the front.
    expect(frames.map(({ left, right }) => [mm(left!.azimuths[0]!), mm(right!.azimuths[0]!)])).toEqual([[-120, -60], [-60, 0], [0, 60], [60, 120]]); // prettier-ignore
    const out = new Float64Array(2);
    frames[0]!.forwardInto(-80 / radius, 25, out);
    expect([out[0], out[1]]).toEqual([expect.closeTo(-99 + 10, 6), -25]);
    const spot = frames[0]!.inverse(-89, -25)!;
    expect([mm(spot.azimuth), spot.slant]).toEqual([-80, 25]);
    // Past the edges the width is that of the edge.
    frames[3]!.forwardInto(100 / radius, 90, out);
    expect([out[0], out[1]]).toEqual([expect.closeTo(99 + 10, 6), -90]);
    expect(mm(frames[3]!.inverse(109, -90)!.azimuth)).toBe(100);
  });

  it('of a ball are hottest where they are widest, by the share of the need that is pull', () => {
    // r = 40·sin(s/40): at the middle 251.3 mm round, K = 1/1600; a quarter of it is 62.8 mm wide.
    const stations = Array.from({ length: 9 }, (_, i) => ({ down: 20 + (i * 85.66) / 8, girth: 80 * Math.PI * Math.sin((20 + (i * 85.66) / 8) / 40) })); // prettier-ignore
    const [gore] = gorePanels(profileOf(stations, 'side'), 4, { stretch: 0.02, squeeze: 0.01 }).flats;
    const middle = gore!.heat[11]!.strain;
    expect(middle / ((2 / 3) * (62.83 ** 2 / 1600 / 8))).toBeGreaterThan(0.9);
    expect(middle / ((2 / 3) * (62.83 ** 2 / 1600 / 8))).toBeLessThan(1.1);
    expect(gore!.heat[0]!.strain).toBeLessThan(0.5 * middle);
  });
});

describe('the whole template as one sheet', () => {
  it('has strips of strain between its samples, with the pull of the whole', () => {
    const map = { by: 'slant', pull: 0.001, samples: [{ at: 0, strain: 0 }, { at: 40, strain: 0.01 }, { at: 80, strain: 0.03 }] } as const; // prettier-ignore
    const { heat } = wholePanel(templateOf({ flattening: { map } as never }));
    expect(heat.map(({ strain }) => strain)).toEqual([expect.closeTo(0.006, 12), expect.closeTo(0.021, 12)]);
    expect(heat.map(({ outline }) => Math.round(area(outline)))).toEqual([9600, 9600]);
    // On a patch they are rings about its middle.
    const rings = wholePanel(
      templateOf({ closed: false, flattening: { map: { ...map, by: 'radius' } } as never }),
    ).heat;
    expect(rings.map(({ outline }) => area(outline))).toEqual([expect.closeTo(Math.PI * 1600, 0), expect.closeTo(Math.PI * (6400 - 1600), 0)]); // prettier-ignore
    const [first] = flattenPath(ringPath(10, 0, 5), 0.01);
    expect(first).toBe(5);
    expect(wholePanel(templateOf()).heat).toEqual([]);
    expect(wholePanel(templateOf()).words.map(({ text }) => text)).toContain('front');
    expect(wholePanel(templateOf({ closed: false })).words.map(({ text }) => text)).toEqual(['this way up']);
    const part = cutRegion(templateOf({ region: { left: [-3, -2], right: [3, 2], slant: [0, SIDE] } }), 20, 40);
    expect(part).toEqual({ left: [-2.75, -2.5], right: [2.75, 2.5], slant: [20, 40] });
  });

  it('carries artwork where there is a frame for each; spares lie beside it then', () => {
    const sheet = { ...wholePanel(templateOf()), name: '' };
    const frame = {} as never;
    const spare = { spare: true, flatBox: { minX: -130, maxX: -120, minY: -120, maxY: -90 } };
    const kept = { spare: false, flatBox: { minX: -500, maxX: 0, minY: 0, maxY: 1 } };
    const wrap = { panels: [sheet], frames: [frame], pieces: [spare, kept] };
    expect(carriesPieces(wrap)).toBe(true);
    expect(boxOfSheet(wrap)).toEqual({ minX: -130, maxX: 120, minY: -120, maxY: 0 });
    expect(boxOfSheet({ ...wrap, frames: [frame, frame] })).toEqual(boxOfPanels([sheet]));
  });
});

describe('what a side is printed as', () => {
  const straight = { kind: 'straight', rim: { surface: GIRTH }, base: { surface: GIRTH }, side: SIDE, taper: 0, data: {} } as unknown as BlankSize; // prettier-ignore
  const made = (template: Template, ...seams: SeamPath[]) => makePanels(straight, 0.07, template, surface, seams);
  const back = straightSeam(-Math.PI, -Math.PI, SIDE);

  it('is the template itself with a straight seam at the back, else panels; a face has no ends', () => {
    const plain = made(templateOf(), back);
    expect([plain.flats.length, plain.frames[0]!.asBand, box(plain.flats[0]!)]).toEqual([1, true, [-120, 120, -80, 0]]);
    expect(made(templateOf(), at(-60)).frames[0]!.asBand).toBe(false);
    expect(made(templateOf(), back, at(0)).flats.map(({ name }) => name)).toEqual(['panel 1 of 2', 'panel 2 of 2']);
    const face = made(templateOf({ closed: false, holes: [pathFromRing([0, 0, 5, 0, 0, 5])] }));
    expect([face.frames[0]!.left, face.flats[0]!.outlines.length]).toEqual([null, 2]);
    // Bands and gores are of what curves both ways alone.
    for (const way of ['bands', 'gores'] as const)
      expect(made(templateOf({ flattening: { way, map: null, parts: 4, cuts: [0, 40, 80] } as never }), back).flats).toHaveLength(1); // prettier-ignore
  });
});
