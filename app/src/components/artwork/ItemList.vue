<script setup lang="ts">
import type { ArtworkItem } from '@mivet/core';
import { computed } from 'vue';
import { useItems } from '../../composables/useItems.ts';
import { useProject } from '../../stores/project.ts';
import { useView } from '../../stores/view.ts';
import { itemTitle } from '../../composables/item-title.ts';

/** The film stack as a list: what is listed first lies next to the blank. */
const project = useProject();
const view = useView();
const items = useItems();
const films = computed(() => new Map(project.doc!.films.map((f) => [f.id, f])));
const listed = computed(() => [...project.doc!.items].reverse());

function nameOf(item: ArtworkItem): string {
  return item.type === 'art' ? `${item.name}, ${item.colour}` : itemTitle(item);
}
function howOften(item: ArtworkItem): string {
  if (item.acts.shapesOnly) return ', shapes others';
  if (item.repeat.mode === 'once') return '';
  if (item.repeat.mode === 'scattered') return `, ${item.repeat.count} scattered`;
  if (item.repeat.mode === 'joined' && item.repeat.count === 1) return ', all round';
  return item.repeat.mode === 'joined' ? `, ${item.repeat.count} joined` : `, ${item.repeat.count} times`;
}
</script>

<template>
  <div>
    <h3>Film stack, topmost first</h3>
    <ul>
      <li v-for="item in listed" :key="item.id">
        <BButton variant="bare" class="pick" @click="view.selectedId = item.id">
          <span class="chip" :style="{ background: films.get(item.film)?.colour }" />
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
.chip {
  flex: none;
  width: 14px;
  height: 14px;
  border: 1px solid color-mix(in srgb, var(--ink) 30%, transparent);
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
