import { onMounted, ref, type Ref } from 'vue';

/** What is kept here takes and may take, and whether the browser promised to keep it; null where it does not tell. */
export interface StorageRoom {
  readonly used: Ref<string | null>;
  readonly room: Ref<string | null>;
  readonly held: Ref<boolean | null>;
  /** Asks the browser to keep everything however full the disk is; what it said. */
  readonly askToKeep: () => Promise<boolean>;
}

const bytes = (n: number): string => (n >= 1e9 ? `${(n / 1e9).toFixed(1)} GB` : `${(n / 1e6).toFixed(1)} MB`);

/** The room that this browser gives. */
export function useStorageRoom(): StorageRoom {
  const used = ref<string | null>(null);
  const room = ref<string | null>(null);
  const held = ref<boolean | null>(null);
  onMounted(async () => {
    // Not every browser tells.
    const told = await navigator.storage?.estimate?.().catch(() => null);
    if (told?.usage !== undefined) used.value = bytes(told.usage);
    if (told?.quota !== undefined) room.value = bytes(told.quota);
    held.value = (await navigator.storage?.persisted?.().catch(() => null)) ?? null;
  });
  async function askToKeep(): Promise<boolean> {
    const granted = (await navigator.storage?.persist?.().catch(() => false)) ?? false;
    held.value = granted;
    return granted;
  }
  return { used, room, held, askToKeep };
}
