<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { applyCommand, formatLength, formatSize, type AtSeam, type Command } from '@mivet/core';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useViewModel } from '../../stores/view-model.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useView } from '../../stores/view.ts';
import { useZones } from '../../composables/useZones.ts';
import { useItemDrag } from '../../composables/useItemDrag.ts';
import { itemTitle } from '../../composables/item-title.ts';
import FlatPanels from './FlatPanels.vue';
import FlatView from './FlatView.vue';
import SeamWindow from './SeamWindow.vue';
import StageKeys from './StageKeys.vue';

const BlankView = defineAsyncComponent(() => import('./BlankView.vue'));

const props = defineProps<{ dims?: boolean; editable?: boolean; seam?: boolean }>();
const project = useProject();
const viewModel = useViewModel();
const settings = useSettings();
const view = useView();
const zones = useZones();
const drag = useItemDrag();

const box = ref<HTMLElement | null>(null);
const { width } = useElementSize(box);
const stacked = computed(() => width.value > 0 && width.value < 660);
const columns = computed(() =>
  stacked.value ? '1fr' : `${(settings.split * 100).toFixed(2)}fr 1px ${((1 - settings.split) * 100).toFixed(2)}fr`,
);
const blank = computed(() => project.doc!.blank);
const sizes = computed(() => {
  const p = viewModel.shape;
  if (!p) return '';
  const round = (mm: number): string => formatLength(mm, settings.unit);
  // With its dimensions drawn, what they say need not stand beside the title.
  if (props.dims) return p.panels.length > 1 ? `in ${p.panels.length} pieces` : '';
  if (!p.template.closed) return formatSize(p.template.rimLength, p.size.side, settings.unit);
  return `${round(p.template.rimLength)} round the rim, ${round(p.size.side)} down the side`;
});
const showSeamWindow = computed(
  () =>
    props.seam &&
    viewModel.shape !== null &&
    viewModel.shape.template.closed &&
    viewModel.shape.seams.length > 0 &&
    viewModel.shape.pieces.length > 0,
);

/** Whether the sheets that are printed are others than the flat of the whole band. */
const onSheets = computed(
  () => viewModel.shape !== null && (viewModel.shape.panels.length > 1 || !viewModel.shape.asBand),
);
/** Nothing is renamed while it is dragged. */
const names = computed((before?: ReadonlyMap<string, string>) =>
  project.dragging && before ? before : new Map(project.doc!.items.map((item) => [item.id, itemTitle(item)])),
);
function atSeam(itemId: string, copy: number, does: AtSeam['do'] | 'butt'): void {
  project.edit('Deal with a piece at the seam', (p) => {
    const others = p.seam.atSeam.filter((c) => c.itemId !== itemId || c.copy !== copy);
    return { ...p, seam: { ...p.seam, atSeam: does === 'butt' ? others : [...others, { itemId, copy, do: does }] } };
  });
}

function moveOff(command: Command): void {
  project.edit('Move it off the seam', (p) => applyCommand(p, command));
}

/** The copy of a scatter that is changed by itself. */
const ringed = computed(() => {
  const item = viewModel.shape?.items.find(({ itemId }) => itemId === view.selectedId);
  const copy = view.copyIndex === null ? undefined : item?.spots?.[view.copyIndex];
  if (!item || !copy) return null;
  return { ...copy, reachMm: (copy.size * Math.hypot(item.widthMm, item.heightMm)) / 2 };
});
/** What is dragged, with how far it is from where the picture has it. */
const held = computed(() => {
  const { dragged } = view;
  if (!dragged) return null;
  const { azimuth = 0, slant = 0 } = viewModel.shownDrag ?? {};
  return { ...dragged, azimuth: dragged.azimuth - azimuth, slant: dragged.slant - slant };
});
function splitTo(event: PointerEvent): void {
  const area = box.value!.getBoundingClientRect();
  settings.split = Math.min(0.7, Math.max(0.22, (event.clientX - area.left) / area.width));
}
function startSplit(event: PointerEvent): void {
  const grip = event.currentTarget as HTMLElement;
  grip.setPointerCapture(event.pointerId);
  grip.onpointermove = splitTo;
  grip.onpointerup = () => (grip.onpointermove = null);
}
function splitByKey(event: KeyboardEvent): void {
  const by = event.key === 'ArrowLeft' ? -0.03 : event.key === 'ArrowRight' ? 0.03 : 0;
  if (by === 0) return;
  event.stopPropagation();
  settings.split = Math.min(0.7, Math.max(0.22, settings.split + by));
}
</script>

<template>
  <div class="stage" :class="{ 'with-seam': showSeamWindow }">
    <div ref="box" class="twin" :class="{ stacked }" :style="{ gridTemplateColumns: columns }">
      <section class="pane" aria-label="On the blank">
        <h2 class="pane-title dims">On the blank</h2>
        <BlankView
          :blank="blank"
          :view-model="viewModel.shape"
          :films="project.doc!.films"
          :zones="zones"
          :facing="view.facing"
          :selection="view.selection"
          :asked="view.asked"
          :spot="view.spot"
          :highlighted="view.highlighted"
          :trial="view.trial"
          :dim="settings.dim"
          :moving="view.dragged !== null"
          @turn="view.facing = $event"
          @spot="view.spot = $event"
          @select="view.select"
        />
      </section>
      <div
        v-if="!stacked"
        class="grip"
        role="separator"
        aria-orientation="vertical"
        aria-label="Divider between the blank and its flat; double click evens it out"
        tabindex="0"
        :aria-valuenow="Math.round(settings.split * 100)"
        @pointerdown="startSplit"
        @dblclick="settings.split = 0.5"
        @keydown="splitByKey"
      />
      <section class="pane" aria-label="Laid flat">
        <h2 class="pane-title dims">
          Laid flat <span class="sizes">{{ sizes }}</span>
        </h2>
        <FlatPanels
          v-if="dims && viewModel.shape && onSheets"
          :view-model="viewModel.shape"
          :films="project.doc!.films"
          :heat="view.showStrain"
        />
        <FlatView
          v-else-if="viewModel.shape"
          :view-model="viewModel.shape"
          :films="project.doc!.films"
          :zones="zones"
          :unit="settings.unit"
          :selection="view.selection"
          :spot="view.spot"
          :highlighted="view.highlighted"
          :ringed="ringed"
          :trial="view.trial"
          :guides="view.guides"
          :held="held"
          :dims="dims ?? false"
          :editable="editable ?? false"
          @spot="view.spot = $event"
          @select="view.select"
          @drag-start="drag.start"
          @drag-move="drag.move"
          @drag-end="drag.end"
        />
        <p v-else-if="viewModel.awaited" class="nothing quiet" role="status">Working it out…</p>
        <p v-else-if="viewModel.instead" class="nothing quiet">{{ viewModel.instead }}</p>
        <p v-else class="nothing quiet">The flat template appears here once the readings are in.</p>
        <slot name="under-flat" />
      </section>
      <StageKeys class="stage-keys" />
    </div>
    <SeamWindow
      v-if="showSeamWindow"
      :view-model="viewModel.shape!"
      :findings="viewModel.good?.findings ?? []"
      :films="project.doc!.films"
      :unit="settings.unit"
      :lap="project.doc!.seam.lapMm"
      :names="names"
      :choices="project.doc!.seam.atSeam"
      @choose="atSeam"
      @show="view.selectedId = $event"
      @move="moveOff"
    />
  </div>
</template>

<style scoped lang="scss">
.stage {
  display: flex;
  flex-direction: column;
  min-height: 0;
  min-width: 0;
  height: 100%;
}
.twin {
  position: relative;
  display: grid;
  flex: 1;
  min-height: 0;
}
.stage:has(.stacked) {
  height: auto;
}
.pane {
  position: relative;
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.pane-title {
  position: absolute;
  left: 1.1rem;
  top: 0.8rem;
  font-size: 1rem;
  color: var(--ink-2);
  z-index: 1;
  pointer-events: none;
}
.sizes {
  margin-left: 0.5rem;
  font-weight: 500;
}
.grip {
  position: relative;
  background: var(--hairline);
  cursor: col-resize;
  touch-action: none;
}
.grip::after {
  content: '';
  position: absolute;
  inset: 0 -6px;
}
.nothing {
  margin: auto;
  max-width: 18rem;
  text-align: center;
}
.stage-keys {
  position: absolute;
  left: 1.1rem;
  bottom: 0.7rem;
}
// One above the other on a phone: the blank, what is shown on it, and the flat, each with room of its own.
.stacked {
  .pane {
    height: max(15rem, 38vh);
  }
  .pane:last-of-type {
    order: 1;
    border-top: 1px solid var(--hairline);
  }
  .stage-keys {
    position: static;
    padding: 0.5rem 1.1rem 0.7rem;
  }
}
</style>
