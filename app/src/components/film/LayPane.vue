<script setup lang="ts">
import {
  boxOfCoordinates,
  formatLength,
  type OwnWay,
  type SlitIn,
  type Stroke,
  type WayToLay,
  WAYS_SAID,
} from '@mivet/core';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { watchApart } from '../../workers/core-client.ts';
import type { LayPart } from '../../workers/protocol.ts';
import FilmFlat from './FilmFlat.vue';
import FilmSolid from './FilmSolid.vue';
import StrokePad from './StrokePad.vue';

/** One piece of film laid in one order: on the blank and on the flat, at some share of its steps. */
const props = defineProps<{
  itemId: string;
  /** One of the usual ways, or strokes of one's own that are drawn on the flat. */
  way: WayToLay | readonly Stroke[];
  does?: Stroke['does'];
  slits: (SlitIn & { readonly opens: number }) | null;
  askewDeg: number;
  taped: boolean;
  pulled: boolean;
  stiffer: number;
  share: number;
  wide: boolean;
}>();
const emit = defineEmits<{ laid: [part: LayPart]; stroke: [stroke: Stroke] }>();
const project = useProject();
const settings = useSettings();
const part = shallowRef<LayPart | null>(null);
const problem = ref<string | null>(null);
const working = ref(true);
let stop = (): void => undefined;
const isUsual = (way: WayToLay | readonly Stroke[]): way is WayToLay => typeof way === 'string';
/** mm that a thumb, or the edge of a squeegee on a large sheet, reaches to each side. */
const [LEAST_REACH, MOST_REACH] = [3, 20];
const reach = computed(() => {
  const flat = part.value?.flat;
  if (!flat) return LEAST_REACH;
  const { minX, maxX, minY, maxY } = boxOfCoordinates(flat);
  return Math.max(LEAST_REACH, Math.min(MOST_REACH, Math.min(maxX - minX, maxY - minY) / 6));
});
watch(
  () =>
    [
      props.itemId,
      props.way,
      props.slits,
      props.askewDeg,
      props.taped,
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
    const { itemId, slits, askewDeg, taped, pulled, stiffer: stifferPercent } = props;
    const way: WayToLay | OwnWay = isUsual(props.way) ? props.way : { strokes: [...props.way], reach: reach.value };
    stop = watchApart(
      'layFilm',
      { project: doc, limits: settings.limits, learnt: settings.learnt, itemId, way, slits, askewDeg, taped, pulled, stifferPercent }, // prettier-ignore
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
  const { farMm } = part.value!.laying;
  const far = farMm > 0 ? ` Its far end lands ${mm(farMm)} beside where it belongs.` : '';
  if (!tallest) return `Nothing stands off.${far}`;
  const places = map.tents.length === 1 ? 'One place stands' : `${map.tents.length} places stand`;
  return `${places} off, the tallest by ${mm(tallest.height)}.${far}`;
});
const said = computed(() => (isUsual(props.way) ? WAYS_SAID[props.way] : 'by your strokes'));
const head = computed(() => said.value.replace(/^./, (c) => c.toUpperCase()));
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
        :label="`On the blank, ${said}. ${says} Arrow keys turn it.`"
      />
      <StrokePad
        v-if="!isUsual(way)"
        :flat="part.flat"
        :triangles="part.triangles"
        :frame="frame"
        :strokes="way"
        :does="does ?? 'press'"
        :reach="reach"
        :label="`On the flat, ${said}. ${says}`"
        @stroke="emit('stroke', $event)"
      />
      <FilmFlat
        v-else
        :flat="part.flat"
        :triangles="part.triangles"
        :frame="frame"
        :label="`On the flat, ${said}. ${says}`"
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
  height: min(50vh, 470px);
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
