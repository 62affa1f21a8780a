import type { ArtItem, Project, TextItem } from '@mivet/core';
import { beforeEach, describe, expect, it } from 'vitest';
import { plate } from '../../../../core/test/jobs.ts';
import { openWorkbench, press, type Workbench } from '../../../test/workbench.ts';
import { until } from '../../../test/until.ts';
import { demoProjects } from '../../demo/demo.ts';

import { useView } from '../../stores/view.ts';
import ArtworkSlip from './ArtworkSlip.vue';

const [tumbler] = demoProjects('2026-05-04T10:00:00.000Z') as [Project];

describe('sizes on the slip', () => {
  let bench: Workbench;
  const only = <T>(): T => bench.project.doc!.items[0] as T;
  async function opened(item: Project['items'][number]) {
    document.body.innerHTML = '';
    bench = await openWorkbench({ ...tumbler, items: [item] });
    useView().selectedId = item.id;
    const slip = bench.mount(ArtworkSlip);
    await bench.settled();
    const field = (label: string) => {
      const id = slip
        .findAll('label')
        .find((one) => one.text() === label)!
        .attributes('for');
      return slip.get(`[id="${id}"]`);
    };
    return {
      slip,
      rowsOf: (label: string): number => Number(field(label).attributes('rows')),
      shown: (label: string): string => (field(label).element as HTMLInputElement).value,
      type: async (label: string, value: string): Promise<void> => {
        await field(label).setValue(value);
        await field(label).trigger('blur');
      },
    };
  }
  beforeEach(() => localStorage.clear());

  it('are each as they were typed, the height soon after the width as well', async () => {
    const { type, shown } = await opened(plate('sign', 100, 75));
    await type('Width', '60 mm');
    await type('Height', '40 mm');
    await until(() => only<ArtItem>().widthMm < 60);
    await bench.settled();
    // 100 × 75 is 4 to 3: 40 high is 53.3 wide, whatever width came before.
    expect(only<ArtItem>().widthMm).toBeCloseTo((40 * 100) / 75, 2);
    expect([shown('Width'), shown('Height')]).toEqual(['53.3 mm', '40.0 mm']);
  });

  it('of words that read up the side are their length, set and shown', async () => {
    const words = tumbler.items.find((item): item is TextItem => item.type === 'text')!;
    const { type, shown } = await opened({ ...words, placement: { ...words.placement, turnDeg: 90 } });
    await type('Length', '80 mm');
    await until(() => only<TextItem>().size.by === 'width');
    await bench.settled();
    expect(shown('Length')).toBe('80.0 mm');
    const [top, foot] = bench.viewModel.good!.items[0]!.slants!;
    expect(foot - top).toBeCloseTo(80, 1);
  });

  it('typed a moment before the words are made for names are those of the names', async () => {
    const words = tumbler.items.find((item): item is TextItem => item.type === 'text')!;
    const { slip, type } = await opened(words);
    await type('Capital height', '20');
    await press(slip, 'Make it for a list of names');
    await until(() => bench.project.doc!.names !== null);
    expect(only<TextItem>().size).toEqual({ by: 'cap', mm: 20 });
    expect(bench.project.doc!.names).toMatchObject({ itemId: words.id, leastCapMm: 10 });
    expect(useView().showNames).toBe(true);
  });

  it.each([
    ['COX', 2],
    ['COX\nBOW\nSTROKE', 3],
    // Thirty letters are a line of the field; one more goes on to the next.
    [`${'N'.repeat(30)}\nCOX`, 2],
    [`${'N'.repeat(31)}\nCOX`, 3],
    [`${'N'.repeat(61)}\nCOX`, 4],
    [Array.from({ length: 9 }, () => 'COX').join('\n'), 6],
  ])('of the field for words go by its lines: %j', async (text, rows) => {
    const words = tumbler.items.find((item): item is TextItem => item.type === 'text')!;
    const { rowsOf } = await opened({ ...words, text });
    expect(rowsOf('Words')).toBe(rows);
  });
});
