import type { Board } from '../model/board.ts';
import { formatLength, type Units } from './length.ts';

/** What a board is called, with its size. */
export const boardWords = ({ label, widthMm, lengthMm }: Board, units: Units): string => {
  const side = (mm: number): string => formatLength(mm, units).replace(/\.0(?= )/, '');
  return `${label}, ${side(widthMm).replace(/ (mm|in)$/, '')} × ${side(lengthMm)}`;
};
