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
import { format, isValid, parseISO } from 'date-fns';
import { computed } from 'vue';

/** Every go that was taken or taken out on this blank, the newest first. */
const props = defineProps<{ blank: Blank; unit: Units }>();
const SHOWN = 60;
const lines = computed(() => props.blank.readingLog.slice(-SHOWN).reverse());
function nameOf({ of }: ReadingLogLine): string {
  const [id, what] = of.split('/');
  const station = props.blank.stations.findIndex((s) => s.id === id);
  if (what) return `${what === 'girth' ? 'Girth' : 'Height'} ${station < 0 ? 'since taken out' : station + 1}`;
  return READING_LABEL[of as ReadingName] ?? of;
}
const when = (at: string): string => (isValid(parseISO(at)) ? format(parseISO(at), 'd MMM, HH:mm') : '');
</script>

<template>
  <FoldOut v-if="blank.readingLog.length > 0" title="Reading history">
    <ol>
      <li v-for="(line, i) in lines" :key="i" :class="{ out: line.did === 'taken out' }">
        <span class="quiet">{{ when(line.at) }}</span>
        <span>{{ nameOf(line) }}</span>
        <span class="dims">{{ line.did === 'taken out' ? 'out: ' : '' }}{{ formatLength(line.mm, unit) }}</span>
      </li>
    </ol>
    <p v-if="blank.readingLog.length > SHOWN" class="quiet">
      {{ blank.readingLog.length - SHOWN }} older lines are kept in the file.
    </p>
  </FoldOut>
</template>

<style scoped>
summary {
  padding: 0.6rem 0;
  color: var(--teal);
  font-weight: 600;
}
ol {
  list-style: none;
  padding: 0;
  margin: 0;
  font-size: 0.88rem;
}
li {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 0.6rem;
  padding: 0.2rem 0;
  border-bottom: 1px solid var(--hairline);
}
.out .dims {
  text-decoration: line-through;
}
</style>
