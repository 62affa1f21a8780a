/** How a job turned out. */
export type Outcome = 'good' | 'so-so' | 'failed' | 'note';

/** A dated line of a project's log. */
export interface LogEntry {
  readonly id: string;
  /** ISO date and time, as the person's clock showed it. */
  readonly at: string;
  readonly outcome: Outcome;
  readonly text: string;
}
