import { learnFrom, STARTING_MATERIALS } from '@mivet/core';
import { loadBackup } from '../input/backups.ts';
import type { CommandLine } from '../input/command.ts';

/** What the logbook of a backup teaches, as JSON: each with how many entries it stands on and its range. */
export const learn: CommandLine = (args, { out }) => {
  const learnt = learnFrom(loadBackup(args[0]).entries, STARTING_MATERIALS).map(
    ({ what, key, n, value, low, high, unit, usedAt }) => ({ what, key, n, value, low, high, unit, usedAt }),
  );
  out(`${JSON.stringify({ learnt }, null, 2)}\n`);
  return 0;
};
