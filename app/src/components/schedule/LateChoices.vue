<script setup lang="ts">
import { CHOOSE, type LateChoice, type LateProject } from '@mivet/core';
import { useAnyProject } from '../../stores/any-project.ts';
import { lengthWords, whenWords } from '../../composables/time-words.ts';

/** A project that will be late, and what could be done about it, each with its price. */
const props = defineProps<{ late: LateProject; now: number }>();
const change = useAnyProject();
const after = ({ lateMinutes }: LateChoice): string =>
  lateMinutes === 0 ? 'in time then' : `still ${lengthWords(lateMinutes)} late`;
const choose = (choice: LateChoice): Promise<boolean> =>
  change(props.late.projectId, choice.label, (project) => CHOOSE[choice.id](project, props.late.readyAt));
</script>

<template>
  <section class="late" :aria-label="`${late.project} is late`">
    <h2>{{ late.project }} will be late</h2>
    <p class="note-bar look">
      <strong>Late by {{ lengthWords(late.byMinutes) }}</strong>
      <span class="d-block">As things stand it is ready {{ whenWords(late.readyAt, now) }}.</span>
    </p>
    <p v-if="late.choices.length === 0" class="quiet mb-0">
      Nothing that could be left out helps. Free more hours under My way, or say today that it comes later.
    </p>
    <ul v-else>
      <li v-for="choice in late.choices" :key="choice.id">
        <span>
          {{ choice.label }}
          <span class="quiet small d-block">{{ choice.price }}</span>
          <span class="small d-block" :class="choice.lateMinutes === 0 ? 'good' : 'ochre'">{{ after(choice) }}</span>
        </span>
        <BButton variant="outline-primary" size="sm" :aria-label="`Do that: ${choice.label}`" @click="choose(choice)"
          >Do that</BButton
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  align-items: flex-start;
  justify-content: space-between;
  gap: 0.75rem;
  padding: 0.6rem 0;
  border-bottom: 1px solid var(--hairline);
}
li button {
  flex: none;
}
.good {
  color: var(--teal);
}
.ochre {
  color: var(--ochre);
}
</style>
