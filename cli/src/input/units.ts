import type { Units } from '@mivet/core';
import { BadInput } from './command.ts';
import { takeOption } from './files.ts';

const UNITS: ReadonlyMap<string, Units> = new Map([
  ['mm', 'mm'],
  ['in', 'in'],
  ['in-decimal', 'in-decimal'],
]);

/**
 * Takes `--units mm|in|in-decimal` off the arguments: what words and prints are in. Files themselves stay in millimetres.
 *
 * @throws BadInput when it is none of them
 */
export function takeUnits(args: readonly string[]): { readonly units: Units; readonly rest: readonly string[] } {
  const { value, rest } = takeOption(args, '--units');
  const units = value === null ? 'mm' : UNITS.get(value);
  if (!units) throw new BadInput(`--units takes mm, in or in-decimal, not “${value}”.`);
  return { units, rest };
}
