<script setup lang="ts">
import type { WayToLay } from '@mivet/core';
import { computed, defineAsyncComponent, onBeforeUnmount, shallowRef, watch } from 'vue';
import { itemTitle } from '../../composables/item-title.ts';
import { useCloserLook } from '../../stores/closer-look.ts';
import { useProject } from '../../stores/project.ts';
import { useViewModel } from '../../stores/view-model.ts';

/** How film lies, looked at in the background where a blank curves both ways, and one piece of it seen laid. */
const itemId = defineModel<string | null>({ required: true });
const LayFilmDialog = defineAsyncComponent(() => import('./LayFilmDialog.vue'));
const look = useCloserLook();
const project = useProject();
const viewModel = useViewModel();

const curves = computed(() => viewModel.good?.template.flattening.map != null);
const wrinkles = computed(() => (viewModel.viewModel?.ok ? viewModel.viewModel.findings : []).filter(({ finding }) => finding.code === 'wrinkle')); // prettier-ignore
const finding = computed(() => wrinkles.value.find((f) => f.finding.itemIds[0] === itemId.value) ?? null);
const items = computed(() => {
  const shown = new Set(viewModel.good?.pieces.map(({ itemIds }) => itemIds[0]));
  return (project.doc?.items ?? []).filter(({ id }) => shown.has(id)).map((item) => ({ value: item.id, text: item.type === 'art' ? item.name : itemTitle(item) })); // prettier-ignore
});
const best = computed(() => (finding.value?.finding.names['wayId'] ?? 'centre out') as WayToLay);
const pulled = computed(() => (finding.value?.finding.numbers['pulled'] ?? 0) > 0);

/** What the last look was about: what cannot be looked at is not tried over and over. */
const seen = shallowRef<readonly unknown[]>([]);
const laidNow = (): unknown[] => [project.doc?.items, project.doc?.blank, project.doc?.films, project.doc?.warm];
/** Whether it is still as it was looked at last. */
const isSeen = (): boolean => seen.value.length > 0 && laidNow().every((part, i) => part === seen.value[i]);
let waits: ReturnType<typeof setTimeout> | undefined;
/** ms without a change before it is looked at: the pictures come first. */
const REST_MS = 1200;
watch(
  () => [curves.value, viewModel.judging, viewModel.viewModel, look.running] as const,
  () => {
    const doc = project.doc;
    clearTimeout(waits);
    if (!curves.value || viewModel.judging || !doc || look.running || isSeen()) return;
    waits = setTimeout(() => {
      // A page that nobody looks at would only save over the one that is being worked on.
      if (document.hidden) return;
      seen.value = laidNow();
      look.start();
    }, REST_MS);
  },
  { immediate: true },
);
onBeforeUnmount(() => {
  clearTimeout(waits);
  look.stop();
});
/** What came of looking, where nothing is said of a piece by itself. */
const summary = computed(() => {
  if (!isSeen() || !project.doc?.looked?.length) return 'Film can be laid here before it is cut.';
  const unfit = wrinkles.value.some(({ finding }) => finding.severity !== 'fine');
  return unfit ? 'Laid by computation.' : 'Laid by computation; every piece lies.';
});
const says = computed(
  () =>
  look.part && look.part.of > 1 ? `Laying the film by computation: ${look.part.done + 1} of ${look.part.of} shapes` : 'Laying the film by computation', // prettier-ignore
);
</script>

<template>
  <div v-if="look.running" class="look" role="status">
    <div class="d-flex align-items-baseline justify-content-between gap-2">
      <span class="quiet small">{{ says }}</span>
      <BButton variant="link" size="sm" class="p-0" @click="look.stop()">Stop</BButton>
    </div>
    <BProgress :value="100 * look.share" :max="100" height="4px" :aria-label="says" />
  </div>
  <p v-else-if="look.problem" class="quiet small" role="status">
    {{ look.problem }} What was judged stands.
    <BButton variant="link" size="sm" class="p-0" @click="look.start()">Try again</BButton>
  </p>
  <div
    v-else-if="curves && items.length > 0 && wrinkles.length === 0"
    class="look d-flex flex-wrap align-items-center gap-2"
  >
    <span class="quiet small">{{ summary }}</span>
    <BButton size="sm" variant="outline-primary" @click="itemId = items[0]!.value">See it laid</BButton>
  </div>
  <LayFilmDialog
    :item-id="itemId"
    :items="items"
    :best="best"
    :pulled="pulled"
    :finding="finding"
    @choose="itemId = $event"
    @close="itemId = null"
  />
</template>

<style scoped>
.look {
  margin: 0.5rem 0 1rem;
}
</style>
