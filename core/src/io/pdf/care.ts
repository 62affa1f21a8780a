import { rgb } from '@cantoo/pdf-lib';
import { create } from 'qrcode';
import type { Care } from '../../bench/care.ts';
import type { SheetPrint } from './flow.ts';
import { linesOf, startFlow } from './flow.ts';

/** pt in a mm. */
const MM = 72 / 25.4;
/** mm. A card, and its picture code. */
const [CARD_WIDE, CARD_HIGH, CODE, PAD] = [85, 54, 19, 3.5];
/** Cards across and down a sheet. */
const [ACROSS, DOWN] = [2, 4];
/** Cards that are printed at most. */
const MOST_CARDS = 200;

/** What is printed on care cards. */
export interface CarePrint extends SheetPrint {
  readonly care: Care;
  /** How many. */
  readonly count: number;
}

/** Text of a card as its picture code holds it: the words themselves, no address. */
export const careText = ({ title, lines }: Care): string => [title, ...lines].join('\n');

/**
 * Care cards, eight to a sheet with lines to cut along; each has its own words in a picture code, to be read without a
 * network.
 *
 * @returns PDF bytes
 */
export async function writeCarePdf({ care, count, ...print }: CarePrint): Promise<Uint8Array> {
  const flow = await startFlow(print);
  const { plain, bold, document } = flow;
  const { modules } = create(careText(care), { errorCorrectionLevel: 'M' });
  const many = Math.max(1, Math.min(MOST_CARDS, count));
  const ink = rgb(0, 0, 0);
  for (let n = 0; n < many; n++) {
    const slot = n % (ACROSS * DOWN);
    const page = n > 0 && slot === 0 ? document.addPage([...pageSize(flow)]) : document.getPages().at(-1)!;
    const { width, height } = page.getSize();
    const left = width / 2 - (ACROSS * CARD_WIDE * MM) / 2 + (slot % ACROSS) * CARD_WIDE * MM;
    const top = height - 40 - Math.floor(slot / ACROSS) * CARD_HIGH * MM;
    page.drawRectangle({ x: left, y: top - CARD_HIGH * MM, width: CARD_WIDE * MM, height: CARD_HIGH * MM, borderWidth: 0.3, borderColor: rgb(0.6, 0.6, 0.6), borderDashArray: [3, 3] }); // prettier-ignore
    const room = (CARD_WIDE - 2 * PAD) * MM;
    let y = top - PAD * MM;
    const write = (text: string, by: typeof plain, size: number, wide: number): void => {
      for (const line of linesOf(text, by, size, wide)) {
        y -= size * 1.28;
        page.drawText(line, { x: left + PAD * MM, y, size, font: by, color: ink });
      }
    };
    const beside = room - (CODE + 2) * MM;
    write(care.title, bold, 9.5, beside);
    y -= 2;
    for (const line of care.lines) write(line, plain, 7.2, top - y < (CODE + PAD) * MM + 10 ? beside : room);
    const cell = (CODE * MM) / modules.size;
    const [x0, y0] = [left + (CARD_WIDE - PAD - CODE) * MM, top - PAD * MM];
    for (let row = 0; row < modules.size; row++)
      for (let column = 0; column < modules.size; column++)
        if (modules.get(row, column)) page.drawRectangle({ x: x0 + column * cell, y: y0 - (row + 1) * cell, width: cell + 0.05, height: cell + 0.05, color: ink }); // prettier-ignore
  }
  return flow.finish();
}

const pageSize = (flow: Awaited<ReturnType<typeof startFlow>>): [number, number] => {
  const { width, height } = flow.document.getPages()[0]!.getSize();
  return [width, height];
};
