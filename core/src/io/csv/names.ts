import Papa from 'papaparse';
import type { PastedName } from '../../artwork/name-list.ts';
import { namesFromRows } from '../../artwork/name-list.ts';

/** Characters. A list of 500 names stays far below. */
const LARGEST = 200_000;

/**
 * Reads a pasted or loaded list of names: one a line, with commas, semicolons or tabs between the name, a count and a
 * hand.
 *
 * @param text of a file or from the clipboard
 */
export function readNames(text: string): {
  names: PastedName[];
  leftOut: { line: number; why: string }[];
} {
  if (text.length > LARGEST) return { names: [], leftOut: [{ line: 1, why: 'the list is too long to be names' }] };
  const count = (mark: string): number => text.split(mark).length - 1;
  const delimiter = count('\t') > 0 ? '\t' : count(';') > count(',') ? ';' : ',';
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { delimiter });
  return namesFromRows(data);
}
