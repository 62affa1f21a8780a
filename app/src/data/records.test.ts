import { beforeEach, describe, expect, it } from 'vitest';
import { demoProjects } from '../demo/demo.ts';
import { demoEntries } from '../demo/demo-entries.ts';
import { demoShelf } from '../demo/demo-shelf.ts';
import { forgetEverything } from './database.ts';
import { readLogbook, readProjects, writeAll } from './records.ts';
import { DoesNotFit } from './refused.ts';

const at = '2026-05-04T10:00:00.000Z';
const [tumbler] = demoProjects(at);
const many = Array.from({ length: 95 }, (_, i) => ({
  ...tumbler!,
  id: `p${i}`,
  changedAt: new Date(Date.parse(at) + ((i * 37) % 95) * 60_000).toISOString(),
}));

beforeEach(forgetEverything);

describe('many records', () => {
  it('come all, the newest first, and a few of them ahead of the rest', async () => {
    const revisions = await writeAll(many, {});
    expect([revisions.size, revisions.get('p94')]).toEqual([95, 1]);
    const heard: string[][] = [];
    const { kept, unreadable } = await readProjects((newest) => heard.push(newest.map(({ id }) => id)));
    expect(kept.map(({ changedAt }) => changedAt)).toEqual(
      many
        .map(({ changedAt }) => changedAt)
        .sort()
        .reverse(),
    );
    expect(unreadable).toEqual([]);
    expect(heard).toHaveLength(1);
    expect(heard[0]!.length).toBeLessThan(95);
    expect(heard[0]).toEqual(kept.slice(0, heard[0]!.length).map(({ id }) => id));
  });

  it('are refused whole, as what they are, where one could not be read again', async () => {
    const broken = { ...many[1]!, items: 'none' as never };
    await expect(writeAll([many[0]!, broken], {})).rejects.toBeInstanceOf(DoesNotFit);
    expect((await readProjects()).kept).toEqual([]);
  });

  it('of the logbook come all once, whatever was shown first', async () => {
    const [made] = demoEntries(at, demoShelf(at));
    const entries = Array.from({ length: 450 }, (_, i) => ({
      ...made!,
      id: `e${String(i).padStart(3, '0')}`,
      at: new Date(Date.parse(at) + ((i * 101) % 450) * 60_000).toISOString(),
    }));
    await writeAll([], { entries });
    const newest: string[] = [];
    const { kept } = await readLogbook((first) => newest.push(...first.kept.map(({ at }) => at)));
    expect(kept.map(({ id }) => id).sort()).toEqual(entries.map(({ id }) => id));
    expect(newest).toEqual(
      entries
        .map(({ at }) => at)
        .sort()
        .reverse()
        .slice(0, newest.length),
    );
    expect(newest.length).toBeGreaterThan(10);
  });
});
