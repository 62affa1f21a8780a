<script setup lang="ts">
import { colourWord, formatLength, type Learnt } from '@mivet/core';
import { lengthWords } from '../../composables/time-words.ts';
import { useSettings } from '../../stores/settings.ts';

/** What the logbook has taught, each with its evidence: used once it is accepted, and put back with one press. */
defineProps<{ learnt: readonly Learnt[]; busy?: boolean }>();
const emit = defineEmits<{ accept: [one: Learnt]; undo: [key: string] }>();
const settings = useSettings();
function say(value: number, { unit }: Learnt): string {
  switch (unit) {
    case 'min':
      return value >= 60 ? lengthWords(value) : `${value.toFixed(1)} min`;
    case 'min each':
      return `${value.toFixed(value < 1 ? 2 : 1)} min`;
    case 'min/m':
      return settings.measured === 'in'
        ? `${(value * 0.3048).toFixed(2)} min a foot`
        : `${value.toFixed(2)} min a metre`;
    case 'mm':
      return `${value < 0 ? '−' : ''}${formatLength(Math.abs(value), settings.unit)}`;
    case 'share':
      return `${(100 * value).toFixed(1)} %`;
    case 'uses':
      return value.toFixed(value % 1 ? 1 : 0);
    default:
      return String(Math.round(value * 100) / 100);
  }
}
const used = (one: Learnt): boolean => one.key in settings.learnt;
const newer = (one: Learnt): boolean => used(one) && settings.learnt[one.key]!.n !== one.n;
const title = ({ what }: Learnt): string =>
  /#[0-9a-f]{6}$/.test(what) ? what.replace(/#[0-9a-f]{6}$/, colourWord) : what;
const colour = ({ what }: Learnt): string | null => /#[0-9a-f]{6}$/.exec(what)?.[0] ?? null;
</script>

<template>
  <section>
    <h2>What it has taught</h2>
    <p class="quiet">Nothing is used before you say so; each can be put back.</p>
    <p v-if="busy && learnt.length === 0" class="quiet" aria-live="polite">Working it out…</p>
    <p v-else-if="learnt.length === 0" class="quiet">
      Nothing yet. A finished run at the bench writes the first entry.
    </p>
    <ul>
      <li v-for="one in learnt" :key="one.key">
        <div class="line">
          <span
            >{{ title(one) }}
            <span v-if="colour(one)" class="swatch" :style="{ background: colour(one)! }" :title="colour(one)!"
          /></span>
          <strong class="dims">{{ say(one.value, one) }}</strong>
        </div>
        <div class="line">
          <span class="quiet small"
            >{{ one.n }} {{ one.n === 1 ? 'time' : 'times' }} seen, {{ say(one.low, one) }} to {{ say(one.high, one)
            }}<template v-if="one.n < 5">: few, so wide</template
            ><template v-if="one.usedAt"><br />Used at {{ one.usedAt }}</template></span
          >
          <BButton
            v-if="one.usedAt && (!used(one) || newer(one))"
            variant="outline-primary"
            size="sm"
            :aria-label="`Use: ${one.what}`"
            @click="emit('accept', one)"
            >{{ newer(one) ? 'Use the new one' : 'Use it' }}</BButton
          >
          <BButton
            v-if="used(one)"
            variant="link"
            size="sm"
            :aria-label="`Put back: ${one.what}`"
            @click="emit('undo', one.key)"
            >Put back</BButton
          >
        </div>
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
  padding: 0.55rem 0;
  border-bottom: 1px solid var(--hairline);
}
.line {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 0.75rem;
}
.line strong,
.line :deep(button) {
  flex: none;
}
.swatch {
  display: inline-block;
  width: 14px;
  height: 14px;
  vertical-align: -2px;
  border: 1px solid var(--hairline);
}
</style>
