import { FORMAT_VERSION, type OwnMotif, type Project } from '@mivet/core';
import { beforeEach, describe, expect, it } from 'vitest';
import { openWorkbench, press, type Workbench } from '../../../test/workbench.ts';
import { until } from '../../../test/until.ts';
import { demoProjects } from '../../demo/demo.ts';
import { demoShelf } from '../../demo/demo-shelf.ts';

import { readLibrary } from '../../data/database.ts';
import { useItems } from '../../composables/useItems.ts';
import { useIncoming } from '../../stores/incoming.ts';
import { useLibrary } from '../../stores/library.ts';
import { useView } from '../../stores/view.ts';
import ArtworkSlip from './ArtworkSlip.vue';
import FontIntake from './FontIntake.vue';
import MotifPicker from './MotifPicker.vue';
import NameSlip from './NameSlip.vue';

const at = '2026-05-04T10:00:00.000Z';
const all = demoProjects(at);
const demo = (id: string): Project => all.find((p) => p.id === id)!;
const motif = (name: string, source: string): OwnMotif => ({
  format: 'mivet-motif',
  version: FORMAT_VERSION,
  id: name,
  name,
  source,
  rights: 'allowed',
  widthMm: 20,
  heightMm: 10,
  colours: [{ colour: '#E0623A', pathData: 'M-10 -5L10 -5L10 5L-10 5Z' }],
  keptAt: at,
});

beforeEach(() => {
  document.body.innerHTML = '';
});

describe('the motifs on offer', () => {
  it('are found by name and by where they are from, one’s own first, and forgotten only when asked twice', async () => {
    const bench = await openWorkbench(demo('demo-tumbler'));
    const own = [motif('Otter', 'a friend'), motif('Kite', 'own pencil')];
    const picker = bench.mount(MotifPicker, { own });
    expect(picker.findAll('button.forget').map((b) => b.attributes('aria-label'))).toEqual(['Delete Otter', 'Delete Kite']); // prettier-ignore
    await picker.get('input[type=search]').setValue('friend');
    expect(picker.text()).toContain('Otter');
    expect(picker.text()).not.toContain('Kite');
    await picker.get('button.forget').trigger('click');
    expect(picker.emitted('forget')).toBeUndefined();
    await picker.get('button.forget').trigger('click');
    expect(picker.emitted('forget')).toEqual([[own[0]]]);
    await picker.get('input[type=search]').setValue('nothing of the kind');
    expect(picker.text()).toContain('No motif matches.');
  });

  it('are placed as drawings in the nearest film, with their source', async () => {
    const bench = await openWorkbench({ ...demo('demo-tumbler'), items: [] });
    useLibrary().motifs = [motif('Otter', 'a friend')];
    const slip = bench.mount(ArtworkSlip);
    await press(slip, 'Otter');
    await until(() => bench.project.doc!.items.length === 1);
    expect(bench.project.doc!.items[0]).toMatchObject({ type: 'art', film: 'ensign', source: 'a friend', widthMm: 20 });
  });

  it('take in what is placed already, once', async () => {
    const bench = await openWorkbench({ ...demo('demo-tumbler'), items: [] });
    const slip = bench.mount(ArtworkSlip);
    await useIncoming().bringIn('kite.svg', '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9" width="9mm"><path d="M0 0H9V9Z"/></svg>'); // prettier-ignore
    await bench.settled();
    await press(slip, 'Place it');
    await bench.settled();
    await press(slip, 'Add to my motifs');
    const motifs = await until(async () => {
      const { kept } = await readLibrary('motifs');
      return kept.length > 0 && kept;
    });
    expect(motifs).toMatchObject([{ name: 'kite', widthMm: 9, colours: { length: 1 } }]);
    await until(() => !slip.text().includes('Add to my motifs'));
  });
});

describe('a font that comes in', () => {
  it('is named, says what it lacks, and is kept with where it is from', async () => {
    const bench = await openWorkbench(demo('demo-tumbler'));
    const sample = { name: 'Quill', joined: true, lacks: ['Q', '7'], box: { minX: 0, minY: 0, maxX: 9, maxY: 5 }, data: 'M0 0Z' }; // prettier-ignore
    const intake = bench.mount(FontIntake, { incoming: { name: 'Quill', data: 'AAAA', sample } });
    expect(intake.text()).toContain('It lacks Q 7');
    expect(intake.text()).toContain('a word is cut in one piece');
    await intake.get('input[placeholder^="Who made it"]').setValue('  a friend ');
    await intake.get('select').setValue('own');
    await press(intake, 'Add the font');
    expect(intake.emitted('keep')![0]).toMatchObject([
      { format: 'mivet-font', name: 'Quill', source: 'a friend', rights: 'own', data: 'AAAA' },
    ]);
  });
});

describe('a list without words', () => {
  let bench: Workbench;
  beforeEach(async () => {
    bench = await openWorkbench({ ...demo('demo-pair'), names: null });
  });

  it('is made in one step: a pair, one for either hand, shown at once', async () => {
    await press(bench.mount(ArtworkSlip), 'Make a pair, right and left');
    expect(bench.project.doc!.names).toMatchObject({ itemId: null, rows: [{ hand: 'right' }, { hand: 'left' }] });
    expect(useView().showNames).toBe(true);
    await bench.settled();
    expect(bench.viewModel.good!.names).toMatchObject([{ worded: false }, { worded: false }]);
    expect(bench.mount(NameSlip, { list: bench.project.doc!.names }).text()).toContain('2 to make: each row is one');
  });

  it('takes another blank from the shelf into the project, and lets it go when nothing is made on it', async () => {
    useLibrary().shelf = demoShelf(at);
    await press(bench.mount(ArtworkSlip), 'Make a pair, right and left');
    const slip = bench.mount(NameSlip, { list: bench.project.doc!.names });
    await press(slip, 'Some on another blank');
    const choice = slip.get('select[aria-label="Blank of Left-handed"]');
    await choice.setValue(demoShelf(at)[1]!.blank.id);
    expect(bench.project.doc!.otherBlanks.map((b) => b.id)).toEqual([demoShelf(at)[1]!.blank.id]);
    await bench.settled();
    expect(bench.viewModel.good!.names[1]!.solid!.size.side).not.toBeCloseTo(bench.viewModel.good!.size.side, 0);
    await choice.setValue(bench.project.doc!.blank.id);
    expect(bench.project.doc!.otherBlanks).toEqual([]);
    bench.project.undo();
    expect(bench.project.doc!.otherBlanks).toHaveLength(1);
  });
});

describe('what is done with several things', () => {
  it('makes a mask of either kind, and mixes motifs into one scatter', async () => {
    const bench = await openWorkbench({ ...demo('demo-crest-flask'), items: [] });
    const items = useItems();
    items.addMotif('crest');
    await bench.settled();
    await items.makeMask('ground', 'rim');
    const [crest, field, plate] = bench.project.doc!.items;
    expect([crest!.keepTogether, field!.acts.shapesOnly, plate!.acts.cutAway]).toEqual([plate!.id, true, [field!.id]]);
    bench.project.undo();
    await items.makeMask('figure', 'rim');
    expect(bench.project.doc!.items.map((i) => i.acts.shapesOnly)).toEqual([true, false]);
    await bench.settled();

    const star = await openWorkbench({ ...demo('demo-tumbler'), items: [] });
    const scatter = useItems();
    scatter.addMotif('star');
    scatter.change('Scatter', (i) => ({ ...i, repeat: { mode: 'scattered', count: 12 } }));
    scatter.scatterToo('fish');
    await star.settled();
    const [lead, fish] = star.project.doc!.items;
    expect(fish).toMatchObject({ motif: 'fish', repeat: { mode: 'scattered', count: 6, scatter: { with: lead!.id } } });
    expect(star.viewModel.good!.items.every((i) => i.copies.length > 0)).toBe(true);
  });
});
