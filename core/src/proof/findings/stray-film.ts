import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';

/** Films of which hardly anything is used: a load, and a registration, for a speck. */
export const judgeStrayFilm: Judge = ({ job, wrap, limits }) => {
  const area = new Map<string, number>();
  for (const piece of wrap.pieces) area.set(piece.film, (area.get(piece.film) ?? 0) + piece.areaMm2);
  const most = [...area].reduce((a, b) => (b[1] > a[1] ? b : a), ['', 0] as [string, number])[0];
  return [...area].flatMap(([film, mm2]): Finding[] => {
    if (mm2 >= limits.strayFilm || film === most) return [];
    const itemIds = [...new Set(wrap.pieces.filter((p) => p.film === film).flatMap((p) => p.itemIds))];
    const called = (id: string): string => job.films.find((f) => f.id === id)?.name ?? id;
    // What is scattered over several films keeps its own; only a whole item can change.
    const whole = itemIds.every((id) => job.items.some((item) => item.id === id && item.film === film));
    return [
      {
        id: `stray-film:${film}`,
        code: 'stray-film',
        case: 'little',
        severity: 'look',
        place: null,
        itemIds,
        numbers: { area: mm2, least: limits.strayFilm },
        names: { film: called(film), other: called(most) },
        fixes: whole ? [{ do: 'change-film', itemIds, film: most, name: called(most) }] : [],
      },
    ];
  });
};

/** In words. */
export const sayStrayFilm: Sayings = {
  'stray-film/little': ({ names, area }) => [
    `Hardly any ${names['film']} is used`,
    `${area('area', 'mm²')} of it, less than a fingernail: a load and a laying more for a speck.`,
  ],
};
