<script setup lang="ts">
import { colourWord, takeFilms, type Film, type StockFilm, type StockThing } from '@mivet/core';
import { computed, defineAsyncComponent, ref, shallowRef } from 'vue';
import { newStockFilm } from '../stock/new-stock.ts';
import { allLeftWords } from '../stock/stock-words.ts';
import { useFilms } from '../../stores/films.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useStock } from '../../stores/stock.ts';
import FilmLabel from './FilmLabel.vue';

/** The films side by side: one of them is what something is cut from, or any of them come along. */
const props = defineProps<{
  films: readonly Film[];
  label: string;
  /** Those that are chosen. */
  chosen: readonly string[];
  /** Whether any number may be. */
  several?: boolean;
}>();
const emit = defineEmits<{ choose: [filmId: string] }>();
const StockEditor = defineAsyncComponent(() => import('../stock/StockEditor.vue'));
const project = useProject();
const settings = useSettings();
const stock = useStock();
const known = useFilms();
/** More than these are searched. */
const MANY = 12;
const search = ref('');
const shown = computed(() => {
  const words = search.value.trim().toLowerCase().split(/\s+/).filter(Boolean);
  return props.films.filter(({ name, colour, finish }) =>
    words.every((word) => `${name} ${colourWord(colour)} ${finish}`.toLowerCase().includes(word)),
  );
});
const changed = computed(() => props.chosen.flatMap((id) => known.otherwise(id) ?? []));
const take = (film: Film): void => project.edit('Use the film as it is in Stock', (p) => takeFilms(p, [film]));

/** A film that is noted here, in the stock, and chosen at once. */
const fresh = shallowRef<StockFilm | null>(null);
async function keep(thing: StockThing): Promise<void> {
  if (!(await stock.keep([thing]))) return;
  fresh.value = null;
  if (thing.kind === 'film') emit('choose', thing.film.id);
}
const attributes = (id: string): Record<string, unknown> =>
  props.several
    ? { 'aria-pressed': props.chosen.includes(id) }
    : { role: 'radio', 'aria-checked': props.chosen.includes(id) };
</script>

<template>
  <div class="film-choice">
    <p class="quiet mb-1">{{ label }}<template v-if="!several && chosen.length > 1">: several</template></p>
    <BFormInput
      v-if="films.length > MANY"
      v-model="search"
      type="search"
      size="sm"
      class="mb-2"
      placeholder="Find a film"
      :aria-label="`Find a film: ${label}`"
    />
    <div class="films" :role="several ? 'group' : 'radiogroup'" :aria-label="label">
      <BButton
        v-for="film in shown"
        :key="film.id"
        variant="bare"
        class="one"
        :class="{ on: chosen.includes(film.id) }"
        v-bind="attributes(film.id)"
        @click="emit('choose', film.id)"
      >
        <FilmLabel :film="film" :left="allLeftWords(known.left(film.id), settings.unit)" />
      </BButton>
    </div>
    <p v-if="shown.length === 0" class="quiet small mb-0">No film matches.</p>
    <BButton variant="link" size="sm" class="p-0 mt-1" @click="fresh = newStockFilm()">New film</BButton>
    <div v-for="film in changed" :key="film.id" class="note-bar look mb-0">
      <p>
        In Stock it is {{ film.name }}, {{ colourWord(film.colour) }}, {{ film.finish }} by now; this project keeps it
        as it was.
      </p>
      <BButton variant="link" size="sm" class="p-0" @click="take(film)">Use it as it is in Stock</BButton>
    </div>
    <StockEditor
      v-if="fresh"
      :thing="fresh"
      :films="known.offered"
      :unit="settings.unit"
      is-new
      :cutters="stock.supply.cutters"
      @close="fresh = null"
      @keep="keep"
    />
  </div>
</template>

<style scoped>
.film-choice {
  border-bottom: 1px solid var(--hairline);
  padding: 0.5rem 0 0.7rem;
}
.films {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0.3rem;
  max-height: 32rem;
  overflow-y: auto;
}
.btn.one {
  display: flex;
  padding: 0.3rem 0.4rem;
  border: 1px solid transparent;
  border-radius: 3px;
}
.btn.one:hover {
  background: var(--paper-deep);
}
.btn.one.on {
  border-color: var(--teal);
  box-shadow: inset 0 0 0 1px var(--teal);
}
</style>
