import { STARTING_MATERIALS } from './materials.ts';
import type { Film, FilmFinish } from '../model/film.ts';
/** Every finish there is. */
export const FILM_FINISHES = Object.keys(STARTING_MATERIALS.films) as [FilmFinish, ...FilmFinish[]];

/** Thickness of film of a finish, mm; a starting value. */
export const thicknessOf = (finish: FilmFinish): number => STARTING_MATERIALS.films[finish].thicknessMm;

/** Whether a film comes off again: nothing for the wash, nor for wet masks. */
export const isRemovable = ({ finish }: Film): boolean => finish === 'matte removable' || finish === 'mask film';

/** Whether a film comes with a clear sheet over it that has to be off before it is cut. */
export const hasCoverSheet = ({ finish }: Film): boolean => finish === 'metallised';

const film = (id: string, name: string, colour: string, finish: FilmFinish): Film => ({
  id,
  name,
  colour,
  finish,
  thicknessMm: thicknessOf(finish),
});

/** The short list that every project starts with. */
export const STARTING_FILMS: readonly Film[] = [
  film('deep-water', 'Deep water', '#0F4C5C', 'gloss permanent'),
  film('shallows', 'Shallows', '#6FB1BF', 'gloss permanent'),
  film('ensign', 'Ensign', '#E0623A', 'gloss permanent'),
  film('reed', 'Reed', '#6B7F3A', 'gloss permanent'),
  film('chalk', 'Chalk', '#F4F1E8', 'gloss permanent'),
  film('night', 'Night', '#20242B', 'matte removable'),
  film('brass', 'Brass', '#B58B3A', 'metallised'),
  film('hull', 'Hull', '#8C2F39', 'cast conformable'),
];
