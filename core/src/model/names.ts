/** One name for which the job is made. */
export interface NameRow {
  readonly id: string;
  readonly name: string;
  /** How many are made. */
  readonly count: number;
  /** Which hand holds this one; null for the job's own. */
  readonly hand: 'right' | 'left' | null;
  /** Height of its capitals when it was set by hand, mm. */
  readonly capMm: number | null;
  /** One of the job's other blanks; null for its own. */
  readonly blankId: string | null;
}

/** A job that is made many times: once for each of many names, which take the place of one text, or just as it is. */
export interface NameList {
  /** The text; null when all are alike but for hand and blank. */
  readonly itemId: string | null;
  /** Widest that a name may be, mm. */
  readonly widthMm: number;
  /** Lowest that its capitals may become, mm. */
  readonly leastCapMm: number;
  /** mm by which its letters may be closed up once that is reached. */
  readonly closeMm: number;
  readonly rows: readonly NameRow[];
}
