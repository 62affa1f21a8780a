<script setup lang="ts">
import { useId } from 'vue';

/** What else can be tried on a film that is laid: slits and when they are opened, how askew it is begun, film that gives less. */
defineProps<{
  /** How many slits there are to be tried; null for none. */
  count: number | null;
  /** Whether it goes on with others on one sheet of tape. */
  tapes: boolean;
}>();
/** Share of the steps after which slits are opened; null as it is cut. */
const opens = defineModel<number | null>('opens', { required: true });
const taped = defineModel<boolean>('taped', { required: true });
const askew = defineModel<number>('askew', { required: true });
const stiffer = defineModel<number>('stiffer', { required: true });
const id = useId();
const WHEN = [
  { value: null, text: 'As it is cut' },
  { value: 0, text: 'Open from the start' },
  { value: 0.25, text: 'Opened when a quarter is on' },
  { value: 0.5, text: 'Opened when half is on' },
  { value: 0.75, text: 'Opened when three quarters are on' },
];
</script>

<template>
  <div class="how">
    <BFormCheckbox v-if="tapes" v-model="taped" class="tape">All of it on its tape</BFormCheckbox>
    <span v-if="count !== null" class="one">
      <label :for="`${id}-o`" class="quiet small text-nowrap">Its {{ count }} slits</label>
      <BFormSelect :id="`${id}-o`" v-model="opens" :options="WHEN" size="sm" />
    </span>
    <span class="one">
      <label :for="`${id}-a`" class="quiet small text-nowrap">Begun askew by</label>
      <BFormInput :id="`${id}-a`" v-model.lazy.number="askew" type="range" min="-4" max="4" step="0.5" />
      <span class="dims small step">{{ askew }}°</span>
    </span>
    <span class="one">
      <label :for="`${id}-g`" class="quiet small text-nowrap">Film gives less by</label>
      <BFormInput :id="`${id}-g`" v-model.lazy.number="stiffer" type="range" min="0" max="80" step="5" />
      <span class="dims small step">{{ stiffer }} %</span>
    </span>
  </div>
</template>

<style scoped>
.how {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 1.5rem;
  margin-top: 0.5rem;
}
.tape {
  flex: 0 0 auto;
}
.one {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  flex: 1 1 16rem;
}
.step {
  min-width: 2.6rem;
  text-align: right;
}
</style>
