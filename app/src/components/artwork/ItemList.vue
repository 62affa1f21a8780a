<script setup lang="ts">
import { colourWord, isByItself, type ArtworkItem, type PieceViewModel } from '@mivet/core';
import { computed } from 'vue';
import { useItems } from '../../composables/useItems.ts';
import { useProject } from '../../stores/project.ts';
import { useViewModel } from '../../stores/view-model.ts';
import { useView } from '../../stores/view.ts';
import { itemTitle } from '../../composables/item-title.ts';
import ItemThumbnail from './ItemThumbnail.vue';

/** The film stack as a list: what is listed first lies next to the blank. */
const project = useProject();
const view = useView();
const items = useItems();
const films = computed(() => new Map(project.doc!.films.map((f) => [f.id, f])));
const viewModel = useViewModel();
/** Of copies one stands for all. */
function piecesOf({ id, repeat }: ArtworkItem): readonly PieceViewModel[] {
  const own = viewModel.shape?.pieces.filter((p) => !p.spare && p.itemIds.includes(id)) ?? [];
  return repeat.mode === 'once' ? own : own.slice(0, 1);
}
const listed = computed(() => [...project.doc!.items].reverse());

function nameOf(item: ArtworkItem): string {
  return item.type === 'art' ? `${item.name}, ${colourWord(item.colour)}` : itemTitle(item);
}
/** As many as found room; as many as are wanted while that is not known. */
const scatteredOf = ({ id, repeat }: ArtworkItem): number =>
  viewModel.shape?.items.find(({ itemId }) => itemId === id)?.copies.length ?? repeat.count;
function howOften(item: ArtworkItem): string {
  const alone = isByItself(item) ? ', by itself' : '';
  if (item.acts.shapesOnly) return ', cutter only';
  if (item.repeat.mode === 'once') return alone;
  if (item.repeat.mode === 'scattered') return `, ${scatteredOf(item)} scattered${alone}`;
  if (item.repeat.mode === 'joined' && item.repeat.count === 1) return ', all round';
  return item.repeat.mode === 'joined' ? `, ${item.repeat.count} joined` : `, ${item.repeat.count} times${alone}`;
}
</script>

<template>
  <div>
    <h3>Film stack, topmost first</h3>
    <ul>
      <li v-for="item in listed" :key="item.id">
        <BButton
          variant="bare"
          class="pick"
          @click="view.select(item.id, $event.shiftKey || $event.ctrlKey || $event.metaKey)"
        >
          <ItemThumbnail :pieces="piecesOf(item)" :film="films.get(item.film)" :films="project.doc!.films" />
          <span class="name"
            >{{ nameOf(item) }}<span class="quiet">{{ howOften(item) }}</span></span
          >
        </BButton>
        <BButton
          variant="bare"
          class="order"
          aria-label="Nearer to you"
          title="Nearer to you"
          @click="items.reorder(item.id, 1)"
        >
          <IBiChevronUp />
        </BButton>
        <BButton
          variant="bare"
          class="order"
          aria-label="Nearer to the blank"
          title="Nearer to the blank"
          @click="items.reorder(item.id, -1)"
        >
          <IBiChevronDown />
        </BButton>
      </li>
    </ul>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0.4rem 0 0;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  border-bottom: 1px solid var(--hairline);
}
.pick {
  flex: 1;
  min-width: 0;
  display: flex;
  align-items: center;
  gap: 0.6rem;
  border: 0;
  background: none;
  color: var(--ink);
  text-align: left;
  padding: 0.55rem 0;
}
.pick:hover .name {
  color: var(--teal);
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.order {
  border: 0;
  background: none;
  color: var(--ink-2);
  padding: 0.4rem 0.3rem;
  display: flex;
}
.order:hover {
  color: var(--teal);
}
</style>
