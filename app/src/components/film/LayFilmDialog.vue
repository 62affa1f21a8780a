<script setup lang="ts">
import { describeCommand, applyCommand, type Command, type JudgedViewModel, type WayToLay } from '@mivet/core';
import { usePreferredReducedMotion, useRafFn } from '@vueuse/core';
import { computed, ref, useId, watch } from 'vue';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import FilmLegend from './FilmLegend.vue';
import LayPane from './LayPane.vue';

/** A piece of film laid before any is cut: in one order or two side by side, step by step, and with film that gives less. */
const props = defineProps<{
  itemId: string | null;
  items: readonly { readonly value: string; readonly text: string }[];
  best: WayToLay;
  pulled: boolean;
  finding: JudgedViewModel | null;
}>();
const emit = defineEmits<{ close: []; choose: [itemId: string] }>();
const name = computed(() => props.items.find(({ value }) => value === props.itemId)?.text ?? 'it');
const project = useProject();
const settings = useSettings();
const id = useId();
const still = usePreferredReducedMotion();
const WAYS: readonly { value: WayToLay; label: string }[] = [
  { value: 'centre out', label: 'Middle outwards' },
  { value: 'middle line first', label: 'Middle line first' },
  { value: 'two halves', label: 'Two halves' },
  { value: 'one end', label: 'From one end' },
];
const way = ref<WayToLay>('centre out');
const other = ref<WayToLay | ''>('');
const pulls = ref(false);
const stiffer = ref(0);
const share = ref(1);
const OTHERS = computed(() => [
  { value: '' as const, text: 'Nothing beside it' },
  ...WAYS.filter(({ value }) => value !== way.value).map(({ value, label }) => ({ value, text: label })),
]);
watch(
  () => props.itemId,
  () => {
    [way.value, other.value, pulls.value, stiffer.value, share.value] = [props.best, '', props.pulled, 0, 1];
    playing.pause();
  },
);
watch(way, () => {
  if (other.value === way.value) other.value = '';
});

/** ms that laying takes when it is played. */
const PLAYS_MS = 5000;
const playing = useRafFn(
  ({ delta }) => {
    share.value = Math.min(1, share.value + delta / PLAYS_MS);
    if (share.value >= 1) playing.pause();
  },
  { immediate: false },
);
function play(): void {
  if (playing.isActive.value) {
    playing.pause();
    return;
  }
  if (share.value >= 1) share.value = 0;
  playing.resume();
}
/** Without motion it goes a step at a time. */
const step = (by: number): void => {
  playing.pause();
  share.value = Math.max(0, Math.min(1, Math.round(12 * share.value + by) / 12));
};
const fixes = computed(() => props.finding?.finding.fixes ?? []);
function fix(command: Command): void {
  project.edit(describeCommand(command, settings.unit), (p) => applyCommand(p, command));
}
</script>

<template>
  <BModal
    :model-value="itemId !== null"
    size="xl"
    :title="`How ${name} lies`"
    no-footer
    scrollable
    @hidden="emit('close')"
  >
    <template v-if="itemId !== null">
      <div class="row-of">
        <BFormSelect
          v-if="items.length > 1"
          :model-value="itemId"
          :options="[...items]"
          size="sm"
          aria-label="Which is laid"
          class="which"
          @update:model-value="emit('choose', String($event))"
        />
        <ChoiceButtons :value="way" :options="WAYS" label="How it is laid" @choose="way = $event" />
        <BFormCheckbox v-model="pulls">Pulled as it is laid</BFormCheckbox>
        <span class="d-flex align-items-center gap-2">
          <label :for="`${id}-o`" class="quiet small text-nowrap">Beside it</label>
          <BFormSelect :id="`${id}-o`" v-model="other" :options="OTHERS" size="sm" />
        </span>
      </div>
      <div class="panes">
        <LayPane :item-id="itemId" :way="way" :pulled="pulls" :stiffer="stiffer" :share="share" :wide="other === ''" />
        <LayPane
          v-if="other !== ''"
          :item-id="itemId"
          :way="other"
          :pulled="pulls"
          :stiffer="stiffer"
          :share="share"
          :wide="false"
        />
      </div>
      <div class="row-of mt-2">
        <span class="d-flex align-items-center gap-2 flex-grow-1">
          <BButton v-if="still !== 'reduce'" size="sm" variant="outline-primary" @click="play">
            {{ playing.isActive.value ? 'Pause' : 'Play' }}
          </BButton>
          <template v-else>
            <BButton size="sm" variant="outline-primary" class="text-nowrap" :disabled="share <= 0" @click="step(-1)"
              >Step back</BButton
            >
            <BButton size="sm" variant="outline-primary" class="text-nowrap" :disabled="share >= 1" @click="step(1)"
              >Step on</BButton
            >
          </template>
          <label :for="`${id}-s`" class="visually-hidden">How far it is laid</label>
          <BFormInput
            :id="`${id}-s`"
            v-model.number="share"
            type="range"
            min="0"
            max="1"
            step="0.01"
            class="flex-grow-1"
            @input="playing.pause()"
          />
          <span class="dims small step">{{ Math.round(share * 12) }} of 12</span>
        </span>
        <span class="d-flex align-items-center gap-2 flex-grow-1">
          <label :for="`${id}-g`" class="quiet small text-nowrap">Film gives less by</label>
          <BFormInput :id="`${id}-g`" v-model.lazy.number="stiffer" type="range" min="0" max="80" step="5" />
          <span class="dims small step">{{ stiffer }} %</span>
        </span>
      </div>
      <FilmLegend />
      <div v-if="fixes.length > 0" class="d-flex flex-wrap align-items-center gap-2 mt-2">
        <span class="quiet small">What helps</span>
        <BButton v-for="(one, i) in fixes" :key="i" size="sm" variant="outline-primary" @click="fix(one)">
          {{ describeCommand(one, settings.unit) }}
        </BButton>
      </div>
    </template>
  </BModal>
</template>

<style scoped>
.row-of {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0.5rem 1.5rem;
}
.panes {
  display: flex;
  gap: 1rem;
  margin-top: 0.5rem;
}
.which {
  width: auto;
  max-width: 14rem;
}
.step {
  min-width: 4rem;
  text-align: right;
}
@media (max-width: 640px) {
  .panes {
    flex-direction: column;
  }
}
</style>
