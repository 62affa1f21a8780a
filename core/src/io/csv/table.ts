import Papa from 'papaparse';
import type { z } from 'zod';
import { describeIssue } from '../../document/keepable-words.ts';

/** Lines that a table may have; what stands past them is counted and told. */
const MOST_LINES = 50_000;

/** A line of a table by the names of its columns, and where it stands in the file, from 1. */
export interface TableLine {
  readonly line: number;
  readonly row: Record<string, string | undefined>;
}

/** What was left out of a table, in words; the line counts from 1. */
export interface LeftOut {
  readonly line: number;
  readonly why: string;
}

/** Reads a table whose first line names its columns; empty lines are passed over. */
export function parseTable(text: string): {
  readonly columns: readonly string[];
  readonly lines: readonly TableLine[];
  readonly leftOut: readonly LeftOut[];
} {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  const filled = data
    .map((cells, i) => ({ cells, line: i + 1 }))
    .filter(({ cells }) => cells.some((cell) => cell.trim()));
  const [header, ...rest] = filled;
  const columns = (header?.cells ?? []).map((cell) => cell.trim().toLowerCase());
  const past = rest.length - MOST_LINES;
  return {
    columns,
    lines: rest.slice(0, MOST_LINES).map(({ cells, line }) => ({
      line,
      row: Object.fromEntries(columns.map((column, i) => [column, cells[i]])),
    })),
    leftOut:
      past > 0
        ? [
            {
              line: rest[MOST_LINES]!.line,
              why: `a table takes ${MOST_LINES} lines; the last ${past} were left out. Bring them in as a table of their own.`,
            },
          ]
        : [],
  };
}

/**
 * Why something read from a line could not be kept, in words; null when it can.
 *
 * @param schema of what it is to be kept as
 */
export function doesNotFit(schema: z.ZodType, thing: unknown): string | null {
  const parsed = schema.safeParse(thing);
  if (parsed.success) return null;
  const issue = parsed.error.issues[0]!;
  return describeIssue(issue.path.join('.'), issue, 'mm');
}
