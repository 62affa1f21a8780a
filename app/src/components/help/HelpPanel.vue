<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import type { Stop } from '../../composables/stops.ts';
import { useTour } from './useTour.ts';
import { useSettings } from '../../stores/settings.ts';
import { useView } from '../../stores/view.ts';
import TermDrawing from '../terms/TermDrawing.vue';
import { TERMS } from '../terms/terms.ts';
import { PLACE_GUIDES, STOP_GUIDES } from './guides.ts';

/** Help at the place where one is, beside the work. */
const route = useRoute();
const view = useView();
const settings = useSettings();
const { begin } = useTour();
const guide = computed(() =>
  route.name === 'project'
    ? STOP_GUIDES[route.params['stop'] as Stop]
    : (PLACE_GUIDES[String(route.name)] ?? PLACE_GUIDES['projects']!),
);
const terms = computed(() => guide.value.terms.map((key) => TERMS[key]));
const close = (): void => void (view.showHelp = false);
function leadAgain(): void {
  settings.guiding = true;
  close();
}
function tour(): void {
  close();
  void begin();
}
</script>

<template>
  <BOffcanvas v-model="view.showHelp" placement="end" :title="guide.title" body-scrolling no-backdrop no-trap>
    <p>{{ guide.about }}</p>
    <ol>
      <li v-for="step in guide.steps" :key="step">{{ step }}</li>
    </ol>
    <p class="quiet">{{ guide.hitch }}</p>
    <template v-if="terms.length > 0">
      <h3 class="mt-4">Words</h3>
      <div v-for="term in terms" :key="term.word" class="term">
        <TermDrawing :drawing="term.drawing" />
        <p class="m-0">
          <strong>{{ term.word }}</strong><br />{{ term.says }}
        </p>
      </div>
    </template>
    <div class="d-flex flex-column align-items-start gap-1 mt-4">
      <BButton variant="link" class="p-0" @click="tour">Tour of the demo, five stops</BButton>
      <BButton v-if="!settings.guiding" variant="link" class="p-0" @click="leadAgain">Guide me through a job</BButton>
      <RouterLink :to="{ name: 'glossary' }" @click="close">Glossary</RouterLink>
      <RouterLink :to="{ name: 'about' }" @click="close">About Mivet, its licences and where data lives</RouterLink>
    </div>
    <p class="quiet small mt-4 mb-0">Press ? for keys.</p>
  </BOffcanvas>
</template>

<style scoped>
ol {
  padding-left: 1.2rem;
}
li {
  margin-bottom: 0.4rem;
}
.term {
  display: flex;
  gap: 0.8rem;
  align-items: center;
  padding: 0.4rem 0;
  border-top: 1px solid var(--hairline);
}
</style>
