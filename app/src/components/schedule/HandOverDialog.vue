<script setup lang="ts">
import type { HandOver, HandOverFor, Project } from '@mivet/core';
import { formatISO, isValid, parseISO } from 'date-fns';
import { computed, ref, useId, watch } from 'vue';
import { useAnyProject } from '../../stores/any-project.ts';

/** When a project is handed over, to whom and for what: kept with the project. */
const props = defineProps<{ project: Project | null }>();
const emit = defineEmits<{ close: [] }>();
const change = useAnyProject();
const id = useId();
const FOR: readonly { value: HandOverFor; text: string }[] = [
  { value: 'gift', text: 'A gift' },
  { value: 'market', text: 'A market' },
  { value: 'order', text: 'An order' },
  { value: 'own use', text: 'My own use' },
];
const draft = ref({ day: '', time: '18:00', whatFor: 'gift' as HandOverFor, number: '', note: '', price: '' });
const tried = ref(false);
watch(
  () => props.project?.id,
  () => {
    const known = props.project?.handOver;
    tried.value = false;
    draft.value = known
      ? { ...known, price: known.price === null ? '' : String(known.price) }
      : { day: '', time: '18:00', whatFor: 'gift', number: '', note: '', price: '' };
  },
  { immediate: true },
);
const day = computed(() => {
  const at = parseISO(draft.value.day);
  return isValid(at) ? formatISO(at, { representation: 'date' }) : null;
});
const price = computed(() => {
  const typed = String(draft.value.price).trim().replace(',', '.');
  if (typed === '') return null;
  const number = Number(typed);
  return Number.isFinite(number) && number >= 0 ? number : undefined;
});
const problem = computed(() =>
  day.value === null
    ? 'Choose a day.'
    : !/^([01]\d|2[0-3]):[0-5]\d$/.test(draft.value.time)
      ? 'Say at what time, as 18:30.'
      : price.value === undefined
        ? 'The price is a number, or left empty.'
        : null,
);
async function save(): Promise<void> {
  tried.value = true;
  if (!props.project || problem.value !== null) return;
  const { time, whatFor, number, note } = draft.value;
  const handOver: HandOver = { day: day.value!, time, whatFor, number: number.trim().slice(0, 200), note: note.slice(0, 5000), price: price.value ?? null }; // prettier-ignore
  if (await change(props.project.id, 'Set the hand-over', (own) => ({ ...own, handOver }))) emit('close');
}
async function remove(): Promise<void> {
  if (props.project && (await change(props.project.id, 'Remove the hand-over', (own) => ({ ...own, handOver: null }))))
    emit('close');
}
</script>

<template>
  <BModal
    :model-value="project !== null"
    :title="`Hand-over of “${project?.name ?? ''}”`"
    focus="autofocus"
    lazy
    @hide="emit('close')"
  >
    <BForm :id="`${id}-form`" class="hand-over" novalidate @submit.prevent="save">
      <div>
        <label :for="`${id}-d`">Day</label>
        <BFormInput :id="`${id}-d`" v-model="draft.day" type="date" autofocus :state="tried && !day ? false : null" />
      </div>
      <div>
        <label :for="`${id}-t`">Time</label>
        <BFormInput :id="`${id}-t`" v-model="draft.time" type="time" />
      </div>
      <div>
        <label :for="`${id}-w`">For</label>
        <BFormSelect :id="`${id}-w`" v-model="draft.whatFor" :options="FOR" />
      </div>
      <div>
        <label :for="`${id}-p`">Price</label>
        <BFormInput :id="`${id}-p`" v-model="draft.price" inputmode="decimal" placeholder="your own currency" />
      </div>
      <div class="wide">
        <label :for="`${id}-n`">Number of the order</label>
        <BFormInput :id="`${id}-n`" v-model="draft.number" maxlength="200" placeholder="if it has one" />
      </div>
      <div class="wide">
        <label :for="`${id}-c`">What the customer said</label>
        <BFormTextarea :id="`${id}-c`" v-model="draft.note" rows="3" maxlength="5000" />
      </div>
      <p v-if="tried && problem" class="wide brick mb-0" role="alert">{{ problem }}</p>
    </BForm>
    <template #footer>
      <BButton v-if="project?.handOver" variant="link" class="me-auto" @click="remove">No hand-over</BButton>
      <BButton variant="outline-primary" @click="emit('close')">Cancel</BButton>
      <BButton type="submit" variant="primary" :form="`${id}-form`">Save</BButton>
    </template>
  </BModal>
</template>

<style scoped>
.hand-over {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.75rem 1rem;
}
.wide {
  grid-column: 1 / -1;
}
</style>
