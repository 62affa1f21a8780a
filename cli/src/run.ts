import { bench } from './commands/bench.ts';
import { check } from './commands/check.ts';
import { flatten } from './commands/flatten.ts';
import { learn } from './commands/learn.ts';
import { make } from './commands/make.ts';
import { plan } from './commands/plan.ts';
import { judge } from './commands/proof.ts';
import { BadInput, type CommandLine, type Output } from './input/command.ts';

const COMMANDS = new Map<string, CommandLine>(
  Object.entries({ flatten, proof: judge, make, bench, plan, learn, check }),
);

const USAGE = `usage:
  mivet flatten <blank.json> [--film MM]     template as JSON (mm)
  mivet proof   <project.json> [--units U]   findings as JSON
  mivet make    <project.json> --out DIR [--units U] [--paper a4|letter]
                                             cut files, template, bench sheet, report
  mivet make    <a.json> <b.json> … --together --out DIR
                                             the same, cut on common boards
  mivet bench   <project.json> [--units U]   steps at the bench as JSON
  mivet plan    <backup.json> [--from 2026-11-27T09:00] [--ics FILE]
                                             what is done when, and what is late, as JSON
  mivet learn   <backup.json>                what the logbook teaches, as JSON
  mivet check   <file>                       what is wrong with a project, blank or backup
U: mm (as it is without), in or in-decimal, for words and prints
exit: 0 fine, 1 findings that will fail or projects that are late, 2 bad input
`;

/**
 * Runs one command of the command line.
 *
 * @param args command name and its arguments
 * @returns 0 fine, 1 findings that will fail, 2 bad input
 */
export async function run(args: readonly string[], output: Output): Promise<number> {
  const [name, ...rest] = args;
  const command = name === undefined ? undefined : COMMANDS.get(name);
  if (!command) {
    output.err(name === undefined || name === '--help' ? USAGE : `mivet: there is no command “${name}”.\n${USAGE}`);
    return name === '--help' ? 0 : 2;
  }
  try {
    return await command(rest, output);
  } catch (problem) {
    if (!(problem instanceof BadInput)) throw problem;
    output.err(`mivet ${name}: ${problem.message}\n`);
    return 2;
  }
}
