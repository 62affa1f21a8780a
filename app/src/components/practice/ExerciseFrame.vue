<script setup lang="ts">
import { EXERCISES, type ExerciseId, type Judged, WENT_WELL } from '@mivet/core';
import { scaleBand, scaleLinear } from 'd3-scale';
import { computed, nextTick, ref, watch } from 'vue';
import { useSettings } from '../../stores/settings.ts';
import { EXERCISE_WORDS } from './exercises.ts';

/** An exercise: its picture, and on the slip what is asked, how it went and what to try. */
const props = defineProps<{ id: ExerciseId; judged: Judged | null }>();
const emit = defineEmits<{ another: []; again: [] }>();
const settings = useSettings();
const words = computed(() => EXERCISE_WORDS[props.id]);
const at = computed(() => EXERCISES.indexOf(props.id) + 1);
const next = computed(() => EXERCISES[at.value] ?? null);
const last = computed(() => (settings.practised[props.id] ?? []).slice(-5));
const WIDTH = 268;
const HEIGHT = 84;
const x = computed(() =>
  scaleBand()
    .domain(last.value.map((_, i) => String(i)))
    .range([0, Math.min(WIDTH, 54 * last.value.length)])
    .padding(0.3),
);
const y = scaleLinear()
  .domain([0, 100])
  .range([HEIGHT - 4, 18]);
const outcome = ref<HTMLElement | null>(null);
watch(
  () => props.judged,
  async (judged) => {
    if (!judged) return;
    await nextTick();
    outcome.value?.focus({ preventScroll: true });
    outcome.value?.scrollIntoView({ block: 'nearest' });
  },
);
</script>

<template>
  <div class="exercise">
    <div class="stage"><slot name="stage" /></div>
    <aside class="slip" aria-label="The exercise">
      <p class="quiet small mb-0">
        Exercise {{ at }} of {{ EXERCISES.length }} · <RouterLink :to="{ name: 'practice' }">All of them</RouterLink>
      </p>
      <h1>{{ words.name }}</h1>
      <p class="quiet">{{ words.asks }}</p>
      <slot />
      <section v-if="judged" ref="outcome" tabindex="-1" class="outcome" aria-live="polite" aria-label="How it went">
        <div class="row-line">
          <span>Score</span>
          <strong class="dims score" :class="judged.score >= WENT_WELL ? 'moss' : 'brick'"
            >{{ judged.score }} of 100</strong
          >
        </div>
        <div v-for="one in judged.came" :key="one.says" class="row-line">
          <span>{{ one.says }}</span>
          <strong class="dims" :class="{ brick: one.bad }">{{ one.value }}</strong>
        </div>
        <div class="note-bar" :class="judged.score >= WENT_WELL ? 'fine' : 'fails'">
          <strong>{{ judged.why[0] }}</strong>
          <p>{{ judged.why[1] }}</p>
        </div>
        <div v-if="judged.tryThis" class="note-bar look">
          <strong>Try it so</strong>
          <p>{{ judged.tryThis }}</p>
        </div>
        <p class="buttons">
          <BButton variant="primary" @click="emit('another')">Another one</BButton>
          <BButton variant="outline-primary" @click="emit('again')">The same again</BButton>
          <RouterLink
            v-if="next && judged.score >= WENT_WELL"
            :to="{ name: 'practice', params: { exercise: next } }"
            class="btn btn-link"
            >Next: {{ EXERCISE_WORDS[next].name }}</RouterLink
          >
        </p>
      </section>
      <section v-if="last.length > 0">
        <h2>Your last {{ last.length === 1 ? 'go' : last.length }}</h2>
        <svg
          :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
          role="img"
          :aria-label="`Scores, the latest last: ${last.map(({ score }) => score).join(', ')}`"
        >
          <rect class="well" x="0" :width="WIDTH" :y="y(100)" :height="y(WENT_WELL) - y(100)" />
          <g v-for="(go, i) in last" :key="go.at">
            <rect
              :class="i === last.length - 1 ? 'latest' : 'earlier'"
              :x="x(String(i))"
              :width="x.bandwidth()"
              :y="y(Math.max(go.score, 2))"
              :height="y(0) - y(Math.max(go.score, 2))"
            />
            <text class="dims" :x="x(String(i))! + x.bandwidth() / 2" :y="y(go.score) - 5" text-anchor="middle">
              {{ go.score }}
            </text>
          </g>
          <line x1="0" :x2="WIDTH" :y1="y(0)" :y2="y(0)" />
        </svg>
        <p class="quiet small mb-0">of 100; in the band it went well</p>
      </section>
    </aside>
  </div>
</template>

<style scoped>
.exercise {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
  min-height: 100%;
}
.stage {
  min-width: 0;
  padding: 0.75rem 1.25rem;
  display: flex;
  flex-direction: column;
}
/* Pictures have what room there is; two stand side by side. */
.stage :deep(.head),
.stage :deep(figcaption) {
  color: var(--ink-2);
  font-family: var(--dims);
  font-weight: 600;
  margin: 0;
}
.stage :deep(figure) {
  margin: 0;
  display: flex;
  flex-direction: column;
}
.stage :deep(svg) {
  width: 100%;
  flex: 1;
  min-height: 0;
  max-height: 70vh;
}
.stage :deep(.two) {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 1.5rem;
}
.slip {
  background: var(--slip);
  border-left: 1px solid var(--hairline);
  padding: 1.25rem 1.25rem 2rem;
}
h1 {
  font-size: 1.25rem;
  margin: 0.1rem 0 0.25rem;
}
h2,
.slip :deep(h2) {
  font-size: 1rem;
  margin: 1rem 0 0.4rem;
}
.outcome {
  outline: none;
}
.score {
  font-size: 1.35rem !important;
}
.brick {
  color: var(--brick);
}
.moss {
  color: var(--moss);
}
.row-line strong {
  text-align: right;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  margin: 1rem 0 0;
}
svg {
  width: 100%;
  display: block;
}
.well {
  fill: var(--moss-bar);
  opacity: 0.2;
}
.latest {
  fill: var(--teal);
}
.earlier {
  fill: color-mix(in srgb, var(--teal) 40%, var(--slip));
}
line {
  stroke: var(--hairline);
}
text {
  fill: var(--ink);
  font-size: 15px;
}
@media (max-width: 560px) {
  .stage :deep(.two) {
    grid-template-columns: 1fr;
  }
  .stage :deep(svg) {
    max-height: 34vh;
  }
}
@media (max-width: 860px) {
  .exercise {
    display: block;
  }
  .slip {
    border-left: 0;
    border-top: 1px solid var(--hairline);
  }
}
</style>
