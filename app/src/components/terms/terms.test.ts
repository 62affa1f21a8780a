import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import GlossaryView from '../../views/GlossaryView.vue';
import TermLine from './TermLine.vue';
import { TERMS, termsIn, type Term } from './terms.ts';

const all: readonly Term[] = Object.values(TERMS);

describe('the terms of the field', () => {
  it('are found in a text as whole words, in whatever form, in the order of the work', () => {
    expect(termsIn('First the 2 counters, then weed the ground round the pieces.')).toEqual(['counter', 'weed']);
    expect(termsIn('Gores lie flatter than bands.')).toEqual(['band', 'gore']);
    // “label” has no lap, “unloads” no load.
    expect(termsIn('The label says that it unloads.')).toEqual([]);
    expect(termsIn('Lay the transfer tape and burnish it')).toEqual(['transferTape', 'burnish']);
  });

  it('have each a word of their own, one sentence and a drawing within its frame', () => {
    expect(new Set(all.map(({ word }) => word)).size).toBe(all.length);
    for (const { word, says, drawing } of all) {
      expect(says, word).toMatch(/^[A-Z][^.]*\.$/);
      expect(drawing.length, word).toBeGreaterThan(0);
    }
  });

  it('stand in a line where a text holds some, and in none where it holds none', () => {
    const line = mount(TermLine, { props: { text: 'The seam laps.', terms: ['strain'] } });
    expect(line.findAll('button').map((b) => b.text())).toEqual(['strain', 'seam', 'lap']);
    expect(
      mount(TermLine, { props: { text: 'Nothing here.' } })
        .find('p')
        .exists(),
    ).toBe(false);
  });

  it('are all in the glossary, which can be searched', async () => {
    const page = mount(GlossaryView);
    expect(page.findAll('li strong').map((word) => word.text())).toEqual(all.map(({ word }) => word));
    await page.get('input').setValue('liner');
    expect(page.findAll('li strong').map((word) => word.text())).toEqual(['liner', 'transfer tape']);
    await page.get('input').setValue('xyz');
    expect(page.text()).toContain('No term matches.');
  });
});
