<script setup lang="ts">
import FoldOut from '../fields/FoldOut.vue';
import {
  formatLength,
  READING_LABEL,
  type Blank,
  type ReadingLogLine,
  type ReadingName,
  type Units,
} from '@mivet/core';
import SortedTable from '../fields/SortedTable.vue';
import { format, isValid, parseISO } from 'date-fns';
import { computed } from 'vue';

/** Every reading that was taken or removed on this blank, the newest first. */
const props = defineProps<{ blank: Blank; unit: Units }>();
const SHOWN = 60;
const lines = computed(() => props.blank.readingLog.slice(-SHOWN).map((line) => ({ ...line, name: nameOf(line) })));
const FIELDS = [
  { key: 'at', label: 'When', sortable: true },
  { key: 'name', label: 'Reading', sortable: true },
  { key: 'mm', label: 'Value', sortable: true },
];
function nameOf({ of }: ReadingLogLine): string {
  const [id, what] = of.split('/');
  const station = props.blank.stations.findIndex((s) => s.id === id);
  if (what) return `${what === 'girth' ? 'Girth' : 'Height'} ${station < 0 ? 'since removed' : station + 1}`;
  return READING_LABEL[of as ReadingName] ?? of;
}
const when = (at: string): string => (isValid(parseISO(at)) ? format(parseISO(at), 'd MMM, HH:mm') : '');
</script>

<template>
  <FoldOut v-if="blank.readingLog.length > 0" title="Reading history">
    <SortedTable :rows="lines" :fields="FIELDS" empty="Nothing was read yet." :by="{ key: 'at', order: 'desc' }">
      <template #cell(at)="{ item }">
        <span class="quiet">{{ when(item.at) }}</span>
      </template>
      <template #cell(mm)="{ item }">
        <span class="dims" :class="{ out: item.did === 'taken out' }">{{ formatLength(item.mm, unit) }}</span><span
          v-if="item.did === 'taken out'"
          class="quiet small"
        >
          removed</span
        >
      </template>
    </SortedTable>
    <p v-if="blank.readingLog.length > SHOWN" class="quiet">
      {{ blank.readingLog.length - SHOWN }} older lines are kept in the file.
    </p>
  </FoldOut>
</template>

<style scoped>
.out {
  text-decoration: line-through;
}
</style>
