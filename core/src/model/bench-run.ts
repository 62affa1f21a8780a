/** How far the bench run has come. */
export interface BenchRun {
  readonly doneSteps: readonly string[];
  /** Wall-clock ends of running waits by step, ISO. */
  readonly waitsUntil: { readonly [stepId: string]: string };
}
