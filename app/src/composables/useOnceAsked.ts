import { type Ref, ref, watch } from 'vue';

/** Whether something was ever asked for: what it needs is loaded then, and stays. */
export function useOnceAsked(shown: () => boolean): Readonly<Ref<boolean>> {
  const asked = ref(false);
  watch(shown, (now) => (asked.value ||= now), { immediate: true });
  return asked;
}
