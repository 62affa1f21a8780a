import type { Film, FilmFinish } from '../model/film.ts';
/** mm. Starting values by finish; labels of the film in hand come first. */
export const FILM_THICKNESS_MM: Record<FilmFinish, number> = {
  'gloss permanent': 0.07,
  'matte removable': 0.08,
  metallised: 0.06,
  glitter: 0.18,
  'cast conformable': 0.05,
  glow: 0.12,
};

/** Every finish there is. */
export const FILM_FINISHES = Object.keys(FILM_THICKNESS_MM) as FilmFinish[];

/** Thickness of film of a finish, mm; a starting value. */
export const thicknessOf = (finish: FilmFinish): number => FILM_THICKNESS_MM[finish];

/** How much film may be pulled and pushed together, as fractions. */
export interface FilmGiveOf {
  readonly stretch: number;
  readonly squeeze: number;
}

/** What film gives by finish, laid cold. Starting values. */
const FILM_GIVE: Record<FilmFinish, FilmGiveOf> = {
  'gloss permanent': { stretch: 0.015, squeeze: 0.005 },
  'matte removable': { stretch: 0.015, squeeze: 0.005 },
  metallised: { stretch: 0.007, squeeze: 0.003 },
  glitter: { stretch: 0.007, squeeze: 0.003 },
  'cast conformable': { stretch: 0.02, squeeze: 0.01 },
  glow: { stretch: 0.01, squeeze: 0.003 },
};

/** Stretch of film that is laid warm, where a starting value is known; the others give what they give cold. */
const WARM_STRETCH: { readonly [finish in FilmFinish]?: number } = { 'cast conformable': 0.05 };

/** What a film gives. */
export function filmGive(finish: FilmFinish, warm: boolean): FilmGiveOf {
  const cold = FILM_GIVE[finish];
  return warm ? { ...cold, stretch: WARM_STRETCH[finish] ?? cold.stretch } : cold;
}

/** Whether a film comes off again: nothing for the wash, nor for wet masks. */
export const isRemovable = ({ finish }: Film): boolean => finish === 'matte removable';

/** Whether a film comes with a clear sheet over it that has to be off before it is cut. */
export const hasCoverSheet = ({ finish }: Film): boolean => finish === 'metallised';

/** mm. Finest stroke that holds, by finish. Starting values. */
export const FINEST_STROKE_MM: Record<FilmFinish, number> = {
  'gloss permanent': 1,
  'matte removable': 1,
  metallised: 1.5,
  glitter: 2,
  'cast conformable': 0.8,
  glow: 1.5,
};

const film = (id: string, name: string, colour: string, finish: FilmFinish): Film => ({
  id,
  name,
  colour,
  finish,
  thicknessMm: FILM_THICKNESS_MM[finish],
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
