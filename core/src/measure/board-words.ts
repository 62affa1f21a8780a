import type { Board } from '../model/board.ts';
import { formatSize, type Units } from './length.ts';

/** What a board is called, with its size in mm or inches. */
export const boardWords = ({ label, widthMm, lengthMm }: Board, units: Units): string =>
  `${label}, ${formatSize(widthMm, lengthMm, units)}`;
