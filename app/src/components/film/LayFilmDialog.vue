<script setup lang="ts">
import {
  describeCommand,
  applyCommand,
  type Command,
  type JudgedViewModel,
  type Stroke,
  type WayToLay,
} from '@mivet/core';
import { usePreferredReducedMotion, useRafFn } from '@vueuse/core';
import { computed, ref, shallowRef, useId, watch } from 'vue';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import FilmLegend from './FilmLegend.vue';
import LayHow from './LayHow.vue';
import LayPane from './LayPane.vue';
import StrokeTools from './StrokeTools.vue';

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
const OWN = 'own strokes';
const WAYS: readonly { value: WayToLay | typeof OWN; label: string }[] = [
  { value: 'centre out', label: 'Middle outwards' },
  { value: 'middle line first', label: 'Middle line first' },
  { value: 'two halves', label: 'Two halves' },
  { value: 'one end', label: 'From one end' },
  { value: OWN, label: 'By your strokes' },
];
const way = ref<WayToLay | typeof OWN>('centre out');
const strokes = shallowRef<readonly Stroke[]>([]);
const does = ref<Stroke['does']>('press');
/** Whether its film gives more where it is warmed; null until it is known. */
const warms = ref<boolean | null>(null);
/** Whether it goes on with others on one sheet of tape, and whether all of them are laid. */
const tapes = ref(false);
const taped = ref(false);
const opens = ref<number | null>(null);
const askew = ref(0);
const other = ref<WayToLay | ''>('');
const pulls = ref(false);
const stiffer = ref(0);
const share = ref(1);
const OTHERS = computed(() => [
  { value: '' as const, text: 'Nothing beside it' },
  ...WAYS.flatMap(({ value, label }) => (value === OWN || value === way.value ? [] : [{ value, text: label }])),
]);
watch(
  () => props.itemId,
  () => {
    [way.value, other.value, pulls.value, stiffer.value, share.value] = [props.best, '', props.pulled, 0, 1];
    [strokes.value, does.value, opens.value, askew.value, taped.value] = [[], 'press', null, 0, false];
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
/** Slits that it has, or that were found for it. */
const slitIn = computed(() => {
  const own = project.doc?.items.find(({ id: one }) => one === props.itemId)?.slitIn;
  const found = fixes.value.flatMap((one) => (one.do === 'slit-item' ? [one] : []));
  return own ?? found[0] ?? null;
});
const slits = computed(() =>
  slitIn.value && opens.value !== null && !taped.value ? { ...slitIn.value, opens: opens.value } : null,
);
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
        <LayPane
          :item-id="itemId"
          :way="way === OWN ? strokes : way"
          :does="does"
          :slits="slits"
          :askew-deg="askew"
          :taped="taped"
          :pulled="pulls"
          :stiffer="stiffer"
          :share="share"
          :wide="other === ''"
          @laid="[warms, tapes] = [$event.warms, $event.tapes]"
          @stroke="strokes = [...strokes, $event]"
        />
        <LayPane
          v-if="other !== ''"
          :item-id="itemId"
          :way="other"
          :slits="slits"
          :askew-deg="askew"
          :taped="taped"
          :pulled="pulls"
          :stiffer="stiffer"
          :share="share"
          :wide="false"
        />
      </div>
      <StrokeTools v-if="way === OWN" v-model:strokes="strokes" v-model:does="does" :warms="warms" />
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
          <span class="dims small step">{{ Math.round(share * 100) }} %</span>
        </span>
      </div>
      <LayHow
        v-model:opens="opens"
        v-model:taped="taped"
        v-model:askew="askew"
        v-model:stiffer="stiffer"
        :count="taped ? null : (slitIn?.count ?? null)"
        :tapes="tapes"
      />
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
