<script setup lang="ts">
import { describeLengthProblem, formatLength, parseLength, type Units } from '@mivet/core';
import { computed, ref, useId } from 'vue';
import { takeRefusal } from '../../stores/refusal.ts';
import FieldRow from './FieldRow.vue';
import HeldInput from './HeldInput.vue';

/** A length on the slip: shown in the person's unit, taken in any; empty while it is not known. */
defineOptions({ inheritAttrs: false });
const props = withDefaults(
  defineProps<{ label: string; mm: number | null; unit: Units; least?: number; most?: number; hint?: string }>(),
  {
    least: 0,
    most: 2000,
    hint: '',
  },
);
const emit = defineEmits<{ change: [mm: number] }>();
const id = useId();
const problem = ref<string | null>(null);
const shown = computed(() => (props.mm === null ? '' : formatLength(props.mm, props.unit)));

function take(event: Event): void {
  const input = event.target as HTMLInputElement;
  const typed = input.value.trim();
  if (typed === shown.value) return;
  const minus = /^[-−–]/.test(typed);
  const parsed = parseLength(minus ? typed.slice(1) : typed, props.unit);
  const zero = !parsed.ok && parsed.code === 'zero';
  if (!parsed.ok && !zero) {
    problem.value = describeLengthProblem(parsed.code, typed);
    return;
  }
  const mm = parsed.ok ? (minus ? -parsed.mm : parsed.mm) : 0;
  if (mm < props.least || mm > props.most) {
    problem.value = `Between ${formatLength(props.least, props.unit)} and ${formatLength(props.most, props.unit)}, please.`;
    return;
  }
  emit('change', mm);
  problem.value = takeRefusal();
  if (!problem.value) input.value = formatLength(mm, props.unit);
}
</script>

<template>
  <FieldRow v-slot="{ describedBy }" :label="label" :field-id="id" :problem="problem" v-bind="$attrs">
    <HeldInput
      :id="id"
      size="sm"
      :value="shown"
      class="dims number-field"
      :class="{ 'is-invalid': problem }"
      :title="hint"
      :aria-invalid="problem !== null"
      :aria-describedby="describedBy"
      @change="take"
      @focus="($event.target as HTMLInputElement).select()"
      @keydown.enter="take"
    />
  </FieldRow>
</template>
