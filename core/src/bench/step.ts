/** One thing to do at the bench, with this job's numbers. */
export interface BenchStep {
  readonly id: string;
  readonly title: string;
  readonly body: string;
  readonly why: string | null;
  readonly caution: string | null;
  /** What to look for, and what to do if it is not so. */
  readonly check: { readonly ask: string; readonly ifNot: string } | null;
  /** Minutes of work, and minutes of waiting after it. */
  readonly handsMinutes: number;
  readonly waitMinutes: number;
  /** What the picture shows. */
  readonly illustration: 'template' | 'film' | 'blank' | null;
  /** The film that the step is about, if one. */
  readonly film: string | null;
}
