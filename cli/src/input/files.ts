import { readFileSync } from 'node:fs';
import { describeReadProblem, readDocument, type MivetDocument, type Project } from '@mivet/core';
import { BadInput } from './command.ts';

/** Reads a Mivet document; anything wrong with it becomes one clear line. */
export function loadDocument(path: string | undefined): MivetDocument {
  if (path === undefined) throw new BadInput('name the file to read.');
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch {
    throw new BadInput(`${path} cannot be read. Check the name.`);
  }
  const result = readDocument(text);
  if (!result.ok) throw new BadInput(`${path}: ${describeReadProblem(result.problem)}`);
  return result.document;
}

/** Reads a project. */
export function loadProject(path: string | undefined): Project {
  const document = loadDocument(path);
  if (document.format !== 'mivet-project')
    throw new BadInput(`${path} is a ${document.format}, a project was expected.`);
  return document;
}

/** Whether a switch stands among the arguments, and the arguments without it. */
export const takeFlag = (args: readonly string[], name: string): { given: boolean; rest: string[] } => ({
  given: args.includes(name),
  rest: args.filter((arg) => arg !== name),
});

/**
 * Value of an option, and the arguments without it.
 *
 * @throws BadInput when the option stands without a value
 */
export function takeOption(args: readonly string[], name: string): { value: string | null; rest: string[] } {
  const at = args.indexOf(name);
  if (at < 0) return { value: null, rest: [...args] };
  const value = args[at + 1];
  if (value === undefined || value.startsWith('--')) throw new BadInput(`${name} needs a value after it.`);
  return { value, rest: args.filter((_, i) => i !== at && i !== at + 1) };
}
