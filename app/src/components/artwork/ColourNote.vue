<script setup lang="ts">
import type { ArtItem } from '@mivet/core';
import { colourWord, drawingOfItems, FORMAT_VERSION, matesOf } from '@mivet/core';
import { computed } from 'vue';
import { useLibrary } from '../../stores/library.ts';
import { useProject } from '../../stores/project.ts';
import FilmSwatch from '../films/FilmSwatch.vue';
import { useView } from '../../stores/view.ts';

const props = defineProps<{ item: ArtItem }>();
const project = useProject();
const library = useLibrary();
const view = useView();

const mates = computed(() => matesOf(project.doc!.items, props.item));
function leaveOff(): void {
  const { id: gone } = props.item;
  const next = mates.value[0]!.id;
  project.edit('Leave out a colour', (p) => ({ ...p, items: p.items.filter((i) => i.id !== gone) }));
  view.selectedId = next;
}
/** The drawing that the item is a colour of, kept as it was drawn. */
async function keepAsMotif(): Promise<void> {
  const { item } = props;
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
const isKept = computed(() => library.motifs.some((m) => m.colours.some((c) => c.pathData === props.item.pathData)));
</script>

<template>
  <div>
    <p class="quiet small mb-1">
      <FilmSwatch :colour="item.colour" class="chip" /> In the drawing {{ colourWord(item.colour)
      }}<template v-if="mates.length > 0">, one of {{ mates.length + 1 }} colours; they move and grow together</template
      >.
      <template v-if="item.source">From: {{ item.source }}.</template>
      <template v-if="item.rights === 'unsure'"> Ask whether you may use it.</template>
    </p>
    <BButton v-if="!isKept" size="sm" variant="link" class="p-0 mb-2 me-3" @click="keepAsMotif">
      Add to my motifs
    </BButton>
    <BButton v-if="mates.length > 0" size="sm" variant="outline-primary" class="mb-2" @click="leaveOff">
      Leave out this colour
    </BButton>
  </div>
</template>

<style scoped>
.chip {
  display: inline-block;
  width: 0.8rem;
  height: 0.8rem;
  vertical-align: -1px;
}
</style>
