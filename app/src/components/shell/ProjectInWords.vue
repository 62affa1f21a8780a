<script setup lang="ts">
import { computed } from 'vue';
import { projectInWords } from '../../composables/project-words.ts';
import type { Stop } from '../../composables/stops.ts';
import { usePlan } from '../../stores/plan.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useViewModel } from '../../stores/view-model.ts';

/** Heading of a stop, and what its pictures show, for those who hear the page. */
const props = defineProps<{ stop: Stop }>();
const project = useProject();
const viewModel = useViewModel();
const plan = usePlan();
const settings = useSettings();
const stopName = computed(() => props.stop[0]!.toUpperCase() + props.stop.slice(1));
const words = computed(() => projectInWords(project.doc!, viewModel.good, plan.strips, settings.unit));
</script>

<template>
  <div class="visually-hidden">
    <!-- At the bench the step is what it is about. -->
    <component :is="stop === 'bench' ? 'p' : 'h1'">{{ project.doc!.name }}, {{ stopName }}</component>
    <section aria-label="In words">
      <p>{{ words.blank }}</p>
      <p v-if="words.flat">{{ words.flat }}</p>
      <ul v-if="words.artwork.length > 0" aria-label="Artwork">
        <li v-for="(line, i) in words.artwork" :key="i">{{ line }}</li>
      </ul>
      <ul v-if="words.loads.length > 0" aria-label="Loads">
        <li v-for="(line, i) in words.loads" :key="i">{{ line }}</li>
      </ul>
    </section>
  </div>
</template>
