<script setup lang="ts">
import { type BenchRun, type BenchStep, isDone, type Thing } from '@mivet/core';
import { computed, ref } from 'vue';
import { useGrowingList } from '../../composables/useGrowingList.ts';

/** Everything that is made against what is done on each: a tick in every box. */
const props = defineProps<{
  things: readonly Thing[];
  steps: readonly BenchStep[];
  run: BenchRun;
  /** Where one is. */
  here: { readonly stepId: string; readonly thingId: string | null } | null;
  /** ms since 1970, by which waits still run. */
  now: number;
}>();
const emit = defineEmits<{
  go: [stepId: string, thingId: string];
  park: [thingId: string, aside: boolean];
  again: [thingId: string];
}>();
const endOfList = ref<HTMLElement | null>(null);
const { part, left, grow } = useGrowingList(() => props.things, endOfList);
/** Steps of one kind that are done on different things stand in one column: left hands are marked elsewhere than right ones. */
const columns = computed(() => {
  const all: BenchStep[][] = [];
  for (const step of props.steps.filter(({ things }) => things.length > 0)) {
    const apart = all.find((own) => own.every(({ kind, things }) => kind === step.kind && !things.some((id) => step.things.includes(id)))); // prettier-ignore
    if (apart) apart.push(step);
    else all.push([step]);
  }
  return all;
});
const stepFor = (column: readonly BenchStep[], thing: Thing): BenchStep =>
  column.find(({ things }) => things.includes(thing.id)) ?? column[0]!;
/** What heads a column: the first words of the title, without how many there are. */
const head = ({ title }: BenchStep): string => {
  const words = title.replace(/, \d+ of them.*$/, '').replace(/:.*$/, '');
  return words.length > 16 ? `${words.slice(0, 15)}…` : words;
};
const state = (step: BenchStep, thing: Thing): 'none' | 'done' | 'here' | 'waits' | 'open' => {
  if (!step.things.includes(thing.id)) return 'none';
  if (isDone(props.run, { step, thing })) return 'done';
  const end = props.run.waitsUntil[`${step.id}#${thing.id}`];
  if (end && Date.parse(end) > props.now) return 'waits';
  return props.here?.stepId === step.id && props.here.thingId === thing.id ? 'here' : 'open';
};
const SAYS = { none: 'not on this one', done: 'done', here: 'you are here', waits: 'waiting', open: 'open' } as const;
const spoilt = (id: string): string | null => props.run.spoilt.filter(({ thing }) => thing === id).at(-1)?.why ?? null;
</script>

<template>
  <div class="scroll" tabindex="0" role="region" aria-label="What is done on each">
    <BTableSimple>
      <BThead>
        <BTr>
          <BTd />
          <BTh v-for="column in columns" :key="column[0]!.id" scope="col">
            <span>{{ head(column[0]!) }}</span>
          </BTh>
          <BTd />
        </BTr>
      </BThead>
      <BTbody>
        <BTr v-for="thing in part" :key="thing.id" :class="{ aside: run.parked.includes(thing.id) }">
          <BTh scope="row">
            {{ thing.name }} <span v-if="thing.hand === 'left'" class="hand">left</span>
            <span v-if="run.parked.includes(thing.id)" class="quiet small d-block">put aside</span>
            <span v-else-if="spoilt(thing.id)" class="quiet small d-block">again: {{ spoilt(thing.id) }}</span>
          </BTh>
          <BTd v-for="column in columns" :key="column[0]!.id">
            <BButton
              v-if="stepFor(column, thing).things.includes(thing.id)"
              variant="bare"
              class="box"
              :class="state(stepFor(column, thing), thing)"
              :aria-label="`${stepFor(column, thing).title}, ${thing.name}: ${SAYS[state(stepFor(column, thing), thing)]}`"
              @click="emit('go', stepFor(column, thing).id, thing.id)"
            >
              <span v-if="state(stepFor(column, thing), thing) === 'done'" aria-hidden="true">✓</span>
            </BButton>
          </BTd>
          <BTd>
            <BDropdown variant="bare" no-caret size="sm" toggle-class="plain" placement="bottom-end" lazy>
              <template #button-content
                ><IBiThreeDots role="img" :aria-label="`What to do with ${thing.name}`"
              /></template>
              <BDropdownItem @click="emit('park', thing.id, !run.parked.includes(thing.id))">{{
                run.parked.includes(thing.id) ? 'Take it up again' : 'Put it aside'
              }}</BDropdownItem>
              <BDropdownItem @click="emit('again', thing.id)">Make this one again</BDropdownItem>
            </BDropdown>
          </BTd>
        </BTr>
      </BTbody>
    </BTableSimple>
    <p v-if="left > 0" ref="endOfList" class="mb-0">
      <BButton variant="link" size="sm" @click="grow">{{ left }} more</BButton>
    </p>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  margin-inline: -0.25rem;
}
table {
  border-collapse: collapse;
  width: auto;
}
thead :deep(th),
thead th {
  height: 5.6rem;
  vertical-align: bottom;
  font-weight: 400;
  font-size: 0.8rem;
  padding: 0;
}
thead th span {
  display: block;
  width: 22px;
  writing-mode: vertical-rl;
  transform: rotate(180deg);
  white-space: nowrap;
}
tbody th {
  font-family: var(--dims-font, inherit);
  font-weight: 600;
  padding-right: 0.6rem;
  max-width: 8rem;
  overflow-wrap: break-word;
}
td {
  padding: 1px;
}
.hand {
  font-weight: 400;
  font-size: 0.8rem;
}
.scroll .box {
  min-height: 0;
  width: 22px;
  height: 22px;
  padding: 0;
  border: 1px solid var(--hairline);
  background: var(--bs-body-bg);
  line-height: 1;
}
.scroll .done {
  background: var(--teal);
  border-color: var(--teal);
  color: var(--teal-ink);
}
.scroll .here {
  background: var(--tape);
}
.scroll .waits {
  background: repeating-linear-gradient(45deg, transparent 0 3px, var(--hairline) 3px 4px);
}
.aside {
  opacity: 0.55;
}
@media (pointer: coarse) {
  .scroll .box {
    min-height: 0;
    width: 44px;
    height: 44px;
  }
}
</style>
