import { describe, expect, it } from 'vitest';
import { STARTING_FILMS } from '../material/film.ts';
import { colourWord } from './colour-word.ts';

describe('the word for a colour', () => {
  it('is what one would say of each film of the short list', () => {
    expect(Object.fromEntries(STARTING_FILMS.map(({ id, colour }) => [id, colourWord(colour)]))).toEqual({
      'deep-water': 'dark teal',
      shallows: 'blue-green',
      ensign: 'orange',
      reed: 'olive green',
      chalk: 'off-white',
      night: 'black',
      brass: 'gold',
      hull: 'dark red',
    });
  });

  it('is plain for plain colours, and for what lies beside them', () => {
    const said = { '#ff0000': 'red', '#0000ff': 'blue', '#ffff00': 'yellow', '#808080': 'grey', '#000': 'black' };
    for (const [colour, word] of Object.entries(said)) expect(colourWord(colour), colour).toBe(word);
    expect(['#fefefe', '#7a7a7a', '#f5a0b4', '#008000'].map(colourWord)).toEqual(['white', 'grey', 'pink', 'green']);
  });
});
