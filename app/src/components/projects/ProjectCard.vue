<script setup lang="ts">
import { dueOf, type Project } from '@mivet/core';
import { useIntersectionObserver } from '@vueuse/core';
import { formatDistanceToNow, parseISO, isValid } from 'date-fns';
import { computed, ref, shallowRef, watch } from 'vue';
import { pictureForList, type ListPicture } from '../../composables/usePreviews.ts';
import { whenWords } from '../../composables/time-words.ts';
import CupDrawing from './CupDrawing.vue';
import FlatDrawing from './FlatDrawing.vue';

const props = defineProps<{ project: Project }>();
const emit = defineEmits<{ remove: []; duplicate: []; date: [] }>();
const card = ref<HTMLElement | null>(null);
const picture = shallowRef<ListPicture | null>(null);
const seen = ref(false);
const failed = ref(false);
const sure = ref(false);

useIntersectionObserver(card, ([entry]) => {
  if (entry?.isIntersecting) seen.value = true;
});
watch(
  [seen, () => props.project.changedAt],
  async () => {
    if (!seen.value) return;
    failed.value = false;
    picture.value = await pictureForList(props.project).catch(() => {
      failed.value = true;
      return null;
    });
  },
  { immediate: true },
);
const good = computed(() => (picture.value?.ok ? picture.value : null));
const when = computed(() => {
  const at = parseISO(props.project.changedAt);
  if (!isValid(at)) return '';
  return Math.abs(Date.now() - at.getTime()) < 90_000 ? 'just now' : formatDistanceToNow(at, { addSuffix: true });
});
const state = computed(() => {
  if (failed.value) return 'Too heavy to preview';
  if (!picture.value) return '';
  if (!picture.value.ok) return 'To be measured';
  if (props.project.items.length === 0) return 'Measured, no artwork yet';
  const { open } = picture.value;
  return open === 0 ? 'Ready to cut' : `${open} to look at`;
});
const due = computed(() => props.project.handOver ? `Due ${whenWords(dueOf(props.project.handOver), Date.now())}` : null); // prettier-ignore
/** Where it is gone on with; the same before its picture is there, unless that is all that says so. */
const stop = computed(() => (props.project.items.length > 0 || good.value ? 'artwork' : 'measure'));
const link = computed(() => ({ name: 'project', params: { id: props.project.id, stop: stop.value } }));
</script>

<template>
  <BCard ref="card" tag="article" no-body>
    <RouterLink :to="link" class="open">
      <div class="pictures">
        <div class="cup"><CupDrawing :blank="project.blank" :view-model="good" :films="project.films" /></div>
        <div class="flat">
          <FlatDrawing v-if="good" :view-model="good" :films="project.films" />
          <BPlaceholder v-else-if="!picture && !failed" class="waits" />
        </div>
      </div>
      <h2>{{ project.name }}</h2>
      <p class="quiet">{{ state ? `${project.blank.name} · ${state}` : project.blank.name }}</p>
    </RouterLink>
    <div class="foot">
      <span class="quiet small">{{ due ?? when }}</span>
      <span v-if="sure" class="d-flex gap-2 align-items-center">
        <span class="small">Delete it?</span>
        <BButton variant="link" size="sm" class="brick" @click="emit('remove')">Delete</BButton>
        <BButton variant="link" size="sm" @click="sure = false">Cancel</BButton>
      </span>
      <span v-else class="d-flex gap-2">
        <BButton variant="link" size="sm" @click="emit('date')">Hand-over</BButton>
        <BButton variant="link" size="sm" @click="emit('duplicate')">Copy</BButton>
        <BButton variant="link" size="sm" @click="sure = true">Delete</BButton>
      </span>
    </div>
  </BCard>
</template>

<style scoped>
article {
  background: var(--slip);
  border: 1px solid var(--hairline);
  border-radius: 3px;
  display: flex;
  flex-direction: column;
}
article:hover {
  border-color: var(--ink-2);
}
.open {
  color: inherit;
  text-decoration: none;
  padding: 1rem 1.1rem 0.25rem;
  flex: 1;
}
.pictures {
  display: grid;
  grid-template-columns: 2fr 3fr;
  gap: 1rem;
  height: 150px;
  margin-bottom: 0.9rem;
}
.cup,
.flat {
  min-width: 0;
  min-height: 0;
}
/* The box that the library puts round it has no size of its own. */
.flat :deep(div:has(> .waits)) {
  display: grid;
  align-content: center;
  width: 100%;
  height: 100%;
}
.flat :deep(.waits) {
  width: 100%;
  height: 60px;
  background: var(--paper-deep);
  opacity: 1;
}
h2 {
  font-size: 1.15rem;
}
p {
  margin: 0.1rem 0 0.4rem;
}
.foot {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 0.35rem 1.1rem 0.5rem;
  border-top: 1px solid var(--hairline);
}
.brick {
  color: var(--brick);
}
</style>
