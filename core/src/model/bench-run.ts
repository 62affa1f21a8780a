/** A check that was answered, at its time. */
export interface BenchAnswer {
  readonly step: string;
  /** The thing that it was asked about; null for all of them. */
  readonly thing: string | null;
  /** ISO. */
  readonly at: string;
  readonly yes: boolean;
}

/** Something noted at a step. */
export interface BenchNote {
  readonly id: string;
  readonly step: string;
  /** ISO. */
  readonly at: string;
  readonly text: string;
  /** Id of the photograph that was taken with it; null without one. */
  readonly photo: string | null;
}

/** A thing that went wrong and is made again. */
export interface SpoiltThing {
  readonly thing: string;
  readonly step: string;
  /** ISO. */
  readonly at: string;
  readonly why: string;
  /** Whether it was cut again. */
  readonly made: boolean;
}

/** How far the bench run has come. */
export interface BenchRun {
  /**
   * What is done, by id: a step; a step on one thing, `step#thing`; something of a step's list, `step/n`.
   */
  readonly doneSteps: readonly string[];
  /** Wall-clock ends of running waits by step, ISO. */
  readonly waitsUntil: { readonly [stepId: string]: string };
  /** When each wait began, ISO. */
  readonly waitsFrom: { readonly [stepId: string]: string };
  /** When what is done was done, ISO. */
  readonly doneAt: { readonly [id: string]: string };
  /** What each step said when it was done: by that one sees what was changed since. */
  readonly doneAs: { readonly [stepId: string]: string };
  readonly answers: readonly BenchAnswer[];
  readonly notes: readonly BenchNote[];
  readonly spoilt: readonly SpoiltThing[];
  /** Things that were put aside for later. */
  readonly parked: readonly string[];
}

/** A run that has not begun. */
export const NEW_RUN: BenchRun = {
  doneSteps: [],
  waitsUntil: {},
  waitsFrom: {},
  doneAt: {},
  doneAs: {},
  answers: [],
  notes: [],
  spoilt: [],
  parked: [],
};
