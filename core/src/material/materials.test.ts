import { describe, expect, it } from 'vitest';
import { FILM_FINISHES, hasCoverSheet, isRemovable, STARTING_FILMS, thicknessOf } from './film.ts';
import { filmGive, STARTING_MATERIALS } from './materials.ts';
import { USUAL_PROCESS } from './process.ts';

describe('what materials are taken to be until something better is known', () => {
  it('is what the field starts with, by finish', () => {
    const { films, tapeGive } = STARTING_MATERIALS;
    expect(
      Object.entries(films).map(([finish, { thicknessMm, give, finestStrokeMm }]) => [
        finish,
        thicknessMm,
        give.stretch,
        give.squeeze,
        finestStrokeMm,
      ]),
    ).toEqual([
      ['gloss permanent', 0.07, 0.015, 0.005, 1],
      ['matte removable', 0.08, 0.015, 0.005, 1],
      ['metallised', 0.06, 0.007, 0.003, 1.5],
      ['glitter', 0.18, 0.007, 0.003, 2],
      ['cast conformable', 0.05, 0.02, 0.01, 0.8],
      ['glow', 0.12, 0.01, 0.003, 1.5],
      ['mask film', 0.08, 0.02, 0.005, 1],
    ]);
    expect(tapeGive).toBe(0.02);
  });

  it('lets warm film stretch further only where that is known', () => {
    expect(filmGive(STARTING_MATERIALS, 'cast conformable', true)).toEqual({ stretch: 0.05, squeeze: 0.01 });
    expect(filmGive(STARTING_MATERIALS, 'cast conformable', false)).toEqual({ stretch: 0.02, squeeze: 0.01 });
    expect(filmGive(STARTING_MATERIALS, 'glitter', true)).toEqual(filmGive(STARTING_MATERIALS, 'glitter', false));
  });

  it('wipes with alcohol what bears it, three minutes to dry; clay takes a day', () => {
    const { surfaces, waits } = STARTING_MATERIALS;
    const wiped = Object.entries(surfaces).filter(([, { alcohol }]) => alcohol);
    expect(wiped.map(([surface]) => surface)).toEqual(['glass', 'glazed ceramic', 'bare steel', 'powder-coated steel']);
    expect(wiped.map(([, { dryMinutes }]) => dryMinutes)).toEqual([3, 3, 3, 3]);
    // What does not bear it is washed, and dries for ten minutes.
    expect((['painted', 'plastic'] as const).map((one) => surfaces[one])).toEqual(Array(2).fill({ alcohol: false, dryMinutes: 10, give: 0 })); // prettier-ignore
    expect(surfaces.latex).toEqual({ alcohol: false, dryMinutes: 10, give: 0.04 });
    expect(surfaces['raw terracotta']).toEqual({ alcohol: false, dryMinutes: 1440, give: 0 });
    expect(waits).toEqual({ handle: 1440, wash: 2880, strip: 60, stripOf: {} });
  });
});

describe('films', () => {
  it('of the starting list are as thick as their finish, each with a colour of its own', () => {
    for (const { finish, thicknessMm } of STARTING_FILMS) expect(thicknessMm).toBe(thicknessOf(finish));
    expect(new Set(STARTING_FILMS.map(({ colour }) => colour)).size).toBe(STARTING_FILMS.length);
    expect(STARTING_FILMS.filter(isRemovable).map(({ id }) => id)).toEqual(['night']);
    expect(STARTING_FILMS.filter(hasCoverSheet).map(({ id }) => id)).toEqual(['brass']);
    expect(FILM_FINISHES).toHaveLength(7);
    expect(thicknessOf('glitter')).toBe(0.18);
  });

  it('as masks are for what the blank is made of: glass is etched, a coat stripped, all else painted', () => {
    expect([USUAL_PROCESS.glass, USUAL_PROCESS['powder-coated steel']]).toEqual(['etch', 'strip']);
    const others = Object.entries(USUAL_PROCESS).filter(
      ([surface]) => !['glass', 'powder-coated steel'].includes(surface),
    );
    expect(others.map(([, process]) => process)).toEqual(others.map(() => 'paint'));
  });
});
