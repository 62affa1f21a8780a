import {
  formatFar,
  formatLength,
  formatShort,
  formatSize,
  MM_PER_FOOT,
  leftOf,
  yearsSince,
  type Offcut,
  type StockCutter,
  type StockFilm,
  type StockTape,
  type Units,
} from '@mivet/core';
import type { FilmLeft } from '../../stores/films.ts';

/** A length of film, in metres or feet where it is long. */
export function longWords(mm: number, unit: Units): string {
  if (unit === 'mm') return mm >= 1000 ? `${(mm / 1000).toFixed(mm >= 10_000 ? 0 : 2)} m` : `${Math.floor(mm)} mm`;
  return mm >= 610 ? `${(mm / MM_PER_FOOT).toFixed(1)} ft` : formatLength(mm, unit);
}

/** How film comes, and its size. */
export const filmSizeWords = ({ form, widthMm, lengthMm }: StockFilm, unit: Units): string =>
  form === 'roll' ? `Roll, ${formatShort(widthMm, unit)} wide` : `Sheets, ${formatSize(widthMm, lengthMm, unit)}`;

/** What is left, in words. */
export function leftWords(film: StockFilm, unit: Units): string {
  if (film.form === 'roll')
    return film.count === 0
      ? 'used up'
      : `${longWords(leftOf(film), unit)} left of ${longWords(film.boughtLengthMm, unit)}`;
  return film.count === 0 ? 'used up' : film.count === 1 ? 'one sheet left' : `${film.count} sheets left`;
}

/** What is left of a film over all its rolls and packs; empty where nothing is known of any. */
export function allLeftWords(left: FilmLeft | null, unit: Units): string {
  if (!left) return '';
  if (!left.noted) return 'not in stock';
  const { rollMm, sheets } = left;
  const told = [
    rollMm > 0 ? longWords(rollMm, unit) : '',
    sheets > 0 ? `${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}` : '',
  ].filter(Boolean);
  return told.length > 0 ? `${told.join(' and ')} left` : 'used up';
}

/** How old it is, in words; empty when that is not known. */
export function ageWords({ boughtOn }: StockFilm | Offcut, today: string): string {
  const years = yearsSince(boughtOn, today);
  if (years === null) return 'age not known';
  if (years < 1 / 12) return 'bought this month';
  const months = Math.round(12 * years);
  return months < 24 ? `${months === 1 ? 'a month' : `${months} months`} old` : `${years.toFixed(1)} years old`;
}

/** What tape is left. */
export const tapeWords = (tape: StockTape, unit: Units): string =>
  tape.lengthMm <= 0 ? 'used up' : `${longWords(tape.lengthMm, unit)} left, ${formatShort(tape.widthMm, unit)} wide`;

/** How a cutter takes film, and how far scissors need two parts apart for it. */
export const cutterWords = ({ onBoard, board }: StockCutter, unit: Units): string =>
  `${formatSize(board.widthMm, board.lengthMm, unit)}, ${onBoard ? 'on a board' : 'without a board'}, scissors ${formatShort(board.gapMm, unit)}`;

/** How far a blade went of what one lasts. */
export const bladeWords = ({ bladeMm, bladeLastsMm }: StockCutter, unit: Units): string =>
  `blade ${formatFar(bladeMm, unit).split(' ')[0]} of ${formatFar(bladeLastsMm, unit)}`;
