<script setup lang="ts">
import type { Provenance } from '@mivet/core';
import { useId } from 'vue';

/** Where something comes from that someone else may have made, and whether it may be used. */
const props = defineProps<{ said: Provenance; what: string }>();
const emit = defineEmits<{ change: [said: Provenance] }>();
const id = useId();
const change = (part: Partial<Provenance>): void => emit('change', { ...props.said, ...part });
</script>

<template>
  <h3 class="mt-3 mb-1">Where it is from</h3>
  <input
    :value="said.source"
    class="form-control form-control-sm"
    maxlength="200"
    placeholder="Who made it, or where you got it"
    aria-label="Where it is from"
    @input="change({ source: ($event.target as HTMLInputElement).value })"
  />
  <div class="row-line">
    <label :for="`${id}-r`">May you use it?</label>
    <select
      :id="`${id}-r`"
      class="form-select form-select-sm w-auto"
      :value="said.rights"
      @change="change({ rights: ($event.target as HTMLSelectElement).value as Provenance['rights'] })"
    >
      <option value="own">I made it</option>
      <option value="allowed">Yes, I may</option>
      <option value="unsure">I am not sure yet</option>
    </select>
  </div>
  <p v-if="said.rights === 'unsure'" class="quiet small">
    Only cut what you may use; ask whoever made it. It is kept with the {{ what }}.
  </p>
</template>
