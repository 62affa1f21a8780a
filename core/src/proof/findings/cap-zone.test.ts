import { describe, expect, it } from 'vitest';
import { at, findingsOf, fixed, jobOf } from '../../../test/findings.ts';
import { makeBlank, plate } from '../../../test/jobs.ts';
import type { Blank } from '../../model/blank.ts';
import type { Project } from '../../model/project.ts';
import { describeFinding } from '../words.ts';

/** A ball of 40 mm radius: a quarter of its way round is 62.83 mm, from the widest girth to the top. */
const RADIUS = 40;
const ball = (change: Partial<Blank> = {}): Blank => makeBlank({ girth: 2 * Math.PI * RADIUS }, { kind: 'ball', baseClearanceMm: 5, ...change }); // prettier-ignore
/** A plate of 10 × 8 mm whose middle lies some millimetres above that of a patch of 40 mm, 45° up the ball. */
const placed = (up: number, capMm: number | undefined): Project =>
  jobOf(
    ball({ ...(capMm !== undefined && { capMm }), flattening: { way: 'patch', parts: null, keep: null, patchMm: 40, patchUpDeg: 45 } }), // prettier-ignore
    plate('mark', 10, 8, { placement: at({ mm: -up }), running: 'rigid' }),
  );

describe('the cap of an ornament', () => {
  // 45° up is 31.42 mm from the top along the ball; a cap of 20 mm ends 40·asin(10/40) = 10.11 mm from it.
  const rim = RADIUS * Math.asin(10 / RADIUS);
  const top = (RADIUS * Math.PI) / 4;

  it('wants a finger’s room, and film under it fails', () => {
    // Film ends 4 mm above its middle: up by 14 mm it is 31.42 − 18 − 10.11 = 3.31 from the cap.
    const [near] = findingsOf(placed(14, 20), 'cap-zone');
    expect(near).toMatchObject({ case: 'near', severity: 'look', itemIds: ['mark'], numbers: { clearance: 5, cap: 20 } }); // prettier-ignore
    expect(near!.numbers['room']).toBeCloseTo(top - 18 - rim, 1);
    expect(describeFinding(near!, 'mm').why).toContain('3.3 mm of the 5.0 mm');
    const [under] = findingsOf(placed(19, 20), 'cap-zone');
    expect(under).toMatchObject({ case: 'under', severity: 'fails' });
    expect(under!.numbers['room']).toBeCloseTo(rim - (top - 23), 1);
    expect(findingsOf(fixed(placed(19, 20), under!), 'cap-zone')).toEqual([]);
  });

  it('is nothing to a ball without one, nor to what lies low', () => {
    expect(findingsOf(placed(14, undefined), 'cap-zone')).toEqual([]);
    expect(findingsOf(placed(14, 0), 'cap-zone')).toEqual([]);
    expect(findingsOf(placed(12, 20), 'cap-zone')).toEqual([]);
    expect(findingsOf(placed(0, 20), 'cap-zone')).toEqual([]);
  });
});
