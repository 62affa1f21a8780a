<script setup lang="ts">
import { type Blank, fitCheckFrom, formatLength, lastTime } from '@mivet/core';
import { computed, onMounted } from 'vue';
import { dayWords } from '../../composables/time-words.ts';
import { useLogbook } from '../../stores/logbook.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';

/** What became of things on this blank before, and the girth put right by how their ends met. */
const props = defineProps<{ blank: Blank; shelfId: string | null; mends?: boolean }>();
const logbook = useLogbook();
const project = useProject();
const settings = useSettings();
onMounted(() => logbook.load());
const now = Date.now();
/** mm. Less than this is not worth another cut. */
const WORTH_MM = 0.3;
const known = computed(() => lastTime(logbook.entries, props.blank, props.shelfId));
const gap = computed(() => {
  const found = known.value?.gap;
  return found && found.n > 1 && Math.abs(found.mm) >= WORTH_MM ? found : null;
});
const say = (mm: number): string => formatLength(Math.abs(mm), settings.unit);
const mended = computed(() => {
  if (!gap.value || !props.mends) return null;
  const seen = { gapRimMm: gap.value.mm, gapBaseMm: gap.value.mm, standMm: 0 };
  return fitCheckFrom(props.blank, seen, new Date().toISOString());
});
function mend(): void {
  const fitCheck = mended.value && { ...mended.value, on: new Date().toISOString() };
  if (fitCheck) project.edit('Put the girth right by the logbook', (p) => ({ ...p, blank: { ...p.blank, fitCheck } }));
}
</script>

<template>
  <section v-if="known" class="note-bar">
    <strong>Last time on this blank</strong>
    <p>
      {{ known.latest.title }}, {{ dayWords(known.latest.at.slice(0, 10), now) }}:
      {{ known.latest.outcome === 'open' ? 'not said what became of it' : known.latest.outcome
      }}<template v-if="known.spoilt > 0">; {{ known.spoilt }} of {{ known.made }} spoilt so far</template>.
      <template v-if="known.faults.length > 0">
        Watch for:
        {{
          known.faults
            .slice(0, 3)
            .map(({ kind, count }) => (count > 1 ? `${kind} (${count} times)` : kind))
            .join(', ')
        }}.
      </template>
      <RouterLink :to="{ name: 'logbook', query: { entry: known.latest.id } }">Look at it</RouterLink>
    </p>
    <p v-if="gap">
      Its ends {{ gap.mm > 0 ? 'stood apart' : 'lapped' }} by about {{ say(gap.mm) }}, {{ gap.n }} times seen.
      <BButton v-if="mended" variant="outline-primary" size="sm" class="d-block mt-2" @click="mend"
        >Make it {{ say(gap.mm) }} {{ gap.mm > 0 ? 'longer' : 'shorter' }} round</BButton
      >
    </p>
  </section>
</template>

<style scoped>
p {
  color: var(--ink-2);
}
</style>
