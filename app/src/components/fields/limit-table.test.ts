import type { OwnLimits, Units } from '@mivet/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import LimitTable from './LimitTable.vue';

/** A table whose changes are kept, as the page does. */
function table(limits: OwnLimits = {}, unit: Units = 'mm') {
  const made = mount(LimitTable, {
    props: { limits, unit, onChange: (kept: OwnLimits) => void made.setProps({ limits: kept }) },
  });
  return made;
}
type Table = ReturnType<typeof table>;
const field = (t: Table, label: string) =>
  t.get(
    `[id="${t
      .findAll('label')
      .find((l) => l.text() === label)!
      .attributes('for')}"]`,
  );
async function set(t: Table, label: string, value: string): Promise<OwnLimits | undefined> {
  const input = field(t, label);
  await input.setValue(value);
  await nextTick();
  return t.emitted('change')?.at(-1)?.[0] as OwnLimits | undefined;
}

describe('LimitTable', () => {
  it('sends what was changed and nothing else, lengths in any unit', async () => {
    expect(await set(table(), 'Seen from', '40 cm')).toEqual({ glanceDistance: 400 });
    expect(await set(table({ tinyPiece: 3 }), 'Check on paper from', '75')).toEqual({ tinyPiece: 3, fitShare: 75 });
    expect(await set(table({}, 'in'), 'Smallest piece', '1/8')).toEqual({ tinyPiece: 3.175 });
  });

  it('is in inches altogether for who works in them', async () => {
    const t = table({}, 'in');
    // 40 cm² are 6.2 in²; 12.9032 cm² are two.
    expect((field(t, 'Marks may cost').element as HTMLInputElement).value).toBe('6.2');
    expect(t.text()).not.toMatch(/\b(mm|cm)\b|mm²|cm²/);
    expect((await set(t, 'Marks may cost', '2'))!.marksCost).toBeCloseTo(12.9032, 9);
    // Nothing is changed by what stands there already.
    const untouched = table({}, 'in');
    await field(untouched, 'Marks may cost').trigger('change');
    expect(untouched.emitted('change')).toBeUndefined();
  });

  it('forgets what is set back to the usual, by hand or by its button', async () => {
    const own = { tinyPiece: 3, fitShare: 75 };
    expect(await set(table(own), 'Check on paper from', '60')).toEqual({ tinyPiece: 3 });
    const t = table(own);
    expect(t.text()).toContain('Usually 2.5 mm.');
    await t.get('[aria-label="Smallest piece: back to usual"]').trigger('click');
    expect(t.emitted('change')).toEqual([[{ fitShare: 75 }]]);
    // What is as usual has nothing to be put back.
    expect(t.findAll('button')).toHaveLength(1);
  });

  it('keeps shares within their range, and says what it kept; takes no word for a number', async () => {
    const t = table();
    expect(await set(t, 'Edge may look as narrow as', '300')).toEqual({ glanceEdge: 95 });
    expect((field(t, 'Edge may look as narrow as').element as HTMLInputElement).value).toBe('95');
    const other = table();
    expect(await set(other, 'Edge may look as narrow as', 'very')).toEqual({});
    expect((field(other, 'Edge may look as narrow as').element as HTMLInputElement).value).toBe('60');
    expect(await set(table(), 'Seen from', '2 mm')).toBeUndefined();
  });
});
