import { describe, expect, it } from 'vitest';
import { examineProject } from '../../src/pipeline.ts';
import type { Project } from '../../src/model/project.ts';
import { projectOf } from '../findings.ts';
import { testFonts } from '../fonts.ts';
import { makeJob, textItem, tumbler } from '../jobs.ts';

/** What every object has without being told. */
const WORDS = ['constructor', 'toString', '__proto__', 'valueOf', 'hasOwnProperty'];

/** What the core makes of a project whose only film is called something, as far as it can be compared. */
function madeWith(film: string): unknown {
  const job = makeJob(tumbler(), [{ ...textItem('Cox'), film }]);
  const project: Project = projectOf({ ...job, films: job.films.slice(0, 1).map((one) => ({ ...one, id: film })) });
  const made = examineProject(project, testFonts);
  if (!made.ok) throw new Error('it cannot be flattened');
  const { stack, findings, steps } = made;
  return {
    layers: stack.layers.map(({ marked, byRule, pieces, bodies }) => ({ marked, byRule, pieces, bodies })),
    findings: findings.map(({ finding }) => finding.code),
    steps: steps.map(({ kind }) => kind),
  };
}

describe('a film that is called as what every object has', () => {
  it.each(WORDS)('is cut, marked and laid as any other: %s', (word) => {
    expect(madeWith(word)).toEqual(madeWith('ensign'));
  });
});
