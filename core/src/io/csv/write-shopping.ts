import Papa from 'papaparse';
import type { ToBuy } from '../../bench/shopping.ts';

/** A shopping list as CSV: what, and how much. */
export const writeShoppingCsv = (list: readonly ToBuy[]): string =>
  `${Papa.unparse({ fields: ['What', 'How much'], data: list.map(({ what, says }) => [what, says]) }, { escapeFormulae: true })}\r\n`; // prettier-ignore
