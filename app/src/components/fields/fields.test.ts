import type { Units } from '@mivet/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import HeldInput from './HeldInput.vue';
import ChoiceButtons from './ChoiceButtons.vue';
import LengthField from './LengthField.vue';

async function typed(value: string, props: Partial<{ mm: number; unit: Units; least: number; most: number }> = {}) {
  const field = mount(LengthField, { props: { label: 'High', mm: 20, unit: 'mm', ...props } });
  const input = field.get('input');
  await input.setValue(value);
  await input.trigger('change');
  return {
    field,
    sent: field.emitted('change')?.at(-1)?.[0] as number | undefined,
    problem: field.find('.invalid-feedback'),
  };
}

describe('LengthField', () => {
  it('shows the length in the person’s unit', () => {
    const show = (unit: Units): string =>
      mount(LengthField, { props: { label: 'High', mm: 276.225, unit } }).get('input').element.value;
    expect(show('mm')).toBe('276.2 mm');
    expect(show('in')).toBe('10 7/8 in');
  });

  it('takes any unit and sends millimetres', async () => {
    expect((await typed('2.5 cm')).sent).toBe(25);
    expect((await typed('1 1/2', { unit: 'in' })).sent).toBeCloseTo(38.1, 9);
    expect((await typed('0')).sent).toBe(0);
    expect((await typed('-3', { least: -20 })).sent).toBe(-3);
  });

  it('keeps the last good length and says why another was not taken', async () => {
    for (const [value, says] of [
      ['tall', 'is not a length'],
      ['', 'Nothing typed yet'],
      ['3000', 'Between 0.0 mm and 2000.0 mm'],
      ['-3', 'Between'],
    ] as const) {
      const { sent, problem, field } = await typed(value);
      expect(sent).toBeUndefined();
      expect(problem.text()).toContain(says);
      expect(field.get('input').attributes('aria-invalid')).toBe('true');
    }
  });

  it('takes its words back once the length is good', async () => {
    const { field } = await typed('tall');
    await field.get('input').setValue('30');
    await field.get('input').trigger('change');
    expect(field.find('.invalid-feedback').exists()).toBe(false);
  });
});

describe('ChoiceButtons', () => {
  it('says which one is chosen and sends the other', async () => {
    const options = [
      { value: 'a', label: 'First' },
      { value: 'b', label: 'Second' },
    ];
    const choice = mount(ChoiceButtons, { props: { value: 'a', options, label: 'Which' } });
    const radios = choice.findAll<HTMLInputElement>('input[type=radio]');
    expect(radios.map((r) => r.element.checked)).toEqual([true, false]);
    await radios[1]!.setValue();
    expect(choice.emitted('choose')).toEqual([['b']]);
  });
});

describe('a field that is being typed in', () => {
  it('keeps what is typed while its value changes, and shows the value once it is left', async () => {
    const field = mount(HeldInput, { props: { value: 20 }, attachTo: document.body });
    const input = field.get('input');
    expect(input.element.value).toBe('20');
    input.element.value = '2';
    await input.trigger('input');
    await field.setProps({ value: 21 });
    expect(input.element.value).toBe('2');
    await input.trigger('blur');
    expect(input.element.value).toBe('21');
    // Taken with Enter or by leaving, it shows what came of it.
    input.element.value = '24';
    await input.trigger('input');
    await input.trigger('change');
    await field.setProps({ value: 24 });
    await field.setProps({ value: 30 });
    expect(input.element.value).toBe('30');
    // What comes to the same is shown as it is kept; what is refused stays as it was typed.
    await input.setValue('30.0');
    await nextTick();
    await nextTick();
    expect(input.element.value).toBe('30');
    const wrong = mount(HeldInput, { props: { value: 20 }, attrs: { 'aria-invalid': true } });
    await wrong.get('input').setValue('wide');
    await nextTick();
    await nextTick();
    expect(wrong.get('input').element.value).toBe('wide');
  });
});
