<script setup lang="ts">
import {
  drawingOfItems,
  FONT_CHOICES,
  FORMAT_VERSION,
  formatLength,
  gapGrowth,
  keepTogether,
  letGo,
  matesOf,
  type ArtItem,
  type ArtworkItem,
  type MotifItem,
  type Running,
  type TextItem,
} from '@mivet/core';
import { computed, ref, useId } from 'vue';
import { takeIn } from '../../composables/useDroppedFile.ts';
import { useItems } from '../../composables/useItems.ts';
import { useIncoming } from '../../stores/incoming.ts';
import { useLibrary } from '../../stores/library.ts';
import { usePicture } from '../../stores/picture.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useView } from '../../stores/view.ts';
import ChoiceRow from '../fields/ChoiceRow.vue';
import LengthField from '../fields/LengthField.vue';
import FilmChoice from './FilmChoice.vue';
import PairGaps from './PairGaps.vue';
import PlacementFields from './PlacementFields.vue';
import RingFields from './RingFields.vue';
import { itemTitle } from '../../composables/item-title.ts';
import ShapeFields from './ShapeFields.vue';
import RoundFields from './RoundFields.vue';
import { vHeld } from '../fields/held.ts';
import SelectRow from '../fields/SelectRow.vue';

const props = defineProps<{ item: ArtworkItem }>();
const emit = defineEmits<{ done: [] }>();
const project = useProject();
const picture = usePicture();
const settings = useSettings();
const items = useItems();
const view = useView();
const id = useId();

const placed = computed(() => picture.shape?.items.find((i) => i.itemId === props.item.id) ?? null);
const pieces = computed(() => picture.shape?.pieces.filter((p) => p.itemIds.includes(props.item.id)) ?? []);
const title = computed(() => itemTitle(props.item));
const findings = computed(() => picture.open.filter((f) => f.finding.itemIds.includes(props.item.id)).length);
/** Whether there is a way round it to run along. */
const round = computed(() => picture.shape?.template.closed ?? true);
/** As much as a face or the band has room for, tops outwards. */
const usualRing = computed(() => {
  const { shape } = picture;
  const cap = placed.value?.capHeight ?? 10;
  return shape ? Math.max(10, Math.min(shape.template.rimLength, shape.size.side) - 2 * cap - 12) : 40;
});
const mates = computed(() => matesOf(project.doc!.items, props.item));
function leaveOff(): void {
  const { id: gone } = props.item;
  const next = mates.value[0]!.id;
  project.edit('Leave a colour off', (p) => ({ ...p, items: p.items.filter((i) => i.id !== gone) }));
  view.selectedId = next;
}
const joined = computed(() => props.item.repeat.mode === 'joined');

const RUNNING: { value: Running; label: string; title: string }[] = [
  { value: 'round', label: 'Round', title: 'Follows the rim and closes at the seam; widths shrink with the girth' },
  { value: 'level', label: 'Level', title: 'Follows the rim; letters keep their size' },
  { value: 'rigid', label: 'Rigid', title: 'Laid down unbent, for small decals' },
];
const ALIGN: { value: TextItem['align']; label: string }[] = [
  { value: 'left', label: 'Left' },
  { value: 'middle', label: 'Middle' },
  { value: 'right', label: 'Right' },
];
const READS = [
  { value: 'along', label: 'Along the rim' },
  { value: 'up', label: 'Up the side' },
];
function readsAs(way: string): void {
  items.change('Turn the words', (i) => ({
    ...i,
    running: way === 'up' ? 'rigid' : 'level',
    placement: { ...i.placement, turnDeg: way === 'up' ? 90 : 0 },
  }));
}
const library = useLibrary();
const incoming = useIncoming();
/** The shipped ones, those of the person's own, and the one that it is set in even when that is gone. */
const fonts = computed(() => {
  const known = [
    ...FONT_CHOICES.map((f) => ({ value: f.id as string, label: f.label as string })),
    ...library.fonts.map((f) => ({ value: f.id, label: f.name })),
  ];
  const { item } = props;
  if (item.type !== 'text' || known.some((f) => f.value === item.font)) return known;
  return [...known, { value: item.font, label: 'A font that is not here' }];
});
const fontSaid = ref<string | null>(null);
async function bringFont(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  fontSaid.value = null;
  const said = await takeIn(file);
  if (!incoming.font) fontSaid.value = said;
}
/** The drawing that the item is a colour of, kept as it was drawn. */
async function keepAsMotif(): Promise<void> {
  const { item } = props;
  if (item.type !== 'art') return;
  await library.keepMotif({
    format: 'mivet-motif',
    version: FORMAT_VERSION,
    id: crypto.randomUUID(),
    name: item.name,
    source: item.source,
    rights: item.rights,
    ...drawingOfItems([item, ...mates.value]),
    keptAt: new Date().toISOString(),
  });
}
const isKept = computed(
  () =>
    props.item.type === 'art' &&
    library.motifs.some((m) => m.colours.some((c) => props.item.type === 'art' && c.pathData === props.item.pathData)),
);
const runningSays = computed(() => {
  if (props.item.running === 'round') return 'Follows the rim and closes at the seam.';
  if (props.item.running === 'level') return 'Follows the rim; letters keep their size.';
  const sag = placed.value?.rigidSag ?? 0;
  return sag > 0.3
    ? `Unbent: its ends leave the level by ${formatLength(sag, settings.unit)}.`
    : 'Unbent, as it was drawn.';
});

/** Its present size becomes the largest, its present width the place of all names. */
function makeForNames(): void {
  const good = placed.value;
  if (project.doc!.names?.itemId !== props.item.id && good) {
    const cap = good.capHeight ?? 10;
    project.edit('Make it for a list of names', (p) => ({
      ...p,
      items: p.items.map((i) =>
        i.id === props.item.id && i.type === 'text' ? { ...i, size: { by: 'cap', mm: cap } } : i,
      ),
      names: {
        itemId: props.item.id,
        widthMm: Math.max(5, Math.ceil(good.widthMm)),
        leastCapMm: Math.max(2, Math.round(cap / 2)),
        closeMm: 1,
        rows: p.names?.rows ?? [],
      },
    }));
  }
  view.showNames = true;
}
function keepWith(other: string | null): void {
  const { id: own } = props.item;
  project.edit(other ? 'Keep together' : 'Let go', (p) => ({
    ...p,
    items: other ? keepTogether(p.items, own, other) : letGo(p.items, own),
  }));
}
function setSpares(event: Event): void {
  const input = event.target as HTMLInputElement;
  const spares = Math.round(Number(input.value));
  if (input.value !== '' && spares >= 0 && spares <= 50) items.change('Change the spares', (i) => ({ ...i, spares }));
  else input.value = String(props.item.spares);
}
const text = (change: Partial<TextItem>, label: string, kind = ''): void =>
  items.change(label, (i) => ({ ...(i as TextItem), ...change }), kind);
const motif = (change: Partial<Pick<MotifItem, 'widthMm' | 'heightMm'>>, label: string): void =>
  items.change(label, (i) => (i.type === 'text' ? i : { ...i, ...change }));
/** How much its gaps have grown from what is noted; one that keeps them in millimetres takes up their share when they are changed. */
const growth = computed(() =>
  props.item.type === 'text' ? gapGrowth(props.item, placed.value?.capHeight ?? props.item.size.mm) : 1,
);
const gapsHeld = computed((): Partial<TextItem> =>
  props.item.type === 'text' && props.item.gapsAtMm === null && placed.value?.capHeight
    ? { gapsAtMm: placed.value.capHeight }
    : {},
);
/** Whether words run up the side, or at a slant: what is along their line is not across the blank. */
const turned = computed(() => props.item.placement.turnDeg % 180 !== 0);
function setWidth(mm: number): void {
  const { item } = props;
  if (item.type === 'text') text({ size: { by: 'width', mm } }, 'Change the width');
  else void grow('width', mm);
}
function setHeight(mm: number): void {
  if (props.item.type === 'text') text({ size: { by: 'cap', mm } }, 'Change the height');
  else if (joined.value) motif({ heightMm: mm }, 'Change the height');
  else void grow('height', mm);
}
/**
 * Makes it so wide or so high and keeps its shape. It is reckoned from the size that it has then, not from a picture that
 * a change made a moment ago has outrun.
 */
function grow(which: 'width' | 'height', mm: number): Promise<void> {
  const grown = props.item.id;
  return picture.whenShown((shape) => {
    const cut = shape.items.find((i) => i.itemId === grown)?.cutMm;
    items.change(
      `Change the ${which}`,
      (i) => {
        if (i.type === 'text') return i;
        // Where nothing is left of it to measure its own size counts.
        const now = cut?.[which] ?? (which === 'width' ? i.widthMm : i.heightMm);
        return now === null || !(now > 0) ? i : resized(i, mm / now);
      },
      '',
      grown,
    );
  });
}
const resized = <I extends MotifItem | ArtItem>(item: I, by: number): I => ({
  ...item,
  widthMm: item.widthMm * by,
  heightMm: item.heightMm === null ? null : item.heightMm * by,
});
</script>

<template>
  <div>
    <div class="d-flex align-items-start justify-content-between gap-2">
      <h2 class="title">{{ title }}</h2>
      <button type="button" class="btn btn-link" @click="emit('done')">Done</button>
    </div>
    <p class="quiet mb-2">
      <template v-if="placed"
        >{{ pieces.length }} {{ pieces.length === 1 ? 'piece' : 'pieces' }},
        {{ formatLength(placed.cutMm?.width ?? 0, settings.unit) }} ×
        {{ formatLength(placed.cutMm?.height ?? 0, settings.unit) }}</template
      >
      <RouterLink
        v-if="findings > 0"
        class="ms-2"
        :to="{ name: 'project', params: { id: project.doc!.id, stop: 'proof' } }"
        >{{ findings }} to look at</RouterLink
      >
    </p>
    <template v-if="item.type === 'text'">
      <label class="quiet" :for="`${id}-w`">Words</label>
      <textarea
        :id="`${id}-w`"
        class="form-control mb-2"
        :rows="Math.min(4, item.text.split('\n').length)"
        maxlength="500"
        :value="item.text"
        @input="text({ text: ($event.target as HTMLTextAreaElement).value }, 'Change the words', 'words')"
      />
      <SelectRow
        label="Letters"
        :value="item.font"
        :options="fonts"
        @change="text({ font: $event }, 'Change the letters')"
      />
      <label class="btn btn-sm btn-link p-0" :class="{ disabled: incoming.busy }">
        {{ incoming.busy ? 'Reading it…' : 'Bring in a font of your own' }}
        <input type="file" accept=".ttf,.otf,.woff,.woff2" class="visually-hidden" @change="bringFont" />
      </label>
      <p v-if="fontSaid" class="quiet small mb-1" role="status">{{ fontSaid }}</p>
      <LengthField
        label="Capitals are high"
        :mm="placed?.capHeight ?? item.size.mm"
        :unit="settings.unit"
        :least="1"
        :most="400"
        @change="setHeight"
      />
      <LengthField
        v-if="!item.ring"
        :label="turned ? 'Length' : 'Width'"
        :mm="placed?.own.alongMm ?? item.size.mm"
        :unit="settings.unit"
        :least="0.5"
        :most="20000"
        @change="setWidth"
      />
      <LengthField
        label="Letter spacing"
        :mm="item.letterGapMm * growth"
        :unit="settings.unit"
        :least="-20"
        :most="60"
        hint="Below nothing closes them up"
        @change="text({ letterGapMm: $event / growth, ...gapsHeld }, 'Change the letter spacing')"
      />
      <template v-if="!item.ring">
        <PairGaps
          v-if="item.text.length > 1 && item.text.length <= 60"
          :item="item"
          :unit="settings.unit"
          :growth="growth"
          @change="text({ pairGaps: $event, ...gapsHeld }, 'Move a letter', 'pair')"
        />
        <template v-if="item.text.includes('\n')">
          <ChoiceRow
            says="Lines"
            :value="item.align"
            :options="ALIGN"
            label="How lines lie to each other"
            @choose="text({ align: $event }, 'Align the lines')"
          />
          <LengthField
            label="Line to line"
            :mm="item.linePitch * (placed?.capHeight ?? 10)"
            :unit="settings.unit"
            :least="1"
            :most="400"
            @change="
              text(
                { linePitch: Math.min(6, Math.max(0.5, $event / (placed?.capHeight ?? 10))) },
                'Change the line spacing',
              )
            "
          />
        </template>
        <ChoiceRow
          says="Reads"
          :value="item.placement.turnDeg === 90 ? 'up' : 'along'"
          :options="READS"
          label="Which way it reads"
          @choose="readsAs"
        />
      </template>
      <BButton size="sm" variant="outline-primary" class="my-2" @click="makeForNames">
        {{ project.doc!.names?.itemId === item.id ? 'The list of names' : 'Make it for a list of names' }}
      </BButton>
      <RingFields
        :item="item"
        :unit="settings.unit"
        :usual="usualRing"
        :room="placed?.ringRoom ?? null"
        @change="(ring, label) => text({ ring, ...(ring ? { running: 'rigid' } : {}) }, label)"
      />
    </template>
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
    <template v-if="item.type === 'art'">
      <p class="quiet small mb-1">
        <span class="chip" :style="{ background: item.colour }" /> One of
        {{ mates.length + 1 === 1 ? 'one colour' : `${mates.length + 1} colours` }}; they move and grow together.
        <template v-if="item.source">From: {{ item.source }}.</template>
        <template v-if="item.rights === 'unsure'"> Ask whether you may use it.</template>
      </p>
      <button v-if="!isKept" type="button" class="btn btn-sm btn-link p-0 mb-2" @click="keepAsMotif">
        Keep it among my motifs
      </button>
      <button v-if="mates.length > 0" type="button" class="btn btn-sm btn-outline-primary mb-2" @click="leaveOff">
        Leave this colour off
      </button>
    </template>
    <FilmChoice
      :films="project.doc!.films"
      :value="item.film"
      @choose="items.change('Change the film', (i) => ({ ...i, film: $event }))"
    />
    <ChoiceRow
      v-if="!joined && round"
      says="Runs"
      :value="item.running"
      :options="RUNNING"
      label="How it runs"
      @choose="items.change('Change how it runs', (i) => ({ ...i, running: $event }))"
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
      :picture="picture.shape"
      :unit="settings.unit"
      :films="project.doc!.films"
    />
    <ShapeFields
      :item="item"
      :items="project.doc!.items"
      :unit="settings.unit"
      @acts="(label, part) => items.change(label, (i) => ({ ...i, acts: { ...i.acts, ...part } }))"
      @change="(label, part) => items.change(label, (i) => ({ ...i, ...part }) as ArtworkItem)"
      @together="keepWith"
    />
    <div class="row-line mt-2">
      <label :for="`${id}-s`">Spares cut beside the wrap</label>
      <input
        :id="`${id}-s`"
        v-held="item.spares"
        type="number"
        min="0"
        max="50"
        class="form-control form-control-sm dims number-field"
        @change="setSpares"
      />
    </div>
    <div class="d-flex flex-wrap gap-3 mt-3">
      <button type="button" class="btn btn-link" @click="items.duplicate()">Make a second one</button>
      <button type="button" class="btn btn-link text-brick" @click="items.removeSelected()">Take away</button>
    </div>
  </div>
</template>

<style scoped>
.chip {
  display: inline-block;
  width: 0.8rem;
  height: 0.8rem;
  border: 1px solid var(--hairline);
  vertical-align: -1px;
}
.title {
  overflow: hidden;
  text-overflow: ellipsis;
}
.text-brick {
  color: var(--brick);
}
</style>
