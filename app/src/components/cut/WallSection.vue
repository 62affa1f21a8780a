<script setup lang="ts">
import { filmOfLayer, formatThickness, layerName, type Film, type StackReport } from '@mivet/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import { useSettings } from '../../stores/settings.ts';

/**
 * The film stack as a section through the wall of the blank, where it is deepest: the wall below, films above in their
 * order, each as wide as it is there. A film is dragged up or down to change the order.
 */
const props = defineProps<{ stack: StackReport; films: readonly Film[]; surface: string }>();
const emit = defineEmits<{ move: [layer: string, to: number] }>();
const settings = useSettings();
const thickness = (id: string): string => formatThickness(named(id)?.thicknessMm ?? NaN, settings.unit);
/** Steps of the drawing that a mm of film takes: an exaggeration that is stated beside the picture. */
const WALL = 26;
const LINE = 19;
const EXAGGERATION = 260;
/** px beside the wall for the names of the films. */
const NAMES = 200;
const drawing = useTemplateRef<SVGSVGElement>('drawing');
const { width } = useElementSize(drawing);
/** Half the wall, as wide as there is room: names are as large as all other words, on a phone too. */
const half = computed(() => (width.value > 0 ? Math.min(250, Math.max(60, (width.value - NAMES - 20) / 2)) : 250));
const named = (layer: string): Film | undefined => props.films.find((f) => f.id === filmOfLayer(layer));
const ids = computed(() => props.stack.layers.map(({ layer }) => layer));
const called = (layer: string): string => layerName(layer, ids.value, (id) => named(id)?.name ?? id);
/** mm across the section, and how they lie in the drawing. */
const reach = computed(() => {
  const ends = props.stack.section.flatMap(({ spans }) => spans.flat());
  return ends.length > 0 ? { from: Math.min(...ends), to: Math.max(...ends) } : { from: 0, to: 1 };
});
const at = (x: number): number =>
  (half.value - 10) * ((2 * (x - reach.value.from)) / (reach.value.to - reach.value.from) - 1);
/** Each film as bars that lie on whatever is below them there. */
const bars = computed(() => {
  const out: { layer: string; x: number; width: number; y: number; height: number }[] = [];
  const below: { from: number; to: number; top: number }[] = [];
  for (const { layer, thicknessMm, spans } of props.stack.section) {
    const fresh: typeof below = [];
    for (const [from, to] of spans) {
      const cuts = [from, to, ...below.flatMap((b) => [b.from, b.to])].filter((x) => x >= from && x <= to);
      const edges = [...new Set(cuts)].sort((a, b) => a - b);
      for (let i = 0; i + 1 < edges.length; i++) {
        const middle = (edges[i]! + edges[i + 1]!) / 2;
        const top = below.reduce((most, b) => (b.from <= middle && b.to >= middle ? Math.max(most, b.top) : most), 0);
        const height = Math.max(4, thicknessMm * EXAGGERATION);
        out.push({ layer, x: at(edges[i]!), width: at(edges[i + 1]!) - at(edges[i]!), y: -(top + height), height });
        fresh.push({ from: edges[i]!, to: edges[i + 1]!, top: top + height });
      }
    }
    below.push(...fresh);
  }
  return out;
});
const labels = computed(() =>
  props.stack.layers.map((layer, i) => {
    const own = bars.value.filter((bar) => bar.layer === layer.layer);
    const from = own.length > 0 ? Math.min(...own.map((bar) => bar.y + bar.height / 2)) : 0;
    return { layer, from, to: Math.min(from, -LINE * (i + 0.5)) };
  }),
);
const top = computed(() =>
  Math.min(
    -LINE * props.stack.layers.length,
    ...bars.value.map((bar) => bar.y),
    ...labels.value.map((l) => l.to - LINE / 2),
  ),
);
const deepestX = computed(() => (props.stack.deepest ? at(props.stack.deepest.x) : null));
const says = computed(() => {
  const { deepest } = props.stack;
  if (!deepest) return '';
  const names = deepest.layers.map(called).join(', ');
  const films = deepest.layers.length === 1 ? 'one film' : `${deepest.layers.length} films on each other`;
  return `Deepest: ${films}, ${formatThickness(deepest.thicknessMm, settings.unit)} (${names})`;
});

const dragged = ref<string | null>(null);
function grab(event: PointerEvent, layer: string): void {
  if (props.stack.layers.length < 2) return;
  const target = event.currentTarget as SVGElement;
  target.setPointerCapture(event.pointerId);
  dragged.value = layer;
  const y0 = event.clientY;
  const over = new AbortController();
  const leave = (): void => {
    over.abort();
    dragged.value = null;
  };
  const drop = ({ clientY }: PointerEvent): void => {
    leave();
    const scale = (target as SVGGraphicsElement).getScreenCTM()!.d;
    const steps = Math.round((y0 - clientY) / scale / LINE);
    const index = ids.value.indexOf(layer);
    const to = Math.max(0, Math.min(props.stack.layers.length - 1, index + steps));
    if (to !== index) emit('move', layer, to);
  };
  target.addEventListener('pointerup', drop, over);
  target.addEventListener('pointercancel', leave, over);
}
function press(event: KeyboardEvent, layer: string, index: number): void {
  const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
  const to = index + by;
  if (by === 0 || to < 0 || to >= props.stack.layers.length) return;
  event.preventDefault();
  event.stopPropagation();
  emit('move', layer, to);
}
</script>

<template>
  <section class="wall" aria-label="Film stack, section through the wall">
    <div>
      <h2 class="dims">Film stack, section through the wall</h2>
      <p class="quiet small mb-1">
        Cut round where most films are met, the blank at the bottom. Thickness drawn some 200 times too large.
        <template v-if="stack.layers.length > 1">Drag a name up or down to change the order.</template>
      </p>
      <p class="small mb-0">{{ says }}</p>
    </div>
    <svg
      ref="drawing"
      :viewBox="`${-half - 10} ${top - 8} ${2 * half + 20 + NAMES} ${WALL - top + 14}`"
      preserveAspectRatio="xMidYMid meet"
      role="group"
      :aria-label="`Section through the wall with the films on it. ${says}`"
    >
      <rect :x="-half" y="0" :width="2 * half" :height="WALL" class="blank" />
      <text :x="half + 16" :y="WALL / 2 + 5" class="dims word" font-size="15">{{ surface }}</text>
      <rect
        v-for="(b, i) in bars"
        :key="i"
        :x="b.x"
        :y="b.y"
        :width="b.width"
        :height="b.height"
        :fill="named(b.layer)?.colour"
        class="layer"
      />
      <path v-if="deepestX !== null" :d="`M${deepestX} ${top - 4}V0`" class="deepest" />
      <g v-for="(l, i) in labels" :key="`l-${l.layer.layer}`">
        <path :d="`M${half - 6} ${l.from}L${half + 12} ${l.to}`" class="lead" />
        <rect :x="half + 16" :y="l.to - 8" width="10" height="16" :fill="named(l.layer.layer)?.colour" class="layer" />
        <text
          :x="half + 32"
          :y="l.to + 5"
          class="dims word name"
          :class="{ held: dragged === l.layer.layer, movable: stack.layers.length > 1 }"
          font-size="15"
          :tabindex="stack.layers.length > 1 ? 0 : undefined"
          :role="stack.layers.length > 1 ? 'button' : undefined"
          :aria-label="`${called(l.layer.layer)}, layer ${i + 1} from the blank; arrows move it`"
          @pointerdown="grab($event, l.layer.layer)"
          @keydown="press($event, l.layer.layer, i)"
        >
          {{ called(l.layer.layer) }} {{ thickness(l.layer.layer) }}
        </text>
      </g>
    </svg>
  </section>
</template>

<style scoped>
.wall {
  flex: 0 0 auto;
  height: clamp(190px, 34vh, 280px);
  display: grid;
  grid-template-columns: minmax(14rem, 17rem) 1fr;
  gap: 1rem;
  padding: 0.8rem 1.1rem;
  margin-top: 0.6rem;
  background: var(--paper-deep);
  border-block: 1px solid var(--hairline);
}
h2 {
  font-size: 1rem;
  color: var(--ink-2);
  margin-bottom: 0.4rem;
}
svg {
  width: 100%;
  height: 100%;
  min-height: 0;
}
.blank {
  fill: color-mix(in srgb, var(--ink-2) 45%, var(--paper));
}
.layer {
  stroke: color-mix(in srgb, var(--ink) 25%, transparent);
  stroke-width: 0.5;
}
.lead {
  stroke: var(--ink-2);
  stroke-width: 0.8;
}
.deepest {
  stroke: var(--ink);
  stroke-width: 1;
  stroke-dasharray: 3 3;
}
.word {
  fill: var(--ink);
}
.movable {
  cursor: ns-resize;
  touch-action: none;
}
.name:focus-visible {
  outline: 2px solid var(--teal);
}
.held {
  fill: var(--teal);
  font-weight: 700;
}
@container (max-width: 620px) {
  .wall {
    grid-template-columns: 1fr;
    height: auto;
  }
  svg {
    height: 180px;
  }
}
</style>
