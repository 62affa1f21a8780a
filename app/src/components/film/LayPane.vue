<script setup lang="ts">
import { formatLength, type WayToLay, WAYS_SAID } from '@mivet/core';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { watchApart } from '../../workers/core-client.ts';
import type { LayPart } from '../../workers/protocol.ts';
import FilmFlat from './FilmFlat.vue';
import FilmSolid from './FilmSolid.vue';

/** One piece of film laid in one order: on the blank and on the flat, at some share of its steps. */
const props = defineProps<{
  itemId: string;
  way: WayToLay;
  pulled: boolean;
  stiffer: number;
  share: number;
  wide: boolean;
}>();
const emit = defineEmits<{ laid: [part: LayPart] }>();
const project = useProject();
const settings = useSettings();
const part = shallowRef<LayPart | null>(null);
const problem = ref<string | null>(null);
const working = ref(true);
let stop = (): void => undefined;
watch(
  () =>
    [
      props.itemId,
      props.way,
      props.pulled,
      props.stiffer,
      project.doc?.items,
      project.doc?.blank,
      project.doc?.warm,
    ] as const,
  () => {
    stop();
    working.value = true;
    problem.value = null;
    const { doc } = project;
    if (!doc) return;
    stop = watchApart(
      'layFilm',
      { project: doc, limits: settings.limits, learnt: settings.learnt, itemId: props.itemId, way: props.way, pulled: props.pulled, stifferPercent: props.stiffer }, // prettier-ignore
      (told) => {
        part.value = told;
        emit('laid', told);
      },
      (why) => {
        working.value = false;
        problem.value = why ?? (part.value ? null : 'There is nothing to lay here: its side can be unrolled.');
      },
    );
  },
  { immediate: true },
);
onBeforeUnmount(() => stop());

const frame = computed(() => {
  const frames = part.value?.laying.frames;
  return frames ? frames[Math.round(props.share * (frames.length - 1))]! : null;
});
const mm = (v: number): string => formatLength(v, settings.unit);
const says = computed(() => {
  const map = part.value?.laying.map;
  if (!map) return '';
  const [tallest] = map.tents;
  if (!tallest) return 'Nothing stands off.';
  const places = map.tents.length === 1 ? 'One place stands' : `${map.tents.length} places stand`;
  return `${places} off, the tallest by ${mm(tallest.height)}.`;
});
const head = computed(() => WAYS_SAID[props.way].replace(/^./, (c) => c.toUpperCase()));
</script>

<template>
  <figure>
    <figcaption>
      <strong>{{ head }}</strong>
      <span class="quiet small" role="status">
        <template v-if="problem">{{ problem }}</template>
        <template v-else>
          {{ says }}
          <template v-if="working"
            ><BSpinner small aria-hidden="true" /> {{ part ? 'Looking more finely…' : 'Laying it…' }}</template
          >
        </template>
      </span>
    </figcaption>
    <div v-if="part && frame" class="pictures" :class="{ wide }">
      <FilmSolid
        :flat="part.flat"
        :triangles="part.triangles"
        :outline="part.outline"
        :frame="frame"
        :azimuth="part.azimuth"
        :colour="project.doc!.blank.colour"
        :label="`On the blank, ${WAYS_SAID[way]}. ${says} Arrow keys turn it.`"
      />
      <FilmFlat
        :flat="part.flat"
        :triangles="part.triangles"
        :frame="frame"
        :label="`On the flat, ${WAYS_SAID[way]}. ${says}`"
      />
    </div>
    <div v-else class="pictures waits"><BSpinner v-if="working" label="Laying it" /></div>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  min-width: 0;
  flex: 1;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  column-gap: 0.6rem;
  align-items: baseline;
  min-height: 1.7rem;
}
.pictures {
  display: grid;
  grid-template-rows: minmax(0, 3fr) minmax(0, 2fr);
  gap: 0.5rem;
  height: min(58vh, 470px);
}
.pictures > * {
  min-height: 0;
  border: 1px solid var(--hairline);
  background: var(--paper-deep);
}
@media (min-width: 640px) {
  .pictures.wide {
    grid-template: 100% / minmax(0, 3fr) minmax(0, 2fr);
  }
}
.waits {
  place-items: center;
}
</style>
