<script setup lang="ts">
import { computed } from 'vue';
import TermWord from './TermWord.vue';
import { termsIn, type TermId } from './terms.ts';

/** The terms of a text, or those that are named, each explained where it is pointed at; nothing when there are none. */
const props = defineProps<{ text?: string; terms?: readonly TermId[] }>();
const found = computed(() => [...(props.terms ?? []), ...termsIn(props.text ?? '')]);
</script>

<template>
  <p v-if="found.length > 0" class="quiet small terms">
    <span>Terms:</span> <TermWord v-for="id in found" :key="id" :term="id" />
  </p>
</template>

<style scoped>
.terms {
  display: flex;
  flex-wrap: wrap;
  gap: 0.15rem 0.7rem;
  margin: 0.4rem 0;
}
</style>
