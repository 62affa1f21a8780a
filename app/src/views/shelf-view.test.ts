import { newShelfBlank, type ShelfBlank } from '@mivet/core';
import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import { savedCount, savedFiles, type SavedFile } from '../../test/saved-files.ts';
import { openWorkbench, press, type Workbench } from '../../test/workbench.ts';
import { until } from '../../test/until.ts';
import { demoProjects } from '../demo/demo.ts';
import { demoShelf } from '../demo/demo-shelf.ts';

import { readKept } from '../data/database.ts';
import { useLibrary } from '../stores/library.ts';
import ShelfView from './ShelfView.vue';

const at = '2026-05-04T10:00:00.000Z';
const prices = [1, null, 2.5, 4];
const shelf = demoShelf(at)
  .slice(0, 4)
  .map((entry, i): ShelfBlank => ({ ...entry, price: prices[i]! }));
let bench: Workbench;

beforeEach(async () => {
  document.body.innerHTML = '';
  bench = await openWorkbench(demoProjects(at)[0]!);
  useLibrary().shelf = shelf;
  useLibrary().loaded = true;
});
const names = (view: ReturnType<Workbench['mount']>): string[] =>
  view.findAll('article .fw-bold').map((name) => name.text());
const mountShelf = () => bench.mount(ShelfView, {});

describe('Shelf', () => {
  it('finds by any words, and puts in order by name, size and price', async () => {
    const view = mountShelf();
    expect(names(view)).toEqual(['Can-shaped glass', 'Cox’s beaker', 'Crew mug', 'Steel tumbler']);
    await view.get('select').setValue('price');
    expect(names(view)).toEqual(['Crew mug', 'Can-shaped glass', 'Cox’s beaker', 'Steel tumbler']);
    await view.get('select').setValue('girth');
    expect(names(view).at(-1)).toBe('Steel tumbler');
    await view.get('input[type=search]').setValue('steel BARE');
    expect(names(view)).toEqual(['Steel tumbler']);
    await view.get('input[type=search]').setValue('nothing like it');
    expect(view.text()).toContain('No blank matches');
    await press(view, 'Show all');
    expect(names(view)).toHaveLength(4);
  });

  it('draws a long shelf in parts', async () => {
    useLibrary().shelf = Array.from({ length: 60 }, (_, i) =>
      newShelfBlank({ ...shelf[0]!.blank, id: `b${i}`, name: `Mug ${i}` }, at),
    );
    const view = mountShelf();
    expect(names(view)).toHaveLength(24);
    expect(names(view).slice(0, 3)).toEqual(['Mug 0', 'Mug 1', 'Mug 2']);
    expect(view.text()).toContain('24 of 60 shown');
    await press(view, 'Show more');
    expect(names(view)).toHaveLength(48);
  });

  it('writes a table, and everything as a backup of blanks', async () => {
    const view = mountShelf();
    await press(view, 'Save as a table');
    await until(() => savedCount() === 1);
    await press(view, 'Save with everything');
    await until(() => savedCount() === 2);
    const [table, all] = (await savedFiles()) as [SavedFile, SavedFile];
    expect(table.name).toBe('mivet-shelf.csv');
    expect(table.content.split('\n')[1]).toContain('Can-shaped glass');
    expect(JSON.parse(all.content)).toMatchObject({ format: 'mivet-backup', projects: [], shelf: { length: 4 } });
  });

  it('changes name and price, and takes neither nonsense nor nothing', async () => {
    const view = mountShelf();
    await view.get('[aria-label="Change Crew mug"]').trigger('click');
    await nextTick();
    const dialog = () => document.querySelector<HTMLElement>('[role=dialog]')!;
    const field = (label: string) =>
      [...dialog().querySelectorAll('label')].find((l) => l.textContent === label)!.control as HTMLInputElement;
    const type = async (label: string, value: string): Promise<void> => {
      field(label).value = value;
      field(label).dispatchEvent(new Event('input'));
      await nextTick();
    };
    const keep = async (): Promise<void> => {
      dialog()
        .querySelector('form')!
        .dispatchEvent(new Event('submit', { cancelable: true }));
      await nextTick();
    };
    await type('Cost each', 'six');
    await keep();
    expect(dialog().textContent).toContain('“six” is not a price');
    await type('Cost each', '6,5');
    await type('Name', '  ');
    await keep();
    expect(dialog().textContent).toContain('A blank needs a name');
    await type('Name', 'Club mug');
    await keep();
    const written = await until(() => readKept('shelf', 'demo-crew-mug'));
    expect(written).toMatchObject({ price: 6.5, blank: { name: 'Club mug' } });
    await until(() => names(view).includes('Club mug'));
  });
});
