import { formatRange, formatShort, type Units } from '../../measure/length.ts';
import type { Film } from '../../model/film.ts';
import type { CutPiece } from '../../cut/order.ts';
import { partLabels } from '../../cut/part-labels.ts';
import type { Board } from '../../model/board.ts';
import type { Load, Strip } from '../../load/load.ts';
import { pathData, writeNumber, xmlText } from './path-data.ts';

/**
 * A guide for laying film on the board of one load: the board's outline and the margin that the blade keeps, each strip
 * with its from–to marks, and what is cut from it, with the names of its parts. It is for looking at and printing; nothing of it is cut.
 *
 * @param load strips on the board
 * @param cuts what is cut of each strip, in board millimetres
 * @param films the project's films
 * @param board what the cutter takes
 * @param title shown by viewers
 * @param units that its words are in; its drawing is in millimetres
 */
export function writeGuideSvg(
  load: Load,
  cuts: (strip: Strip) => readonly CutPiece[],
  films: readonly Film[],
  board: Board,
  title: string,
  units: Units,
): string {
  const [width, height] = [board.lengthMm, board.widthMm];
  const below = 8 + 6 * load.strips.length;
  const n = writeNumber;
  const rect = (x: number, top: number, w: number, h: number, more: string): string =>
    `<rect x="${n(x)}" y="${n(top)}" width="${n(w)}" height="${n(h)}" ${more}/>`;
  const strips = load.strips.map((strip, i) => {
    const film = films.find((f) => f.id === strip.film);
    const top = height - board.marginMm - strip.across;
    const area = strip.outline
      ? `<path d="${strip.outline.map((v, k) => `${k === 0 ? 'M' : k % 2 === 0 ? 'L' : ' '}${n(k % 2 === 0 ? strip.from + v : height - board.marginMm - v)}`).join('')}Z" fill="${film?.colour ?? '#888888'}" fill-opacity="0.35"/>`
      : rect(
          strip.from,
          top,
          strip.to - strip.from,
          strip.across,
          `fill="${film?.colour ?? '#888888'}" fill-opacity="0.35"`,
        );
    const pieces = cuts(strip);
    const lines = pieces.flatMap(({ paths }) => paths.map((path) => pathData(path, height)));
    const words = `${film?.name ?? strip.film} ${formatRange(strip.from, strip.to, units)}, ${formatShort(strip.across, units)} across${strip.offcut ? ', offcut' : ''}`;
    return [
      `  <g data-film="${xmlText(film?.name ?? strip.film)}" data-from="${strip.from}" data-to="${strip.to}">`,
      `    ${area}`,
      `    <path d="${lines.join('')}" fill="none" stroke="#000000" stroke-width="0.2"/>`,
      ...partLabels(pieces).map(
        ({ text, x, y }) =>
          `    <text x="${n(x)}" y="${n(height - y)}" font-family="sans-serif" font-size="3" stroke="#ffffff" stroke-width="0.8" paint-order="stroke">${xmlText(text)}</text>`,
      ),
      `    <path d="M${strip.from} 0V${n(height + 2)}M${strip.to} 0V${n(height + 2)}" stroke="#000000" stroke-width="0.2" stroke-dasharray="2 2"/>`,
      `    <text x="${strip.from}" y="${n(height + 6 + 6 * i)}" font-family="sans-serif" font-size="4">${xmlText(words)}</text>`,
      '  </g>',
    ].join('\n');
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height + below)}mm" viewBox="0 0 ${n(width)} ${n(height + below)}">`,
    `  <title>${xmlText(title)}</title>`,
    `  <desc>Units: millimetres. A guide for laying the film, not for cutting.</desc>`,
    `  <g id="board" fill="none" stroke="#000000" stroke-width="0.3">${rect(0, 0, width, height, '')}${rect(board.marginMm, board.marginMm, width - 2 * board.marginMm, height - 2 * board.marginMm, 'stroke-dasharray="1 1"')}</g>`,
    ...strips,
    '</svg>',
    '',
  ].join('\n');
}
