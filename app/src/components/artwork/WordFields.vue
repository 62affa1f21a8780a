<script setup lang="ts">
import type { ItemViewModel, TextItem } from '@mivet/core';
import { countAlike, FONT_CHOICES, gapGrowth } from '@mivet/core';
import { computed, ref, useId } from 'vue';
import { takeIn } from '../../composables/take-in.ts';
import { useItems } from '../../composables/useItems.ts';
import { useItemSize } from '../../composables/useItemSize.ts';
import { useIncoming } from '../../stores/incoming.ts';
import { useLibrary } from '../../stores/library.ts';
import { useViewModel } from '../../stores/view-model.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useView } from '../../stores/view.ts';
import ChoiceRow from '../fields/ChoiceRow.vue';
import LengthField from '../fields/LengthField.vue';
import SelectRow from '../fields/SelectRow.vue';
import BoxFields from './BoxFields.vue';
import PairGaps from './PairGaps.vue';
import RingFields from './RingFields.vue';

const props = defineProps<{ item: TextItem; placed: ItemViewModel | null }>();
const project = useProject();
const viewModel = useViewModel();
const settings = useSettings();
const view = useView();
const items = useItems();
const library = useLibrary();
const incoming = useIncoming();
const id = useId();

/** As much as a face or the band has room for, tops outwards. */
const usualRing = computed(() => {
  const { shape } = viewModel;
  const cap = props.placed?.capHeight ?? 10;
  return shape ? Math.max(10, Math.min(shape.template.rimLength, shape.size.side) - 2 * cap - 12) : 40;
});

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
/** The shipped ones, those of the person's own, and the one that it is set in even when that is gone. */
const fonts = computed(() => {
  const known = [
    ...FONT_CHOICES.map((f) => ({ value: f.id as string, label: f.label as string })),
    ...library.fonts.map((f) => ({ value: f.id, label: f.name })),
  ];
  const { item } = props;
  if (known.some((f) => f.value === item.font)) return known;
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

/** Its present size becomes the largest, its present width the place of all names. */
async function makeForNames(): Promise<void> {
  const { id: itemId } = props.item;
  // A size that was typed a moment ago is its size.
  if (project.doc!.names?.itemId !== itemId)
    await viewModel.whenShown(({ items }) => {
      const placed = items.find((i) => i.itemId === itemId);
      const item = project.doc!.items.find((i) => i.id === itemId);
      if (!placed || item?.type !== 'text') return;
      const cap = placed.capHeight ?? 10;
      const { size } = item;
      project.edit('Make it for a list of names', (p) => ({
        ...p,
        items: p.items.map((i) => (i.id === itemId && i.type === 'text' ? { ...i, size: { by: 'cap', mm: cap } } : i)),
        names: {
          itemId,
          widthMm: size.by === 'box' ? size.mm : Math.max(5, Math.ceil(placed.widthMm)),
          ...(size.by === 'box' ? { heightMm: size.highMm } : {}),
          leastCapMm: Math.max(2, Math.round(cap / 2)),
          closeMm: 1,
          // So many alike are no names.
          rows: countAlike(p.names) === null ? p.names!.rows : [],
        },
      }));
    });
  if (project.doc?.names?.itemId === itemId) view.showNames = true;
}

const text = (change: Partial<TextItem>, label: string, kind = ''): void =>
  items.change(label, (i) => ({ ...(i as TextItem), ...change }), kind);
/** How much its gaps have grown from what is noted; one that keeps them in millimetres takes up their share when they are changed. */
const growth = computed(() => gapGrowth(props.item, props.placed?.capHeight ?? props.item.size.mm));
const gapsHeld = computed((): Partial<TextItem> =>
  props.item.gapsAtMm === null && props.placed?.capHeight ? { gapsAtMm: props.placed.capHeight } : {},
);
/** Whether words run up the side, or at a slant: what is along their line is not across the blank. */
const turned = computed(() => props.item.placement.turnDeg % 180 !== 0);
const { setWidth, setHeight } = useItemSize(() => props.item);
/** Letters that the field shows in a line, about. */
const LINE = 30;
/** As many rows as there are lines, a long one for two: what the field measured by itself was the longest task of each letter. */
const rows = computed(() => {
  const lines = props.item.text.split('\n').reduce((sum, line) => sum + Math.ceil(Math.max(1, line.length) / LINE), 0);
  return Math.min(6, Math.max(2, lines));
});
</script>

<template>
  <div>
    <label class="quiet" :for="`${id}-w`">Words</label>
    <BFormTextarea
      :id="`${id}-w`"
      class="mb-2"
      :rows="rows"
      maxlength="500"
      :model-value="item.text"
      @update:model-value="text({ text: String($event ?? '') }, 'Change the words', 'words')"
    />
    <SelectRow label="Font" :value="item.font" :options="fonts" @change="text({ font: $event }, 'Change the font')" />
    <label class="btn btn-sm btn-link p-0" :class="{ disabled: incoming.busy }">
      {{ incoming.busy ? 'Reading it…' : 'Import a font' }}
      <input type="file" accept=".ttf,.otf,.woff,.woff2" class="visually-hidden" @change="bringFont" />
    </label>
    <p v-if="fontSaid" class="quiet small mb-1" role="status">{{ fontSaid }}</p>
    <BoxFields v-if="!item.ring" :item="item" :placed="placed" @change="text({ size: $event }, 'Fit into a box')" />
    <LengthField
      v-if="item.size.by !== 'box'"
      label="Capital height"
      :mm="placed?.capHeight ?? item.size.mm"
      :unit="settings.unit"
      :least="1"
      :most="400"
      @change="setHeight"
    />
    <LengthField
      v-if="!item.ring && item.size.by !== 'box'"
      :label="turned ? 'Length' : 'Width'"
      :mm="placed?.own.alongMm ?? item.size.mm"
      :unit="settings.unit"
      :least="0.5"
      :most="20000"
      hint="Of a paper strip laid where the words go, say"
      @change="setWidth"
    />
    <LengthField
      label="Letter spacing"
      :mm="item.letterGapMm * growth"
      :unit="settings.unit"
      :least="-20"
      :most="60"
      hint="Negative values tighten"
      @change="text({ letterGapMm: $event / growth, ...gapsHeld }, 'Change the letter spacing')"
    />
    <template v-if="!item.ring">
      <PairGaps
        v-if="item.text.length > 1 && item.text.length <= 60"
        :item="item"
        :unit="settings.unit"
        :growth="growth"
        :cap="placed?.capHeight ?? item.size.mm"
        @letters="text({ letters: $event }, 'Set a letter by itself', 'letter')"
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
          label="Line spacing"
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
        says="Direction"
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
  </div>
</template>
