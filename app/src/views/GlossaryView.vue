<script setup lang="ts">
import { computed, ref } from 'vue';
import TermDrawing from '../components/terms/TermDrawing.vue';
import { TERMS, type Term } from '../components/terms/terms.ts';

const search = ref('');
const all: readonly Term[] = Object.values(TERMS);
const shown = computed(() => {
  const words = search.value.trim().toLowerCase();
  return all.filter(({ word, also, says }) => [word, ...also, says].join(' ').toLowerCase().includes(words));
});
</script>

<template>
  <div class="page">
    <div class="head">
      <h1>Glossary</h1>
      <BFormInput v-model="search" type="search" class="search" placeholder="Search" aria-label="Search the glossary" />
    </div>
    <p class="quiet">
      The terms of the field, in the order of the work. Where one is underlined with dots, point at it.
    </p>
    <ul>
      <li v-for="t in shown" :key="t.word">
        <TermDrawing :drawing="t.drawing" />
        <p>
          <strong>{{ t.word }}</strong><br />{{ t.says }}
        </p>
      </li>
    </ul>
    <p v-if="shown.length === 0" class="quiet">No term matches.</p>
  </div>
</template>

<style scoped>
.page {
  max-width: 64rem;
  margin: 0 auto;
  padding: 1.75rem 1.25rem 3rem;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0.75rem;
}
.search {
  width: 16rem;
  margin-bottom: 0.4rem;
}
ul {
  display: grid;
  padding: 0;
  list-style: none;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 27rem), 1fr));
  gap: 0 2rem;
  margin: 1rem 0 0;
}
li {
  display: flex;
  align-items: center;
  gap: 1.1rem;
  padding: 0.7rem 0;
  border-bottom: 1px solid var(--hairline);
}
p {
  margin: 0;
}
</style>
