import type { GoodViewModel } from '@mivet/core';
import { newBlank, newProject } from '@mivet/core';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('../workers/core-client.ts', () => ({ askCore: () => new Promise(() => undefined) }));
vi.mock('../data/records.ts', () => ({
  readProject: async () => null,
  writeProject: async () => ({ ok: true, revision: 1 }),
  writeSnapshot: async () => undefined,
}));

import { until } from '../../test/until.ts';
import { useProject } from '../stores/project.ts';
import { useViewModel } from '../stores/view-model.ts';
import { useView } from '../stores/view.ts';
import { useItemDrag } from './useItemDrag.ts';
import { useItems } from './useItems.ts';

beforeEach(async () => {
  setActivePinia(createPinia());
  await useProject().ready();
  useProject().doc = newProject('p', 'Test', newBlank('b', 'straight', 'Mug'), null, '');
});

const names = (): string[] =>
  useProject().doc!.items.map((i) => (i.type === 'text' ? i.text : i.type === 'motif' ? i.motif : i.name));

describe('useItems', () => {
  it('places words and motifs on top, selected, in the film used last', () => {
    const items = useItems();
    items.addText('Cox');
    items.change('Change the film', (i) => ({ ...i, film: 'ensign' }));
    items.addMotif('wave');
    expect(names()).toEqual(['Cox', 'wave']);
    expect(items.selected()).toMatchObject({ type: 'motif', film: 'ensign', repeat: { mode: 'joined' } });
  });

  it('moves things up and down the film stack, but not past its ends', () => {
    const items = useItems();
    items.addText('A');
    items.addText('B');
    const [a] = useProject().doc!.items;
    items.reorder(a!.id, 1);
    expect(names()).toEqual(['B', 'A']);
    const before = useProject().past.length;
    items.reorder(a!.id, 1);
    expect(names()).toEqual(['B', 'A']);
    expect(useProject().past).toHaveLength(before);
  });

  it('puts another one round the blank', () => {
    const items = useItems();
    items.addText('A');
    items.anotherRound();
    items.anotherRound();
    expect(items.selected()!.repeat).toEqual({ mode: 'spaced', count: 3 });
  });

  it('makes a second one beside the first and takes one away', () => {
    const items = useItems();
    items.addText('A');
    items.duplicate();
    expect(useProject().doc!.items.map((i) => i.placement.angleDeg)).toEqual([0, 30]);
    items.removeSelected();
    expect(names()).toEqual(['A']);
    expect(useView().selectedId).toBeNull();
    items.removeSelected();
    expect(names()).toEqual(['A']);
  });

  it('nudges by millimetres of the girth where the item is', () => {
    const items = useItems();
    expect(items.nudge(1, 0)).toBe(false);
    items.addText('A');
    const id = useView().selectedId!;
    useViewModel().shape = {
      meanRadius: 40,
      // A curved side: 40 mm at its ends and 50 half-way down, where the straight line between the girths has 40.
      radii: [40, 50, 40],
      template: { cone: { side: 168 } },
      items: [{ itemId: id, slant: 84 }],
    } as unknown as GoodViewModel;
    // Half-way down it is 100π mm round: π mm are 3.6°.
    expect(items.nudge(Math.PI, 3)).toBe(true);
    expect(items.selected()!.placement).toMatchObject({ facing: 'angle', mm: 3 });
    expect(items.selected()!.placement.angleDeg).toBeCloseTo(3.6, 9);
  });
});

describe('useItemDrag', () => {
  function start(): ReturnType<typeof useItemDrag> {
    useItems().addText('A');
    const id = useView().selectedId!;
    const box = { itemId: id, azimuth: 0, slant: 45, widthMm: 20, heightMm: 10, slants: [40, 50], copies: [0] };
    useViewModel().shape = {
      meanRadius: 40,
      size: { kind: 'straight', side: 90, rim: { surface: 250 }, base: { surface: 250 }, data: {} },
      radii: [40, 40],
      template: { closed: true, cone: { side: 90 } },
      items: [box, { ...box, itemId: 'other', azimuth: 2, copies: [2], slant: 70, slants: [65, 75] }],
    } as unknown as GoodViewModel;
    const drag = useItemDrag();
    drag.start(useView().selectedId!, { azimuth: 0.1, slant: 50 });
    return drag;
  }
  const placement = () => useProject().doc!.items[0]!.placement;

  it('keeps to the front until it is pulled away', async () => {
    const drag = start();
    drag.move({ azimuth: 0.13, slant: 62 }, false);
    expect(placement()).toMatchObject({ facing: 'front', mm: 12 });
    expect(useView().guides).toMatchObject({
      round: 'at the front',
      // Its top is at 52 mm, its foot at 62 of 90; the other one, 10 high about 70, begins 2 rad round: 80 − 20 mm.
      gaps: [
        { way: 'up', text: '52.0 mm' },
        { way: 'down', text: '28.0 mm' },
        { way: 'left', text: '115.7 mm' },
        { way: 'right', text: '115.7 mm' },
      ],
    });
    drag.move({ azimuth: 0.6, slant: 62 }, false);
    // The flat has it at once; the document follows, only with the latest.
    expect(useView().dragged).toMatchObject({ azimuth: expect.closeTo(0.5, 9), slant: expect.closeTo(12, 9) });
    expect(placement()).toMatchObject({ facing: 'front', mm: 12 });
    await until(() => placement().facing === 'angle');
    expect(useView().draggedInDoc).toBe(useView().dragged);
    expect(placement().angleDeg).toBeCloseTo((0.5 * 180) / Math.PI, 9);
    // The other's middle lies 25 mm lower: 1.5 mm short of it this comes to rest there, unless it is told not to.
    drag.move({ azimuth: 0.6, slant: 73.5 }, true);
    await until(() => placement().mm === 23.5);
    drag.move({ azimuth: 0.6, slant: 73.5 }, false);
    drag.end();
    expect(placement().mm).toBe(25);
    expect(useView().guides).toBeNull();
    expect(useProject().past.map((s) => s.label)).toEqual(['Place words', 'Move']);
  });

  it('comes to rest on the front again and goes the short way over the seam', () => {
    const drag = start();
    drag.move({ azimuth: 0.6, slant: 50 }, false);
    drag.end();
    const again = useItemDrag();
    again.start(useView().selectedId!, { azimuth: 0.6, slant: 50 });
    again.move({ azimuth: 0.11, slant: 50 }, false);
    expect(placement()).toMatchObject({ facing: 'front', angleDeg: 0 });
    again.end();
    const over = useItemDrag();
    over.start(useView().selectedId!, { azimuth: 3.1, slant: 50 });
    over.move({ azimuth: -3.1, slant: 50 }, false);
    expect(placement().angleDeg).toBeCloseTo(((2 * Math.PI - 6.2) * 180) / Math.PI, 6);
  });
});
