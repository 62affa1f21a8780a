<script setup lang="ts">
import { useId } from 'vue';

/** Something that is folded away until it is asked for: its title is pressed to show it, and again to hide it. */
defineProps<{ title: string }>();
const open = defineModel<boolean>('open', { default: false });
const id = useId();
</script>

<template>
  <section>
    <h3 class="m-0">
      <BButton variant="bare" class="title" :aria-expanded="open" :aria-controls="id" @click="open = !open">
        <IBiChevronRight class="arrow" :class="{ open }" aria-hidden="true" />{{ title }}
      </BButton>
    </h3>
    <BCollapse :id="id" :model-value="open" no-animation><slot /></BCollapse>
  </section>
</template>

<style scoped>
.title {
  padding: 0.35rem 0;
  color: var(--teal);
  font-size: 1rem;
  font-weight: 600;
}
.title:hover {
  text-decoration: underline;
}
.arrow {
  width: 0.75em;
  margin-right: 0.4rem;
  transition: transform 0.12s;
}
.arrow.open {
  transform: rotate(90deg);
}
</style>
