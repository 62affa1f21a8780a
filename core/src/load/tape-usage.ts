import { boxHeight, boxWidth } from '../plane/box.ts';
import type { FilmBlock } from './blocks.ts';
import type { StockTape } from '../model/stock.ts';

/** mm of tape past the pieces on every side, to hold it by. */
const TAPE_MARGIN_MM = 10;

/**
 * mm² of transfer tape that lift each part of each film by itself, with a margin to hold it by.
 *
 * @param blocks what is cut, part by part
 */
export const tapeArea = (blocks: readonly Pick<FilmBlock, 'box'>[]): number =>
  blocks.reduce(
    (sum, { box }) => sum + (boxWidth(box) + 2 * TAPE_MARGIN_MM) * (boxHeight(box) + 2 * TAPE_MARGIN_MM),
    0,
  );

/**
 * Whole mm of a roll that go for an area of tape, on average: a piece of it is used several times, and what falls off beside one
 * lifts a smaller one.
 *
 * @param areaMm2 that lifts everything once
 */
export const tapeLength = ({ widthMm, uses }: StockTape, areaMm2: number): number =>
  Math.round(areaMm2 / (widthMm * uses));

/** Tapes that carry film, those of which one knows the price first; strips for painting round only hold things down. */
export const carryingTapes = (tapes: readonly StockTape[]): StockTape[] =>
  tapes
    .filter(({ tack }) => tack !== 'painter’s strips')
    .sort((a, b) => Number(a.price === null) - Number(b.price === null) || a.name.localeCompare(b.name));
