import { rgb } from '@cantoo/pdf-lib';
import type { ToBuy } from '../../bench/shopping.ts';
import type { SheetPrint } from './flow.ts';
import { startFlow } from './flow.ts';

/** pt that a line stands in from its box. */
const INDENT = 22;

/** A shopping list to tick off, as PDF bytes. */
export async function writeShoppingPdf(print: SheetPrint & { readonly list: readonly ToBuy[] }): Promise<Uint8Array> {
  const flow = await startFlow(print);
  flow.write(print.title, flow.bold, 17);
  flow.leave(8);
  for (const { what, says } of print.list) {
    flow.keep(26);
    flow.page.drawRectangle({ x: flow.margin, y: flow.y - 16, width: 11, height: 11, borderWidth: 0.9, borderColor: rgb(0, 0, 0) }); // prettier-ignore
    flow.write(`${what}: ${says}`, flow.plain, 12, INDENT);
    flow.leave(7);
  }
  return flow.finish();
}
