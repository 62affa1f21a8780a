<script setup lang="ts">
import { computed } from 'vue';
import { NO_TAPE, useTape } from '../../composables/useTape.ts';
import { useSettings } from '../../stores/settings.ts';
import SelectRow from '../fields/SelectRow.vue';
import { longWords } from '../stock/stock-words.ts';

/** Which transfer tape it is lifted with, and about how much of that goes; nothing where there is none on the shelf. */
const props = defineProps<{
  /** mm² that are lifted; left out, those of the open job. */
  liftsMm2?: number;
}>();
const settings = useSettings();
const { tapes, tape, takesMm } = props.liftsMm2 === undefined ? useTape() : useTape(() => props.liftsMm2 ?? 0);
const choices = computed(() => [
  ...tapes.value.map(({ id, name }) => ({ value: id, label: name })),
  { value: NO_TAPE, label: 'No tape of the stock' },
]);
const words = computed(() => {
  if (!tape.value) return '';
  const [takes, left] = [takesMm.value, tape.value.lengthMm].map((mm) => longWords(mm, settings.unit));
  return tape.value.lengthMm < takesMm.value ? `${takes}, only ${left} there` : `${takes} of ${left}`;
});
</script>

<template>
  <div v-if="tapes.length > 0">
    <SelectRow label="Lifted with" :value="tape?.id ?? NO_TAPE" :options="choices" @change="settings.tapeId = $event" />
    <div v-if="tape" class="row-line">
      <span>{{ tape.name }}, about</span>
      <span class="dims" :class="{ short: tape.lengthMm < takesMm }">{{ words }}</span>
    </div>
  </div>
</template>

<style scoped>
.short {
  color: var(--brick);
}
</style>
