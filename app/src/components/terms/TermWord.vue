<script setup lang="ts">
import { computed } from 'vue';
import TermDrawing from './TermDrawing.vue';
import { TERMS, type TermId } from './terms.ts';

/** A term of the field where it stands: pointed at, tapped or reached by the keyboard it says what it is. */
const props = defineProps<{ term: TermId; shown?: string }>();
const term = computed(() => TERMS[props.term]);
</script>

<template>
  <BPopover placement="top" no-animation hover focus>
    <template #target>
      <BButton variant="bare" class="term" :aria-label="`${shown ?? term.word}: what it is`">{{
        shown ?? term.word
      }}</BButton>
    </template>
    <div class="d-flex gap-3 align-items-center">
      <TermDrawing :drawing="term.drawing" />
      <span>{{ term.says }}</span>
    </div>
  </BPopover>
</template>

<style scoped>
.term.btn {
  color: inherit;
  text-decoration: underline dotted;
  text-underline-offset: 0.22em;
  cursor: help;
}
</style>
