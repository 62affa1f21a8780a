import { type Film, filmEdge } from '@mivet/core';
import { computed, type ComputedRef } from 'vue';
import { useSettings } from '../stores/settings.ts';

/** How film is drawn on a flat: its colour, and the line round it that pale film needs to be seen. */
export interface FilmColours {
  fill(film: string): string | undefined;
  /** Attributes of a drawn piece. */
  of(film: string): { readonly fill?: string; readonly stroke?: string; readonly 'stroke-width'?: number };
}

/** Ground of flats by day and in the evening, as in the theme: `--sheet`. */
const SHEET = { light: '#ffffff', dim: '#d9d5c9' };

/**
 * Colours of films on a flat.
 *
 * @param films of the project
 * @param ground CSS colour that they are drawn on; that of flats in the theme when left out
 */
export function useFilmColours(films: () => readonly Film[], ground?: string): ComputedRef<FilmColours> {
  const settings = useSettings();
  return computed(() => {
    const sheet = ground ?? (settings.dim ? SHEET.dim : SHEET.light);
    const drawn = new Map(
      films().map(({ id, colour }) => {
        const edge = filmEdge(colour, sheet);
        return [id, edge ? { fill: colour, stroke: edge, 'stroke-width': 1 } : { fill: colour }] as const;
      }),
    );
    return { fill: (film) => drawn.get(film)?.fill, of: (film) => drawn.get(film) ?? {} };
  });
}
