import { READING_LABEL, type Reading, type ReadingDoubt } from '@mivet/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import ReadingField from './ReadingField.vue';

const reading = (...mm: number[]): Reading => ({
  how: 'tape',
  thicknessMm: 0.4,
  takes: mm.map((v) => ({ typed: String(v), mm: v })),
});
const base = {
  label: READING_LABEL.girthRim,
  girth: true as const,
  unit: 'mm' as const,
  hint: 'Lay the tape round',
  active: true,
  doubts: [] as ReadingDoubt[],
  reading: undefined as Reading | undefined,
};
const field = (props: Partial<typeof base> = {}) =>
  mount(ReadingField, { props: { ...base, ...props }, global: { stubs: { IBiX: true } } });

describe('ReadingField', () => {
  it('takes the first go as typed, with the tape’s usual thickness', async () => {
    const f = field();
    await f.get<HTMLInputElement>('form input').setValue(' 10 7/8 ');
    await f.get('form').trigger('submit');
    expect(f.emitted('change')![0]![0]).toEqual({
      how: 'tape',
      thicknessMm: 0.4,
      takes: [{ typed: '10 7/8', mm: expect.closeTo(276.225, 9) as number }],
    });
    expect(f.get<HTMLInputElement>('form input').element.value).toBe('');
  });

  it('adds another reading to those there and shows their mean', async () => {
    const f = field({ reading: reading(276, 277) });
    expect(f.text()).toContain('276.5 mm');
    expect(f.text()).toContain('mean of 2, ±0.5 mm');
    await f.get<HTMLInputElement>('form input').setValue('278');
    await f.get('form').trigger('submit');
    expect((f.emitted('change')![0]![0] as Reading).takes.map((t) => t.mm)).toEqual([276, 277, 278]);
  });

  it('takes what was typed when the field is left, but asks nothing of an empty one', async () => {
    const f = field({ reading: reading(276) });
    await f.get<HTMLInputElement>('form input').trigger('blur');
    expect(f.emitted('change')).toBeUndefined();
    await f.get<HTMLInputElement>('form input').setValue('27.7 cm');
    await f.get<HTMLInputElement>('form input').trigger('blur');
    expect((f.emitted('change')![0]![0] as Reading).takes).toHaveLength(2);
  });

  it('takes one go out, and the whole reading with the last', async () => {
    const two = field({ reading: reading(276, 290) });
    await two.findAll('li button')[1]!.trigger('click');
    expect((two.emitted('change')![0]![0] as Reading).takes.map((t) => t.mm)).toEqual([276]);
    const one = field({ reading: reading(276) });
    await one.get('li button').trigger('click');
    expect(one.emitted('change')![0]![0]).toBeUndefined();
  });

  it('says what is wrong beside the field and keeps what was typed', async () => {
    const f = field();
    await f.get<HTMLInputElement>('form input').setValue('a hand');
    await f.get('form').trigger('submit');
    expect(f.text()).toContain('“a hand” is not a length');
    expect(f.get<HTMLInputElement>('form input').element.value).toBe('a hand');
    expect(f.emitted('change')).toBeUndefined();
  });

  it('shows a doubt with the value that was perhaps meant', async () => {
    const doubt: ReadingDoubt = {
      code: 'diameter-for-girth',
      reading: 'girthRim',
      severity: 'fails',
      value: 82,
      expected: 258,
      instead: 257.6,
    };
    const f = field({ doubts: [doubt], reading: reading(82) });
    expect(f.text()).toContain('82.0 mm across is 257.6 mm round');
    await f.findAll('button').at(-1)!.trigger('click');
    expect(f.emitted('take')).toEqual([[257.6]]);
  });

  it('is taken with a paper strip as well, which is thinner than a tape', async () => {
    const choose = (f: ReturnType<typeof field>, tool: string) =>
      f.get<HTMLInputElement>(`[aria-label="Taken with"] input[value=${tool}]`).setValue();
    const fresh = field();
    await choose(fresh, 'strip');
    expect(fresh.emitted('change')).toBeUndefined();
    expect(fresh.text()).toContain('read the strip on a ruler');
    await fresh.get<HTMLInputElement>('form input').setValue('276');
    await fresh.get('form').trigger('submit');
    expect(fresh.emitted('change')![0]![0]).toMatchObject({ how: 'strip', thicknessMm: 0.1 });
    // Said afterwards, the goes stay and only their thickness changes.
    const later = field({ reading: reading(276, 277) });
    await choose(later, 'strip');
    expect(later.emitted('change')![0]![0]).toEqual({ ...reading(276, 277), how: 'strip', thicknessMm: 0.1 });
    await choose(later, 'tape');
    expect(later.emitted('change')).toHaveLength(1);
  });

  it('is taken with the tape that the other girths were taken with', async () => {
    const f = mount(ReadingField, { props: { ...base, tapeMm: 0.6 }, global: { stubs: { IBiX: true } } });
    await f.get<HTMLInputElement>('form input').setValue('276');
    await f.get('form').trigger('submit');
    expect(f.emitted('change')![0]![0]).toMatchObject({ how: 'tape', thicknessMm: 0.6 });
  });

  it('offers ruler, tape and caliper for lengths, which no thickness changes', async () => {
    const side = field({ label: READING_LABEL.side, girth: false as never });
    const tools = side.findAll('[aria-label="Taken with"] label');
    expect(tools.map((b) => b.text())).toEqual(['Ruler', 'Tape', 'Caliper']);
    await side.findAll('[aria-label="Taken with"] input')[1]!.setValue();
    await side.get<HTMLInputElement>('form input').setValue('168');
    await side.get('form').trigger('submit');
    expect(side.emitted('change')![0]![0]).toMatchObject({ how: 'tape', thicknessMm: 0 });
  });

  it('rests as one line until it is asked for', async () => {
    const f = field({ active: false, reading: reading(276) });
    expect(f.find('input').exists()).toBe(false);
    await f.get('button').trigger('click');
    expect(f.emitted('ask')).toHaveLength(1);
  });
});
