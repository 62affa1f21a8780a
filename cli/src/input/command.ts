/** Where a command writes. */
export interface Output {
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
}

/** Something wrong with what was given: one clear line, no stack trace. */
export class BadInput extends Error {}

/** A command: arguments after its name → exit code. */
export type CommandLine = (args: readonly string[], output: Output) => number | Promise<number>;
