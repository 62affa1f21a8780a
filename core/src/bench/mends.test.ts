import { describe, expect, it } from 'vitest';
import { jobOf } from '../../test/findings.ts';
import { makeBlank, mug, textItem } from '../../test/jobs.ts';
import { isMetAt, mendsFor } from './mends.ts';

const project = jobOf(mug({ rimClearanceMm: 15, baseClearanceMm: 5 }), textItem('COX', { size: { by: 'cap', mm: 20 } })); // prettier-ignore
const mend = (id: string, of = project) => mendsFor(of, { kind: 'lay' }, 'mm').find((one) => one.id === id)!;

describe('when it goes wrong', () => {
  it('what is met at the step comes first, and only what this process can meet', () => {
    const first = mendsFor(project, { kind: 'weed' }, 'mm').slice(0, 2).map(({ id }) => id); // prettier-ignore
    expect(first.every((id) => isMetAt(id, 'weed'))).toBe(true);
    expect(mendsFor(project, null, 'mm').some(({ id }) => id === 'bleed')).toBe(false);
    expect(mendsFor({ ...project, process: 'paint' }, { kind: 'paint' }, 'mm')[0]!.id).toBe('bleed');
    const balloon = jobOf(makeBlank({ girth: 880 }, { kind: 'balloon', surface: 'latex' }), textItem('4'));
    const lid = jobOf(makeBlank({ across: 90 }, { kind: 'lid', surface: 'plastic' }), textItem('4'));
    for (const face of [balloon, lid])
      expect(mendsFor(face, null, 'mm').filter(({ id }) => /^(over|ends)-/.test(id))).toEqual([]);
    expect(mendsFor(project, null, 'mm').filter(({ id }) => /^(over|ends)-/.test(id))).toHaveLength(4);
  });

  it('changes the number it taught, before and after in words', () => {
    const rim = mend('over-rim').change!;
    expect([rim.before, rim.after, rim.apply(project).blank.rimClearanceMm]).toEqual(['15.0 mm', '18.0 mm', 18]);
    const base = mend('over-base').change!;
    expect([base.after, base.apply(project).blank.baseClearanceMm]).toEqual(['8.0 mm', 8]);
    const small = mend('wrinkle').change!;
    expect([small.before, small.after]).toEqual(['100 %', '95 %']);
    // 20 mm of capitals, a twentieth less.
    expect(small.apply(project).items[0]).toMatchObject({ size: { by: 'cap', mm: 19 } });
    const gap = mend('ends-gap').change!;
    expect([gap.before, gap.after, gap.apply(project).seam.lapMm]).toEqual(['0.0 mm', '1.0 mm', 1]);
    expect(mend('ends-gap', gap.apply(project)).change).toBeNull();
    const thin = mend('too-thin').change!;
    expect(thin.apply(project).items[0]!.acts.thickenMm).toBeCloseTo(0.2, 9);
    const lost = mend('lost').change!;
    expect([lost.before, lost.after, lost.apply(project).items[0]!.spares]).toEqual(['0', '1', 1]);
    expect(mend('lost', { ...project, items: [] }).change).toBeNull();
  });
});
