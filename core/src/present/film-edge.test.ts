import { wcagContrast } from 'culori';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { STARTING_FILMS } from '../material/film.ts';
import { filmEdge } from './film-edge.ts';

/** What film is drawn on: flats, cards and pickers, the page, the cutter’s board, by day and in the evening. */
const GROUNDS = ['#ffffff', '#d9d5c9', '#fffdf6', '#242a33', '#f7f4eb', '#1d222a', '#dedacd', '#282c31'];

describe('the line round pale film', () => {
  it('is there where film and ground are alike, and not where everybody tells them apart', () => {
    const [chalk, deep] = ['chalk', 'deep-water'].map((id) => STARTING_FILMS.find((film) => film.id === id)!.colour);
    expect(filmEdge(chalk!, '#ffffff')).not.toBeNull();
    expect(filmEdge(deep!, '#ffffff')).toBeNull();
    expect(filmEdge(deep!, '#242a33')).not.toBeNull();
    // Of greys on white #949494 has 3.03 to 1, #959595 has 2.99.
    expect([filmEdge('#949494', '#ffffff'), filmEdge('#959595', '#ffffff') === null]).toEqual([null, false]);
  });

  it('is seen on its ground, whatever the film and the ground: three to one at least', () => {
    for (const ground of GROUNDS)
      for (const { colour } of STARTING_FILMS)
        expect(wcagContrast(filmEdge(colour, ground) ?? colour, ground)).toBeGreaterThanOrEqual(3);
    const anyColour = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
    fc.assert(
      fc.property(anyColour, anyColour, (film, ground) => wcagContrast(filmEdge(film, ground) ?? film, ground) >= 3),
    );
  });
});
