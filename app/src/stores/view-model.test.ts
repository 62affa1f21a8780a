import type { Project, ProjectViewModel, ShapeViewModel } from '@mivet/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import { viewModelOf } from '../../test/view-model-of.ts';
import { demoProjects } from '../demo/demo.ts';

/** Calls that wait for an answer; the test is the worker. */
interface Asked {
  readonly project: Project;
  readonly unjudged: boolean;
  readonly part: (part: ShapeViewModel) => void;
  readonly answer: (viewModel: ProjectViewModel) => void;
  readonly refuse: (problem: Error) => void;
  readonly signal: AbortSignal;
}
const worker = vi.hoisted(() => ({ asked: [] as unknown[] }));
vi.mock('../workers/core-client.ts', () => {
  class CallGivenUp extends Error {}
  class TookTooLong extends Error {}
  return {
    CallGivenUp,
    TookTooLong,
    LEFT: 'left',
    askCore: (
      _: string,
      input: { project: unknown; unjudged: boolean },
      options: { signal?: AbortSignal; onPart?: unknown } = {},
    ) =>
      new Promise((answer, refuse) => {
        options.signal?.addEventListener('abort', () => refuse(new CallGivenUp()));
        worker.asked.push({ ...input, part: options.onPart, answer, refuse, signal: options.signal });
      }),
  };
});
vi.mock('../data/records.ts', () => ({
  readProject: async () => null,
  writeProject: async () => ({ ok: true, revision: 1 }),
  writeSnapshot: async () => undefined,
}));

import { TookTooLong } from '../workers/core-client.ts';
import { useFiles } from '../composables/useFiles.ts';
import { useItems } from '../composables/useItems.ts';
import { useViewModel } from './view-model.ts';
import { useProject } from './project.ts';
import { useView } from './view.ts';

const [tumbler] = demoProjects('2026-05-04T10:00:00.000Z') as [Project];
const made = await viewModelOf(tumbler);
const asked = (): Asked[] => worker.asked as Asked[];
const settle = async (): Promise<void> => {
  await nextTick();
  await new Promise((done) => setTimeout(done));
};

async function opened() {
  setActivePinia(createPinia());
  const project = useProject();
  await project.ready();
  project.doc = tumbler;
  const viewModel = useViewModel();
  await settle();
  asked()[0]!.answer(made);
  await settle();
  const edit = async (name: string): Promise<void> => {
    project.doc = { ...project.doc!, name };
    await settle();
  };
  return { project, viewModel, edit };
}

/** Something is being pulled along; the core has answered for it after a while, and it has gone on meanwhile. */
async function pulled(dragged: boolean, tookMs: number) {
  const { project } = await opened();
  vi.useFakeTimers();
  const view = useView();
  const pull = (): void => {
    if (dragged) view.dragged = { itemIds: new Set(['crest']), azimuth: 0, slant: 0 };
    project.preview((p) => ({ ...p, name: `${p.name}.` }));
  };
  const asksWithin = async (ms: number): Promise<number> => {
    const before = asked().length;
    await vi.advanceTimersByTimeAsync(ms);
    return asked().length - before;
  };
  pull();
  await asksWithin(tookMs);
  pull();
  await nextTick();
  asked()[1]!.answer(made);
  await nextTick();
  return { project, pull, asksWithin };
}

afterEach(() => void vi.useRealTimers());
beforeEach(() => {
  worker.asked.length = 0;
  localStorage.clear();
});

describe('the picture of the open project', () => {
  it('shows the shape as soon as it is there, with what was found before until the rest comes', async () => {
    const { viewModel, edit } = await opened();
    await edit('Moved');
    asked()[1]!.part({ ...made, meanRadius: 99 });
    await settle();
    expect(viewModel.good!.meanRadius).toBe(99);
    expect(viewModel.judging).toBe(true);
    expect(viewModel.good!.findings).toEqual(made.findings);
    asked()[1]!.answer({ ...made, findings: [] });
    await settle();
    expect([viewModel.judging, viewModel.good!.findings.length]).toEqual([false, 0]);
  });

  it('shows the shape of a project just opened before anything is judged', async () => {
    setActivePinia(createPinia());
    const project = useProject();
    project.doc = tumbler;
    const viewModel = useViewModel();
    await settle();
    asked()[0]!.part(made);
    await settle();
    expect([viewModel.shape?.meanRadius, viewModel.good, viewModel.judging]).toEqual([made.meanRadius, null, true]);
    expect(viewModel.awaited).toBe(true);
    const drawn = viewModel.shape;
    asked()[0]!.answer({ ...made });
    await settle();
    expect([viewModel.good?.findings, viewModel.judging, viewModel.awaited]).toEqual([made.findings, false, false]);
    // Nothing is drawn again for what was judged.
    expect(viewModel.shape).toBe(drawn);
  });

  it('never asks twice at once: a shape that is worked out is waited for, and then the latest is asked for', async () => {
    const { viewModel, edit } = await opened();
    await edit('One');
    await edit('Two');
    await edit('Three');
    expect(asked()).toHaveLength(2);
    expect(asked()[1]!.signal.aborted).toBe(false);
    asked()[1]!.answer(made);
    await settle();
    expect(asked().map((a) => a.project.name)).toEqual([tumbler.name, 'One', 'Three']);
    asked()[2]!.answer(made);
    await settle();
    expect(viewModel.busy).toBe(false);
  });

  it.each([
    ['a value is drawn along', 'as long as it took', false, 60, 60],
    ['a value is drawn along', 'at most 120 ms', false, 400, 120],
    ['an item is dragged', 'five times what it took', true, 60, 300],
    ['an item is dragged', 'at most 700 ms', true, 400, 700],
  ])('leaves the page time while %s: %s', async (_, _often, dragged, tookMs, leftMs) => {
    const { pull, asksWithin } = await pulled(dragged, tookMs);
    const moves = setInterval(pull, 40);
    expect(await asksWithin(leftMs - 5)).toBe(0);
    expect(await asksWithin(10)).toBe(1);
    clearInterval(moves);
  });

  it('is asked for again as soon as the hand rests that drags something', async () => {
    const { pull, asksWithin } = await pulled(true, 400);
    // It has been at rest since before the answer came, then it moves once more.
    expect(await asksWithin(95)).toBe(0);
    pull();
    expect(await asksWithin(95)).toBe(0);
    expect(await asksWithin(10)).toBe(1);
    pull();
    expect(await asksWithin(400)).toBe(0);
  });

  it('is asked for at once when what was dragged is let go', async () => {
    const { project, asksWithin } = await pulled(true, 400);
    expect(await asksWithin(20)).toBe(0);
    project.settle('Move it');
    expect(await asksWithin(1)).toBe(1);
  });

  it('gives up trying out fixes of what is not so any more', async () => {
    const { edit } = await opened();
    await edit('One');
    const [finding] = made.findings;
    asked()[1]!.answer({ ...made, findings: [{ ...finding!, trying: true }] });
    await settle();
    const trial = asked()[2]!;
    expect(trial.project.name).toBe('One');
    expect(trial.signal.aborted).toBe(false);
    await edit('Two');
    expect(trial.signal.aborted).toBe(true);
    expect(asked().at(-1)!.project.name).toBe('Two');
  });

  it('gives judging up when something newer is wanted, and asks for that', async () => {
    const { viewModel, edit } = await opened();
    await edit('One');
    asked()[1]!.part({ ...made, meanRadius: 50 });
    await edit('Two');
    expect(asked()[1]!.signal.aborted).toBe(true);
    await settle();
    expect(asked().at(-1)!.project.name).toBe('Two');
    expect(viewModel.failure).toBeNull();
    asked().at(-1)!.answer(made);
    await settle();
    expect([viewModel.busy, viewModel.judging, viewModel.good!.meanRadius]).toEqual([false, false, made.meanRadius]);
  });

  it('says what went wrong, shows no verdict that is not of today, and goes on with the next change', async () => {
    const { viewModel, edit } = await opened();
    expect(viewModel.current).toBe(true);
    await edit('One');
    expect(viewModel.current).toBe(false);
    asked()[1]!.refuse(new Error('The worker stopped.'));
    await settle();
    expect(viewModel.failure).toBe('The worker stopped.');
    expect([viewModel.viewModel, viewModel.good, viewModel.open, viewModel.current]).toEqual([null, null, [], false]);
    // The shape that was drawn stays in sight.
    expect(viewModel.shape).not.toBeNull();
    await edit('Two');
    asked()[2]!.answer(made);
    await settle();
    expect(viewModel.failure).toBeNull();
  });

  it('keeps what is asked of a thing just placed until it shows that thing', async () => {
    const { project } = await opened();
    const items = useItems();
    items.addText('HELM');
    await settle();
    const { id, placement } = project.doc!.items.at(-1)!;
    expect(placement.from).toBe('middle');
    const nudged = items.nudge(0, 2);
    const counted = items.countFrom('rim');
    await settle();
    expect([project.doc!.items.at(-1)!.placement, nudged]).toEqual([placement, true]);
    const placed = (slant: number) => ({ ...made.items[0]!, itemId: id, slant, heightMm: 30 });
    asked()[1]!.answer({ ...made, items: [...made.items, placed(80)] });
    await settle();
    expect(project.doc!.items.at(-1)!.placement).toMatchObject({ from: 'middle', mm: placement.mm + 2 });
    // Its middle 82 mm below the rim line now, and 30 mm high: its top is 67 mm below.
    asked()[2]!.answer({ ...made, items: [...made.items, placed(82)] });
    await counted;
    expect(project.doc!.items.at(-1)!.placement).toMatchObject({ from: 'rim', mm: 67 });
  });

  it('gives up what waits for a picture when the project is left, or cannot be flattened any more', async () => {
    const { project, viewModel, edit } = await opened();
    await edit('One');
    const act = vi.fn();
    const left = viewModel.whenShown(act);
    asked()[1]!.answer({ ok: false } as ProjectViewModel);
    await left;
    await edit('Two');
    const gone = viewModel.whenShown(act);
    project.doc = { ...tumbler, id: 'another' };
    await gone;
    expect(act).not.toHaveBeenCalled();
    // Nobody waits for the one that was left: it is given up by force.
    expect(asked()[2]!.signal.reason).toBe('left');
    await settle();
    asked()[3]!.answer(made);
    await viewModel.whenShown(act);
    expect(act).toHaveBeenCalledOnce();
  });

  it('has files wait for changes that wait for the picture', async () => {
    const { viewModel, project } = await opened();
    asked().at(-1)!.answer(made);
    await settle();
    // Two changes, each calculated from the picture of the one before; the second has to wait for it.
    void viewModel.whenShown(() => (project.doc = { ...project.doc!, name: 'One' }));
    void viewModel.whenShown(() => (project.doc = { ...project.doc!, name: `${project.doc!.name} and two` }));
    const files = useFiles();
    const written = (): Asked[] => asked().filter((one) => 'kind' in one);
    void files.save('cut');
    await settle();
    expect(written()).toEqual([]);
    asked().at(-1)!.answer(made);
    await settle();
    // What is written is the project with both.
    expect(written().map((one) => one.project.name)).toEqual(['One and two']);
    (written()[0]!.answer as (files: unknown) => void)([]);
    await settle();
    expect(files.said.value).toMatch(/nothing to cut yet/);
  });

  it('writes the project that files were asked of, under its name, when another is opened meanwhile', async () => {
    const { viewModel, project } = await opened();
    const written = vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (
      this: HTMLAnchorElement,
    ) {
      names.push(this.download);
    });
    const names: string[] = [];
    asked().at(-1)!.answer(made);
    await settle();
    void viewModel.whenShown(() => undefined);
    const files = useFiles();
    void files.save('cut');
    project.doc = { ...tumbler, id: 'another', name: 'Another' };
    await settle();
    const [of] = asked().filter((one) => 'kind' in one);
    expect(of!.project).toMatchObject({ id: tumbler.id, name: tumbler.name });
    (of!.answer as (files: unknown) => void)([{ name: 'load-1.svg', content: '<svg/>' }]);
    await settle();
    expect(names).toEqual(['stroke-seats-tumbler-load-1.svg']);
    written.mockRestore();
  });

  it('offers to open without judging what takes too long, until it is lighter', async () => {
    const { viewModel, project } = await opened();
    const text = tumbler.items.find((i) => i.type === 'text')!;
    const heavy = { ...text, text: 'x'.repeat(400), repeat: { mode: 'spaced' as const, count: 200 } };
    project.doc = { ...tumbler, items: [heavy] };
    await settle();
    expect(asked().at(-1)!.unjudged).toBe(false);
    asked().at(-1)!.refuse(new TookTooLong());
    await settle();
    expect(viewModel.tooHeavy).toBe(true);
    expect(viewModel.failure).toMatch(/“x{24}…” 200 times comes to 80000 outlines/);
    viewModel.openUnjudged();
    await settle();
    expect(asked().at(-1)!.unjudged).toBe(true);
    asked()
      .at(-1)!
      .answer({ ...made, findings: [], unjudged: 'Shown without it.' });
    await settle();
    expect([viewModel.failure, viewModel.instead]).toEqual([null, expect.stringMatching(/not judged/)]);
    // What is light of it is drawn.
    expect(viewModel.shape?.items).toEqual(made.items);
    // Still heavy: a change does not have it judged again. Light: it is.
    project.doc = { ...project.doc, items: [{ ...heavy, repeat: { mode: 'spaced', count: 100 } }] };
    await settle();
    expect(asked().at(-1)!.unjudged).toBe(true);
    asked().at(-1)!.answer(made);
    await settle();
    project.doc = { ...project.doc, items: [text] };
    await settle();
    expect(asked().at(-1)!.unjudged).toBe(false);
  });

  it('takes no shape for another project than the one that is open', async () => {
    const { project, viewModel, edit } = await opened();
    await edit('One');
    project.doc = { ...tumbler, id: 'another' };
    await settle();
    expect(viewModel.good).toBeNull();
    asked()[1]!.part({ ...made, meanRadius: 77 });
    await settle();
    expect(viewModel.good).toBeNull();
  });
});
