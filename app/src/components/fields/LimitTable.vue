<script setup lang="ts">
import HeldInput from './HeldInput.vue';
import { formatLength, LIMITS, limitsWith, type LimitInfo, type OwnLimits, type Units } from '@mivet/core';
import { computed } from 'vue';
import LengthField from './LengthField.vue';

/** The numbers that judgements hang on, each with its reason; those that were changed can be put back. */
const props = defineProps<{ limits: OwnLimits; unit: Units }>();
const emit = defineEmits<{ change: [limits: OwnLimits] }>();
const rows = computed(() => {
  const now = limitsWith(props.limits);
  return LIMITS.map((info) => ({ ...info, value: now[info.id], own: now[info.id] !== info.usual }));
});

function set(info: LimitInfo, event: Event): void {
  const input = event.target as HTMLInputElement;
  if (input.value.trim() === shown(info, limitsWith(props.limits)[info.id])) return;
  const typed = Number(input.value.replace(',', '.')) * perShown(info);
  const value = limitsWith({ [info.id]: input.value.trim() === '' ? NaN : typed })[info.id];
  // What was typed may have been out of range or no number: the field says what is kept.
  input.value = shown(info, value);
  keep(info, value);
}
function keep(info: LimitInfo, value: number): void {
  const rest = Object.fromEntries(Object.entries(props.limits).filter(([id]) => id !== info.id));
  emit('change', Math.abs(value - info.usual) < 1e-6 ? rest : { ...rest, [info.id]: value });
}
/** How many of what a limit is kept in go into what it is shown in. */
const perShown = ({ unit }: LimitInfo): number =>
  props.unit === 'mm' ? 1 : unit === 'cm²' ? 6.4516 : unit === 'mm²' ? 645.16 : 1;
const unitWords = (info: LimitInfo): string => (perShown(info) === 1 ? info.unit : 'in²');
const shown = (info: LimitInfo, value: number): string => String(Number((value / perShown(info)).toPrecision(3)));
const say = (info: LimitInfo): string =>
  info.unit === 'mm' ? formatLength(info.usual, props.unit) : `${shown(info, info.usual)} ${unitWords(info)}`;
</script>

<template>
  <div>
    <div v-for="row in rows" :key="row.id" class="limit">
      <LengthField
        v-if="row.unit === 'mm'"
        class="whole"
        :label="row.label"
        :mm="row.value"
        :unit="unit"
        :least="row.least"
        :most="row.most"
        @change="keep(row, $event)"
      />
      <label v-else :for="`limit-${row.id}`">{{ row.label }}</label>
      <span v-if="row.unit !== 'mm'" class="field">
        <HeldInput
          :id="`limit-${row.id}`"
          size="sm"
          class="dims"
          inputmode="decimal"
          :value="shown(row, row.value)"
          :aria-describedby="`limit-${row.id}-w`"
          @change="set(row, $event)"
        />
        <span>{{ unitWords(row) }}</span>
      </span>
      <p :id="`limit-${row.id}-w`" class="quiet small">
        {{ row.why }}
        <template v-if="row.own">
          Usually {{ say(row) }}.
          <BButton
            variant="link"
            size="sm"
            class="p-0"
            :aria-label="`${row.label}: back to usual`"
            @click="keep(row, row.usual)"
          >
            Reset
          </BButton>
        </template>
      </p>
    </div>
  </div>
</template>

<style scoped>
.limit {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: baseline;
  column-gap: 1rem;
  border-bottom: 1px solid var(--hairline);
  padding: 0.5rem 0;
}
/* Lengths and shares look alike. */
.limit > label {
  color: var(--ink-2);
}
.whole {
  min-height: 0;
}
.whole,
.limit p {
  grid-column: 1 / -1;
  margin: 0;
}
/* The row has its own rule under the reason. */
.whole.field {
  border: 0;
  padding: 0;
}
.field {
  display: flex;
  align-items: baseline;
  gap: 0.4rem;
}
.field input {
  width: 5.5rem;
  text-align: right;
}
.field span {
  width: 2rem;
}
</style>
