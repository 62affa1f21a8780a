<script setup lang="ts">
import { countAlike, moreToBegin, severalAlike } from '@mivet/core';
import { computed, ref } from 'vue';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import NumberRow from '../fields/NumberRow.vue';

/** How many of the open project are made, all alike; a list of names or of pairs says that by itself. */
const project = useProject();
const settings = useSettings();
const count = computed(() => countAlike(project.doc!.names));
/** Of how many as a rule some are spoilt, as the logbook taught; null until that is accepted. */
const spoilt = computed(() => settings.learnt['scrap'] ?? null);
const more = computed(() => (count.value && count.value > 1 && spoilt.value ? moreToBegin(count.value, spoilt.value.value) : 0)); // prettier-ignore
/** How many were taken up for what is spoilt: asked for once, not again for what was added. */
const added = ref<number | null>(null);
function make(many: number): void {
  project.edit('Change how many are made', (p) => ({
    ...p,
    names: severalAlike(many, p.blank.name, () => p.names?.rows[0]?.id ?? crypto.randomUUID()),
  }));
}
</script>

<template>
  <div v-if="count !== null">
    <NumberRow label="How many to make" :value="count" :least="1" :most="999" whole @change="make" />
    <p v-if="more > 0 && added !== count" class="quiet small mb-0">
      {{ (100 * spoilt!.value).toFixed(0) }} in 100 of yours are spoilt on the way, from {{ spoilt!.n }} things: to have
      {{ count }}, begin {{ count + more }}.
      <BButton variant="link" size="sm" @click="make((added = count! + more))">Make {{ count + more }}</BButton>
    </p>
  </div>
</template>
