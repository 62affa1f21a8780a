<script setup lang="ts">
import type { ShelfBlank, Units } from '@mivet/core';
import { formatLength, KINDS_OF_BLANK, sizeBlank } from '@mivet/core';
import { computed, onMounted, shallowRef } from 'vue';
import { pictureOfBlank, type ListPicture } from '../../composables/usePreviews.ts';
import CupDrawing from '../projects/CupDrawing.vue';

const props = defineProps<{ entry: ShelfBlank; unit: Units }>();
const emit = defineEmits<{ use: [] }>();
const picture = shallowRef<ListPicture | null>(null);
onMounted(async () => {
  picture.value = await pictureOfBlank(props.entry.blank, props.entry.changedAt).catch(() => null);
});
const good = computed(() => (picture.value?.ok ? picture.value : null));
/** Worked out on the spot: while its picture is still being made, nothing false is said of it. */
const sizes = computed(() => {
  const sized = sizeBlank(props.entry.blank);
  if (!sized.ok) return ['not fully measured'];
  const { size } = sized;
  const mm = (v: number): string => formatLength(v, props.unit);
  const bare = (v: number): string => mm(v).replace(/ (mm|in)$/, '');
  return KINDS_OF_BLANK[size.kind].told(size, mm, bare);
});
</script>

<template>
  <article>
    <BButton variant="bare" class="use" :aria-label="`New project on ${entry.blank.name}`" @click="emit('use')">
      <span class="cup"><CupDrawing :blank="entry.blank" :view-model="good" :films="[]" /></span>
      <span class="words">
        <span class="fw-bold d-block">{{ entry.blank.name }}</span>
        <span v-for="line in sizes" :key="line" class="dims d-block">{{ line }}</span>
        <span class="quiet d-block small"
          >{{ entry.blank.surface }}<template v-if="entry.blank.handleWidthMm > 0">, with handle</template
          ><template v-if="good?.size.fit === 'applied'">, fit checked</template></span
        >
      </span>
      <img v-if="entry.photo" :src="entry.photo" alt="" class="photo" />
    </BButton>
    <slot />
  </article>
</template>

<style scoped>
article {
  display: flex;
  flex-direction: column;
  background: var(--slip);
  border: 1px solid var(--hairline);
  border-radius: 3px;
}
article:hover {
  border-color: var(--ink-2);
}
.use {
  flex: 1;
  display: flex;
  align-items: center;
  gap: 1rem;
  width: 100%;
  border: 0;
  background: none;
  color: var(--ink);
  text-align: left;
  padding: 0.8rem 1rem;
}
.words {
  flex: 1;
}
.photo {
  flex: none;
  width: 58px;
  height: 78px;
  object-fit: cover;
  border-radius: 2px;
}
.cup {
  flex: none;
  width: 84px;
  height: 92px;
}
</style>
