<script setup lang="ts">
import { type BlankKind, KINDS, KINDS_OF_BLANK } from '@mivet/core';

/** Which kind of thing it is, by its drawing. */
defineProps<{ kind: BlankKind }>();
const emit = defineEmits<{ choose: [kind: BlankKind] }>();
</script>

<template>
  <div class="kinds" role="group" aria-label="Kind of blank">
    <BButton
      v-for="k in KINDS"
      :key="k"
      variant="bare"
      :aria-pressed="k === kind"
      :title="KINDS_OF_BLANK[k].like"
      @click="emit('choose', k)"
    >
      <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="KINDS_OF_BLANK[k].icon" /></svg>
      {{ KINDS_OF_BLANK[k].label }}
    </BButton>
  </div>
</template>

<style scoped>
.kinds {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 0.3rem;
}
.btn.btn-bare {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 0.1rem;
  padding: 0.35rem 0.1rem 0.3rem;
  border: 1px solid var(--hairline);
  border-radius: 3px;
  background: none;
  color: var(--ink-2);
  font-size: 0.78rem;
  line-height: 1.2;
}
.btn.btn-bare:hover {
  color: var(--ink);
  border-color: var(--ink-2);
}
.btn.btn-bare[aria-pressed='true'] {
  border-color: var(--teal);
  box-shadow: inset 0 0 0 1px var(--teal);
  color: var(--ink);
  font-weight: 600;
}
svg {
  width: 26px;
  height: 26px;
}
path {
  fill: none;
  stroke: currentcolor;
  stroke-width: 1.3;
  stroke-linejoin: round;
}
</style>
