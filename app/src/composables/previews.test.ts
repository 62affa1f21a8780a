import 'fake-indexeddb/auto';
import { newBlank, newProject, type Project } from '@mivet/core';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, expect, it, vi } from 'vitest';
import { eventually } from '../../test/until.ts';

const asked = vi.hoisted(() => ({ ids: [] as string[], fails: false }));
vi.mock('../workers/core-client.ts', () => ({
  askCore: async (_: string, { project }: { project: Project }) => {
    asked.ids.push(`${project.id} ${project.changedAt}`);
    if (asked.fails) throw new Error('it took too long');
    const finding = (severity: string, acceptedFor: string | null) => ({ finding: { severity }, acceptedFor });
    return { ok: true, size: {}, template: {}, meanRadius: 40, outlineData: 'M0 0', band: {}, steps: ['much more'], pieces: [{ rings: [Float64Array.from([1, 2, 3, 4])] }], findings: [finding('fail', null), finding('look', 'x'), finding('fine', null)] }; // prettier-ignore
  },
}));

const project = (changedAt: string): Project => newProject('p', 'Mug', newBlank('b', 'ball', 'Ball'), null, changedAt);
/** The list of a page that was just opened. */
async function page(): Promise<typeof import('./usePreviews.ts')> {
  vi.resetModules();
  setActivePinia(createPinia());
  return import('./usePreviews.ts');
}

beforeEach(() => {
  asked.ids = [];
  asked.fails = false;
});

it('works a picture out once for each state of a project, and not again when the page is opened anew', async () => {
  const first = await page();
  const [one, same] = await Promise.all([first.pictureForList(project('1')), first.pictureForList(project('1'))]);
  expect(one).toMatchObject({ ok: true, open: 1, meanRadius: 40 });
  expect(same).toBe(one);
  expect(one).not.toHaveProperty('steps');
  expect(asked.ids).toEqual(['p 1']);
  await eventually(async () => expect(await (await page()).pictureForList(project('1'))).toEqual(one));
  expect(asked.ids).toEqual(['p 1']);
  await (await page()).pictureForList(project('2'));
  expect(asked.ids).toEqual(['p 1', 'p 2']);
});

it('tries one that failed again when it is asked for again', async () => {
  const list = await page();
  asked.fails = true;
  await expect(list.pictureForList(project('3'))).rejects.toThrow('too long');
  asked.fails = false;
  expect(await list.pictureForList(project('3'))).toMatchObject({ ok: true });
});
