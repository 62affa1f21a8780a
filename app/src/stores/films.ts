import { filmInStock, filmsOffered, filmsUnasked, leftOf, type Film } from '@mivet/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { useProject } from './project.ts';
import { useStock } from './stock.ts';

/** What there is of a film over all its rolls and packs. */
export interface FilmLeft {
  readonly rollMm: number;
  readonly sheets: number;
  /** Whether it is in the stock at all, be it used up. */
  readonly noted: boolean;
}

/** The films that the open project may be cut from: its own, and every other of the stock. */
export const useFilms = defineStore('films', () => {
  const project = useProject();
  const stock = useStock();
  /** Apart from the rest of the document, so that what else changes in it changes nothing here. */
  const own = computed(() => project.doc?.films ?? []);
  const offered = computed<readonly Film[]>(() => filmsOffered(own.value, stock.knownFilms));
  const process = computed(() => project.doc?.process ?? 'decal');
  /** Those that may be taken for somebody who did not ask for one. */
  const unasked = computed(() => filmsUnasked(offered.value, process.value));
  /** What is left of a film; null while nothing at all is noted in the stock. */
  function left(filmId: string): FilmLeft | null {
    const { films } = stock.supply;
    if (films.length === 0) return null;
    const lots = films.filter(({ film }) => film.id === filmId);
    const sum = (form: 'roll' | 'sheet'): number =>
      lots.filter((lot) => lot.form === form).reduce((all, lot) => all + leftOf(lot), 0);
    return { rollMm: sum('roll'), sheets: sum('sheet'), noted: lots.length > 0 };
  }
  /** The film as the stock has it now, where that is not as the project knows it. */
  function otherwise(filmId: string): Film | null {
    const film = own.value.find(({ id }) => id === filmId);
    return film ? filmInStock(film, stock.knownFilms) : null;
  }
  return { offered, unasked, left, otherwise };
});
