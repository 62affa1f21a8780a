import { nearestFilm } from '../../artwork/film-match.ts';
import { isMask } from '../../artwork/mask.ts';
import { isRemovable } from '../../material/film.ts';
import { isRound } from '../../measure/kinds/kinds.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';

/** Film that comes off again where it must not: on what is washed, and under wet gel or cream. */
export const judgeFilmUnsuited: Judge = ({ job, wrap }) => {
  const wet = job.process === 'strip' || job.process === 'etch';
  const washed = job.process === 'decal' && isRound(job.blank.kind) && job.blank.rimClearanceMm > 0;
  if (!wet && !washed) return [];
  return [...new Set(wrap.pieces.map((p) => p.film))].flatMap((id): Finding[] => {
    const film = job.films.find((f) => f.id === id);
    if (!film || !isRemovable(film)) return [];
    const pieces = wrap.pieces.filter((p) => p.film === id);
    const itemIds = [...new Set(pieces.flatMap((p) => p.itemIds))].filter(
      (itemId) => wet || !job.items.some((item) => item.id === itemId && isMask(item)),
    );
    if (itemIds.length === 0) return [];
    const permanent = job.films.filter((f) => f.finish === 'gloss permanent');
    const other = nearestFilm(film.colour, permanent)?.film;
    const whole = itemIds.every((itemId) => job.items.some((item) => item.id === itemId && item.film === id));
    return [
      {
        id: `film-unsuited:${id}`,
        code: 'film-unsuited',
        case: wet ? 'wet' : 'washed',
        severity: wet ? 'fails' : 'look',
        place: null,
        itemIds,
        numbers: { count: pieces.length },
        names: { film: film.name, process: job.process },
        fixes: other && whole ? [{ do: 'change-film', itemIds, film: other.id, name: other.name }] : [],
      },
    ];
  });
};

/** In words. */
export const sayFilmUnsuited: Sayings = {
  'film-unsuited/wet': ({ names }) => [
    `${names['film']} lets wet gel in`,
    'A removable film lifts at its edges under stripper or cream, and the design bleeds. Use a permanent film for the mask.',
  ],
  'film-unsuited/washed': ({ finding, names }) => [
    `${names['film']} comes off in the wash`,
    `It is a removable film, and this is drunk from and washed.${finding.fixes.length === 0 ? ' Choose a permanent film for these pieces.' : ''}`,
  ],
};
