import type { Finding, Units } from '@mivet/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import FindingCard from './FindingCard.vue';

const finding: Finding = {
  id: 'rim-zone:a',
  code: 'rim-zone',
  case: 'inside',
  severity: 'look',
  place: null,
  itemIds: ['a'],
  numbers: { room: 4, need: 5, zone: 9, clearance: 15 },
  names: { item: '“COX”' },
  fixes: [{ do: 'move-item', itemId: 'a', downMm: 5 }],
};
const card = (props: Partial<{ finding: Finding; acceptedFor: string | null; unit: Units; opened: boolean }> = {}) =>
  mount(FindingCard, { props: { finding, acceptedFor: null, unit: 'mm', opened: false, ...props } });

describe('FindingCard', () => {
  it('says what it is, why, and what each fix does', async () => {
    const c = card();
    expect(c.text()).toContain('Look at this');
    expect(c.text()).toContain('“COX” is too near the rim');
    expect(c.text()).toContain('15.0 mm from the drinking edge');
    const fix = c.findAll('button').find((b) => b.text() === 'Move down 5.0 mm')!;
    await fix.trigger('click');
    expect(c.emitted('fix')).toEqual([[finding.fixes[0]]]);
  });

  it('is accepted only with a reason', async () => {
    const c = card();
    await c
      .findAll('button')
      .find((b) => b.text() === 'Accept it')!
      .trigger('click');
    await c.get('form').trigger('submit');
    expect(c.emitted('accept')).toBeUndefined();
    await c.get('form input').setValue('  A vase ');
    await c.get('form').trigger('submit');
    expect(c.emitted('accept')).toEqual([['A vase']]);
  });

  it('shows an accepted one quietly, with the way back', async () => {
    const c = card({ acceptedFor: 'A vase' });
    expect(c.text()).toContain('Accepted');
    expect(c.text()).toContain('“A vase”');
    expect(c.classes()).toContain('accepted');
    await c.findAll('button').at(-1)!.trigger('click');
    expect(c.emitted('withdraw')).toHaveLength(1);
  });

  it('asks nothing of a fine one', () => {
    const c = card({
      finding: { ...finding, code: 'seam-gap', case: 'small', severity: 'fine', numbers: { worst: 0.4 }, fixes: [] },
    });
    expect(c.text()).toContain('Fine');
    expect(c.findAll('button').map((b) => b.text())).not.toContain('Accept it');
  });

  it('writes its lengths in inches for who works in them', () => {
    expect(card({ unit: 'in' }).text()).toContain('Move down 13/64 in');
  });
});
