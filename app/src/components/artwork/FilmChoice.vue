<script setup lang="ts">
import type { Film } from '@mivet/core';
import { computed } from 'vue';

const props = defineProps<{ films: readonly Film[]; value: string }>();
const emit = defineEmits<{ choose: [filmId: string] }>();
const chosen = computed(() => props.films.find((f) => f.id === props.value));
</script>

<template>
  <div class="films">
    <div class="row-line plain">
      <span>Film</span
      ><span
        ><template v-if="chosen"
          >{{ chosen.name }}<span class="quiet">, {{ chosen.finish }}</span></template
        ><span v-else class="quiet">several</span></span
      >
    </div>
    <div class="swatches" role="radiogroup" aria-label="Film">
      <BButton
        v-for="f in films"
        :key="f.id"
        variant="bare"
        role="radio"
        :aria-checked="f.id === value"
        :aria-label="`${f.name}, ${f.finish}`"
        :title="`${f.name}, ${f.finish}`"
        :style="{ background: f.colour }"
        @click="emit('choose', f.id)"
      />
    </div>
  </div>
</template>

<style scoped>
.films {
  border-bottom: 1px solid var(--hairline);
  padding-bottom: 0.6rem;
}
.plain {
  border: 0;
  padding-bottom: 0.2rem;
}
.swatches {
  display: flex;
  gap: 0.4rem;
}
.swatches button {
  width: 30px;
  height: 26px;
  border: 1px solid color-mix(in srgb, var(--ink) 30%, transparent);
  border-radius: 2px;
}
.swatches button[aria-checked='true'] {
  outline: 2px solid var(--ink);
  outline-offset: 2px;
}
</style>
