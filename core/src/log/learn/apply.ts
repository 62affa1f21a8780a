import type { FilmNumbers, Materials } from '../../material/materials.ts';
import { FILM_FINISHES } from '../../material/film.ts';
import type { Accepted } from '../../model/entry.ts';
import type { FilmFinish } from '../../model/film.ts';

/**
 * What is known of film, tape, surfaces and hands with what was learnt and accepted: the only way by which the logbook
 * reaches a calculation.
 *
 * @param accepted by key, as `learnFrom` names them
 */
export function materialsWith(materials: Materials, accepted: { readonly [key: string]: Accepted }): Materials {
  if (Object.keys(accepted).length === 0) return materials;
  const value = (key: string, start: number): number => accepted[key]?.value ?? start;
  const { pace, films, surfaces, waits } = materials;
  const dwell = Object.fromEntries(
    Object.entries(accepted).flatMap(([key, one]) => (key.startsWith('dwell:') ? [[key.slice(6), one.value]] : [])),
  );
  return {
    ...materials,
    pace: {
      weedOnce: value('pace:weed:once', pace.weedOnce),
      weedPiece: value('pace:weed:piece', pace.weedPiece),
      weedMetre: value('pace:weed:metre', pace.weedMetre),
      layEach: value('pace:lay:each', pace.layEach),
      cutOnce: value('pace:cut:once', pace.cutOnce),
      cutMetre: value('pace:cut:metre', pace.cutMetre),
    },
    films: Object.fromEntries(
      FILM_FINISHES.map((finish): [FilmFinish, FilmNumbers] => {
        const own = films[finish];
        return [finish, { ...own, give: { ...own.give, stretch: value(`stretch:${finish}`, own.give.stretch) } }];
      }),
    ) as Materials['films'],
    surfaces: { ...surfaces, latex: { ...surfaces.latex, give: value('give:latex', surfaces.latex.give) } },
    waits: { ...waits, stripOf: { ...waits.stripOf, ...dwell } },
  };
}
