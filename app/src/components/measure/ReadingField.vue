<script setup lang="ts">
import {
  describeDoubt,
  describeLengthProblem,
  formatLength,
  formatTyped,
  parseLength,
  summariseReading,
  USUAL_THICKNESS_MM,
  type Reading,
  type ReadingDoubt,
  type ReadingTool,
  type Units,
} from '@mivet/core';
import { computed, ref, useId } from 'vue';
import ChoiceButtons from '../fields/ChoiceButtons.vue';

/** One reading: what is asked, the goes taken so far, and what they mean. */
const props = defineProps<{
  label: string;
  /** Taken round the blank, where the tape's own thickness counts. */
  girth: boolean;
  reading: Reading | undefined;
  unit: Units;
  hint: string;
  active: boolean;
  doubts: readonly ReadingDoubt[];
  optional?: boolean;
  /** mm. Thickness of the tape that the blank's other girths were taken with. */
  tapeMm?: number;
}>();
const emit = defineEmits<{ change: [reading: Reading | undefined]; ask: []; take: [mm: number] }>();

const id = useId();
const problem = ref<string | null>(null);
const typed = ref('');
const summary = computed(() => summariseReading(props.reading));
const shown = computed(() => (summary.value ? formatLength(summary.value.mean, props.unit) : null));
const goes = computed(() => {
  const s = summary.value;
  if (!s) return '';
  const words = ['', 'one reading', 'mean of 2', 'mean of 3', 'mean of 4'][s.count] ?? `mean of ${s.count}`;
  return `${words}, ±${formatLength(s.sigma, props.unit)}`;
});

const TOOLS: Record<ReadingTool, string> = {
  tape: 'Tape',
  strip: 'Paper strip',
  ruler: 'Ruler',
  caliper: 'Caliper',
  photo: 'Photograph',
};
const tools = computed(() => {
  const usual: ReadingTool[] = props.girth ? ['tape', 'strip'] : ['ruler', 'tape', 'caliper'];
  // What came from a photograph says so until it is measured again.
  if (props.reading?.how === 'photo') usual.push('photo');
  return usual.map((value) => ({ value, label: TOOLS[value] }));
});
/** What the next first go is taken with; a reading that is there knows. */
const tool = ref<ReadingTool>(props.girth ? 'tape' : 'ruler');
const how = computed(() => props.reading?.how ?? tool.value);
function takenWith(next: ReadingTool): void {
  tool.value = next;
  if (props.reading && props.reading.how !== next)
    emit('change', { ...props.reading, how: next, thicknessMm: thicknessOf(next) });
}
/** Only what lies round the blank reads too much by its thickness. */
const thicknessOf = (next: ReadingTool): number =>
  !props.girth ? 0 : next === 'tape' ? (props.tapeMm ?? USUAL_THICKNESS_MM.tape) : USUAL_THICKNESS_MM[next];
const blankReading = (): Reading => ({ how: tool.value, takes: [], thicknessMm: thicknessOf(tool.value) });

function add(): void {
  const parsed = parseLength(typed.value, props.unit);
  if (!parsed.ok) {
    problem.value = typed.value.trim() === '' && summary.value ? null : describeLengthProblem(parsed.code, typed.value);
    return;
  }
  problem.value = null;
  const now = props.reading ?? blankReading();
  emit('change', { ...now, takes: [...now.takes, { typed: typed.value.trim(), mm: parsed.mm }] });
  typed.value = '';
}
function drop(index: number): void {
  const left = props.reading!.takes.filter((_, i) => i !== index);
  emit('change', left.length > 0 ? { ...props.reading!, takes: left } : undefined);
}
function leave(): void {
  if (typed.value.trim() !== '') add();
}
</script>

<template>
  <div v-if="active" class="asked">
    <label :for="id">{{ label }}<span v-if="optional" class="quiet"> (if you like)</span></label>
    <p v-if="shown" class="value">
      <span class="dims big">{{ shown }}</span> <span class="dims quiet">{{ goes }}</span>
    </p>
    <p class="quiet hint">
      {{ how === 'strip' ? 'Wrap a strip of paper, mark where it meets itself, and read the strip on a ruler.' : hint }}
    </p>
    <ChoiceButtons class="tools" :value="how" :options="tools" label="Taken with" @choose="takenWith" />
    <form class="take" @submit.prevent="add">
      <BFormInput
        :id="id"
        v-model="typed"
        class="dims"
        :class="{ 'is-invalid': problem }"
        :placeholder="unit === 'mm' ? '264 mm' : '10 3/8 in'"
        autocomplete="off"
        inputmode="text"
        maxlength="60"
        :aria-invalid="problem !== null"
        :aria-describedby="`${id}-says`"
        @blur="leave"
      />
      <BButton variant="outline-primary" type="submit">{{ summary ? 'Add a reading' : 'Set' }}</BButton>
    </form>
    <div :id="`${id}-says`" aria-live="polite">
      <p v-if="problem" class="problem">{{ problem }}</p>
    </div>
    <ul v-if="reading && reading.takes.length > 0" class="takes">
      <li v-for="(t, i) in reading.takes" :key="i">
        <span class="dims">{{ formatTyped(t, unit) }}</span>
        <BButton variant="bare" :aria-label="`Remove ${formatTyped(t, unit)}`" @click="drop(i)"><IBiX /></BButton>
      </li>
    </ul>
  </div>
  <BButton v-else variant="bare" class="row-line rest" @click="emit('ask')">
    <span>{{ label }}</span>
    <span v-if="shown" class="dims">{{ shown }}</span>
    <span v-else class="quiet">{{ optional ? 'if you like' : 'to read' }}</span>
  </BButton>
  <div v-for="d in doubts" :key="d.code" class="note-bar" :class="d.severity" role="status">
    <p class="fw-bold">{{ describeDoubt(d, unit).title }}</p>
    <p>{{ describeDoubt(d, unit).why }}</p>
    <BButton
      v-if="d.instead !== null"
      variant="outline-primary"
      size="sm"
      class="mt-2"
      @click="emit('take', d.instead)"
    >
      Take {{ formatLength(d.instead, unit) }}
    </BButton>
  </div>
</template>

<style scoped>
.tools {
  margin: 0.4rem 0 0.5rem;
}
.asked {
  border: 2px solid var(--teal);
  border-radius: 3px;
  padding: 0.75rem 0.85rem 0.85rem;
  margin: 0.5rem 0;
}
label {
  color: var(--ink-2);
}
p {
  margin: 0;
}
.value {
  line-height: 1.15;
}
.big {
  font-size: 1.9rem;
  color: var(--ink);
}
.hint {
  font-size: 0.9rem;
  line-height: 1.35;
}
.take {
  display: flex;
  gap: 0.5rem;
  margin-top: 0.5rem;
}
.take input {
  min-width: 0;
}
.take button {
  white-space: nowrap;
}
.problem {
  color: var(--brick);
  margin-top: 0.4rem;
  font-size: 0.9rem;
}
.takes {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
  margin: 0.6rem 0 0;
  padding: 0;
}
.takes li {
  display: flex;
  align-items: center;
  border: 1px solid var(--hairline);
  border-radius: 2px;
  padding-left: 0.5rem;
}
.takes button {
  border: 0;
  background: none;
  color: var(--ink-2);
  padding: 0.15rem 0.35rem;
  display: flex;
}
.rest {
  width: 100%;
  border: 0;
  border-bottom: 1px solid var(--hairline);
  background: none;
  color: inherit;
  text-align: left;
}
.rest:hover {
  background: color-mix(in srgb, var(--paper-deep) 60%, transparent);
}
</style>
