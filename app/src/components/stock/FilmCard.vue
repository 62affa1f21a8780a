<script setup lang="ts">
import { colourWord, runsLow, type StockFilm, type Units } from '@mivet/core';
import { computed } from 'vue';
import { useEdge } from '../../composables/useFilmColours.ts';
import { ageWords, filmSizeWords, leftWords } from './stock-words.ts';

/** Film as it stands on the shelf: its colour, what is left of it, and how old it is. */
const props = defineProps<{ film: StockFilm; unit: Units; today: string }>();
defineEmits<{ change: [] }>();
const edge = useEdge('slip');
const share = computed(() => {
  const { form, lengthMm, boughtLengthMm, count } = props.film;
  return form === 'roll' ? Math.min(1, count === 0 ? 0 : lengthMm / boughtLengthMm) : Math.min(1, count / 6);
});
const low = computed(() => runsLow(props.film) || props.film.count === 0);
const size = computed(() => filmSizeWords(props.film, props.unit));
</script>

<template>
  <article class="film" :class="{ low }">
    <div
      class="swatch"
      :style="{ background: film.film.colour, borderColor: edge(film.film.colour) ?? film.film.colour }"
      aria-hidden="true"
    >
      <div class="left" :style="{ width: `${100 * (1 - share)}%` }"></div>
    </div>
    <div class="words">
      <h3>
        {{ film.film.name }} <span class="quiet">{{ colourWord(film.film.colour) }}, {{ film.film.finish }}</span>
      </h3>
      <p class="mb-0">{{ size }}{{ film.directional ? ', with a direction' : '' }}</p>
      <p class="mb-0 dims" :class="{ brick: film.count === 0, ochre: low && film.count > 0 }">
        {{ leftWords(film, unit) }}<template v-if="low && film.count > 0">: running low</template>
      </p>
      <p class="quiet small mb-0">
        {{ ageWords(film, today) }}<template v-if="film.price !== null">, {{ film.price.toFixed(2) }}</template
        ><template v-if="film.notes">, {{ film.notes }}</template>
      </p>
    </div>
    <BButton variant="link" size="sm" :aria-label="`Change ${film.film.name}`" @click="$emit('change')">
      Change
    </BButton>
  </article>
</template>

<style scoped>
.film {
  display: grid;
  grid-template-columns: 64px 1fr auto;
  gap: 0.9rem;
  align-items: start;
  padding: 0.8rem 0.9rem;
  background: var(--slip);
  border: 1px solid var(--hairline);
}
.swatch {
  height: 100%;
  min-height: 72px;
  border: 1px solid;
  display: flex;
  justify-content: flex-end;
}
.left {
  background: repeating-linear-gradient(45deg, var(--paper-deep) 0 4px, var(--slip) 4px 8px);
}
h3 {
  font-size: 1rem;
  margin: 0;
}
h3 span {
  font-weight: 400;
}
.brick {
  color: var(--brick);
}
.ochre {
  color: var(--ochre);
}
</style>
