import { newShelfBlank } from '@mivet/core';
import { mount } from '@vue/test-utils';
import { expect, it, vi } from 'vitest';
import { makeBlank } from '../../../../core/test/jobs.ts';

// A picture that never comes.
vi.mock('../../composables/usePreviews.ts', () => ({ pictureOfBlank: () => new Promise(() => undefined) }));

import ShelfCard from './ShelfCard.vue';

it('says the sizes of a blank while its picture is still being made', () => {
  const entry = newShelfBlank(makeBlank({ girthRim: 250, side: 90 }), '2026-05-04T10:00:00.000Z');
  const text = mount(ShelfCard, { props: { entry, unit: 'mm' } }).text();
  expect(text).toContain('250.0 mm round');
  expect(text).not.toContain('not fully measured');
});
