import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { count } from '../told.ts';
import { base } from './stock-finding.ts';

/** Films of which there is less on the shelf than the plan takes. */
export const judgeFilmShort: Judge = (context) =>
  context.usage.films
    .filter(({ short }) => short > 0)
    .map(({ film, short }): Finding => {
      const strips = context.usage.strips.filter((one) => one.film === film && one.from.kind === 'unknown');
      const largest = strips.reduce((a, b) => (b.lengthMm * b.widthMm > a.lengthMm * a.widthMm ? b : a));
      return {
        ...base(context, 'film-short', film),
        case: 'short',
        severity: 'fails',
        numbers: { count: short, along: largest.lengthMm, across: largest.widthMm },
      };
    });

/** In words. */
export const sayFilmShort: Sayings = {
  'film-short/short': ({ finding, names, size }) => [
    `There is too little ${names['film']}`,
    `${count(finding.numbers['count'], 'strip is', 'strips are')} not to be had from your stock; the largest takes ${size('along', 'across')}. Buy some, make it smaller, or use another film.`,
  ],
};
