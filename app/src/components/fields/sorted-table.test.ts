import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import { h } from 'vue';
import SortedTable from './SortedTable.vue';

const ROWS = [
  { name: 'Load 10', mm: 9.5 },
  { name: 'load 2', mm: -12 },
  { name: 'Load 1', mm: NaN },
  { name: 'Oar', mm: 100 },
];
const FIELDS = [
  { key: 'name', label: 'Name', sortable: true },
  { key: 'mm', label: 'Size', sortable: true },
];
const table = (rows = ROWS) =>
  mount(SortedTable<(typeof ROWS)[number]>, {
    props: { rows, fields: FIELDS, empty: 'None of these.', by: { key: 'name', order: 'asc' } },
    slots: { 'cell(name)': ({ item }: { item: { name: string } }) => h('strong', item.name) },
  });

describe('a sorted table', () => {
  it('sorts words as one looks them up and numbers by value, either way, with the unknown last', async () => {
    const shown = table();
    const names = (): string[] => shown.findAll('strong').map((one) => one.text());
    const heads = shown.findAll('th');
    expect(names()).toEqual(['Load 1', 'load 2', 'Load 10', 'Oar']);
    expect(heads.map((head) => head.attributes('aria-sort'))).toEqual(['ascending', 'none']);
    await heads[0]!.trigger('click');
    expect(names()).toEqual(['Oar', 'Load 10', 'load 2', 'Load 1']);
    await heads[1]!.trigger('click');
    const first = names();
    await shown.findAll('th')[1]!.trigger('click');
    // −12, 9.5 and 100, up or down; what is not known is at the end both times.
    expect([first, names()].sort()).toEqual([
      ['Oar', 'Load 10', 'load 2', 'Load 1'],
      ['load 2', 'Load 10', 'Oar', 'Load 1'],
    ]);
  });

  it('says so where there is nothing', () => {
    expect(table([]).text()).toContain('None of these.');
  });
});
