<script setup lang="ts">
import { tellOf } from '../../composables/take-in.ts';
import type { useFiles } from '../../composables/useFiles.ts';
import { useShopping } from '../../composables/useShopping.ts';
import { useTakeAlong } from '../../composables/useTakeAlong.ts';

/** What can be taken away from the screen: sheets, a card, a file for the phone; and what has to be bought first. */
defineProps<{ files: ReturnType<typeof useFiles>; disabled: boolean }>();
const along = useTakeAlong();
const shopping = useShopping();
async function read(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  if (input.files?.[0]) await tellOf(input.files[0]);
  input.value = '';
}
</script>

<template>
  <section aria-label="Take along" class="papers">
    <h3>Take along</h3>
    <BButton variant="outline-primary" :disabled="files.busy.value || disabled" @click="files.print('bench-pdf')">
      Print the bench sheet
    </BButton>
    <BButton variant="outline-primary" :disabled="files.busy.value || disabled" @click="files.print('bench-card-pdf')">
      Print it as a card
    </BButton>
    <BButton variant="outline-primary" :disabled="along.busy.value || disabled" @click="along.save()">
      Save for the phone
    </BButton>
    <label class="btn btn-outline-primary">
      Read its results
      <input type="file" accept=".json,application/json" class="visually-hidden" @change="read" />
    </label>
    <p class="quiet small">
      One file that runs without a network: steps, pictures, timers, ticks. What you tick there comes back by its
      results file.
    </p>
    <p v-if="files.said.value || along.said.value" class="quiet" role="status">
      {{ along.said.value ?? files.said.value }}
    </p>
    <template v-if="shopping.missing.value.length > 0">
      <h3>Not enough of it</h3>
      <ul>
        <li v-for="one in shopping.missing.value" :key="one.what">
          {{ one.what }}: <span class="quiet">{{ one.says }}</span>
        </li>
      </ul>
      <BButton variant="outline-primary" @click="shopping.print()">Print the shopping list</BButton>
      <BButton variant="outline-primary" @click="shopping.save()">Save as CSV</BButton>
    </template>
  </section>
</template>

<style scoped>
.papers {
  display: flex;
  flex-direction: column;
  gap: 0.5rem;
  margin-top: 1rem;
}
h3 {
  font-size: 1rem;
  margin: 0.5rem 0 0;
}
p,
ul {
  margin: 0;
}
</style>
