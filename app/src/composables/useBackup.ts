import { backupDue } from '@mivet/core';
import { useLocalStorage } from '@vueuse/core';
import { computed, ref, type ComputedRef, type Ref } from 'vue';
import { saveFile } from '../data/save-file.ts';
import { useLibrary } from '../stores/library.ts';
import { useTold } from '../stores/told.ts';
import { askCore } from '../workers/core-client.ts';

const writing = ref(false);

/** Backups of all that is in this browser, and whether it is time for one. */
export function useBackup(): {
  writing: Readonly<Ref<boolean>>;
  /** ISO; empty for never. */
  writtenAt: Readonly<Ref<string>>;
  /** Projects that no backup has as they are, when it is time to say so; 0 otherwise. */
  due: ComputedRef<number>;
  write: () => Promise<void>;
  notNow: () => void;
} {
  const told = useTold();
  const library = useLibrary();
  // Of this device: a backup does not know of others.
  const writtenAt = useLocalStorage('mivet-backed-up', '');
  const notNowAt = useLocalStorage('mivet-backup-not-now', '');
  const due = computed(() => {
    if (!library.loaded || library.refused) return 0;
    const own = library.projects.filter(({ id }) => !id.startsWith('demo-'));
    return backupDue(own, { writtenAt: writtenAt.value || null, notNowAt: notNowAt.value || null }, Date.now());
  });

  async function write(): Promise<void> {
    writing.value = true;
    try {
      // What reads everything is loaded when it is wanted.
      const { describeBackup, gatherBackup } = await import('../stores/backup.ts');
      const at = new Date().toISOString();
      const whole = await gatherBackup(at);
      const bytes = await askCore('packBackup', { backup: whole });
      saveFile(`mivet-backup-${at.slice(0, 10)}.zip`, bytes);
      writtenAt.value = at;
      told.tell(`Written: ${describeBackup(whole)}, and how you work. It was read back once: it is whole.`);
    } catch (problem) {
      told.tell(
        `No backup was written: ${problem instanceof Error ? problem.message : String(problem)} Nothing is lost; everything is still in this browser.`,
        true,
      );
    }
    writing.value = false;
  }
  const notNow = (): void => void (notNowAt.value = new Date().toISOString());
  return { writing, writtenAt, due, write, notNow };
}
