<script setup lang="ts">
import { colourOf } from './film-colours.ts';

/** What the colours of a laid film mean. */
const css = (strain: number): string => `rgb(${colourOf(strain).join(' ')})`;
const KEYS = [
  { colour: css(1), says: 'pulled as far as it gives' },
  { colour: css(0), says: 'at ease' },
  { colour: css(-1), says: 'pushed as far as it takes' },
  { colour: css(-2), says: 'stands off: drawn six times as tall' },
] as const;
</script>

<template>
  <ul class="quiet small">
    <li v-for="{ colour, says } in KEYS" :key="says">
      <i :style="{ background: colour }" aria-hidden="true" /> {{ says }}
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 1.2rem;
  padding: 0;
  margin: 0.5rem 0 0;
}
i {
  display: inline-block;
  width: 0.9rem;
  height: 0.9rem;
  border: 1px solid var(--hairline);
  vertical-align: -0.1rem;
  margin-right: 0.3rem;
}
</style>
