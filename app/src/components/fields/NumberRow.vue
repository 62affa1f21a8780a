<script setup lang="ts">
import { computed, ref, useId } from 'vue';
import { takeRefusal } from '../../stores/refusal.ts';
import FieldRow from './FieldRow.vue';
import HeldInput from './HeldInput.vue';

/** A plain number on the slip: money, minutes, a count. */
const props = withDefaults(
  defineProps<{
    label: string;
    value: number | null;
    least?: number;
    most?: number;
    whole?: boolean;
    money?: boolean;
  }>(),
  { least: 0, most: 1_000_000, whole: false, money: false },
);
const emit = defineEmits<{ change: [value: number] }>();
const id = useId();
const problem = ref<string | null>(null);
const shown = computed(() => (props.value === null ? '' : props.money ? props.value.toFixed(2) : String(props.value)));

function take(event: Event): void {
  const typed = (event.target as HTMLInputElement).value.trim().replace(',', '.');
  if (typed === shown.value) return;
  const value = Number(typed);
  if (
    typed === '' ||
    !Number.isFinite(value) ||
    value < props.least ||
    value > props.most ||
    (props.whole && !Number.isInteger(value))
  ) {
    problem.value = `${props.whole ? 'A whole number' : 'A number'} from ${props.least} to ${props.most}, please.`;
    return;
  }
  emit('change', value);
  problem.value = takeRefusal();
}
</script>

<template>
  <FieldRow v-slot="{ describedBy }" :label="label" :field-id="id" :problem="problem">
    <HeldInput
      :id="id"
      size="sm"
      :value="shown"
      class="dims number-field"
      :class="{ 'is-invalid': problem }"
      inputmode="decimal"
      :aria-invalid="problem !== null"
      :aria-describedby="describedBy"
      @change="take"
      @keydown.enter="take"
    />
  </FieldRow>
</template>
