import type { Film } from '../../model/film.ts';
import { boxHeight, boxWidth } from '../../plane/box.ts';
import { slugsOf } from '../../pieces/slug.ts';
import type { Wrap } from '../../pieces/wrap.ts';
import { boxOfSheet, carriesPieces } from '../../seam/panels/panel.ts';
import { pathData, writeNumber, xmlText } from './path-data.ts';

/** mm of paper round the outline. */
const MARGIN_MM = 10;

/**
 * The flat template as SVG in true millimetres: outline with true arcs, marks, and the pieces of each film as they sit.
 * For looking at and printing; cut files carry the cut lines alone.
 *
 * @param wrap template and pieces
 * @param films the project's films
 * @param title shown by viewers
 */
export function writeTemplateSvg(wrap: Wrap, films: readonly Film[], title: string): string {
  const { panels } = wrap;
  const bounds = boxOfSheet(wrap);
  const width = boxWidth(bounds) + 2 * MARGIN_MM;
  const height = boxHeight(bounds) + 2 * MARGIN_MM;
  const shiftX = MARGIN_MM - bounds.minX;
  // y' = top − y puts the outline's highest point at the margin.
  const top = bounds.maxY + MARGIN_MM;
  const x = (v: number): string => writeNumber(v + shiftX);
  const y = (v: number): string => writeNumber(top - v);
  const called = slugsOf(films, 'film');
  const groups = (carriesPieces(wrap) ? films : [])
    .map((film) => ({ film, pieces: wrap.pieces.filter((p) => p.film === film.id) }))
    .filter(({ pieces }) => pieces.length > 0)
    .map(
      ({ film, pieces }) =>
        `  <g id="${xmlText(`film-${called.get(film.id)}`)}" data-film="${xmlText(film.name)}" fill="${film.colour}" fill-rule="evenodd" stroke="none">\n    <title>${xmlText(film.name)}</title>\n` +
        pieces
          .map(
            (p) =>
              `    <path id="${xmlText(`piece-${p.id}`)}" d="${p.paths.map((path) => pathData(path, top, shiftX)).join('')}"/>`,
          )
          .join('\n') +
        '\n  </g>',
    );
  const slits = wrap.tape.flatMap((sheet) => sheet.slits);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${writeNumber(width)}mm" height="${writeNumber(height)}mm" viewBox="0 0 ${writeNumber(width)} ${writeNumber(height)}">`,
    `  <title>${xmlText(title)}</title>`,
    '  <desc>Units: millimetres. Print at 100 %.</desc>',
    ...groups,
    `  <g id="template" fill="none" stroke="#1C2430" stroke-width="0.25"><title>Template</title>`,
    ...panels.map(
      (panel, i) =>
        `    <path id="outline${panels.length > 1 ? `-${i + 1}` : ''}" d="${panel.outlines.map((path) => pathData(path, top, shiftX)).join('')}"/>`,
    ),
    '  </g>',
    '  <g id="marks" fill="none" stroke="#1C2430" stroke-width="0.2">',
    ...panels
      .flatMap((panel) => panel.lines)
      .map((l) => `    <path d="M${x(l.from.x)} ${y(l.from.y)}L${x(l.to.x)} ${y(l.to.y)}"/>`),
    '  </g>',
    ...(slits.length > 0
      ? [
          '  <g id="tape-slits" fill="none" stroke="#A53A29" stroke-width="0.3" stroke-dasharray="2 1"><title>Slits in the transfer tape</title>',
          ...slits.map((l) => `    <path d="M${x(l.from.x)} ${y(l.from.y)}L${x(l.to.x)} ${y(l.to.y)}"/>`),
          '  </g>',
        ]
      : []),
    '  <g id="words" fill="#1C2430" font-family="sans-serif" font-size="3.2" text-anchor="middle">',
    ...panels
      .flatMap((panel) => panel.words)
      .map((w) => `    <text x="${x(w.at.x)}" y="${y(w.at.y)}">${xmlText(w.text)}</text>`),
    '  </g>',
    '</svg>',
    '',
  ].join('\n');
}
