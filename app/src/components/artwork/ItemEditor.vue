<script setup lang="ts">
import type { ArtworkItem, Running } from '@mivet/core';
import {
  colourWord,
  cutOutOf,
  formatLength,
  formatSize,
  isMask,
  keepTogether,
  letGo,
  matesOf,
  placedBy,
  roomAround,
  togetherWith,
} from '@mivet/core';
import { computed, useId } from 'vue';
import { movedAlong, othersOf, roomWords, sideOf } from '../../composables/item-room.ts';
import { itemTitle } from '../../composables/item-title.ts';
import { useItems } from '../../composables/useItems.ts';
import { useItemSize } from '../../composables/useItemSize.ts';
import { useViewModel } from '../../stores/view-model.ts';
import { useFilms } from '../../stores/films.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import ChoiceRow from '../fields/ChoiceRow.vue';
import HeldInput from '../fields/HeldInput.vue';
import LengthField from '../fields/LengthField.vue';
import ColourNote from './ColourNote.vue';
import TogetherFields from './TogetherFields.vue';
import FilmChoice from '../films/FilmChoice.vue';
import PlacementFields from './PlacementFields.vue';
import RoundFields from './RoundFields.vue';
import SlitFields from './SlitFields.vue';
import ShapeFields from './ShapeFields.vue';
import WordFields from './WordFields.vue';

const props = defineProps<{ item: ArtworkItem }>();
const emit = defineEmits<{ done: [] }>();
const project = useProject();
const films = useFilms();
const viewModel = useViewModel();
const settings = useSettings();
const items = useItems();
const id = useId();

const placed = computed(() => viewModel.shape?.items.find((i) => i.itemId === props.item.id) ?? null);
const pieces = computed(() => viewModel.shape?.pieces.filter((p) => p.itemIds.includes(props.item.id)) ?? []);
/** What is free about it, itself included; a band that runs round has all there is. */
const room = computed(() => {
  const { shape } = viewModel;
  const doc = project.doc!;
  if (!shape || !placed.value || props.item.repeat.mode !== 'once') return null;
  const side = sideOf(doc.blank, doc.hand, shape, settings.judgedBy);
  const own = movedAlong(doc.items, [props.item]);
  const gaps = roomAround(placed.value, othersOf(doc.items, shape, own), side);
  return roomWords(placed.value, gaps, settings.unit);
});
/** A colour of a drawing is told from the others. */
const title = computed(() => {
  const own = itemTitle(props.item);
  if (props.item.type !== 'art' || matesOf(project.doc!.items, props.item).length === 0) return own;
  return `${own}, ${colourWord(props.item.colour)}`;
});
const film = computed(() => props.item.film);
const chosenFilms = computed(() => [film.value]);
const SIZED: { value: 'ink' | 'sheet'; label: string; title: string }[] = [
  { value: 'ink', label: 'The drawing', title: 'From edge to edge of what is drawn' },
  { value: 'sheet', label: 'Its page', title: 'With the room round it on the page that it was drawn on' },
];
/** Whether a drawing has a page that is another than its ink. */
const paged = computed(() => {
  if (props.item.type !== 'art' || !props.item.sheet) return false;
  const { sheet, drawn } = props.item;
  return Math.abs(sheet.widthMm - drawn.widthMm) > 0.01 || Math.abs(sheet.heightMm - drawn.heightMm) > 0.01;
});
const findings = computed(() => viewModel.open.filter((f) => f.finding.itemIds.includes(props.item.id)).length);
/** Whether there is a way round it to run along. */
const round = computed(() => viewModel.shape?.template.closed ?? true);
const joined = computed(() => props.item.repeat.mode === 'joined');

const RUNNING: { value: Running; label: string; title: string }[] = [
  { value: 'round', label: 'Round', title: 'Follows the rim and closes at the seam; widths shrink with the girth' },
  { value: 'level', label: 'Level', title: 'Follows the rim; letters keep their size' },
  { value: 'rigid', label: 'Rigid', title: 'Laid down unbent, for small decals' },
];
const LAID: { value: 'whole' | 'single'; label: string }[] = [
  { value: 'whole', label: 'With the whole' },
  { value: 'single', label: 'By itself' },
];
const laidSays = computed(() => {
  if (!props.item.byItself) return 'On one sheet of tape with the rest; the seam keeps clear of it.';
  const copies = placed.value?.copies.length ?? 1;
  return copies > 1
    ? `${copies} figures, each cut by its own shape and laid on tape of its own. No seam is asked of them.`
    : 'Cut by its own shape and laid on tape of its own. No seam is asked of it.';
});
/** All colours of a drawing, and what is kept together, are laid alike. */
function layAs(how: 'whole' | 'single'): void {
  const alike = new Set(togetherWith(project.doc!.items, props.item).map(({ id: one }) => one));
  project.edit('Change how it is laid', (p) => ({
    ...p,
    items: p.items.map((item) => (alike.has(item.id) ? { ...item, byItself: how === 'single' } : item)),
  }));
}
const runningSays = computed(() => {
  if (props.item.running === 'round') return 'Follows the rim and closes at the seam.';
  if (props.item.running === 'level') return 'Follows the rim; letters keep their size.';
  const sag = placed.value?.rigidSag ?? 0;
  return sag > 0.3
    ? `Unbent: its ends leave the level by ${formatLength(sag, settings.unit)}.`
    : 'Unbent, as it was drawn.';
});

const group = computed(() => togetherWith(project.doc!.items, props.item));
function keepWith(other: string | null): void {
  const { id: own } = props.item;
  project.edit(other ? 'Keep together' : 'Ungroup', (p) => ({
    ...p,
    items: other ? keepTogether(p.items, own, other) : letGo(p.items, own),
  }));
}
/** Knocked out of something: the two go on as one. */
function cutOut(from: string): void {
  const { id: own } = props.item;
  project.edit('Cut it out', (p) => ({ ...p, items: cutOutOf(p.items, own, from) }));
}
function setSpares(event: Event): void {
  const input = event.target as HTMLInputElement;
  const spares = Math.round(Number(input.value));
  if (input.value !== '' && spares >= 0 && spares <= 50) items.change('Change the spares', (i) => ({ ...i, spares }));
  else input.value = String(props.item.spares);
}

const { setWidth, setHeight } = useItemSize(() => props.item);
</script>

<template>
  <div>
    <div class="d-flex align-items-start justify-content-between gap-2">
      <h2 class="title">{{ title }}</h2>
      <BButton variant="link" @click="emit('done')">Done</BButton>
    </div>
    <p class="quiet mb-2">
      <template v-if="placed"
        >{{ pieces.length }} {{ pieces.length === 1 ? 'piece' : 'pieces' }},
        {{ formatSize(placed.cutMm?.width ?? 0, placed.cutMm?.height ?? 0, settings.unit) }}</template
      >
      <span v-if="room">, {{ room }}</span>
      <RouterLink
        v-if="findings > 0"
        class="ms-2"
        :to="{ name: 'project', params: { id: project.doc!.id, stop: 'proof' } }"
        >{{ findings }} to look at</RouterLink
      >
    </p>
    <WordFields v-if="item.type === 'text'" :item="item" :placed="placed" />
    <template v-else>
      <LengthField
        v-if="!joined"
        label="Width"
        :mm="placed?.cutMm?.width ?? item.widthMm"
        :unit="settings.unit"
        :least="0.1"
        :most="20000"
        @change="setWidth"
      />
      <LengthField
        label="Height"
        :mm="placed?.cutMm?.height ?? 10"
        :unit="settings.unit"
        :least="0.1"
        :most="20000"
        @change="setHeight"
      />
    </template>
    <ChoiceRow
      v-if="item.type === 'art' && paged"
      says="Sized by"
      :value="item.by ?? 'ink'"
      :options="SIZED"
      label="What is sized and placed"
      @choose="items.change('Change what is placed', (i) => (i.type === 'art' ? placedBy(i, $event) : i))"
    />
    <ColourNote v-if="item.type === 'art'" :item="item" />
    <FilmChoice
      label="Film"
      :films="films.offered"
      :chosen="chosenFilms"
      @choose="items.change('Change the film', (i) => ({ ...i, film: $event }))"
    />
    <ChoiceRow
      v-if="!joined && round"
      says="Follows"
      :value="item.running"
      :options="RUNNING"
      label="What it follows"
      @choose="items.change('Change what it follows', (i) => ({ ...i, running: $event }))"
    />
    <p v-if="!joined && round" class="quiet small mb-1 mt-1">{{ runningSays }}</p>
    <PlacementFields
      v-if="item.repeat.mode !== 'scattered'"
      :item="item"
      :has-handle="project.doc!.blank.handleWidthMm > 0"
      :hand="project.doc!.hand"
      :unit="settings.unit"
    />
    <RoundFields
      :item="item"
      :placed="placed"
      :view-model="viewModel.shape"
      :unit="settings.unit"
      :films="films.offered"
    />
    <template v-if="item.repeat.mode !== 'joined' && !isMask(item)">
      <ChoiceRow
        says="Cut and laid"
        :value="item.byItself ? 'single' : 'whole'"
        :options="LAID"
        label="How it is cut and laid"
        @choose="layAs"
      />
      <p class="quiet small mb-1 mt-1">{{ laidSays }}</p>
    </template>
    <ShapeFields
      :item="item"
      :items="project.doc!.items"
      :unit="settings.unit"
      @acts="(label, part) => items.change(label, (i) => ({ ...i, acts: { ...i.acts, ...part } }))"
      @change="(label, part) => items.change(label, (i) => ({ ...i, ...part }) as ArtworkItem)"
      @together="keepWith"
      @out="cutOut"
    />
    <TogetherFields v-if="group.length > 1" :items="group" class="mt-2" />
    <div class="row-line mt-2">
      <label :for="`${id}-s`">{{ item.byItself ? 'Cut it so many times more' : 'Spares cut beside the wrap' }}</label>
      <HeldInput
        :id="`${id}-s`"
        size="sm"
        :value="item.spares"
        type="number"
        min="0"
        max="50"
        class="dims number-field"
        @change="setSpares"
      />
    </div>
    <SlitFields
      v-if="viewModel.shape?.template.flattening.map && !isMask(item)"
      :item="item"
      @change="(label, part) => items.change(label, (i) => ({ ...i, ...part }))"
    />
    <div class="d-flex flex-wrap gap-3 mt-3">
      <BButton variant="link" @click="items.duplicate()">Duplicate</BButton>
      <BButton variant="link" class="text-brick" @click="items.removeSelected()">Delete</BButton>
    </div>
  </div>
</template>

<style scoped>
.title {
  overflow: hidden;
  text-overflow: ellipsis;
}
.text-brick {
  color: var(--brick);
}
</style>
