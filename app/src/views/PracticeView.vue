<script setup lang="ts">
import { EXERCISES, type ExerciseId, WENT_WELL } from '@mivet/core';
import { type Component, computed } from 'vue';
import { useRoute } from 'vue-router';
import CloseSeam from '../components/practice/CloseSeam.vue';
import { EXERCISE_WORDS } from '../components/practice/exercises.ts';
import FindSeam from '../components/practice/FindSeam.vue';
import LayWrap from '../components/practice/LayWrap.vue';
import PressFilm from '../components/practice/PressFilm.vue';
import ReadTape from '../components/practice/ReadTape.vue';
import SlitBall from '../components/practice/SlitBall.vue';
import SpotFailing from '../components/practice/SpotFailing.vue';
import WhichHeight from '../components/practice/WhichHeight.vue';
import { useSettings } from '../stores/settings.ts';

const settings = useSettings();
const route = useRoute();
const SCREENS: Readonly<Record<ExerciseId, Component>> = {
  'read-tape': ReadTape,
  'which-height': WhichHeight,
  'close-seam': CloseSeam,
  'lay-wrap': LayWrap,
  'slit-ball': SlitBall,
  'find-seam': FindSeam,
  'spot-failing': SpotFailing,
  'press-film': PressFilm,
};
const exercise = computed(() => EXERCISES.find((id) => id === route.params['exercise']) ?? null);
const listed = computed(() =>
  EXERCISES.map((id, i) => {
    const goes = settings.practised[id] ?? [];
    const scores = goes.map(({ score }) => score);
    return { id, nth: i + 1, ...EXERCISE_WORDS[id], goes: goes.length, best: Math.max(...scores, 0), latest: scores.at(-1) ?? null }; // prettier-ignore
  }),
);
const next = computed(() => listed.value.find(({ best }) => best < WENT_WELL) ?? listed.value[0]!);
const well = computed(() => listed.value.filter(({ best }) => best >= WENT_WELL).length);
</script>

<template>
  <component :is="SCREENS[exercise]" v-if="exercise" :key="exercise" />
  <div v-else class="page">
    <header>
      <div>
        <h1>Practice</h1>
        <p class="quiet mb-0">
          A bench for the head: no film is lost here.
          <template v-if="well > 0">{{ well }} of {{ listed.length }} went well.</template>
        </p>
      </div>
      <RouterLink class="btn btn-primary" :to="{ name: 'practice', params: { exercise: next.id } }">
        {{ well === 0 && next.goes === 0 ? 'Begin' : 'Go on' }}: {{ next.name }}
      </RouterLink>
    </header>
    <ol>
      <li v-for="one in listed" :key="one.id">
        <span class="dims nth">{{ one.nth }}</span>
        <RouterLink :to="{ name: 'practice', params: { exercise: one.id } }">{{ one.name }}</RouterLink>
        <span class="about">{{ one.about }}</span>
        <span class="dims score" :class="{ moss: one.best >= WENT_WELL }">
          <template v-if="one.goes > 0">best {{ one.best }}, last {{ one.latest }}</template>
          <span v-else class="quiet">not yet</span>
        </span>
      </li>
    </ol>
    <p class="quiet">
      Each task is judged by what judges your jobs, and none comes twice until you ask for it. Scores are kept on this
      device, and in backups.
    </p>
  </div>
</template>

<style scoped>
.page {
  max-width: 900px;
  padding: 1.25rem 1.5rem 3rem;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 1rem;
  justify-content: space-between;
  align-items: end;
  margin-bottom: 1rem;
}
h1 {
  margin: 0;
}
ol {
  list-style: none;
  padding: 0;
  margin: 0 0 1.25rem;
  border-top: 1px solid var(--hairline);
}
li {
  display: grid;
  grid-template-columns: 2rem minmax(0, 15rem) minmax(0, 1fr) auto;
  gap: 0.25rem 1rem;
  align-items: baseline;
  padding: 0.8rem 0;
  border-bottom: 1px solid var(--hairline);
}
.nth {
  color: var(--ink-2);
  font-size: 1.2rem;
}
li a {
  font-weight: 600;
}
.about {
  color: var(--ink-2);
}
.score {
  font-size: 1.05rem;
}
.moss {
  color: var(--moss);
}
@media (max-width: 560px) {
  li {
    grid-template-columns: 2rem minmax(0, 1fr) auto;
  }
  .about {
    grid-column: 2 / -1;
    grid-row: 2;
  }
}
</style>
