import { rgb } from '@cantoo/pdf-lib';
import type { Units } from '../../measure/length.ts';
import { formatLength } from '../../measure/length.ts';
import type { PlacingCard } from '../../present/placing-card.ts';
import type { Flow } from './flow.ts';

/** pt. The card is drawn no higher than this. */
const MOST_HIGH = 230;
/** Figures past which the drawing only numbers them. */
const MOST_FIGURES = 40;

/**
 * Draws the placing card: the side unrolled with its figures and their numbers, and a line for each with where it goes.
 *
 * @param indent pt from the left margin
 */
export function drawPlacing(flow: Flow, card: PlacingCard, unit: Units, indent: number): void {
  const [wide, high] = [2 * card.halfMm, card.toMm - card.fromMm];
  const scale = Math.min((flow.width - indent) / wide, MOST_HIGH / high);
  flow.keep(high * scale + 16);
  flow.leave(8);
  const [left, top] = [flow.margin + indent, flow.y];
  const { page, plain, bold } = flow;
  const ink = rgb(0, 0, 0);
  const at = (x: number, y: number): { x: number; y: number } => ({
    x: left + (x + card.halfMm) * scale,
    y: top - (y - card.fromMm) * scale,
  });
  const line = (from: readonly [number, number], to: readonly [number, number], dashed = false): void =>
    page.drawLine({ start: at(...from), end: at(...to), thickness: 0.5, color: ink, ...(dashed && { dashArray: [3, 2] }) }); // prettier-ignore
  page.drawRectangle({ x: left, y: top - high * scale, width: wide * scale, height: high * scale, borderWidth: 0.7, borderColor: ink }); // prettier-ignore
  line([-card.halfMm, 0], [card.halfMm, 0], true);
  line([0, card.fromMm], [0, card.toMm], true);
  page.drawText('rim', { ...at(-card.halfMm, card.fromMm), size: 7, font: plain, color: ink });
  page.drawText('front', { x: at(0, 0).x + 2, y: at(0, card.toMm).y + 2, size: 7, font: plain, color: ink });
  const origin = at(0, 0);
  for (const { shapes } of card.figures)
    for (const { data } of shapes)
      page.drawSvgPath(data, { ...origin, scale, color: rgb(0.85, 0.85, 0.85), borderColor: ink, borderWidth: 0.4 });
  for (const { number, x, middle } of card.figures) {
    const spot = at(x, middle);
    page.drawCircle({ ...spot, size: 6, color: rgb(1, 1, 1), borderColor: ink, borderWidth: 0.6 });
    const text = String(number);
    page.drawText(text, { x: spot.x - bold.widthOfTextAtSize(text, 7) / 2, y: spot.y - 2.5, size: 7, font: bold, color: ink }); // prettier-ignore
  }
  flow.leave(high * scale + 6);
  for (const { number, name, belowMm, roundMm } of card.figures.slice(0, MOST_FIGURES)) {
    const round =
      Math.abs(roundMm) < 0.5
        ? 'in front'
        : `${formatLength(Math.abs(roundMm), unit)} to the ${roundMm > 0 ? 'right' : 'left'} of the front`;
    flow.write(`${number}  ${name}: its top ${formatLength(belowMm, unit)} below the rim, its middle ${round}`, plain, 9, indent); // prettier-ignore
  }
  const more = card.figures.length - MOST_FIGURES;
  if (more > 0) flow.write(`The other ${more} as numbered on the drawing.`, plain, 9, indent);
}
