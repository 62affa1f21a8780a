<script setup lang="ts">
import { computed } from 'vue';
import { useEdge } from '../../composables/useFilmColours.ts';

/** A square of a film's colour, edged where it would not be told from the slip. */
const props = defineProps<{ colour: string }>();
const edge = useEdge('slip');
const style = computed(() => ({ background: props.colour, borderColor: edge.value(props.colour) ?? props.colour }));
</script>

<template>
  <span class="swatch" :style="style" aria-hidden="true" />
</template>

<style scoped>
.swatch {
  display: inline-block;
  flex: none;
  width: 1.25rem;
  height: 1.25rem;
  border: 1px solid;
  border-radius: 2px;
}
</style>
