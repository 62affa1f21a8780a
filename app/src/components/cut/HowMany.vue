<script setup lang="ts">
import { countAlike, severalAlike } from '@mivet/core';
import { computed } from 'vue';
import { useProject } from '../../stores/project.ts';
import NumberRow from '../fields/NumberRow.vue';

/** How many of the open project are made, all alike; a list of names or of pairs says that by itself. */
const project = useProject();
const count = computed(() => countAlike(project.doc!.names));
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
  </div>
</template>
