import type { LogbookEntry, Unreadable } from '@mivet/core';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import * as records from '../data/records.ts';
import { hearTabs, tellTabs } from '../data/tabs.ts';
import { keptList } from './kept-list.ts';
import { deleted, notKept, refuse } from './refusal.ts';

const newestFirst = (entries: readonly LogbookEntry[]): LogbookEntry[] =>
  [...entries].sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0));

/** The logbook: what was made, how it came out, and what is told of it later. */
export const useLogbook = defineStore('logbook', () => {
  /** The newest first. */
  const kept = keptList<LogbookEntry>(({ id }) => id, newestFirst);
  const { all: entries } = kept;
  const unreadable = shallowRef<readonly Unreadable[]>([]);
  const loaded = ref(false);
  /** Whether it can only be kept for as long as this page is open. */
  const refused = ref(false);

  let loading: Promise<void> | null = null;
  /** Reads the logbook; once, unless somebody else changed it. */
  function load(again = false): Promise<void> {
    if (again || !loading)
      loading = readIn().catch(() => {
        refused.value = true;
        loaded.value = true;
      });
    return loading;
  }
  /** The newest of a long book are shown before the rest is read. */
  async function readIn(): Promise<void> {
    const latest = await kept.readIn(() =>
      records.readLogbook((newest) => {
        if (entries.value.length === 0) entries.value = newestFirst(newest.kept);
      }),
    );
    unreadable.value = latest.unreadable;
    loaded.value = true;
  }

  /** Writes entries, over those with the same id; false where they could not be kept, which is said. */
  async function keep(put: readonly LogbookEntry[]): Promise<boolean> {
    await load();
    if (!refused.value)
      try {
        await records.writeAll([], { entries: put });
      } catch (problem) {
        refuse(notKept(problem));
        return false;
      }
    kept.put(put);
    if (!refused.value) tellTabs({ kind: 'library-changed', id: '', revision: 0 });
    return true;
  }

  /** Takes an entry out of the book. */
  async function remove(id: string): Promise<void> {
    await deleted(records.deleteKept('entries', id), () => refused.value);
    kept.drop(id);
    if (!refused.value) tellTabs({ kind: 'library-changed', id: '', revision: 0 });
  }

  hearTabs((news) => {
    if (loaded.value && news.kind === 'library-changed') void load(true);
  });

  return { entries, unreadable, loaded, refused, load, keep, remove };
});
