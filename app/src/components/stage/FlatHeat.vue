<script setup lang="ts">
import type { FilmGive, PanelViewModel } from '@mivet/core';
import { strainColour } from './strain-colour.ts';

/** The strain that film takes, on one panel of the flat. */
defineProps<{ panel: PanelViewModel; give: FilmGive; scale: number }>();
</script>

<template>
  <g class="heat">
    <template v-for="(part, i) in panel.heat" :key="i">
      <path
        :d="part.data"
        :fill="strainColour(part.strain, give).fill"
        :fill-opacity="strainColour(part.strain, give).opacity"
        fill-rule="evenodd"
      />
      <path v-if="strainColour(part.strain, give).over" :d="part.data" fill="url(#hatch-strain)" fill-rule="evenodd" />
    </template>
  </g>
</template>

<style scoped>
.heat {
  pointer-events: none;
  /* Neighbouring strips meet without a line between them. */
  shape-rendering: crispedges;
}
</style>
