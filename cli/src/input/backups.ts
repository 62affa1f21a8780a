import { readFileSync } from 'node:fs';
import { describeReadProblem, readBackup, type Backup } from '@mivet/core';
import { isZip, readBackupZip } from '@mivet/core/backups';
import { BadInput } from './command.ts';

/**
 * Reads a backup, a ZIP or JSON; what of it cannot be read is left out.
 *
 * @throws BadInput when there is none
 */
export function loadBackup(path: string | undefined): Backup {
  if (path === undefined) throw new BadInput('name the backup to read.');
  let bytes: Uint8Array;
  try {
    bytes = new Uint8Array(readFileSync(path));
  } catch {
    throw new BadInput(`${path} cannot be read. Check the name.`);
  }
  const result = isZip(bytes) ? readBackupZip(bytes) : readBackup(parsed(path, bytes));
  if (!result.ok) throw new BadInput(`${path}: ${describeReadProblem(result.problem)}`);
  return result.backup;
}

function parsed(path: string, bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder().decode(bytes));
  } catch {
    throw new BadInput(`${path}: ${describeReadProblem({ code: 'not-json' })}`);
  }
}
