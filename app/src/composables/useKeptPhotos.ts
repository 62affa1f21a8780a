import { computed, onUnmounted, ref, watch, type ComputedRef } from 'vue';
import { readPhoto } from '../data/records.ts';

/**
 * Photographs that were taken at the bench, as addresses that a picture can be shown from; those that are gone are left out.
 *
 * @param ids of them, and nothing for notes without one
 */
export function useKeptPhotos(ids: () => readonly (string | null)[]): ComputedRef<readonly string[]> {
  const urls = useKeptPhotoUrls(ids);
  return computed(() => ids().flatMap((id) => (id && urls.value[id] ? [urls.value[id]] : [])));
}

/** The same by id. */
export function useKeptPhotoUrls(
  ids: () => readonly (string | null)[],
): ComputedRef<{ readonly [id: string]: string }> {
  const urls = ref<{ readonly [id: string]: string }>({});
  watch(
    ids,
    async (wanted) => {
      for (const id of wanted) {
        if (!id || urls.value[id]) continue;
        const kept = await readPhoto(id).catch(() => null);
        if (kept)
          urls.value = { ...urls.value, [id]: URL.createObjectURL(new Blob([kept.bytes as BlobPart], { type: kept.type })) }; // prettier-ignore
      }
    },
    { immediate: true },
  );
  onUnmounted(() => Object.values(urls.value).forEach((url) => URL.revokeObjectURL(url)));
  return computed(() => urls.value);
}
