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
  <BFormInput
    size="sm"
    :model-value="said.source"
    maxlength="200"
    placeholder="Who made it, or where you got it"
    aria-label="Where it is from"
    @update:model-value="change({ source: String($event ?? '') })"
  />
  <div class="row-line">
    <label :for="`${id}-r`">May you use it?</label>
    <BFormSelect
      :id="`${id}-r`"
      size="sm"
      class="w-auto"
      :model-value="said.rights"
      @update:model-value="change({ rights: $event as Provenance['rights'] })"
    >
      <BFormSelectOption value="own">I made it</BFormSelectOption>
      <BFormSelectOption value="allowed">Yes, I may</BFormSelectOption>
      <BFormSelectOption value="unsure">I am not sure yet</BFormSelectOption>
    </BFormSelect>
  </div>
  <p v-if="said.rights === 'unsure'" class="quiet small">
    Only cut what you may use; ask whoever made it. It is kept with the {{ what }}.
  </p>
</template>
