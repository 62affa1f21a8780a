import type { Backup, RecordStanding, RestoreChoice } from '@mivet/core';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';

/** A backup that was read, and waits to be told what of it is to come back. */
export interface AskedRestore {
  readonly fileName: string;
  readonly backup: Backup;
  readonly standings: readonly RecordStanding[];
  readonly answer: (choice: RestoreChoice | null) => void;
}

/** The question what of a backup is to be brought back. */
export const useRestoring = defineStore('restoring', () => {
  const asked = shallowRef<AskedRestore | null>(null);

  /** Asks; null when nothing of it is wanted. A backup that was asked for before is left. */
  function ask(fileName: string, backup: Backup, standings: readonly RecordStanding[]): Promise<RestoreChoice | null> {
    asked.value?.answer(null);
    return new Promise((done) => {
      const answer = (choice: RestoreChoice | null): void => {
        asked.value = null;
        done(choice);
      };
      asked.value = { fileName, backup, standings, answer };
    });
  }
  return { asked, ask };
});
