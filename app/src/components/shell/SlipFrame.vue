<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { Stop } from '../../composables/stops.ts';

/** Where the slip of a stop stands: beside the work, and on a phone in a sheet that comes up over the foot of it. */
const props = defineProps<{ stop: Stop | 'together' }>();
/** As `WorkFrame.vue` has it: where a window is wide and low, the work keeps its height. */
const phone = useMediaQuery('(max-width: 559.98px), (max-width: 767.98px) and (orientation: portrait)');
const TITLES: Record<Stop | 'together', string> = {
  measure: 'Readings',
  flat: 'Template',
  artwork: 'Words, motifs, drawings',
  proof: 'Findings',
  cut: 'Loads and files',
  bench: 'All steps',
  log: 'Result',
  together: 'Projects and loads',
};
const title = computed(() => TITLES[props.stop]);
/** At the bench the step has the whole screen until its list is asked for. */
const up = ref({ bench: false, others: true });
const open = computed({
  get: () => (props.stop === 'bench' ? up.value.bench : up.value.others),
  set: (value) => (up.value = props.stop === 'bench' ? { ...up.value, bench: value } : { ...up.value, others: value }),
});
</script>

<template>
  <template v-if="phone">
    <BButton variant="bare" class="sheet-bar" :aria-expanded="open" @click="open = true">
      <span>{{ title }}</span>
      <IBiChevronUp aria-hidden="true" />
    </BButton>
    <BOffcanvas
      v-model="open"
      placement="bottom"
      :title="title"
      class="slip sheet"
      role="complementary"
      :aria-modal="undefined"
      :focus="false"
      body-scrolling
      no-backdrop
      no-trap
    >
      <template #header-close><IBiChevronDown role="img" aria-label="Close" /></template>
      <slot />
    </BOffcanvas>
  </template>
  <aside v-else class="slip" :aria-label="`${stop} slip`">
    <slot />
  </aside>
</template>

<style scoped>
aside {
  background: var(--slip);
  border-left: 1px solid var(--hairline);
  box-shadow: -1px 0 0 color-mix(in srgb, var(--hairline) 50%, transparent);
  padding: 1.25rem 1.3rem 2rem;
  overflow-y: auto;
  overflow-x: hidden;
}
.sheet-bar {
  display: flex;
  align-items: center;
  justify-content: space-between;
  width: 100%;
  min-height: 52px;
  padding: 0 1.1rem;
  flex: none;
  font-weight: 700;
  font-size: 1.05rem;
  background: var(--slip);
  border-top: 1px solid var(--hairline);
}
</style>

<style>
.sheet.offcanvas-bottom {
  --bs-offcanvas-height: 56dvh;
  --bs-offcanvas-zindex: 900;
  --bs-offcanvas-padding-x: 1.1rem;
  --bs-offcanvas-padding-y: 0.6rem;
}
.sheet .offcanvas-title {
  font-size: 1.05rem;
}
.sheet .offcanvas-header .btn {
  margin: 0 -0.6rem 0 auto;
  border: 0;
  background: none;
  color: var(--ink);
  min-width: 44px;
  min-height: 40px;
}
.sheet .offcanvas-header {
  border-bottom: 1px solid var(--hairline);
}
</style>
