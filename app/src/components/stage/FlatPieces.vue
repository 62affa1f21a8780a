<script setup lang="ts">
import { useFilmColours } from '../../composables/useFilmColours.ts';
import type { Film, PieceViewModel } from '@mivet/core';
import { computed } from 'vue';

/** The pieces of film on the flat, apart from the rest: nothing else that moves makes them be drawn again. */
const props = defineProps<{
  pieces: readonly PieceViewModel[];
  films: readonly Film[];
  selection: ReadonlySet<string>;
  editable: boolean;
  /** Whether what is selected is being dragged: it is held already. */
  dragging: boolean;
}>();
const emit = defineEmits<{ press: [event: PointerEvent, itemId: string | null] }>();
const colours = useFilmColours(() => props.films);
const isSelected = (piece: PieceViewModel): boolean => piece.itemIds.some((id) => props.selection.has(id));
/** All that a piece encloses, counters and gaps too: a drag may begin in any of it. Below every piece, so that what lies in a gap comes first. */
const enclosed = computed(() =>
  props.editable && !props.dragging
    ? props.pieces.flatMap((piece) => {
        const rings = piece.data.split(/(?=M)/);
        return rings.length > 1
          ? rings.map((data, i) => ({ key: `${piece.id}-${i}`, data, item: piece.itemIds[0] }))
          : [];
      })
    : [],
);
</script>

<template>
  <path
    v-for="e in enclosed"
    :key="e.key"
    :d="e.data"
    :data-item="e.item"
    class="enclosed"
    @pointerdown="emit('press', $event, e.item ?? null)"
  />
  <g
    v-for="piece in pieces"
    :key="piece.id"
    :data-item="piece.itemIds[0]"
    :class="{ editable }"
    @pointerdown="emit('press', $event, piece.itemIds[0] ?? null)"
  >
    <path v-if="editable && !(dragging && isSelected(piece))" :d="piece.data" class="grab" />
    <path v-if="isSelected(piece)" :d="piece.data" class="halo" />
    <path
      :d="piece.data"
      v-bind="colours.of(piece.film)"
      fill-rule="evenodd"
      class="piece"
      :class="{ selected: isSelected(piece) }"
    />
  </g>
</template>

<style scoped>
path {
  vector-effect: non-scaling-stroke;
}
.editable {
  cursor: move;
}
.piece.selected {
  stroke: #0c6764;
  stroke-width: 2.8;
}
/* A finger's width round each piece, so that thin strokes can be taken hold of. */
.grab {
  fill: none;
  stroke: transparent;
  stroke-width: 14;
  pointer-events: stroke;
}
.enclosed {
  fill: transparent;
  cursor: move;
}
.halo {
  fill: none;
  stroke: #fffdf6;
  stroke-width: 7;
}
</style>
