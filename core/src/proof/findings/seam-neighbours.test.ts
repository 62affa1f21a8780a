import { describe, expect, it } from 'vitest';
import { findingsOf, fixed, projectOf } from '../../../test/findings.ts';
import { makeJob, plate, tumbler } from '../../../test/jobs.ts';
import type { Project } from '../../model/project.ts';
import { describeFinding } from '../words.ts';

/** Eight squares of 8 mm round the middle, where the way round is 245 mm, and one by itself at an angle. */
const withOneAt = (angleDeg: number, film = 'deep-water'): Project => {
  const at = (deg: number) => ({ facing: 'angle', angleDeg: deg, from: 'middle', mm: 0, turnDeg: 0 }) as const;
  return projectOf(
    makeJob(tumbler(), [
      plate('ring', 8, 8, { placement: at(173), repeat: { mode: 'spaced', count: 8 } }),
      plate('one', 8, 8, { film, placement: at(angleDeg) }),
    ]),
  );
};

describe('seam-neighbours', () => {
  it('looks at two of one film that come close only once the ends have met, and turns one away', () => {
    // 173° and −172° are 15° apart across the back: 10.2 mm between middles, 2.2 mm between edges; the ring keeps 22.6.
    const [finding] = findingsOf(withOneAt(-172), 'seam-neighbours');
    expect(finding).toMatchObject({ severity: 'look', case: 'pair' });
    expect(finding!.numbers['gap']).toBeCloseTo(2.2, 0);
    expect(finding!.numbers['typical']).toBeCloseTo(22.6, 0);
    expect(describeFinding(finding!, 'mm').title).toContain('nearly touch across the seam');
    expect(findingsOf(fixed(withOneAt(-172), finding!), 'seam-neighbours')).toEqual([]);
  });

  it('is silent where they keep half of the pattern’s own spacing, and tells things of different films', () => {
    // −158° is 29° on: 19.7 mm between middles, 11.7 mm between edges.
    expect(findingsOf(withOneAt(-158), 'seam-neighbours')).toEqual([]);
    // The same 2.2 mm, of two films: the pattern is that of all of them.
    expect(findingsOf(withOneAt(-172, 'ensign'), 'seam-neighbours')).toMatchObject([{ case: 'things' }]);
    expect(findingsOf(withOneAt(-158, 'ensign'), 'seam-neighbours')).toEqual([]);
  });
});
