import type { Film } from '../../model/film.ts';
import { letterOf, type PictureShape, type StepPicture } from '../../present/step-picture.ts';

/** How each kind of shape is drawn on white paper. */
const STYLES: { readonly [role in PictureShape['role']]: string } = {
  sheet: 'fill="#f4f1e8" stroke="#d3ccb9"',
  film: 'stroke="#1c2430" stroke-opacity=".35"',
  ghost: 'fill-opacity=".4" stroke="#1c2430" stroke-opacity=".3"',
  out: 'fill="#ffffff" stroke="#a53a29" stroke-width="1.6" stroke-dasharray="3 2"',
  tape: 'fill="#f2c230" fill-opacity=".18" stroke="#8a560b" stroke-dasharray="6 3"',
  slit: 'fill="none" stroke="#a53a29" stroke-width="2"',
  air: 'fill="none" stroke="#a53a29" stroke-width="5" stroke-linecap="round" stroke-opacity=".7"',
  edge: 'fill="none" stroke="#5b6471"',
  dimension: 'fill="none" stroke="#1c2430" stroke-width="1.2"',
  arrow: 'fill="none" stroke="#0c6764" stroke-width="3"',
  body: 'fill="#e6e2d6" stroke="#5b6471"',
  handle: 'fill="#cfcabb" stroke="#5b6471"',
  pressed: 'fill="#0c6764" fill-opacity=".22" stroke="#0c6764" stroke-dasharray="4 3"',
  square: 'fill="#1c2430"',
  line: 'fill="none" stroke="#5b6471" stroke-dasharray="5 3"',
};
const FILLED: ReadonlySet<PictureShape['role']> = new Set(['film', 'ghost']);

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

/** A picture of a step as an SVG of its own, on white. */
export function pictureSvg({ box, shapes, texts, says }: StepPicture, films: readonly Film[]): string {
  const colourOf = (id: string | undefined): string => films.find((film) => film.id === id)?.colour ?? '#999999';
  const letter = letterOf(box);
  const drawn = shapes.map(({ role, film, data }) => `<path d="${data}" fill-rule="evenodd" vector-effect="non-scaling-stroke" ${FILLED.has(role) ? `fill="${colourOf(film)}" ` : ''}${STYLES[role]}/>`); // prettier-ignore
  const words = texts.map(({ x, y, text, anchor, disk }) =>
    disk
      ? `<circle cx="${x.toFixed(2)}" cy="${y.toFixed(2)}" r="${(letter * 0.8).toFixed(2)}" fill="#fff" stroke="#1c2430" vector-effect="non-scaling-stroke"/><text x="${x.toFixed(2)}" y="${(y + 0.34 * letter).toFixed(2)}" font-size="${letter.toFixed(2)}" text-anchor="middle" font-weight="700">${escaped(text)}</text>`
      : `<text x="${x.toFixed(2)}" y="${y.toFixed(2)}" font-size="${(1.15 * letter).toFixed(2)}" text-anchor="${anchor}" font-weight="600">${escaped(text)}</text>`,
  ); // prettier-ignore
  const { minX, minY, maxX, maxY } = box;
  const view = [minX, minY, maxX - minX, maxY - minY].map((v) => v.toFixed(2)).join(' ');
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${view}" role="img" aria-label="${escaped(says)}" font-family="sans-serif" fill="#1c2430">${drawn.join('')}${words.join('')}</svg>`;
}
