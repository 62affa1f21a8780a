<script setup lang="ts">
import {
  countAlike,
  eachApart,
  formatLength,
  itemsOfDrawing,
  MASK_MARGIN_MM,
  pairForBothHands,
  radiusOnSide,
  type ArtItem,
  type MaskReach,
  type OwnFont,
  type OwnMotif,
} from '@mivet/core';
import { computed, ref } from 'vue';
import { takeIn } from '../../composables/take-in.ts';
import { useDraft } from '../../composables/useDraft.ts';
import { useItems } from '../../composables/useItems.ts';
import { useSelectionAtRest } from '../../composables/useSelectionAtRest.ts';
import { useIncoming } from '../../stores/incoming.ts';
import { useLibrary } from '../../stores/library.ts';
import { useSettings } from '../../stores/settings.ts';
import { useFilms } from '../../stores/films.ts';
import { useProject } from '../../stores/project.ts';
import { useViewModel } from '../../stores/view-model.ts';
import { useView } from '../../stores/view.ts';
import TraceIntake from './TraceIntake.vue';
import DrawingIntake from './DrawingIntake.vue';
import FontIntake from './FontIntake.vue';
import MotifPicker from './MotifPicker.vue';
import ItemEditor from './ItemEditor.vue';
import SeamFields from '../flat/SeamFields.vue';
import NameSlip from './NameSlip.vue';
import SeveralSelected from './SeveralSelected.vue';
import ItemList from './ItemList.vue';
import HowMany from '../cut/HowMany.vue';
import LastTime from '../logbook/LastTime.vue';
import ChoiceRow from '../fields/ChoiceRow.vue';
import ProcessFields from './ProcessFields.vue';

const project = useProject();
const viewModel = useViewModel();
const view = useView();
const items = useItems();
const words = useDraft(() => `words ${project.doc?.id ?? ''}`);
const selectedId = useSelectionAtRest();
const selected = computed(() => project.doc!.items.find((i) => i.id === selectedId.value) ?? null);
const hasHandle = computed(() => project.doc!.blank.handleWidthMm > 0);
const listSays = computed(() => {
  const { itemId, rows } = project.doc!.names!;
  if (itemId !== null) return rows.length === 1 ? 'One name to make' : `${rows.length} names to make`;
  return `${rows.reduce((sum, row) => sum + row.count, 0)} to make`;
});
/** How many are made where that is all there is to say. */
const alike = computed(() => countAlike(project.doc!.names));
/** The same twice, for either hand. */
function makePair(): void {
  project.edit('Make a pair', (p) => ({ ...p, names: pairForBothHands(p.hand, () => crypto.randomUUID()) }));
  view.showNames = true;
}

/** A row for each, to be told apart. */
function makeDiffer(): void {
  project.edit('Make several that differ', (p) => ({
    ...p,
    names: eachApart(p.names, p.blank.name, () => crypto.randomUUID()),
  }));
  view.showNames = true;
}

/** Whether there is a plate that the design is cut out of. */
const masked = computed(() => project.doc!.items.some((i) => i.acts.shapesOnly));
const settings = useSettings();
const reach = ref<MaskReach>('rim');
const REACHES = computed((): { value: MaskReach; label: string; title: string }[] => {
  const past = `${formatLength(MASK_MARGIN_MM, settings.unit)} past the design`;
  return [
    { value: 'rim', label: 'Rim', title: `Up to the rim edge, where it is aligned; ${past} elsewhere` },
    { value: 'border', label: 'Border', title: `${past} on every side: least film, more to tape off` },
    { value: 'side', label: 'All round', title: 'The whole side but the figures: nothing is left to tape off' },
  ];
});
const incoming = useIncoming();
const films = useFilms();
const library = useLibrary();
const said = ref<string | null>(null);
/** Half the way round, or most of a face: what a drawing is offered at when it is larger. */
const room = computed(() => {
  const { shape } = viewModel;
  if (!shape) return 60;
  const across = shape.template.closed ? shape.template.rimLength / 3 : shape.template.rimLength * 0.7;
  return Math.min(across, shape.size.side * 0.8);
});
/** What the blank takes at most, and once round it at the middle of its side. */
const most = computed(() => {
  const { shape } = viewModel;
  return shape ? { widthMm: shape.template.rimLength, heightMm: shape.size.side } : { widthMm: 60, heightMm: 60 };
});
const onceRound = computed(() => {
  const { shape } = viewModel;
  if (!shape?.template.closed || project.doc!.blank.handleWidthMm > 0) return null;
  return 2 * Math.PI * radiusOnSide(shape, shape.size.side / 2);
});
async function bringIn(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  said.value = null;
  const words = await takeIn(file);
  // What waits to be placed speaks for itself.
  if (!incoming.drawing && !incoming.image && !incoming.font) said.value = words;
}
function placeDrawing(art: ArtItem[], keep: OwnMotif | null): void {
  if (keep) void library.keepMotif(keep);
  project.edit('Place a drawing', (p) => ({ ...p, items: [...p.items, ...art] }));
  incoming.drawing = null;
  view.selectedId = art[0]!.id;
  // The next thing is its editor, from the top.
  document.querySelector('.slip')?.scrollTo({ top: 0 });
}

function place(): void {
  const text = words.value.trim();
  if (!text) return;
  items.addText(text);
  words.value = '';
}
async function placeOwn(motif: OwnMotif): Promise<void> {
  const { id } = project.doc!;
  const { filmIdsFor } = await import('@mivet/core/drawings');
  const colours = motif.colours.map(({ colour }) => colour);
  const matched = filmIdsFor(colours, films.unasked, true);
  // Left meanwhile: there is nothing to place it on.
  if (project.doc?.id !== id) return;
  const width = Math.max(1, Math.min(motif.widthMm, room.value));
  const { name, source, rights } = motif;
  placeDrawing(
    itemsOfDrawing(motif, matched, { name, source, rights }, width, () => crypto.randomUUID()),
    null,
  );
}
async function keepFont(font: OwnFont): Promise<void> {
  const words = selected.value;
  if (!(await library.keepFonts([font]))) return;
  incoming.font = null;
  if (words?.type === 'text')
    items.change('Change the font', (i) => (i.type === 'text' ? { ...i, font: font.id } : i), '', words.id);
  else said.value = `“${font.name}” is in the font list now.`;
}
</script>

<template>
  <TraceIntake
    v-if="incoming.image && viewModel.shape"
    :key="incoming.image.url"
    :incoming="incoming.image"
    @leave="incoming.leaveImage()"
  />
  <FontIntake
    v-else-if="incoming.font"
    :key="incoming.font.id"
    :incoming="incoming.font"
    @keep="keepFont"
    @leave="incoming.font = null"
  />
  <DrawingIntake
    v-else-if="incoming.drawing && viewModel.shape"
    :key="incoming.drawing.id"
    :incoming="incoming.drawing"
    :films="films.offered"
    :unit="settings.unit"
    :room="room"
    :most="most"
    :round="onceRound"
    @place="placeDrawing"
    @leave="incoming.drawing = null"
  />
  <NameSlip
    v-else-if="view.showNames && project.doc!.names"
    :list="project.doc!.names"
    @done="view.showNames = false"
  />
  <SeveralSelected v-else-if="selected && view.also.size > 0" />
  <ItemEditor v-else-if="selected" :key="selected.id" :item="selected" @done="view.selectedId = null" />
  <div v-else>
    <h2>Artwork</h2>
    <p v-if="!viewModel.shape && viewModel.awaited" class="quiet">Working out what is there…</p>
    <p v-else-if="!viewModel.shape" class="quiet">
      Artwork is placed on the measured side.
      <RouterLink :to="{ name: 'project', params: { id: project.doc!.id, stop: 'measure' } }"
        >Take the readings</RouterLink
      >
      first.
    </p>
    <template v-else>
      <form class="mt-3" @submit.prevent="place">
        <label class="quiet" for="new-words">Words or a name</label>
        <div class="d-flex gap-2 mt-1">
          <BFormTextarea
            id="new-words"
            v-model="words"
            :rows="Math.min(5, words.split('\n').length)"
            no-resize
            maxlength="500"
            autocomplete="off"
            aria-describedby="new-words-lines"
            @keydown.enter.exact.prevent="place"
          />
          <BButton variant="primary" class="text-nowrap align-self-start" type="submit" :disabled="!words.trim()">
            Place it
          </BButton>
        </div>
        <p id="new-words-lines" class="quiet small mt-1 mb-0" :class="{ 'visually-hidden': !words.trim() }">
          Shift+Enter begins another line.
        </p>
      </form>
      <label class="btn btn-sm btn-outline-primary mt-3 mb-0" :class="{ disabled: incoming.busy }">
        {{ incoming.busy ? 'Reading it…' : 'Import a drawing, picture or font' }}
        <input
          type="file"
          accept=".svg,.dxf,.png,.jpg,.jpeg,.webp,.ttf,.otf,.woff,.woff2,image/svg+xml,image/png,image/jpeg,image/webp"
          class="visually-hidden"
          @change="bringIn"
        />
      </label>
      <p v-if="said" class="quiet small mt-2 mb-0" role="status">{{ said }}</p>
      <MotifPicker
        :own="library.motifs"
        @motif="items.addMotif($event)"
        @own="placeOwn"
        @forget="library.removeMotif($event.id)"
      />
      <ItemList v-if="project.doc!.items.length > 0" class="mt-4" />
      <HowMany v-if="project.doc!.items.length > 0" class="mt-3" />
      <LastTime :blank="project.doc!.blank" :shelf-id="project.doc!.shelfBlankId" />
      <BButton
        v-if="project.doc!.names && alike === null"
        variant="outline-primary"
        class="mt-3 me-2"
        @click="view.showNames = true"
      >
        {{ listSays }}
      </BButton>
      <BButton
        v-else-if="hasHandle && alike === 1 && project.doc!.items.length > 0"
        variant="outline-primary"
        class="mt-3 me-2"
        title="One for the right hand and one for the left: what faces the drinker and the room changes sides"
        @click="makePair"
      >
        Make a pair, right and left
      </BButton>
      <BButton
        v-if="alike !== null && project.doc!.items.length > 0"
        variant="outline-primary"
        class="mt-3"
        title="A row for each, with a film, a motif or a blank of its own"
        @click="makeDiffer"
      >
        Make several that differ
      </BButton>
      <template v-if="viewModel.shape.template.closed && project.doc!.items.length > 0 && !masked">
        <h3 class="mt-4 mb-1">Make a mask of it</h3>
        <ChoiceRow
          says="Reaches"
          :value="reach"
          :options="REACHES"
          label="How far the mask reaches"
          @choose="reach = $event"
        />
        <p class="quiet small mb-1 mt-1">For stripping, etching, blasting or paint. What is open?</p>
        <div class="d-flex flex-wrap gap-2">
          <BButton variant="outline-primary" size="sm" @click="items.makeMask('figure', reach)">
            The design itself
          </BButton>
          <BButton variant="outline-primary" size="sm" @click="items.makeMask('ground', reach)">
            The ground round it
          </BButton>
        </div>
      </template>
      <SeamFields v-if="viewModel.shape.template.closed && project.doc!.items.length > 0" />
      <ProcessFields v-if="project.doc!.items.length > 0" />
      <p v-if="project.doc!.items.length === 0" class="quiet mt-4">
        Placed things lie on the blank itself: they keep their distance from the rim and close at the seam. Drag them on
        the flat, or say where they sit.
      </p>
    </template>
  </div>
</template>
