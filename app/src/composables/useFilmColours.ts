import { type Film, filmEdge } from '@mivet/core';
import { computed, type ComputedRef } from 'vue';
import { useSettings } from '../stores/settings.ts';

/** How film is drawn on a flat: its colour, and the line round it that pale film needs to be seen. */
export interface FilmColours {
  fill(film: string): string | undefined;
  /** Attributes of a drawn piece. */
  of(film: string): { readonly fill?: string; readonly stroke?: string; readonly 'stroke-width'?: number };
}

/** What film is drawn on by day and in the evening, as in the theme: `--sheet` under flats, `--paper` and `--slip` under pickers, and the cutter's board. */
const GROUNDS = {
  sheet: { light: '#ffffff', dim: '#d9d5c9' },
  paper: { light: '#f7f4eb', dim: '#1d222a' },
  board: { light: '#dedacd', dim: '#282c31' },
  slip: { light: '#fffdf6', dim: '#242a33' },
};

/** The line that a colour needs round it on a ground of the theme; null where it needs none. */
export function useEdge(ground: keyof typeof GROUNDS): ComputedRef<(colour: string) => string | null> {
  const settings = useSettings();
  return computed(() => {
    const under = GROUNDS[ground][settings.dim ? 'dim' : 'light'];
    return (colour) => filmEdge(colour, under);
  });
}

/**
 * Colours of films on a flat.
 *
 * @param films of the project
 * @param ground CSS colour that they are drawn on; that of flats in the theme when left out
 */
export function useFilmColours(films: () => readonly Film[], ground?: () => string): ComputedRef<FilmColours> {
  const edgeOf = ground ? computed(() => (colour: string) => filmEdge(colour, ground())) : useEdge('sheet');
  return computed(() => {
    const drawn = new Map(
      films().map(({ id, colour }) => {
        const edge = edgeOf.value(colour);
        return [id, edge ? { fill: colour, stroke: edge, 'stroke-width': 1 } : { fill: colour }] as const;
      }),
    );
    return { fill: (film) => drawn.get(film)?.fill, of: (film) => drawn.get(film) ?? {} };
  });
}
